import { ProblemError } from '../http/problem.js';
import { toldOf, type Told } from './told.js';
import { TASKS, type TaskName } from './tasks.js';

/** Does a task in this thread; what is wrong with what was sent goes back as data, since errors lose their kind on the way. */
export default async function work({
  name,
  input,
}: {
  readonly name: TaskName;
  readonly input: unknown;
}): Promise<Told> {
  const task = (await TASKS[name]()) as (input: unknown) => unknown;
  try {
    return { value: await task(input) };
  } catch (error) {
    if (error instanceof ProblemError) return toldOf(error);
    throw error;
  }
}
