import { optionalPositive, positive } from '@brisk/contracts/fields';
import type { Answers, Asking } from '../../ui/asking';

/** Something that wears, and how long it is given by now. */
interface Given {
  readonly renewal: { readonly name: string };
  readonly yearsLeft: number;
}

/** Asks how long something is given: in years, and in kilometres where it is known how far the machine goes in one. */
export function lifeAsking(
  { renewal, yearsLeft }: Given,
  said: { readonly kmLeft?: number } | undefined,
  kmPerYear: number | undefined,
): Asking {
  return {
    title: `How long do you give the ${renewal.name}?`,
    ...(kmPerYear === undefined
      ? { words: 'Say under “Reckoned with” how far it goes in a year, and kilometres are taken as well.' }
      : {}),
    questions: [
      {
        field: 'years',
        label: 'Years',
        as: 'amount',
        schema: positive(100).label('Years'),
        initial: Math.round(yearsLeft * 10) / 10,
      },
      ...(kmPerYear === undefined
        ? []
        : [
            {
              field: 'km',
              label: 'Or kilometres, which count then',
              as: 'amount' as const,
              schema: optionalPositive(10_000_000).label('Kilometres'),
              ...(said?.kmLeft === undefined ? {} : { initial: said.kmLeft }),
              suffix: 'km',
            },
          ]),
    ],
    action: 'I give it that',
  };
}

/** What was answered: kilometres where they were given, with the years they come to. */
export function lifeIn(
  { years, km }: Answers,
  kmPerYear: number | undefined,
): { readonly yearsLeft: number; readonly kmLeft?: number } {
  if (kmPerYear === undefined || km === undefined || km === '') return { yearsLeft: Number(years) };
  const kmLeft = Number(km);
  return { yearsLeft: Math.min(100, kmLeft / kmPerYear), kmLeft };
}
