import {
  crossing,
  lumpOfPlan,
  type ConnectionMap,
  type JobPlan,
  type Part,
  type PartId,
  type Practice,
} from '../connection-map/index.js';
import { MapError } from '../connection-map/index.js';
import { workOf } from '../work/index.js';

/** Questions that crews answer in different ways, as far as this machine asks them. */
export type PracticeQuestion = 'loom' | 'pump' | 'outer-parts';

/** One way to answer a question, and the practice a plan gets by it. */
export interface PracticeAnswer {
  readonly id: string;
  readonly words: string;
  readonly practice: Practice;
  readonly taken: boolean;
  /** Why it cannot be done on this machine. */
  readonly not?: string;
}

export interface PracticeChoice {
  readonly question: PracticeQuestion;
  readonly part?: PartId;
  readonly words: string;
  readonly answers: readonly PracticeAnswer[];
}

/** A loom ties this many things of the powerpack at least. */
const LOOM_FROM = 5;

/**
 * What the crew of `plan` can do one way or the other: loom left in the bay or taken along, each pump swung aside or
 * disconnected, outer parts off before the lift or left on. Both answers are tried out on the map.
 */
export function practicesOf(plan: JobPlan): readonly PracticeChoice[] {
  const { map } = plan;
  const bare: JobPlan = { map, powerpack: plan.powerpack, route: plan.route };
  const lump = lumpOfPlan(bare);
  const practice = plan.practice ?? {};
  const choices: PracticeChoice[] = [];
  const answer = (id: string, words: string, changed: Practice, taken: boolean): PracticeAnswer => {
    const not = whyNot({ ...plan, practice: changed });
    return { id, words, practice: changed, taken, ...(not === undefined ? {} : { not }) };
  };

  for (const loom of loomsOf(map, lump)) {
    const along = practice.along?.includes(loom.id) ?? false;
    choices.push({
      question: 'loom',
      part: loom.id,
      words: sentence(loom.name),
      answers: [
        answer('bay', 'stays in the bay', without(practice, loom.id), !along),
        answer('engine', 'goes with the engine', taking(practice, loom.id), along),
      ],
    });
  }
  for (const pump of pumpsOf(map, lump)) {
    const rides = lump.has(pump.id);
    const aside = rides ? (practice.stays?.includes(pump.id) ?? false) : !practice.along?.includes(pump.id);
    choices.push({
      question: 'pump',
      part: pump.id,
      words: sentence(pump.name),
      answers: [
        answer('aside', 'swung aside', rides ? leaving(practice, pump.id) : without(practice, pump.id), aside),
        answer('disconnected', 'hoses undone', rides ? without(practice, pump.id) : taking(practice, pump.id), !aside),
      ],
    });
  }
  const outer = outerPartsOf(bare, lump);
  if (outer.length > 0) {
    const off = outer.filter(({ id }) => practice.offFirst?.includes(id)).length > 0;
    const { offFirst: _off, ...rest } = practice;
    choices.push({
      question: 'outer-parts',
      words: sentence(outer.map(({ name }) => name).join(', ')),
      answers: [
        answer('on', 'stay on', rest, !off),
        answer('off', 'come off first', { ...rest, offFirst: outer.map(({ id }) => id) }, off),
      ],
    });
  }
  return choices.filter(({ answers }) => answers.some(({ taken, not }) => !taken && not === undefined));
}

function loomsOf(map: ConnectionMap, lump: ReadonlySet<PartId>): readonly Part[] {
  return map.parts.filter(({ id, system }) => {
    if (system !== 'electrics' || lump.has(id) || id === map.body) return false;
    const ties = map.connections.filter(({ between }) => between.includes(id));
    const toLump = ties.filter(({ between, kind }) => kind === 'plug' && between.some((end) => lump.has(end)));
    return toLump.length >= LOOM_FROM && toLump.length < ties.length;
  });
}

/** Parts bolted to the powerpack with hoses or pipes to what stays. */
function pumpsOf(map: ConnectionMap, lump: ReadonlySet<PartId>): readonly Part[] {
  return map.parts.filter((part) => {
    if (!/pump|compressor/.test(part.name) || !['steering', 'refrigerant'].includes(part.system)) return false;
    const ties = map.connections.filter(({ between }) => between.includes(part.id));
    const other = ({ between }: (typeof ties)[number]) => (between[0] === part.id ? between[1] : between[0]);
    return (
      ties.some((tie) => tie.kind === 'bolted' && lump.has(other(tie))) &&
      ties.some((tie) => (tie.kind === 'hose' || tie.kind === 'pipe') && !lump.has(other(tie)))
    );
  });
}

/** Parts of the powerpack that can be taken off by themselves and do not have to be. */
function outerPartsOf(plan: JobPlan, lump: ReadonlySet<PartId>): readonly Part[] {
  const { operations } = workOf(plan);
  return plan.map.parts.filter(
    ({ id, removal }) =>
      removal &&
      lump.has(id) &&
      !operations.has(`remove:${id}`) &&
      crossing(plan.map.connections, new Set([id])).length > 0,
  );
}

function without({ along = [], stays = [], ...rest }: Practice, part: PartId): Practice {
  return tidy({ ...rest, along: along.filter((id) => id !== part), stays: stays.filter((id) => id !== part) });
}

function taking(practice: Practice, part: PartId): Practice {
  const bare = without(practice, part);
  return tidy({ ...bare, along: [...(bare.along ?? []), part] });
}

function leaving(practice: Practice, part: PartId): Practice {
  const bare = without(practice, part);
  return tidy({ ...bare, stays: [...(bare.stays ?? []), part] });
}

function tidy({ along = [], stays = [], offFirst = [] }: Practice): Practice {
  return {
    ...(along.length > 0 ? { along } : {}),
    ...(stays.length > 0 ? { stays } : {}),
    ...(offFirst.length > 0 ? { offFirst } : {}),
  };
}

function whyNot(plan: JobPlan): string | undefined {
  try {
    workOf(plan);
    return undefined;
  } catch (error) {
    if (error instanceof MapError) return error.message;
    throw error;
  }
}

function sentence(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
