import {
  lumpOf,
  partsById,
  planHeldTo,
  type Caution,
  type JobPlan,
  type Part,
  type PartId,
  type StepSpec,
} from '../connection-map/index.js';
import { connectionOperations, fitting } from '../refit/index.js';
import { openingTitle, operationId, type Operation, type Requirements } from '../teardown/index.js';
import { drainsOut, type BenchRequirements, type Pair } from './required.js';

/** What one person does not carry, in kg. */
const ONE_CARRIES_KG = 20;

/** What two people do not let down by hand from where it sits, in kg. */
const TWO_CARRY_KG = 40;

type Place = Pick<Operation, 'station' | 'height' | 'cautions'>;

/** Where something is worked at while the powerpack is out: at the bench, unless it stayed in the machine. */
export function benchPlace(isOut: boolean, { station, height, cautions }: Place): Place {
  if (!isOut) return { station, height, cautions };
  return { station: 'bench', height: 'either', cautions: cautions.filter((caution) => caution !== 'stands') };
}

/** Everything that is done while the powerpack is out, in no order yet. */
export function benchOperations(plan: JobPlan, out: Requirements, bench: BenchRequirements): readonly Operation[] {
  const { map } = plan;
  const parts = partsById(map);
  const within = ({ between }: { readonly between: readonly PartId[] }) => between.every((end) => out.lump.has(end));
  const isOff = (part: PartId) => out.removed.has(part) || bench.removed.has(part);
  const opened = map.connections.filter(({ id }) => bench.opened.has(id));
  const opens = opened.map((connection): Operation => ({
    id: operationId.open(connection.id),
    phase: 'bench',
    kind: 'disconnect',
    connection: connection.id,
    title: openingTitle(connection),
    hands: connection.hands,
    tools: connection.tools,
    minutes: connection.minutes,
    ...benchPlace(within(connection), connection),
    ...(connection.moves ? { moves: connection.moves } : {}),
    ...(connection.tip === undefined ? {} : { tip: connection.tip }),
  }));
  const closes = opened
    .filter(({ id }) => !plan.leftOff?.includes(id))
    .flatMap((connection) =>
      connectionOperations(connection).map((operation): Operation => ({
        ...operation,
        phase: 'bench',
        ...benchPlace(within(connection), operation),
      })),
    );
  const moved = [...bench.removed.keys()].flatMap((id): readonly Operation[] => {
    const part = parts.get(id);
    if (!part) return [];
    const step = removalOf(plan, part);
    const place = benchPlace(out.lump.has(id), step);
    const unit = [...bench.replaced].find(([, stays]) => !stays.has(id) && lumpOf(map, [...stays]).has(id))?.[0];
    const where = unit === undefined ? 'in place' : `on the other ${otherName(plan, bench, unit)}`;
    return [
      { ...step, ...place, id: operationId.remove(id), phase: 'bench', kind: 'remove', part: id },
      {
        ...fitting(step),
        ...place,
        id: operationId.fit(id),
        phase: 'bench',
        kind: 'fit',
        part: id,
        title: `Set the ${part.name} ${where}`,
      },
    ];
  });
  const drains = map.circuits
    .filter(({ id }) => bench.drained.has(id))
    .map(({ id, drain: { needs: _needs, access: _access, ...step } }): Operation => ({
      ...step,
      ...benchPlace(drainsOut(plan, out, id), step),
      id: operationId.drain(id),
      phase: 'bench',
      kind: 'drain',
      circuit: id,
    }));
  const conditions = map.conditions.flatMap((condition): readonly Operation[] =>
    bench.conditions.has(condition.id) && condition.established.by === 'step'
      ? [
          {
            ...condition.established.step,
            id: operationId.establish(condition.id),
            phase: 'bench',
            kind: condition.takesLoad ? 'support' : 'make-safe',
            condition: condition.id,
          },
        ]
      : [],
  );
  const renewed = bench.renewed.map(
    ({
      id,
      name: _name,
      at,
      reach: _reach,
      why: _why,
      parts: _parts,
      lastsYears: _lasts,
      drains: _drains,
      after: _after,
      breaks: _breaks,
      ...step
    }) => ({
      ...step,
      // What is off the machine lies on the bench, whatever it came off.
      ...benchPlace(out.lump.has(at) || (planHeldTo(plan, 8) && isOff(at)), step),
      id: operationId.renew(id),
      phase: 'bench' as const,
      kind: 'renew' as const,
      renewal: id,
    }),
  );
  const units = [...bench.replaced.keys()].flatMap((unit) => changed(plan, otherName(plan, bench, unit), unit));
  const charged = bench.charged.map(({ part, circuit }): Operation => ({
    id: operationId.charge(part),
    phase: 'bench',
    kind: 'prepare',
    title: `Fill the ${parts.get(part)?.name ?? part} with ${map.circuits.find(({ id }) => id === circuit)?.fluid ?? circuit}, as much as it takes`,
    station: 'bench',
    height: 'either',
    hands: 1,
    tools: ['funnel', 'clean jug'],
    minutes: { low: 3, likely: 6, high: 15 },
    cautions: [],
    tip: 'Hub up, slowly, a litre or so, by the maker’s kind and measure. From here on it is not tipped. What went in counts towards the fill.',
  }));
  const apart = bench.pairs.flatMap((pair) => partedSteps(pair, parts));
  return [...opens, ...moved, ...drains, ...conditions, ...apart, ...units, ...charged, ...renewed, ...closes];
}

/** What the other one is called: a powerpack where several units come in one piece. */
function otherName({ map }: JobPlan, { replaced }: BenchRequirements, unit: PartId): string {
  const stays = replaced.get(unit);
  const several = map.connections.some(
    ({ carriesLoad, between }) => carriesLoad === true && between.every((end) => stays?.has(end)),
  );
  return several ? 'powerpack' : (map.parts.find(({ id }) => id === unit)?.name ?? unit);
}

const shift = (id: string, title: string, step: Partial<Operation>): Operation => ({
  id,
  phase: 'bench',
  kind: 'shift',
  title,
  station: 'bench',
  height: 'either',
  hands: 2,
  tools: ['engine hoist', 'rated slings'],
  minutes: { low: 5, likely: 12, high: 25 },
  cautions: ['under-load'],
  ...step,
});

/** What comes before anything is worked at that hung on the hoist until now. */
export const SET_ON_STAND = shift(operationId.stand(), 'Set it down on blocks or a stand, chocked, every end held up', {
  tools: ['engine hoist', 'rated slings', 'wood blocks', 'wedges'],
  tip: 'It stands by itself before the hoist goes slack: rock it by hand. Never on the sump alone.',
});

function partedSteps({ stays, leaves }: Pair, parts: ReadonlyMap<PartId, Part>): readonly Operation[] {
  const [heavy, light] = [parts.get(stays)?.name ?? stays, parts.get(leaves)?.name ?? leaves];
  return [
    shift(operationId.apart(leaves), `Draw the ${light} straight off the ${heavy} and set it down`, {
      tools: ['engine hoist', 'rated slings', 'wood blocks', 'pry bar'],
      tip: 'Its weight on the hoist the whole way: hung on its shaft, clutch or converter pays for it. Bar at the dowels, left and right in turn. Fingers out of the gap.',
    }),
    shift(operationId.together(leaves), `Bring the ${light} up to the ${heavy}, square, until the faces meet by hand`, {
      minutes: { low: 6, likely: 15, high: 40 },
      tip: 'Gap even all round; turn, do not push. It goes the last hand’s breadth by itself or something is wrong. Never pulled in with the bolts. Fingers out of the gap.',
    }),
  ];
}

function changed({ map }: JobPlan, name: string, unit: PartId): readonly Operation[] {
  const plugs = map.connections.filter(({ kind, between }) => kind === 'plug' && between.includes(unit));
  return [
    {
      id: operationId.compare(unit),
      phase: 'bench',
      kind: 'prepare',
      title: `Hold the other ${name} against the old one: numbers, bosses, threads, holes, flange`,
      station: 'bench',
      height: 'either',
      hands: 1,
      tools: ['rule', 'lamp', 'paint marker'],
      minutes: { low: 8, likely: 15, high: 30 },
      cautions: [],
      tip: 'Before anything goes over to it: what does not match goes back whole. Photograph both number plates. Turned by hand, all the way round.',
    },
    shift(operationId.change(unit), `Take the old ${name} off the stand and set the other one on it`, {
      tools: ['engine hoist', 'rated slings', 'engine stand'],
      minutes: { low: 8, likely: 18, high: 40 },
      tip: 'The old one stays until handover: to look at, to measure, for its core charge.',
    }),
    {
      id: operationId.carryOver(unit),
      phase: 'bench',
      kind: 'prepare',
      title: `Carry over what the other ${name} has not: sensors, unions, brackets, dowels, lifting eyes`,
      station: 'bench',
      height: 'either',
      hands: 1,
      tools: ['socket set', 'torque wrench', 'new washers'],
      minutes: { low: 10, likely: 25 + plugs.length, high: 60 },
      cautions: [],
      tip:
        plugs.length > 0
          ? `Every plug finds its mate: ${plugs.map((plug) => plug.name).join(', ')}.`
          : 'Hole by hole, the old one beside it.',
    },
  ];
}

/** How a part comes away with all that rides on it: as the map says, or as such a weight does. */
export function removalOf({ map }: JobPlan, part: Part): StepSpec {
  if (part.removal) return part.removal;
  const lump = lumpOf(map, [part.id]);
  const kg = map.parts.reduce((sum, { id, massKg = 0 }) => (lump.has(id) ? sum + massKg : sum), 0);
  const heavy = kg > ONE_CARRIES_KG;
  const hoisted = kg > TWO_CARRY_KG;
  const isLive = map.connections.some(
    ({ between, cautions }) => between.includes(part.id) && cautions.includes('high-voltage'),
  );
  const cautions: readonly Caution[] = [
    ...(heavy ? (['heavy'] as const) : []),
    ...(hoisted ? (['under-load'] as const) : []),
    // Whoever may undo it may carry it.
    ...(isLive ? (['high-voltage'] as const) : []),
  ];
  return {
    title: `Take the ${part.name} off`,
    station: map.connections.find(({ between }) => between.includes(part.id))?.station ?? 'bench',
    height: 'either',
    hands: heavy ? 2 : 1,
    tools: hoisted ? ['engine hoist', 'rated slings'] : [],
    minutes: hoisted
      ? { low: 5, likely: 12, high: 25 }
      : heavy
        ? { low: 2, likely: 5, high: 12 }
        : { low: 1, likely: 2, high: 4 },
    cautions,
    ...(hoisted
      ? {
          moves: ['weight'] as const,
          tip: 'Its weight on the sling before the last fastener is out, and until the first one is in again.',
        }
      : {}),
  };
}
