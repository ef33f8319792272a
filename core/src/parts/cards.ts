import { lumpOf } from '../connection-map/index.js';
import { isDone, partsOut, type JobState, type Owner, type PartCondition, type Place } from '../ledger/index.js';
import { operationId } from '../teardown/index.js';

/** Where one part is and what is known of it. */
export interface PartCard {
  /** `host:alternator`, `donor:turbo`, or the name of a line that is bought. */
  readonly key: string;
  readonly part: string;
  readonly name: string;
  readonly owner: Owner | 'bought';
  readonly place: Place | 'to-come';
  readonly where?: string;
  readonly condition?: PartCondition;
  readonly number?: string;
  readonly waitsFor?: string;
  /** The day it is expected on, such as “2026-03-04”. */
  readonly comesOn?: string;
  /** Its own way is over: it is on the machine to stay, or was thrown away. */
  readonly settled: boolean;
  /** An old part that is kept until handover: to match, to measure, for its core. */
  readonly keep: boolean;
}

/**
 * One card for each part that is not simply where it always was: taken off, on an old unit, brought with another one, or
 * bought. Where nobody said otherwise the record of the steps does. What is fitted is on the machine, whatever was said before.
 */
export function partCards(state: JobState): readonly PartCard[] {
  return [...ofTheHost(state), ...ofTheOther(state), ...bought(state)];
}

function ofTheHost(state: JobState): readonly PartCard[] {
  const { work, placed } = state;
  const out = partsOut(state);
  const lifted = [...work.operations.values()].filter(({ kind }) => kind === 'lift');
  const isOut = lifted.length > 0 && lifted.every(({ id }) => isDone(state, id));
  const lowered = [...work.operations.values()].some(({ id, kind }) => kind === 'lower' && isDone(state, id));
  return work.plan.map.parts.flatMap((part): readonly PartCard[] => {
    if (part.id === work.plan.map.body || part.builtIn === true) return [];
    const key = `host:${part.id}`;
    const said = placed.get(key);
    const old = [...work.bench.replaced].some(
      ([unit, stays]) => stays.has(part.id) && isDone(state, operationId.change(unit)),
    );
    const off = out.has(part.id) || (work.lump.has(part.id) && isOut && !lowered) || old;
    if (!off && said === undefined) return [];
    // What is on the machine again by its own step, or with what it rides on, is there.
    const place: Place = off ? (said?.place ?? (old ? 'old-unit' : 'bench')) : 'machine';
    return [
      {
        key,
        part: part.id,
        name: old ? `old ${part.name}` : part.name,
        owner: 'host',
        place,
        ...(off ? known(said) : {}),
        settled: place === 'machine' || place === 'bin',
        keep: (old || said?.condition === 'replaced') && place !== 'bin',
      },
    ];
  });
}

/** What came with another unit, and is not on the machine yet. */
function ofTheOther(state: JobState): readonly PartCard[] {
  const { work, placed } = state;
  const lowered = [...work.operations.values()].some(({ id, kind }) => kind === 'lower' && isDone(state, id));
  return [...work.bench.replaced].flatMap(([unit, stays]) =>
    work.plan.map.parts
      .filter(({ id, builtIn }) => stays.has(id) && builtIn !== true && lumpOf(work.plan.map, [unit]).has(id))
      .map((part): PartCard => {
        const said = placed.get(`donor:${part.id}`);
        const place = lowered ? 'machine' : (said?.place ?? 'bench');
        return {
          key: `donor:${part.id}`,
          part: part.id,
          name: `other ${part.name}`,
          owner: 'donor',
          place,
          ...known(said),
          settled: place === 'machine' || place === 'bin',
          keep: false,
        };
      }),
  );
}

function bought({ needs }: JobState): readonly PartCard[] {
  return [...needs.values()].flatMap(({ need, name, stage, number, expectedOn, quantity }): readonly PartCard[] =>
    stage === 'returned'
      ? []
      : [
          {
            key: need,
            part: need,
            name: quantity > 1 ? `${quantity} × ${name}` : name,
            owner: 'bought',
            place: stage === 'fitted' ? 'machine' : stage === 'arrived' || stage === 'wrong' ? 'bench' : 'to-come',
            ...(number === undefined ? {} : { number }),
            ...(expectedOn === undefined || stage !== 'ordered' ? {} : { waitsFor: 'delivery', comesOn: expectedOn }),
            settled: stage === 'fitted',
            keep: false,
          },
        ],
  );
}

type Said = Pick<PartCard, 'where' | 'condition' | 'number' | 'waitsFor'>;

function known({ where, condition, number, waitsFor }: Partial<Said> = {}): Said {
  return {
    ...(where === undefined ? {} : { where }),
    ...(condition === undefined ? {} : { condition }),
    ...(number === undefined ? {} : { number }),
    ...(waitsFor === undefined ? {} : { waitsFor }),
  };
}
