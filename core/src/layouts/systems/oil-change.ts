import type { CheckScope, Deed } from '../../connection-map/index.js';
import { below, chore, doing, nose, type Where } from '../author.js';
import type { Piece } from '../template.js';

interface Plug {
  readonly plugNm: number;
  readonly spanner: string;
}

/** Before fresh oil goes in: the filter changed, and the plug back under a new washer, by its figure. */
export const oilChange = (plug: Plug): Piece => ({
  chores: [
    // On its stand both are at hand; in the machine they are reached from below.
    ...changedAt('', nose, { comesOut: 'engine', drained: 'engine-oil' }, plug, [{ holdPoint: 'pre-lower' }]),
    ...changedAt('-below', below, { staysIn: 'engine' }, plug, []),
  ],
});

function changedAt(
  suffix: string,
  at: Where,
  where: CheckScope,
  { plugNm, spanner }: Plug,
  also: readonly Deed[],
): NonNullable<Piece['chores']> {
  const half = suffix === '' ? 'bench' : 'back';
  const before: readonly Deed[] = [{ circuit: 'engine-oil' }, ...also];
  return [
    chore(
      `sump-plug${suffix}`,
      half,
      doing(`Sump plug in with a new washer, ${plugNm} N·m`, at, [1, 3, 6], {
        tools: [spanner, 'torque wrench', 'new washer'],
      }),
      {
        why: 'Oil is filled when it cannot run out below.',
        where,
        after: [{ connection: 'sump-bolts' }],
        before,
      },
    ),
    chore(
      `oil-filter${suffix}`,
      half,
      doing('Change the oil filter', at, [3, 6, 15], {
        tools: ['filter wrench', 'new filter', 'drain tray'],
        tip: 'The old seal came off with it? New seal oiled. Filled first where it stands upright.',
      }),
      { why: 'Metal and old oil stay in the old one.', where, after: [], before },
    ),
  ];
}
