import { createHash } from 'node:crypto';
import { looksAtClosing } from '@brisk/core/adjusting';
import {
  adjustmentsOf,
  canApply,
  extend,
  fastenerCount,
  gateOf,
  groundsOf,
  nextBag,
  nextTag,
  nextUp,
  setCountOf,
  setsOf,
  startOf,
  wantsTag,
  partsAwaitedAt,
} from '@brisk/core/ledger';
import { comparisonsFor } from '@brisk/core/parts';
import { planned } from '@brisk/core/planning';
import { scheduleOf, Search } from '@brisk/core/schedule';
import { wrenchFor } from '@brisk/core/torque';

const DAY_BEGINS_MIN = 7 * 60 + 30;
const DAY_ENDS_MIN = 16 * 60;

/** An id made from `seed`, always the same, in UUID form. */
export function idFrom(seed) {
  const hex = createHash('sha256').update(seed).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

/** A number from 0 to 1 made from `seed`, always the same. */
export function shareFrom(seed) {
  return createHash('sha256').update(seed).digest().readUInt32BE(0) / 2 ** 32;
}

/** A made-up crew at work: it does what is proposed, takes as long as such steps take, and goes home at four. */
export class Crew {
  entries = [];

  constructor(name, job, firstDay) {
    this.name = name;
    this.job = job;
    this.day = firstDay;
    this.minute = DAY_BEGINS_MIN;
    this.state = startOf(job.plan);
  }

  /** Lets the crew stay away until `day`. */
  comeBackOn(day) {
    this.day = day;
    this.minute = DAY_BEGINS_MIN;
  }

  /** Searches for a plan of the way out as the page does, by as many orders as it tries in a few seconds, and follows it. */
  follow(by, minutes, settings) {
    const { net } = planned(this.state, 'out', settings, this.state.plans.get('out'));
    const search = new Search(net, 1);
    search.run(60_000);
    const { costs, steps } = scheduleOf(net, search.best());
    this.write(by, minutes, {
      kind: 'plan-followed',
      half: 'out',
      order: steps.map(({ operation }) => operation.id),
      ...settings,
      finishMin: costs.finishMin,
      heightChanges: costs.heightChanges,
    });
  }

  /** Writes entries by one person after `minutes` of work. Throws where the ledger would not take one. */
  write(by, minutes, ...bodies) {
    this.pass(minutes);
    for (const body of bodies) {
      const entry = {
        id: idFrom(`${this.name} ${this.entries.length}`),
        at: new Date(Date.parse(`${this.day}T00:00:00.000Z`) + this.minute * 60_000).toISOString(),
        by,
        ...body,
      };
      const [refusal] = canApply(this.state, entry);
      if (refusal) throw new Error(`${this.name}, entry ${this.entries.length}: ${refusal.words}`);
      this.state = extend(this.state, [entry]);
      this.entries.push(entry);
    }
  }

  /** Does the proposed step the way a tidy crew does: counted, tagged, measured, torqued, signed. */
  step(odd = {}) {
    const next = nextUp(this.state);
    if (!next) throw new Error(`${this.name}: nothing can be done`);
    const { operation, moveTo } = next;
    // One of them records a day’s work, the other one the next.
    const by = odd.by ?? this.job.crew[Math.floor(Date.parse(this.day) / 86_400_000) % this.job.crew.length];
    if (moveTo) this.write(by, 12, { kind: 'height-set', height: moveTo });
    const { low, likely, high } = operation.minutes;
    const share = shareFrom(`${this.name} ${operation.id}`);
    const minutes =
      share < 0.7 ? low + (share / 0.7) * (likely - low) : likely + ((share - 0.7) / 0.3) * (high - likely) * 0.5;
    if (operation.holdPoint) {
      for (const { connection, check } of operation.holdPoint === 'pre-start' ? groundsOf(this.state) : [])
        if (!check?.good) this.write(by, 2, { kind: 'ground-checked', connection: connection.id, good: true });
      for (const unset of operation.holdPoint === 'pre-start' ? adjustmentsOf(this.state) : [])
        if (unset.closed && !unset.done) this.write(by, 4, setAsWanted(unset));
      const { holdPoint } = gateOf(this.state, operation.holdPoint);
      this.write(by, minutes, {
        kind: 'hold-point-signed',
        holdPoint: holdPoint.id,
        confirmed: holdPoint.confirmations.map(({ id }) => id),
      });
      return;
    }
    for (const { need, name } of partsAwaitedAt(this.state, operation))
      this.write(
        by,
        2,
        { kind: 'part-moved-on', need, to: 'arrived' },
        { kind: 'part-compared', need, compared: comparisonsFor(name).map((what) => ({ what, same: true })) },
      );
    this.write(by, minutes, ...this.recordsOf(operation, odd), { kind: 'operation-done', operation: operation.id });
  }

  /** Works on until `until` holds for the state; `odd` says what goes otherwise at a step, by operation id. */
  workUntil(until, odd = {}) {
    while (!until(this.state)) {
      const id = nextUp(this.state)?.operation.id;
      const story = id === undefined ? undefined : odd[id];
      if (typeof story === 'function' && !this.state.progress.has(id)) story(this);
      else this.step(typeof story === 'object' ? story : {});
    }
  }

  recordsOf(operation, odd) {
    const connection = this.state.work.connections.get(operation.connection ?? '');
    const bodies = [];
    if (connection && (operation.phase === 'strip' || operation.kind === 'disconnect')) {
      const count = fastenerCount(setsOf(this.state, connection.id));
      if (count > 0)
        bodies.push({
          kind: 'fasteners-counted',
          connection: connection.id,
          direction: 'out',
          count: odd.count ?? count,
          ...(odd.kept ? { kept: odd.kept } : { bag: nextBag(this.state), kept: 'bag' }),
          ...(odd.note ? { note: odd.note } : {}),
        });
      if (wantsTag(connection)) bodies.push({ kind: 'tagged', connection: connection.id, tag: nextTag(this.state) });
    }
    if (connection && operation.kind === 'connect') {
      const out = this.state.bags.get(connection.id)?.out;
      if (out)
        bodies.push({
          kind: 'fasteners-counted',
          connection: connection.id,
          direction: 'in',
          count: odd.count ?? fullCount(this.state, connection.id),
        });
      if (out && odd.countAccepted)
        bodies.push({ kind: 'count-accepted', connection: connection.id, reason: odd.countAccepted });
    }
    if (connection && operation.kind === 'torque') {
      const target = connection.refit.torque.targetNm;
      const read = (value) => ({
        kind: 'torque-read',
        connection: connection.id,
        wrench: wrenchFor(target).id,
        read: { value: Number(value.toFixed(target < 10 ? 2 : 1)), unit: 'N·m' },
      });
      if (odd.torque) bodies.push(...odd.torque.map(read));
      else bodies.push(read(target * (1 + (shareFrom(operation.id) - 0.5) * 0.04)));
      if (odd.accepted) bodies.push({ kind: 'torque-accepted', connection: connection.id, reason: odd.accepted });
    }
    if (connection && ['connect', 'start-by-hand'].includes(operation.kind)) {
      const looks = looksAtClosing(connection).map(({ look }) => look);
      if (looks.length > 0 && operation.id.startsWith('close:'))
        bodies.push({ kind: 'joint-looked-at', connection: connection.id, looks, good: true });
    }
    if (operation.measures) bodies.push(...(odd.seat ?? seatOf(operation)));
    if (operation.circuit) {
      const circuit = this.state.work.plan.map.circuits.find(({ id }) => id === operation.circuit);
      const direction = operation.kind === 'drain' ? 'out' : 'in';
      const usual = circuit.drainsL * (0.93 + 0.07 * shareFrom(`${this.name} ${operation.circuit}`));
      const litres = direction === 'out' ? usual : (this.state.litres.get(circuit.id)?.out ?? usual);
      bodies.push({
        kind: 'fluid-measured',
        circuit: circuit.id,
        direction,
        litres: Number((odd.litres ?? litres).toFixed(1)),
      });
    }
    return bodies;
  }

  pass(minutes) {
    this.minute += Math.max(1, Math.round(minutes));
    if (this.minute <= DAY_ENDS_MIN) return;
    const next = new Date(Date.parse(`${this.day}T00:00:00.000Z`));
    do next.setUTCDate(next.getUTCDate() + 1);
    while (next.getUTCDay() === 0 || next.getUTCDay() === 6);
    this.day = next.toISOString().slice(0, 10);
    this.minute = DAY_BEGINS_MIN + Math.max(1, Math.round(minutes));
  }
}

/** A seat as a tidy crew finds it. */
function seatOf({ id, measures }) {
  const converter = measures === 'converter-depth';
  return [
    {
      kind: 'seat-measured',
      operation: id,
      readingsMm: converter ? [22.5] : [34.2, 34.4, 34.1],
      ...(converter ? { figureMm: 22 } : {}),
    },
  ];
}

/** A joint set at the first try. */
function setAsWanted({ connection, spec, from = 0, to = 0 }) {
  return {
    kind: 'adjustment-tried',
    connection: connection.id,
    halfTurns: 0,
    ...(spec.what === 'gears' ? { went: spec.gears } : {}),
    ...(spec.what === 'free-play' ? { readingMm: Math.round((from + to) / 2) } : {}),
    ...(spec.what === 'tension' ? { belt: { by: 'frequency', spanMm: 310, gramsPerM: 110, hz: 41 } } : {}),
  };
}

/** How many belong into a joint, by the time it is closed. */
function fullCount(state, connection) {
  return setCountOf(state, connection)?.full ?? 0;
}
