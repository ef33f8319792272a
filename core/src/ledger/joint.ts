import type { System, ConnectionId } from '../connection-map/index.js';
import { usualPattern, type BoltPattern } from '../fasteners/index.js';
import {
  besideTheLast,
  stageWords,
  tighteningOrder,
  tighteningStages,
  type JointIs,
  type TighteningStage,
  type TorqueVerdict,
} from '../torque/index.js';
import { setsOf, heldTo } from './counting.js';
import type { JobState } from './state.js';

/** A joint as it is tightened: its holes, the order they come in, and its stages. */
export interface Joint {
  readonly targetNm: number;
  readonly pattern: BoltPattern;
  readonly bolts: number;
  /** Holes in the order they are tightened. */
  readonly order: readonly number[];
  readonly stages: readonly TighteningStage[];
}

/** How far a joint is. */
export interface JointNow extends Joint {
  /** By hole, how many stages it went through in order. */
  readonly done: readonly number[];
  /** The stage that is being worked at; undefined once every bolt is through the last. */
  readonly stage?: TighteningStage;
  readonly stageAt: number;
  /** How many bolts are through that stage. */
  readonly through: number;
  /** The bolts that come next in it, in their order. */
  readonly next: readonly number[];
  /** Bolts with something against them that nobody accepted, in their order, */
  readonly missed: readonly number[];
  /** and what that is. */
  readonly faults: ReadonlyMap<number, TorqueVerdict>;
  /** Holes that were touched in a stage although an earlier one is missing. */
  readonly outOfOrder: readonly number[];
  /** Holes that were touched straight after a neighbour in the stage that is in hand, where there was a choice. */
  readonly besideLast: readonly number[];
  /** How far each bolt was turned from its figure on, in degrees. */
  readonly turnedDeg: readonly number[];
  /** Every bolt went through every stage, and what missed was accepted. */
  readonly final: boolean;
}

/** What a bolt is called: its place in the order of tightening, from 1. */
export function boltNumbers({ order }: Joint, bolts: readonly number[]): readonly number[] {
  return bolts.map((bolt) => order.indexOf(bolt) + 1).sort((one, other) => one - other);
}

/** Systems whose bolted joints hold panels and brackets, and seal nothing where no fluid runs. */
const PANELS: ReadonlySet<System> = new Set(['body', 'electrics', 'cooling']);

/** Systems whose bolted joints carry and seal nothing. */
const MOUNTS: ReadonlySet<System> = new Set(['mounts', 'steering']);

/** Orders that were worked out: the same drawing is asked for again and again. */
const orders = new WeakMap<BoltPattern, readonly number[]>();

/** The joint `connection` as it is to be tightened, or undefined where there is no figure for it, or no bolt. */
export function jointOf(state: JobState, connection: ConnectionId): Joint | undefined {
  const { connections } = state.work;
  const { system, circuit, refit } = connections.get(connection) ?? {};
  const torque = refit?.torque;
  const pattern = patternOf(state, connection);
  if (!torque || !pattern || pattern.holes.length === 0) return undefined;
  const order = orders.get(pattern) ?? tighteningOrder(pattern.holes);
  orders.set(pattern, order);
  const bolts = pattern.holes.length;
  const is = system === undefined || circuit !== undefined ? 'flange' : jointIs(state, system);
  return { targetNm: torque.targetNm, pattern, bolts, order, stages: tighteningStages(torque, bolts, is) };
}

/** What a joint of `system` is that seals nothing. Ledgers of earlier editions name stages by their place among more of them. */
function jointIs(state: JobState, system: System): JointIs {
  if (PANELS.has(system) && heldTo(state, 6)) return 'panel';
  return MOUNTS.has(system) && heldTo(state, 7) ? 'mount' : 'flange';
}

/**
 * How far the joint `connection` is: a bolt goes through its stages one after the other; one that was touched in a later
 * stage before an earlier is where it was. What was turned too little by an angle is not through.
 */
export function jointNow(state: JobState, connection: ConnectionId): JointNow | undefined {
  const joint = jointOf(state, connection);
  if (!joint) return undefined;
  const { touches, accepted } = state.tightened.get(connection) ?? { touches: [], accepted: undefined };
  const done = joint.pattern.holes.map(() => 0);
  const turned = joint.pattern.holes.map(() => 0);
  const faults = new Map<number, TorqueVerdict>();
  const outOfOrder = new Set<number>();
  touches.forEach(({ stage: at, bolts, verdict, degrees = 0 }, index) => {
    const stage = joint.stages[at];
    const stays = accepted !== undefined && index < accepted.touches;
    for (const bolt of bolts) {
      const through = done[bolt];
      if (!stage || through === undefined) continue;
      if (through < at) {
        outOfOrder.add(bolt);
        continue;
      }
      if (verdict === 'within' || stays) faults.delete(bolt);
      else faults.set(bolt, verdict);
      if (stage.is === 'angle') {
        // An angle is turned in touches of so many degrees.
        turned[bolt] = (turned[bolt] ?? 0) + degrees;
        if ((turned[bolt] ?? 0) < stage.degrees) continue;
      }
      if (through === at) {
        done[bolt] = at + 1;
        outOfOrder.delete(bolt);
      }
    }
  });
  const stageAt = Math.min(...done);
  const stage = joint.stages[stageAt];
  return {
    ...joint,
    done,
    ...(stage ? { stage } : {}),
    stageAt,
    through: done.filter((through) => through > stageAt).length,
    next: joint.order.filter((bolt) => done[bolt] === stageAt && stage !== undefined),
    missed: joint.order.filter((bolt) => faults.has(bolt)),
    faults,
    outOfOrder: [...outOfOrder],
    turnedDeg: turned,
    besideLast: besideTheLast(
      joint.pattern.holes,
      joint.order,
      touches.filter((touch) => touch.stage === stageAt && touch.bolts.length === 1).flatMap(({ bolts }) => bolts),
    ),
    final: stage === undefined && faults.size === 0,
  };
}

/** Joints that were begun bolt by bolt and are not final, each in words. */
export function halfTight(state: JobState): readonly { readonly connection: ConnectionId; readonly words: string }[] {
  return [...state.tightened.keys()].flatMap((connection) => {
    const now = jointNow(state, connection);
    if (!now || now.final) return [];
    const name = state.work.connections.get(connection)?.name ?? connection;
    const far = now.stage
      ? `${stageWords(now.stage)}: ${now.through} of ${now.bolts} bolts`
      : 'with bolts that missed their figure';
    return [{ connection, words: `${name}, ${far}` }];
  });
}

/** The pattern of each joint that nobody drew; what holds it is the same as long as it is the same list. */
const usual = new WeakMap<object, Map<ConnectionId, BoltPattern>>();

function patternOf(state: JobState, id: ConnectionId): BoltPattern | undefined {
  const drawn = state.patterns.get(id);
  if (drawn) return drawn;
  const connection = state.work.connections.get(id);
  if (!connection) return undefined;
  const sets = setsOf(state, id);
  const known = usual.get(sets) ?? new Map<ConnectionId, BoltPattern>();
  usual.set(sets, known);
  const pattern = known.get(id) ?? usualPattern(connection, sets);
  known.set(id, pattern);
  return pattern;
}
