import type { CircuitId, PartId } from '../../../connection-map/index.js';
import { isReplaced, unitsOf, type Fate, type UnitDecision } from '../../../bench/index.js';
import { sentence } from '../../../words/index.js';
import { FATE_WORDS, mayDecide, partName, rework } from '../../at-the-bench.js';
import { refuse, unknown } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** What becomes of a unit of the powerpack, and, where another takes its place, what comes with that and what it died of. */
export interface UnitDecided {
  readonly kind: 'unit-decided';
  readonly unit: PartId;
  readonly becomes: Fate;
  readonly comesWith: readonly PartId[];
  /** Circuits that it comes with in it; all others it holds are filled before the start. */
  readonly filled?: readonly CircuitId[];
  readonly why?: string;
  readonly causeOfDeath?: string;
}

export interface DecidedUnit extends UnitDecision, Mark {
  readonly why?: string;
  readonly causeOfDeath?: string;
}

export const unitDecided: EntryRules<UnitDecided> = {
  mayFollow(state, { unit, becomes, comesWith, filled, by, at, id: entry }) {
    const { map } = state.work.plan;
    const isUnit = map.powerpacks.some(({ roots }) => roots.includes(unit));
    if (!isUnit || !map.parts.some(({ id }) => id === unit)) return unknown('unit', unit);
    const stranger = comesWith.find((part) => !map.parts.some(({ id }) => id === part));
    if (stranger !== undefined) return unknown('part', stranger);
    const nowhere = filled?.find((circuit) => !map.circuits.some(({ id }) => id === circuit));
    if (nowhere !== undefined) return unknown('circuit', nowhere);
    if (isReplaced({ becomes, comesWith })) {
      const { lump, plan } = state.work;
      const name = partName(state, unit);
      if (!lump.has(unit)) return refuse('sense', `The ${name} stays in the machine on this plan.`);
      if (!unitsOf(plan, lump).includes(unit))
        return refuse('sense', `The ${name} goes with what it is bolted to. Decide on that.`);
    }
    const decided = { becomes, comesWith, ...(filled ? { filled } : {}), by, at, entry };
    return mayDecide(state, { units: new Map([...state.units, [unit, decided]]) });
  },
  fold(draft, { unit, becomes, comesWith, filled, why, causeOfDeath }, mark) {
    draft.units.set(unit, {
      becomes,
      comesWith,
      ...(filled === undefined ? {} : { filled }),
      ...(why === undefined ? {} : { why }),
      ...(causeOfDeath === undefined ? {} : { causeOfDeath }),
      ...mark,
    });
    rework(draft);
    const need = `unit-${unit}`;
    const before = draft.needs.get(need);
    if (becomes === 'exchange' && !before)
      draft.needs.set(need, {
        need,
        name: `Exchange ${partName(draft, unit)}`,
        quantity: 1,
        reason: 'It takes the place of the old one.',
        stage: 'needed',
        ...mark,
      });
    else if (becomes !== 'exchange' && before?.stage === 'needed') draft.needs.delete(need);
  },
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  fills: ({ unit }) => [unit],
  leavesOpen: ({ units, plan }) =>
    [...units].flatMap(([unit, { becomes, comesWith, causeOfDeath }]) =>
      isReplaced({ becomes, comesWith }) && causeOfDeath === undefined
        ? [
            {
              is: 'look-at',
              grave: false,
              words: `Nobody wrote down what the old ${partName({ plan }, unit)} died of`,
            },
          ]
        : [],
    ),
  words: ({ unit, becomes, filled = [], why, causeOfDeath }, { state, circuit }) =>
    [
      `The ${partName(state, unit)} ${FATE_WORDS[becomes]}`,
      ...(filled.length === 0 ? [] : [`Said to be in it: ${filled.map(circuit).join(', ')}`]),
      ...(why === undefined ? [] : [why]),
      ...(causeOfDeath === undefined ? [] : [`${sentence('it died of')}: ${causeOfDeath}`]),
    ].join('. '),
};
