import { HELD_BY } from '../fluids/index.js';
import {
  connectionsById,
  crossing,
  lumpOf,
  partsById,
  reachOf,
  routeOf,
  type Access,
  type CircuitId,
  type ConditionId,
  type Connection,
  type ConnectionId,
  planHeldTo,
  type JobPlan,
  type PartId,
  type Reach,
  type Renewal,
} from '../connection-map/index.js';
import { HEAVY_KG, type Requirements } from '../teardown/index.js';
import { isReplaced, type BenchDecisions } from './decisions.js';

/** Two units that are drawn apart on the ground: the heavier stays where it stands. */
export interface Pair {
  readonly stays: PartId;
  readonly leaves: PartId;
  /** The connections between what leaves and what stays. */
  readonly joints: readonly ConnectionId[];
  readonly why: string;
}

/** What has to be undone while the powerpack is out, each with the first reason found for it. */
export interface BenchRequirements {
  readonly opened: ReadonlyMap<ConnectionId, string>;
  readonly removed: ReadonlyMap<PartId, string>;
  readonly drained: ReadonlyMap<CircuitId, string>;
  /** What a unit that comes from elsewhere has not in it, and nothing on the way out drains. */
  readonly dry: ReadonlyMap<CircuitId, string>;
  /** What is filled by hand before it goes onto another unit, with what. */
  readonly charged: readonly { readonly part: PartId; readonly circuit: CircuitId; readonly why: string }[];
  readonly conditions: ReadonlyMap<ConditionId, string>;
  readonly pairs: readonly Pair[];
  /** What is renewed, and is reached. */
  readonly renewed: readonly Renewal[];
  /** What was chosen and is no work for the bench this way: not reached, or the machine would have to be made ready for it. */
  readonly unreached: readonly Renewal[];
  /** Units that another one takes the place of, by the first that comes in one piece, and all that stays on the old one. */
  readonly replaced: ReadonlyMap<PartId, ReadonlySet<PartId>>;
}

/** Everything on `map` that can be renewed, the map’s own and the crew’s. */
export function renewalsOf({ map }: JobPlan, { own }: Pick<BenchDecisions, 'own'>): readonly Renewal[] {
  return [...(map.renewals ?? []), ...own];
}

/**
 * What `decisions` make necessary once the powerpack is out as `out` says: what is in front of everything that is
 * renewed, and what ties old units to what goes over to the new ones. What the machine keeps is no longer in front of
 * anything on the powerpack. Names the map does not know are passed over: the map may have changed since.
 */
export function benchRequired(plan: JobPlan, out: Requirements, decisions: BenchDecisions): BenchRequirements {
  const { map } = plan;
  const parts = partsById(map);
  const connections = connectionsById(map);
  const offBefore = new Set([...out.removed.keys()].flatMap((part) => [...lumpOf(map, [part])]));
  const there = new Set([...out.lump].filter((part) => !offBefore.has(part)));
  const opened = new Map<ConnectionId, string>();
  const removed = new Map<PartId, string>();
  const drained = new Map<CircuitId, string>();
  const conditions = new Map<ConditionId, string>();
  const pairs: Pair[] = [];
  const waiting: (() => void)[] = [];

  const inside = ({ between }: Connection) => between.every((part) => there.has(part));
  const onPowerpack = (id: ConnectionId) => connections.get(id)?.between.some((part) => there.has(part)) ?? false;

  function open(id: ConnectionId, why: string) {
    const connection = connections.get(id);
    if (!connection || out.opened.has(id) || opened.has(id)) return;
    opened.set(id, why);
    waiting.push(() => {
      const within = inside(connection);
      for (const need of connection.access) reach(need, within);
      if (connection.circuit !== undefined) drain(connection.circuit, connection.name);
      if (within) return;
      for (const need of [...connection.needs, ...reachOf(map, connection)]) bringAbout(need, connection.name);
      if (connection.carriesLoad) for (const support of routeOf(plan).supports) bringAbout(support, connection.name);
    });
  }
  function remove(id: PartId, why: string) {
    const part = parts.get(id);
    if (!part || out.removed.has(id) || removed.has(id)) return;
    removed.set(id, why);
    waiting.push(() => {
      for (const { id: held } of crossing(map.connections, lumpOf(map, [id])))
        open(held, `It holds the ${part.name}, which has to come off.`);
    });
  }
  function reach(need: Access, within: boolean) {
    if (need.orderOnly) return;
    if ('open' in need) {
      if (!within || onPowerpack(need.open)) open(need.open, need.why);
    } else if (!within || there.has(need.removed)) remove(need.removed, need.why);
  }
  function drain(id: CircuitId, forWhat: string) {
    const circuit = map.circuits.find((one) => one.id === id);
    if (!circuit || out.drained.has(id) || drained.has(id)) return;
    drained.set(id, `Opening ${forWhat} lets the ${circuit.fluid} out.`);
    if (drainsOut(plan, out, id)) return;
    waiting.push(() => {
      for (const need of [...circuit.drain.needs, ...reachOf(map, circuit.drain)]) bringAbout(need, circuit.name);
      for (const need of circuit.drain.access) reach(need, false);
    });
  }
  function bringAbout(id: ConditionId, forWhat: string) {
    const condition = map.conditions.find((one) => one.id === id);
    if (!condition || out.conditions.has(id) || conditions.has(id)) return;
    const why = `${forWhat} needs it.`;
    conditions.set(id, why);
    waiting.push(() => {
      if (condition.established.by === 'connection') open(condition.established.connection, why);
      else for (const need of condition.established.access) reach(need, false);
    });
  }
  function settle() {
    for (let next = waiting.pop(); next; next = waiting.pop()) next();
  }
  const massOf = (lump: ReadonlySet<PartId>) => [...lump].reduce((sum, id) => sum + (parts.get(id)?.massKg ?? 0), 0);
  /** Draws two units apart that are out, and not parted under the machine already. */
  function part([one, other]: readonly [PartId, PartId], why: string) {
    if (!out.lump.has(one) || !out.lump.has(other)) return;
    const ties = between(one, other);
    if (ties.every(({ id }) => out.opened.has(id))) return;
    // Parted under the machine, they come out one after the other, and go in so.
    if (planHeldTo(plan, 8) && ties.some(({ id, carriesLoad }) => carriesLoad && out.opened.has(id))) return;
    const [stays, leaves] = massOf(lumpOf(map, [one])) < massOf(lumpOf(map, [other])) ? [other, one] : [one, other];
    if (pairs.some((pair) => pair.leaves === leaves && pair.stays === stays)) return;
    const joints = crossing(map.connections, lumpOf(map, [leaves])).filter(inside);
    for (const { id } of joints) open(id, why);
    pairs.push({ stays, leaves, joints: joints.map(({ id }) => id), why });
  }
  const between = (one: PartId, other: PartId) => {
    const [ones, others] = [lumpOf(map, [one]), lumpOf(map, [other])];
    return map.connections.filter(
      ({ between: [a, b] }) => (ones.has(a) && others.has(b)) || (ones.has(b) && others.has(a)),
    );
  };

  const replaced = new Map<PartId, ReadonlySet<PartId>>();
  for (const units of comingTogether(decisions, there)) {
    const [first] = units;
    if (first === undefined) continue;
    const stays = new Set(
      units.flatMap((unit) => [...staysOn(plan, unit, decisions.units.get(unit)?.comesWith ?? [], there)]),
    );
    replaced.set(first, stays);
    const name = units.length > 1 ? 'powerpack' : (parts.get(first)?.name ?? first);
    for (const { id, between: ends } of map.connections)
      if (ends.every((end) => there.has(end)) && stays.has(ends[0]) !== stays.has(ends[1]))
        open(id, `Another ${name} goes in its place; this goes over to it.`);
    for (const unit of units)
      for (const other of plan.map.powerpacks.flatMap(({ roots }) => roots))
        if (!stays.has(other) && there.has(other) && between(unit, other).some(({ carriesLoad }) => carriesLoad))
          part([unit, other], `Another ${name} goes in.`);
  }
  settle();

  const renewed: Renewal[] = [];
  const unreached: Renewal[] = [];
  for (const renewal of renewalsOf(plan, decisions)) {
    if (!decisions.now.has(renewal.id) || !parts.has(renewal.at)) continue;
    const before = { opened: opened.size, removed: removed.size, drained: drained.size, conditions: conditions.size };
    const pairsBefore = pairs.length;
    const isOut = renewal.reach.every((need) => {
      if ('out' in need) return out.lump.has(need.out);
      return !('parted' in need) || need.parted.some((unit) => out.lump.has(unit));
    });
    if (isOut) {
      for (const need of renewal.reach) clear(need, renewal);
      if (renewal.drains !== undefined) drain(renewal.drains, `it for the ${renewal.name}`);
      if (!there.has(renewal.at)) for (const need of reachOf(map, renewal)) bringAbout(need, renewal.name);
      settle();
    }
    if (isOut && !isNoBenchWork(before)) {
      renewed.push(renewal);
      continue;
    }
    unreached.push(renewal);
    keepFirst(opened, before.opened);
    keepFirst(removed, before.removed);
    keepFirst(drained, before.drained);
    keepFirst(conditions, before.conditions);
    pairs.length = pairsBefore;
  }
  /**
   * Whether what was added last is no work beside something else: it undoes what carries weight in the machine, takes
   * from it what is stripped before a lift, or needs the machine made safe or held in a way that it is not now.
   */
  function isNoBenchWork(before: { readonly opened: number; readonly removed: number; readonly conditions: number }) {
    // With everything in its place a mount is changed with the weight taken.
    if (out.lump.size === 0) return false;
    if (conditions.size > before.conditions) return true;
    const loosens = [...opened.keys()].slice(before.opened).some((id) => {
      const connection = connections.get(id);
      return connection?.carriesLoad === true && !inside(connection);
    });
    const strips = [...removed.keys()]
      .slice(before.removed)
      .some((id) => !there.has(id) && massOf(lumpOf(map, [id])) > HEAVY_KG);
    return loosens || strips;
  }
  function clear(need: Reach, { name, at }: Renewal) {
    const why = `The ${name}: ${need.why}`;
    if ('parted' in need) part(need.parted, why);
    else if ('open' in need) {
      if (!there.has(at) || onPowerpack(need.open)) open(need.open, why);
    } else if ('removed' in need && !need.orderOnly && (!there.has(at) || there.has(need.removed)))
      remove(need.removed, why);
  }
  return {
    opened,
    removed: withCarried(),
    drained,
    dry: empty(),
    charged: charged(),
    conditions,
    pairs,
    renewed,
    unreached,
    replaced,
  };

  /** What is charged by hand while it can be reached: its unit is parted from the other one, at the bench or on the way out. */
  function charged(): BenchRequirements['charged'] {
    if (!planHeldTo(plan, 8)) return [];
    return map.parts.flatMap(({ id, ridesWith, chargedWith }) => {
      if (ridesWith === undefined || chargedWith === undefined || !there.has(id)) return [];
      const another = [...replaced.values()].some((stays) => stays.has(ridesWith));
      const reached =
        pairs.some(({ stays, leaves }) => [stays, leaves].includes(ridesWith)) ||
        map.connections.some(({ between }) => between.includes(id) && between.some((end) => !out.lump.has(end)));
      return another && reached
        ? [{ part: id, circuit: chargedWith, why: 'Another one comes dry: its pump would run without oil at first.' }]
        : [];
    });
  }

  /** Circuits of units that are replaced, but for what somebody says is in the other one. */
  function empty(): ReadonlyMap<CircuitId, string> {
    if (!planHeldTo(plan, 8)) return new Map();
    const filled = new Set([...decisions.units.values()].flatMap((decision) => decision.filled ?? []));
    const units = new Set([...replaced.values()].flatMap((stays) => [...stays]));
    return new Map(
      map.circuits.flatMap(({ id }): readonly (readonly [CircuitId, string])[] => {
        const unit = HELD_BY[id]?.[0];
        if (unit === undefined || !units.has(unit) || filled.has(id)) return [];
        if (out.drained.has(id) || drained.has(id)) return [];
        return [[id, `Another ${parts.get(unit)?.name ?? unit} goes in, and nobody said that any is in it.`]];
      }),
    );
  }

  /** With the parts that go over to a new unit by themselves: those on which something was undone for it. */
  function withCarried(): ReadonlyMap<PartId, string> {
    const all = new Map(removed);
    for (const [unit, stays] of replaced) {
      const goesOver = [...lumpOf(map, [unit])].filter((id) => there.has(id) && !stays.has(id));
      for (const id of goesOver) {
        const freed = map.connections.some(
          (one) => opened.has(one.id) && one.between.includes(id) && one.between.some((end) => stays.has(end)),
        );
        if (freed && !all.has(id)) all.set(id, `It goes over to the other ${parts.get(unit)?.name ?? unit}.`);
      }
    }
    return all;
  }
}

/** The units that others take the place of; those of a donor come in one piece. */
function comingTogether({ units }: BenchDecisions, there: ReadonlySet<PartId>): readonly (readonly PartId[])[] {
  const gone = [...units].filter(([unit, decision]) => isReplaced(decision) && there.has(unit));
  const donors = gone.filter(([, { becomes }]) => becomes === 'donor').map(([unit]) => unit);
  return [donors, ...gone.filter(([, { becomes }]) => becomes !== 'donor').map(([unit]) => [unit])];
}

/** What stays on an old unit: the unit, what is part of it, and what comes with the new one, with all that rides on that. */
function staysOn(
  { map }: JobPlan,
  unit: PartId,
  comesWith: readonly PartId[],
  there: ReadonlySet<PartId>,
): ReadonlySet<PartId> {
  const stays = new Set([unit]);
  const own = map.parts.filter(({ id, builtIn }) => there.has(id) && (builtIn === true || comesWith.includes(id)));
  const riding = lumpOf(map, [unit]);
  for (const { id } of own) if (riding.has(id)) for (const rider of lumpOf(map, [id])) stays.add(rider);
  return stays;
}

/** Takes back all that came into `added` after its first `count`. */
function keepFirst<K>(added: Map<K, string>, count: number) {
  for (const key of [...added.keys()].slice(count)) added.delete(key);
}

/** Whether all that holds `circuit` is out of the machine: what the machine keeps of it was opened with the powerpack. */
export function drainsOut({ map }: JobPlan, { lump }: Pick<Requirements, 'lump'>, circuit: CircuitId): boolean {
  return map.connections
    .filter((connection) => connection.circuit === circuit)
    .every(({ between }) => between.every((end) => lump.has(end)));
}
