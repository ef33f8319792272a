import { name, optionalPositive, positive } from '@brisk/contracts/fields';
import type { Answers, Question } from './asking';

/** A figure that is printed or stamped on something the shop keeps. */
export interface Figure {
  readonly field: string;
  readonly label: string;
  readonly unit: string;
  readonly most: number;
  /** It may be left out. */
  readonly optional?: true;
}

/** Asks for figures, with what they are now. */
export function figureQuestions(figures: readonly Figure[], now: object = {}): readonly Question[] {
  const before = new Map<string, unknown>(Object.entries(now));
  return figures.map(({ field, label, unit, most, optional }) => {
    const initial = before.get(field);
    return {
      field,
      label: `${label}, ${unit}`,
      as: 'amount' as const,
      schema: (optional ? optionalPositive(most) : positive(most)).label(label),
      ...(typeof initial === 'number' ? { initial } : {}),
    };
  });
}

/** Asks how something is called. */
export function nameQuestion(initial?: string): Question {
  return {
    field: 'name',
    label: 'What it is called',
    as: 'line',
    schema: name().label('Name'),
    ...(initial === undefined ? {} : { initial }),
  };
}

/** The figures of `answers`; one that may be left out and was is not among them. */
export function figuresIn(figures: readonly Figure[], answers: Answers): Readonly<Record<string, number>> {
  return Object.fromEntries(
    figures
      .filter(({ field, optional }) => !optional || (answers[field] !== undefined && answers[field] !== ''))
      .map(({ field }) => [field, Number(answers[field])]),
  );
}

/** The figures of something in words. */
export function figureWords(figures: readonly Figure[], gear: object): string {
  const stamped = new Map<string, unknown>(Object.entries(gear));
  return figures
    .map(({ field, label, unit }) => `${label.toLowerCase()} ${String(stamped.get(field))} ${unit}`)
    .join(', ');
}
