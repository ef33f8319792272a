import type { LookAt } from '../connection-map/index.js';
import { OPTIONS, type Choices, type OptionId } from '../layouts/index.js';
import { choiceOf } from './questions.js';

/** What is still to be looked at because nobody knew it: one for each of `unsure`. */
export function lookAtOf(unsure: readonly OptionId[], choices: Choices): readonly LookAt[] {
  return unsure.map((option) => ({
    about: option,
    question: OPTIONS[option].question,
    taken: choiceOf(option, choices[option] ?? '').words,
  }));
}
