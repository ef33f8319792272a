import type { CheckScope, Deed } from '../../connection-map/index.js';
import { below, chore, doing, inside, nose, type Time, type Where } from '../author.js';
import type { Piece } from '../template.js';

const PARTED = ['bell-housing', 'bell-lower'];
const WITH_PEDAL = { clutch: ['hydraulic', 'cable'] } as const;
const joined: readonly Deed[] = [...PARTED.map((connection) => ({ connection })), { holdPoint: 'pre-lower' }];

/** What is renewed with the clutch off. */
const behindClutch: readonly Deed[] = ['clutch', 'pilot-bearing', 'rear-crank-seal'].map((renewal) => ({ renewal }));

/** How the cover is held, and how long it takes. */
interface Cover {
  readonly coverNm: number;
  readonly spanner: string;
  readonly times: { readonly off: Time; readonly on: Time };
}
const ORDINARY: Cover = { coverNm: 25, spanner: '13 mm ratchet', times: { off: [6, 12, 25], on: [8, 15, 30] } };

/** The clutch while the gearbox is off the engine: where the engine is out, on its stand; where it stays, from below. */
function whileParted(
  suffix: string,
  at: Where,
  where: CheckScope,
  { coverNm, spanner, times }: Cover,
): NonNullable<Piece['chores']> {
  const scope = { ...where, touches: PARTED };
  const own = (id: string) => `${id}${suffix}`;
  return [
    chore(
      own('clutch-off'),
      'bench',
      doing('Mark and take the clutch cover off; look at cover, disc, flywheel and crank seal', at, times.off, {
        tools: [spanner, 'paint marker', 'flywheel holder', 'lamp'],
        cautions: ['eyes'],
        tip: 'A turn at a time, crosswise. Dust is not blown off. Oil on the disc: find the seal it comes from.',
      }),
      {
        when: WITH_PEDAL,
        why: 'Nothing of this is reached again without parting engine and gearbox.',
        where: scope,
        photo: true,
        after: [],
        before: [...joined, { chore: own('clutch-on') }, { undone: 'flywheel-bolts' }, ...behindClutch],
      },
    ),
    chore(
      own('clutch-on'),
      'bench',
      doing(
        `Set the disc by its side mark, centre it, and draw the cover down crosswise, ${coverNm} N·m`,
        at,
        times.on,
        {
          tools: ['centring tool', spanner, 'torque wrench', 'flywheel holder', 'depth rule'],
          tip: 'Degreased face, dry splines but for a smear. A turn at a time. Nobody sees a reversed disc afterwards.',
        },
      ),
      {
        when: WITH_PEDAL,
        why: 'Off centre, the shaft does not go in.',
        where: scope,
        measures: 'clutch-fingers',
        recalls: own('clutch-off'),
        after: [{ chore: own('clutch-off') }, { connection: 'flywheel-bolts' }, ...behindClutch],
        before: joined,
      },
    ),
    chore(
      own('release-bearing'),
      'bench',
      doing('Turn release bearing and pilot bearing by hand, smear guide tube and splines', at, [3, 6, 12], {
        tools: ['high-melting grease', 'lamp'],
        tip: 'It runs silent or it is changed now. Fork seated on its ball.',
      }),
      {
        when: WITH_PEDAL,
        why: 'It is heard the first day and reached only with the gearbox off.',
        where: { ...scope, notRenewed: 'release-bearing' },
        after: [],
        before: joined,
      },
    ),
  ];
}

/** What tells of a worn thrust bearing while the end of the crank can be got at. */
const endFloat = chore(
  'end-float',
  'bench',
  doing('Push the crank fore and aft and measure its end float', nose, [4, 8, 15], {
    tools: ['dial gauge', 'pry bar'],
    tip: 'By the maker’s figure. Too much, and the thrust bearing goes before anything else is fitted to it.',
    moves: ['crank'],
  }),
  {
    why: 'A clutch or a converter pushes at it with every start.',
    where: { comesOut: 'engine', touches: PARTED },
    after: [],
    before: joined,
  },
);

/** Faces and dowels where engine and gearbox meet, whatever the gearbox. */
const cleanFaces = (suffix: string, at: Where, where: CheckScope) =>
  chore(
    `clean-faces${suffix}`,
    'bench',
    doing('Clean the faces of engine and gearbox and look at both dowels', at, [3, 6, 15], {
      tools: ['scraper', 'wire brush', 'lamp'],
      tip: 'A dowel that stayed in the wrong half is driven back. No burr, no dirt between the faces.',
    }),
    {
      why: 'Dirt between the faces sets the shaft at an angle.',
      where: { ...where, touches: PARTED },
      after: [],
      before: joined,
    },
  );

/** A clutch a foot works, looked at while it can be reached, bled where its line was open, tried before the start. */
export const clutchWork = (cover: Cover = ORDINARY): Piece => ({
  chores: [
    ...whileParted('', nose, { comesOut: 'engine' }, cover),
    ...whileParted('-below', below, { staysIn: 'engine' }, cover),
    cleanFaces('', nose, { comesOut: 'engine' }),
    cleanFaces('-below', below, { staysIn: 'engine' }),
    endFloat,
    chore(
      'bleed-clutch',
      'back',
      doing('Fill and bleed the clutch', below, [8, 15, 30], {
        hands: 2,
        tools: ['bleed hose', 'brake fluid, fresh', '11 mm spanner'],
        cautions: ['eyes'],
        tip: 'One on the pedal, one at the screw, shut before the pedal comes up: about twenty strokes, until no bubble comes. Bottle topped up every five. It eats paint.',
        moves: ['pedal'],
      }),
      {
        when: WITH_PEDAL,
        why: 'Its line was open.',
        where: { touches: ['clutch-line', 'booster-line'] },
        after: [
          { connection: 'clutch-line' },
          { connection: 'booster-line' },
          { connection: 'clutch-cylinder-bolts' },
          { connection: 'booster-bolts' },
        ],
        before: [{ holdPoint: 'pre-start' }],
      },
    ),
    chore(
      'try-clutch',
      'back',
      doing('Press the clutch by foot and try every gear, engine off', inside, [1, 3, 6], {
        tip: 'It comes back by itself and takes up where it did before.',
        moves: ['pedal'],
      }),
      {
        when: WITH_PEDAL,
        why: 'Found now it is an adjuster; found later the gearbox comes out again.',
        where: { touches: PARTED },
        after: [
          ...PARTED.map((connection) => ({ connection })),
          { connection: 'clutch-cylinder-bolts' },
          { connection: 'clutch-cable-end' },
          { connection: 'clutch-cable-wing' },
          { connection: 'booster-bolts' },
          { connection: 'gear-cable-select' },
          { connection: 'gear-cable-shift' },
          { connection: 'lever-joint' },
          { connection: 'shift-coupling' },
          { connection: 'shift-tube-joint' },
          { chore: 'bleed-clutch' },
        ],
        before: [{ holdPoint: 'pre-start' }],
      },
    ),
  ],
});

/** What another automatic wants: nothing of the old one’s clutches in its cooler. */
const flushCooler = chore(
  'flush-cooler',
  'back',
  doing('Flush the oil cooler and its lines until what comes is clean', nose, [10, 20, 45], {
    tools: ['flushing fluid', 'dry compressed air', 'catch can'],
    cautions: ['eyes'],
    tip: 'Against the flow first. What it cannot be flushed out of is renewed: grit of the old one ends the other one.',
  }),
  {
    why: 'The old gearbox’s wear lies in the cooler.',
    where: { replaced: 'gearbox' },
    after: [],
    before: [{ connection: 'gearbox-cooler-pipes' }],
  },
);

/** A converter, which comes off the pump by its own weight unless it is held, and is measured before the faces meet. */
export const converterWork: Piece = {
  chores: [
    flushCooler,
    endFloat,
    cleanFaces('', nose, { comesOut: 'engine' }),
    cleanFaces('-below', below, { staysIn: 'engine' }),
    chore(
      'converter-home',
      'bench',
      doing('Push and turn the converter home, measure its depth, hold it in with a strip', nose, [3, 6, 15], {
        tools: ['straight edge', 'rule', 'strip and bolt'],
        tip: 'It drops in three times. The depth is the maker’s; a hair short and the pump breaks at the first bolt.',
      }),
      {
        why: 'Half seated, it breaks the pump when the housing is drawn up.',
        measures: 'converter-depth',
        where: { touches: PARTED },
        after: [{ connection: 'converter-shaft' }],
        before: joined,
      },
    ),
  ],
};
