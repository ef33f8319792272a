import { ChoiceError, compose, type Choices, type Template } from '@brisk/core/layouts';
import type { Answers } from '@brisk/core/survey';

const known = new WeakMap<Template, Answers>();

/** The answers with which a layout has the fewest connections: what its picture begins with, before it grows. */
export function leastAnswers(template: Template): Answers {
  const before = known.get(template);
  if (before) return before;
  // One after the other, so that each can stand beside those before it.
  const answers = template.options.reduce<Choices>((chosen, { option, choices }) => {
    const sizes = choices.map((choice) => [choice, sizeWith(template, { ...chosen, [option]: choice })] as const);
    const [least] = [...sizes].sort(([, one], [, other]) => one - other);
    return { ...chosen, [option]: least?.[0] ?? choices[0] };
  }, {});
  known.set(template, answers);
  return answers;
}

function sizeWith(template: Template, choices: Choices): number {
  try {
    return compose(template, choices).connections.length;
  } catch (error) {
    if (error instanceof ChoiceError) return Infinity;
    throw error;
  }
}
