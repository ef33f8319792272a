/** What may be open at handover, in the order it is told. */
export const OPEN_ITEM_SORTS = [
  'left-on-purpose',
  'left-for-later',
  'still-open',
  'count',
  'fastener',
  'ground',
  'torque',
  'issue',
  'fluid',
  'look-at',
  'part',
  'step',
] as const;

/** Something a person taking the machine over has to know. `grave` ones are shown in red. */
export interface OpenItem {
  readonly is: (typeof OPEN_ITEM_SORTS)[number];
  readonly grave: boolean;
  readonly words: string;
}
