import { name, oneOf, optionalText, positive, text } from '@brisk/contracts/fields';
import { TEST_STATES, type TestAnswer, type TestState, type TroubleTest } from '@brisk/core/diagnosis';
import { figureIn } from '@brisk/core/words';
import { v4 as uuid } from 'uuid';
import type { Question } from '../../ui/asking';
import { choicesOf } from '../../ui/choice';

const STATE_WORDS: Readonly<Record<TestState, string>> = {
  standing: 'It stands',
  cranking: 'It is cranked',
  running: 'It runs',
  driving: 'It is driven',
};
const MOST_MINUTES = 10_000;

/** What is asked about a test, a new one or `before` as it is. */
export function testQuestions(before?: TroubleTest): readonly Question[] {
  return [
    {
      field: 'asked',
      label: 'What is asked',
      as: 'line',
      schema: name().label('The question'),
      initial: before?.asked ?? '',
    },
    { field: 'how', label: 'How it is done', as: 'lines', schema: text().label('How'), initial: before?.how ?? '' },
    {
      field: 'minutes',
      label: 'It takes',
      as: 'amount',
      suffix: 'min',
      schema: positive(MOST_MINUTES).label('Minutes'),
      initial: String(before?.minutes ?? 5),
    },
    {
      field: 'state',
      label: 'The engine for it',
      as: 'choice',
      schema: oneOf(TEST_STATES).label('The engine'),
      choices: choicesOf(STATE_WORDS, TEST_STATES),
      initial: before?.state ?? 'standing',
    },
    {
      field: 'answers',
      label: 'Answers, one a line, with how usual each is',
      as: 'lines',
      schema: text().label('The answers'),
      initial: before ? answersWords(before.answers) : '',
      hint: 'As in: It is tight 90 and, below it, It is loose 10',
    },
    {
      field: 'caution',
      label: 'What to watch, if it can hurt',
      as: 'lines',
      schema: optionalText().label('What to watch'),
      initial: before?.caution ?? '',
    },
  ];
}

/** Answers as one reads and writes them: each on a line, with how usual it is in a hundred. */
export function answersWords(answers: readonly TestAnswer[]): string {
  return answers.map(({ words, usual }) => `${words} ${Math.round(usual * 1_000) / 10}`).join('\n');
}

/** The answers in lines somebody wrote, those of `before` keeping their ids; or what is wrong with them, in a sentence. */
export function answersIn(lines: string, before: readonly TestAnswer[]): readonly TestAnswer[] | string {
  const read = lines
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .map((line) => /^(.*\S)\s+(\d+(?:[.,]\d+)?)\s*%?$/.exec(line) ?? line);
  const odd = read.find((one) => typeof one === 'string');
  if (odd !== undefined)
    return `“${String(odd)}” has no figure at its end: how usual it is in a hundred. Nothing was changed.`;
  const answers = read.flatMap((one) =>
    typeof one === 'string' ? [] : [{ words: one[1] ?? '', usual: figure(one[2]) }],
  );
  const sum = answers.reduce((all, { usual }) => all + usual, 0);
  if (answers.length < 2) return 'A test has two answers or more. Nothing was changed.';
  if (Math.abs(sum - 100) > 0.5)
    return `The answers come to ${Math.round(sum)} in a hundred, not 100. Nothing was changed.`;
  return answers.map(({ words, usual }, at) => ({
    id:
      before.find((one) => one.words === words)?.id ??
      (before.length === answers.length ? before[at]?.id : undefined) ??
      uuid(),
    words,
    usual: usual / sum,
  }));
}

function figure(text = ''): number {
  return figureIn(text) ?? NaN;
}
