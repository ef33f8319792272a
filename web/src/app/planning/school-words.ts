import type { PracticeQuestion } from '@brisk/core/planning';
import type { FuelSchool, OrderSchool, RaisedOn } from '@brisk/core/schedule';

export const ORDER_WORDS: Readonly<Record<OrderSchool, string>> = {
  quickest: 'Whatever is quickest',
  'by-system': 'System by system',
  'outside-in': 'From the outside in',
  'by-position': 'Everything above, then below',
};

export const FUEL_WORDS: Readonly<Record<FuelSchool, string>> = {
  'any-time': 'When it suits',
  early: 'Early: drained and opened first',
  last: 'Last: nothing drips meanwhile',
};

export const PRACTICE_WORDS: Readonly<Record<PracticeQuestion, string>> = {
  loom: 'Loom',
  pump: 'Pump',
  'outer-parts': 'Outer parts',
};

export const RAISED_ON_WORDS: Readonly<Record<RaisedOn, string>> = {
  stands: 'A jack and stands',
  lift: 'A lift',
};
