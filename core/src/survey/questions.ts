import {
  clashes,
  completed,
  OPTIONS,
  type Choice,
  type Choices,
  type OptionId,
  type Template,
} from '../layouts/index.js';

/** What somebody answered: a choice, or that they do not know. */
export const DONT_KNOW = 'dont-know';
export type Answers = Readonly<Partial<Record<OptionId, string>>>;

/** One answer that a question offers. */
export interface OfferedAnswer extends Choice {
  readonly choice: string;
  /** Why it cannot be, beside what was answered before. */
  readonly excluded?: string;
}

/** One question to the person before the machine. */
export interface Question {
  readonly option: OptionId;
  readonly question: string;
  readonly why: string;
  readonly answers: readonly OfferedAnswer[];
  /** What is taken for granted when nobody knows. */
  readonly unsure: string;
}

/**
 * The questions to ask about a machine of this layout, given what was answered so far, in the order of asking. A
 * question with only one answer that can stand beside the earlier ones is not asked.
 */
export function questionsFor(template: Template, answers: Answers): readonly Question[] {
  let settled: Choices = template.always;
  return template.options.flatMap(({ option, choices, unsure }): readonly Question[] => {
    const offered = choices.map((choice): OfferedAnswer => {
      const [excluded] = clashes({ ...settled, [option]: choice });
      return { choice, ...choiceOf(option, choice), ...(excluded === undefined ? {} : { excluded }) };
    });
    const standing = offered.filter(({ excluded }) => excluded === undefined);
    const assumed = standing.find(({ choice }) => choice === unsure) ?? standing[0];
    if (!assumed) return [];
    const answered = answers[option];
    const settledHere = standing.find(({ choice }) => choice === answered);
    if (standing.length === 1) {
      settled = { ...settled, [option]: assumed.choice };
      return [];
    }
    if (answered !== undefined) settled = { ...settled, [option]: (settledHere ?? assumed).choice };
    const { question, why } = OPTIONS[option];
    return [{ option, question, why, answers: offered, unsure: assumed.choice }];
  });
}

/** What a machine is taken to have after `answers`, and which of it nobody knew. */
export interface Surveyed {
  readonly choices: Choices;
  readonly unsure: readonly OptionId[];
}

/**
 * The choices that follow from `answers`; where nobody knew, or nobody was asked yet, what leaves nothing attached
 * unseen. Answers that no longer stand beside earlier ones fall back to that as well.
 */
export function surveyed(template: Template, answers: Answers): Surveyed {
  let choices: Choices = template.always;
  const unsure: OptionId[] = [];
  for (const { option, choices: offered, unsure: assumed } of template.options) {
    const stands = (choice: string | undefined): choice is string =>
      choice !== undefined && offered.includes(choice) && clashes({ ...choices, [option]: choice }).length === 0;
    const answered = answers[option];
    const safe = stands(assumed) ? assumed : offered.find(stands);
    if (answered === DONT_KNOW && offered.filter(stands).length > 1) unsure.push(option);
    choices = { ...choices, [option]: stands(answered) ? answered : safe };
  }
  return { choices: completed(template, choices), unsure };
}

/** A choice of an option, in words. */
export function choiceOf(option: OptionId, choice: string): Choice {
  const choices: Readonly<Record<string, Choice>> = OPTIONS[option].choices;
  return choices[choice] ?? { words: choice };
}
