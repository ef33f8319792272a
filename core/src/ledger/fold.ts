import type { Connection, JobPlan } from '../connection-map/index.js';
import { operationId } from '../teardown/index.js';
import { judgeTorque, SHOP_WRENCHES } from '../torque/index.js';
import { workOf } from '../work/index.js';
import type { FoundConnection, LedgerEntry } from './entry.js';
import { asFound } from './found.js';
import type { JobState, Judgement, Mark, Struggle } from './state.js';

/** A state that fold and replay, and nobody else, may write to while it is being built. */
export type Draft = {
  -readonly [Key in keyof JobState]: JobState[Key] extends ReadonlyMap<infer Id, infer Value>
    ? Map<Id, Value>
    : JobState[Key] extends ReadonlySet<infer Id>
      ? Set<Id>
      : JobState[Key] extends readonly (infer Item)[]
        ? Item[]
        : JobState[Key];
};

/** A job before its first entry: everything closed, the machine on the ground. */
export function startOf(plan: JobPlan): JobState {
  return {
    plan,
    work: workOf(plan),
    position: 0,
    entries: [],
    corrected: new Set(),
    height: 'ground',
    progress: new Map(),
    found: [],
    leftAsItIs: new Map(),
    bags: new Map(),
    keeping: 'bag',
    sets: new Map(),
    countsAccepted: new Map(),
    judged: new Map(),
    patterns: new Map(),
    loose: new Map(),
    grounds: new Map(),
    struggles: new Map(),
    photos: new Map(),
    paused: new Map(),
    tags: new Map(),
    torques: new Map(),
    litres: new Map(),
    notes: [],
    needs: new Map(),
    attempts: [],
    issues: new Map(),
    plans: new Map(),
  };
}

/** The state that `entries`, in order, bring a job of `plan` to. An entry that a later one corrects counts for nothing. */
export function foldLedger(plan: JobPlan, entries: readonly LedgerEntry[]): JobState {
  return extend(startOf(plan), entries);
}

/** `state` carried on by `entries`. The same as folding all of them from the start, and cheaper for a few. */
export function extend(state: JobState, entries: readonly LedgerEntry[]): JobState {
  if (entries.length === 0) return state;
  if (state.position > 0 && entries.some(({ kind }) => kind === 'corrected'))
    return extend(startOf(state.plan), [...state.entries, ...entries]);
  const draft = thaw(state);
  const corrected = new Set(entries.flatMap((entry) => (entry.kind === 'corrected' ? [entry.corrects] : [])));
  for (const entry of entries) {
    if (corrected.has(entry.id)) draft.corrected.add(entry.id);
    put(draft, entry);
  }
  return draft;
}

/** Puts one entry, which is no correction, onto `draft`. */
export function put(draft: Draft, entry: LedgerEntry): void {
  draft.entries.push(entry);
  draft.position += 1;
  if (!draft.corrected.has(entry.id)) write(draft, entry);
}

/** A copy of `state` that may be written to. */
export function thaw(state: JobState): Draft {
  return {
    ...state,
    work: state.work,
    entries: [...state.entries],
    corrected: new Set(state.corrected),
    progress: new Map(state.progress),
    found: [...state.found],
    leftAsItIs: new Map(state.leftAsItIs),
    bags: new Map(state.bags),
    sets: new Map(state.sets),
    countsAccepted: new Map(state.countsAccepted),
    judged: new Map(state.judged),
    patterns: new Map(state.patterns),
    loose: new Map(state.loose),
    grounds: new Map(state.grounds),
    struggles: new Map(state.struggles),
    photos: new Map(state.photos),
    paused: new Map(state.paused),
    tags: new Map(state.tags),
    torques: new Map(state.torques),
    litres: new Map(state.litres),
    notes: [...state.notes],
    needs: new Map(state.needs),
    attempts: [...state.attempts],
    issues: new Map(state.issues),
    plans: new Map(state.plans),
  };
}

function write(draft: Draft, entry: LedgerEntry): void {
  const mark: Mark = { by: entry.by, at: entry.at, entry: entry.id };
  switch (entry.kind) {
    case 'operation-done':
      draft.progress.set(entry.operation, { is: 'done', ...mark });
      return;
    case 'operation-skipped':
      draft.progress.set(entry.operation, { is: 'skipped', mode: entry.mode, reason: entry.reason, ...mark });
      return;
    case 'operation-stuck': {
      const { trouble, tried, minutesLost, means, soakMin } = entry;
      const struggle: Struggle = {
        trouble,
        tried,
        minutesLost,
        ...(means ? { means } : {}),
        ...(soakMin === undefined ? {} : { soakMin }),
        ...mark,
      };
      draft.progress.set(entry.operation, { is: 'stuck', ...struggle });
      draft.struggles.set(entry.operation, [...(draft.struggles.get(entry.operation) ?? []), struggle]);
      return;
    }
    case 'height-set':
      draft.height = entry.height;
      return;
    case 'fasteners-counted': {
      const { count, bag, kept, note } = entry;
      draft.bags.set(entry.connection, {
        ...draft.bags.get(entry.connection),
        [entry.direction]: {
          count,
          ...(bag === undefined ? {} : { bag }),
          ...(kept ? { kept } : {}),
          ...(note ? { note } : {}),
          ...mark,
        },
      });
      // What was accepted was the count as it stood.
      draft.countsAccepted.delete(entry.connection);
      return;
    }
    case 'keeping-chosen':
      draft.keeping = entry.keeping;
      return;
    case 'set-described':
      draft.sets.set(entry.connection, entry.sets);
      return;
    case 'count-accepted':
      draft.countsAccepted.set(entry.connection, { reason: entry.reason, ...mark });
      return;
    case 'fasteners-judged': {
      const { connection, set, count, condition, replacedBy } = entry;
      const judgement: Judgement = { set, count, condition, ...(replacedBy ? { replacedBy } : {}), ...mark };
      const others = (draft.judged.get(connection) ?? []).filter(
        (one) => one.set !== set || one.condition !== condition,
      );
      draft.judged.set(connection, count === 0 ? others : [...others, judgement]);
      return;
    }
    case 'pattern-drawn':
      draft.patterns.set(entry.connection, entry.pattern);
      return;
    case 'bolt-found': {
      const { bolt, measured, where } = entry;
      draft.loose.set(bolt, { bolt, measured, ...(where ? { where } : {}), ...mark });
      return;
    }
    case 'bolt-homed': {
      const bolt = draft.loose.get(entry.bolt);
      if (bolt)
        draft.loose.set(entry.bolt, { ...bolt, home: { connection: entry.connection, set: entry.set, ...mark } });
      return;
    }
    case 'bolt-set-aside': {
      const bolt = draft.loose.get(entry.bolt);
      if (bolt) draft.loose.set(entry.bolt, { ...bolt, aside: { reason: entry.reason, ...mark } });
      return;
    }
    case 'ground-checked': {
      const { connection, good, note } = entry;
      draft.grounds.set(connection, { good, ...(note ? { note } : {}), ...mark });
      return;
    }
    case 'photo-taken': {
      const { photo, widthPx, heightPx, pinnedTo, words } = entry;
      const marks = draft.photos.get(photo)?.marks ?? [];
      draft.photos.set(photo, { photo, widthPx, heightPx, pinnedTo, ...(words ? { words } : {}), marks, ...mark });
      return;
    }
    case 'photo-marked': {
      const photo = draft.photos.get(entry.photo);
      if (photo) draft.photos.set(entry.photo, { ...photo, marks: entry.marks });
      return;
    }
    case 'work-paused':
      draft.paused.set(entry.by, mark);
      return;
    case 'work-resumed':
      draft.paused.delete(entry.by);
      return;
    case 'tagged':
      draft.tags.set(entry.connection, entry.tag);
      return;
    case 'connection-found':
      find(draft, entry.connection, entry.alreadyOpen, mark);
      return;
    case 'left-on-purpose': {
      const isOpen = draft.progress.get(operationId.open(entry.connection))?.is === 'done';
      draft.leftAsItIs.set(entry.connection, { as: isOpen ? 'off' : 'attached', reason: entry.reason, ...mark });
      return;
    }
    case 'hold-point-signed':
      draft.progress.set(operationId.hold(entry.holdPoint), { is: 'done', ...mark });
      return;
    case 'torque-read': {
      const targetNm = draft.work.connections.get(entry.connection)?.refit.torque?.targetNm;
      const wrench = SHOP_WRENCHES.find(({ id }) => id === entry.wrench);
      if (targetNm === undefined || !wrench) return;
      const reading = {
        targetNm,
        wrench: entry.wrench,
        read: entry.read,
        verdict: judgeTorque(targetNm, entry.read, wrench),
        ...mark,
      };
      draft.torques.set(entry.connection, [...(draft.torques.get(entry.connection) ?? []), reading]);
      return;
    }
    case 'torque-accepted': {
      const readings = draft.torques.get(entry.connection) ?? [];
      draft.torques.set(
        entry.connection,
        readings.map((reading, index) =>
          index === readings.length - 1 ? { ...reading, accepted: entry.reason } : reading,
        ),
      );
      return;
    }
    case 'fluid-measured':
      draft.litres.set(entry.circuit, { ...draft.litres.get(entry.circuit), [entry.direction]: entry.litres });
      return;
    case 'noted':
      draft.notes.push({
        text: entry.text,
        ...(entry.operation ? { operation: entry.operation } : {}),
        ...(entry.house ? { house: true } : {}),
        ...mark,
      });
      return;
    case 'part-needed': {
      const { need, name, quantity, reason, operation } = entry;
      draft.needs.set(need, { need, name, quantity, reason, ...(operation ? { operation } : {}), ...mark });
      return;
    }
    case 'part-arrived': {
      const part = draft.needs.get(entry.need);
      if (part) draft.needs.set(entry.need, { ...part, arrived: mark });
      return;
    }
    case 'start-attempted': {
      const { voltsBefore, voltsLowest, crankSeconds, result } = entry;
      draft.attempts.push({ voltsBefore, voltsLowest, crankSeconds, result, ...mark });
      return;
    }
    case 'issue-opened': {
      const { issue, title, sort, connection } = entry;
      draft.issues.set(issue, { issue, title, sort, ...(connection ? { connection } : {}), ...mark });
      return;
    }
    case 'issue-sorted': {
      const issue = draft.issues.get(entry.issue);
      if (issue) draft.issues.set(entry.issue, { ...issue, sort: entry.sort });
      return;
    }
    case 'issue-closed': {
      const issue = draft.issues.get(entry.issue);
      if (issue) draft.issues.set(entry.issue, { ...issue, closed: { how: entry.how, ...mark } });
      return;
    }
    case 'handed-over':
      draft.handedOver = { ...mark, ...(entry.note ? { note: entry.note } : {}) };
      return;
    case 'plan-followed': {
      const { half, order, moveFirst, crew, school, pins, waits, finishMin, heightChanges } = entry;
      const version = (draft.plans.get(half)?.version ?? 0) + 1;
      const settings = { crew, school, pins, waits };
      draft.plans.set(half, {
        version,
        order,
        ...(moveFirst ? { moveFirst } : {}),
        settings,
        finishMin,
        heightChanges,
        ...mark,
      });
      return;
    }
    case 'corrected':
      return;
  }
}

/** A found connection joins the map; what was signed before it was known is signed again. */
function find(draft: Draft, found: FoundConnection, alreadyOpen: boolean, mark: Mark): void {
  const connection: Connection = asFound(found);
  draft.found.push(connection);
  draft.work = workOf(draft.plan, draft.found);
  if (alreadyOpen) draft.progress.set(operationId.open(connection.id), { is: 'done', ...mark });
  const lifting = [...draft.work.operations.values()].some(
    ({ id, phase }) => phase === 'lift' && draft.progress.get(id)?.is !== 'done',
  );
  if (lifting) draft.progress.delete(operationId.hold('pre-lift'));
  draft.progress.delete(operationId.hold('pre-start'));
}
