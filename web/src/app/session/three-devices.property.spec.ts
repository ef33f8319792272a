import { createEnvironmentInjector, EnvironmentInjector } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { EntryBody, JobState, LedgerEntry } from '@brisk/core/ledger';
import { applyEdit } from '@brisk/core/map-edit';
import { crewOf, NO_SCHOOL } from '@brisk/core/schedule';
import { asyncProperty, assert, constantFrom, array, integer, record as arbitraryRecord } from 'fast-check';
import { defer, delay, mergeMap, of, throwError, type Observable } from 'rxjs';
import { entriesForNext } from '@brisk/core/testing/crew';
import { FakeServer } from '../../testing/fake-server';
import { testJob } from '../../testing/test-job';
import { JobsInMemory } from '../../testing/jobs-in-memory';
import { HttpErrorResponse } from '@angular/common/http';
import { Api } from '../api/api';
import { Desk } from './desk';
import { HeldUpList } from './held-up';
import { JobsHere } from './jobs-here';
import { Outbox } from './outbox';

/** What a line does to a request: brings it, loses it, loses its answer, brings it twice, or takes its time. */
type Luck = 'fine' | 'lost' | 'answer lost' | 'twice' | 'slow';
const LUCKS: readonly Luck[] = ['fine', 'fine', 'lost', 'answer lost', 'twice', 'slow'];
const away = () => throwError(() => new HttpErrorResponse({ status: 0 }));

/** The line of one device to the server all share. */
class BadLine {
  good = false;
  private asked = 0;

  constructor(
    private readonly server: FakeServer,
    private readonly lucks: readonly Luck[],
  ) {}

  readonly bell = () => this.server.bell();
  readonly job = (...asked: Parameters<FakeServer['job']>) => this.over(() => this.server.job(...asked));
  readonly append = (...asked: Parameters<FakeServer['append']>) => this.over(() => this.server.append(...asked));
  readonly replan = (...asked: Parameters<FakeServer['replan']>) => this.over(() => this.server.replan(...asked));
  readonly entriesAfter = (...asked: Parameters<FakeServer['entriesAfter']>) =>
    this.over(() => this.server.entriesAfter(...asked));

  private over<T>(ask: () => Observable<T>): Observable<T> {
    return defer(() => {
      const luck = this.good ? 'fine' : (this.lucks[this.asked++ % this.lucks.length] ?? 'fine');
      switch (luck) {
        case 'fine':
          return ask();
        case 'lost':
          return away();
        case 'answer lost':
          return ask().pipe(mergeMap(away));
        case 'twice':
          return ask().pipe(mergeMap(ask));
        case 'slow':
          return of(undefined).pipe(delay(3), mergeMap(ask));
      }
    });
  }
}

const DEVICES = 3;
/** What somebody does at one of the devices. */
const ACTS = ['step', 'step', 'note', 'undo', 'look', 'wait', 'tag', 'bag', 'plan', 'map', 'mine is right'] as const;
const act = arbitraryRecord({
  device: integer({ min: 0, max: DEVICES - 1 }),
  what: constantFrom(...ACTS),
  joint: integer({ min: 0, max: 2 }),
});
type Act = (typeof ACTS)[number];
/** Joints of the map that everybody is at. */
const JOINTS = ['upper-hose', 'breather-hose', 'starter-cable'];

/** What is recorded at `device` for an act, by what is known there. */
function bodiesOf(what: Act, device: number, connection: string, state: JobState): readonly EntryBody[] {
  switch (what) {
    case 'note':
      return [{ kind: 'noted', text: `Of ${device}` }];
    case 'tag':
      return [{ kind: 'tagged', connection, tag: 1 + state.tags.size }];
    case 'bag':
      return [
        {
          kind: 'fasteners-counted',
          connection,
          direction: 'out',
          count: 2 + device,
          bag: 1 + state.bags.size,
          kept: 'bag',
        },
      ];
    case 'plan':
      return [
        {
          kind: 'plan-followed',
          half: 'out',
          order: [],
          crew: crewOf([`Hand ${device}`]),
          school: NO_SCHOOL,
          pins: [],
          waits: [],
          finishMin: 300,
          heightChanges: 1,
        },
      ];
    default:
      return entriesForNext(state);
  }
}

/** The place an entry fills, of those where one thing is held. */
function placeOf(entry: LedgerEntry): string | undefined {
  switch (entry.kind) {
    case 'tagged':
      return `tag ${entry.connection}`;
    case 'fasteners-counted':
      return `count ${entry.connection}`;
    case 'plan-followed':
      return 'plan';
    default:
      return undefined;
  }
}

const saidBy = ({ id: _id, at: _at, by: _by, ...body }: LedgerEntry) => JSON.stringify(body);

/** Entries that took the place of what their writers did not know of, and what stood there. */
function unawares(entries: readonly LedgerEntry[], knew: ReadonlyMap<string, ReadonlySet<string>>): readonly string[] {
  const back = new Set(entries.flatMap((entry) => (entry.kind === 'corrected' ? [entry.corrects] : [])));
  return entries.flatMap((later, index) => {
    const place = placeOf(later);
    const stood = entries.slice(0, index).findLast((one) => placeOf(one) === place && !back.has(one.id));
    const isNews = stood && saidBy(stood) !== saidBy(later) && !knew.get(later.id)?.has(stood.id);
    return place !== undefined && isNews ? [`${saidBy(later)} over ${saidBy(stood)}`] : [];
  });
}

const RUNS = Number(process.env['SHED_RUNS'] ?? 40);
/** One clock goes wrong by so much. */
const WRONG_BY_MS = 20 * 60_000;
const soon = () => new Promise((done) => setTimeout(done, 1));

it('whatever the lines lose, delay or repeat, all devices and the server end in one state; nothing is lost, nothing doubled, and each refusal is told to its writer', async () => {
  const errors = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  jest.useFakeTimers({
    doNotFake: [
      'setTimeout',
      'clearTimeout',
      'setInterval',
      'clearInterval',
      'nextTick',
      'queueMicrotask',
      'setImmediate',
      'clearImmediate',
      'performance',
      'requestAnimationFrame',
      'cancelAnimationFrame',
      'requestIdleCallback',
      'cancelIdleCallback',
      'hrtime',
    ],
  });
  try {
    await assert(
      asyncProperty(
        array(act, { minLength: 6, maxLength: 24 }),
        array(constantFrom(...LUCKS), { minLength: 5, maxLength: 11 }),
        async (acts, lucks) => {
          localStorage.clear();
          const server = new FakeServer();
          const lines = Array.from(
            { length: DEVICES },
            (_none, at) => new BadLine(server, [...lucks.slice(at), ...lucks]),
          );
          const injectors = lines.map((line) =>
            createEnvironmentInjector(
              [
                Desk,
                Outbox,
                HeldUpList,
                { provide: JobsHere, useClass: JobsInMemory },
                { provide: Api, useValue: line },
              ],
              TestBed.inject(EnvironmentInjector),
            ),
          );
          const desks = injectors.map((injector) => injector.get(Desk));
          const wrote = desks.map(() => new Map<string, EntryBody['kind']>());
          const knew = new Map<string, ReadonlySet<string>>();
          const refusedMaps: (string | undefined)[] = [];
          let nowMs = Date.parse('2026-03-02T07:00:00.000Z');
          for (const desk of desks) desk.open(testJob.id);
          for (const { device, what, joint } of acts) {
            const desk = desks[device];
            const mine = wrote[device];
            const connection = JOINTS[joint];
            if (!desk || !mine || connection === undefined) continue;
            nowMs += 30_000;
            jest.setSystemTime(nowMs + (device === 2 ? WRONG_BY_MS : 0));
            const state = desk.state();
            const known = () => new Set(desk.state()?.entries.map(({ id }) => id));
            if (what === 'look') desk.reload();
            else if (what === 'wait' || !state) await soon();
            else if (what === 'map') {
              const { map } = state.work.plan;
              const name = `the joint ${device} named`;
              const was = map.connections.find(({ id }) => id === connection);
              if (!was) continue;
              const edited = applyEdit(map, { kind: 'change-connection', id: connection, change: { name } });
              refusedMaps.push(await desk.replan({ plan: { ...state.work.plan, map: edited } }));
            } else if (what === 'mine is right') {
              const [held] = desk.heldUp();
              if (!held) continue;
              knew.set(held.entry.id, known());
              desk.tryAgain(held);
            } else if (what === 'undo') {
              const waiting = state.entries.filter(({ id }) => mine.has(id)).slice(-1);
              const before = desk.kept();
              desk.undo(waiting);
              // One that was not sent yet is gone for good, as was asked.
              if (desk.kept() < before) for (const { id } of waiting) mine.delete(id);
              for (const { id, kind } of desk.state()?.entries ?? []) if (kind === 'corrected') mine.set(id, kind);
            } else {
              const before = known();
              const result = desk.record(...bodiesOf(what, device, connection, state));
              if ('entries' in result)
                for (const { id, kind } of result.entries) {
                  mine.set(id, kind);
                  knew.set(id, before);
                }
            }
          }
          for (const line of lines) line.good = true;
          for (let round = 0; round < 40; round += 1) {
            for (const desk of desks) desk.reload();
            await soon();
            if (desks.every((desk) => desk.kept() === 0 && desk.state()?.position === server.entries.length)) break;
          }
          const ids = server.entries.map(({ id }) => id);
          expect(new Set(ids).size).toBe(ids.length);
          expect(unawares(server.entries, knew)).toEqual([]);
          expect(refusedMaps.filter((words) => words !== undefined && words.length < 10)).toEqual([]);
          desks.forEach((desk, device) => {
            expect(desk.kept()).toBe(0);
            expect(desk.job()?.plan).toEqual(server.opened.plan);
            expect(desk.state()?.entries.map(({ id }) => id)).toEqual(ids);
            const told = new Set(desk.heldUp().map(({ entry }) => entry.id));
            const lost = [...(wrote[device] ?? [])].filter(([id]) => !ids.includes(id) && !told.has(id));
            expect(lost).toEqual([]);
            // What was refused is refused for good: it does not stand in the ledger too.
            expect([...told].filter((id) => ids.includes(id))).toEqual([]);
            expect(desk.heldUp().every(({ words }) => words.length > 10)).toBe(true);
          });
          injectors.forEach((injector) => injector.destroy());
        },
      ),
      { numRuns: RUNS },
    );
  } finally {
    jest.useRealTimers();
    errors.mockRestore();
  }
}, 3_600_000);
