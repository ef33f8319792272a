import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { LONGEST } from '@brisk/contracts/fields';
import type { Job, LedgerTail } from '@brisk/contracts/job';
import { revisionOf } from '@brisk/contracts/revision';
import {
  entryWords,
  extend,
  rebased,
  replay,
  foldLedger,
  type EntryBody,
  type JobState,
  type LedgerEntry,
  type Refusal,
} from '@brisk/core/ledger';
import {
  catchError,
  defer,
  EMPTY,
  exhaustMap,
  filter,
  finalize,
  firstValueFrom,
  map,
  merge,
  Subject,
  switchMap,
  timeout,
  TimeoutError,
  timer,
  type Observable,
} from 'rxjs';
import { v4 as uuid } from 'uuid';
import { Api } from '../api/api';
import { Drawn } from '../ui/drawn';
import { problemKind, problemWords, staysSo } from '../api/problem-words';
import { HeldUpList, type HeldUp } from './held-up';
import { JobsHere } from './jobs-here';
import { Lookout } from './lookout';
import { OnlyHere } from './only-here';
import { Outbox } from './outbox';
import { Person } from './person';
import { SendWatch } from './send-watch';
import { ShedClock } from './shed-clock';

/** How the desk stands with the server. */
export type Line = 'loading' | 'up' | 'gone' | 'missing';

const SEND_REST_AFTER_MS = 10;
const AT_ONCE = 100;
/** An answer is waited for so long; then it is asked anew, in smaller bits. */
const ANSWER_WITHIN_MS = 40_000;
const NO_ROOM = 'This device has no room left to keep it. Nothing was recorded.';
/**
 * One open job: what the server has confirmed, what this device recorded since, and the fold of both. Entries are kept
 * on the device first, then sent in order; when somebody else was quicker their entries come first and ours are
 * checked again on top of them. What cannot be written is held up by itself and stays on the device until a hand says
 * what becomes of it; the rest goes out.
 */
@Injectable()
export class Desk {
  private readonly api = inject(Api);
  private readonly jobsHere = inject(JobsHere);
  private readonly clock = inject(ShedClock);
  private readonly person = inject(Person);
  private readonly destroyed = inject(DestroyRef);
  private readonly drawn = inject(Drawn);

  private readonly confirmed = signal<JobState | undefined>(undefined);
  private readonly onlyHere = new OnlyHere(inject(Outbox), inject(HeldUpList));
  private readonly waiting = this.onlyHere.waiting;
  private readonly send = new Subject<void>();
  private readonly lookout = new Lookout(this.api);
  private readonly sends = new SendWatch();
  /** Entries in a request that is under way; they can no longer be taken back without a correction. */
  private readonly sending = new Set<string>();
  /** How many go out together: one, from a refusal until all that waited then went out by themselves. */
  private atOnce = AT_ONCE;
  private id = '';

  readonly job = signal<Job | undefined>(undefined);
  readonly line = signal<Line>('loading');
  /** Entries that could not be written, shown until the person says what becomes of each. */
  readonly heldUp = this.onlyHere.heldUp;
  /** Entries that got another number because somebody else had taken theirs; shown until the person has read them. */
  readonly renumbered = signal<readonly LedgerEntry[]>([]);
  /** Who is at this job, on every device that says so. */
  readonly here = this.lookout.here.asReadonly();
  /** That nothing gets through although something waits, for how long, and why. */
  readonly stalled = this.sends.stalled.asReadonly();
  /** What went wrong last, for the person; empty when nothing did. */
  readonly trouble = signal('');

  /** How many entries wait to be sent. */
  readonly kept = computed(() => this.waiting().length);

  /** The job as this device knows it: confirmed entries and those still waiting. */
  readonly state = computed(() => {
    const base = this.confirmed();
    return base && extend(base, this.waiting());
  });

  /** Loads a job, or loads another. */
  open(id: string): void {
    if (id === this.id) return;
    this.id = id;
    this.job.set(undefined);
    this.confirmed.set(undefined);
    this.line.set('loading');
    this.onlyHere.open(id);
    this.atOnce = AT_ONCE;
    this.lookout.listenTo(id);
    void this.load(id);
  }

  /** Which revision of its planning the job is at, as this device knows it. */
  revision(): number {
    const job = this.job();
    return job ? revisionOf(job) : 0;
  }

  /**
   * Changes the planning of the job, from the revision this device knows. Returns what went wrong, in words, or
   * undefined when it stands. Entries that wait are checked again under the new plan.
   */
  async replan(change: Pick<Job, 'plan' | 'survey' | 'swap'>): Promise<string | undefined> {
    const { id } = this;
    const revision = this.revision();
    try {
      const { plan, survey, swap } = change;
      const job = await firstValueFrom(
        this.api.replan(id, { revision, plan, ...(survey ? { survey } : {}), ...(swap ? { swap } : {}) }),
      );
      if (id !== this.id) return undefined;
      this.job.set(job);
      this.adopt(foldLedger(job.plan, this.confirmed()?.entries ?? []));
      return undefined;
    } catch (error) {
      if (problemKind(error) === 'stale-revision') await this.load(id);
      return problemWords(error);
    }
  }

  /** Tries to load again at once. */
  reload(): void {
    void this.load(this.id);
  }

  constructor() {
    const has = () => ({
      up: this.line() === 'up',
      position: this.confirmed()?.position,
      revision: this.revision(),
    });
    merge(this.send, this.lookout.timesToLook(has))
      .pipe(
        filter(() => this.confirmed() !== undefined || this.line() === 'gone'),
        exhaustMap(() => this.exchange().pipe(finalize(() => this.sendTheRest()))),
        takeUntilDestroyed(),
      )
      .subscribe();
    this.sends.watch(this.kept);
  }

  /** Why `bodies` may not be recorded now, none when they may. */
  refusals(...bodies: readonly EntryBody[]): readonly Refusal[] {
    const state = this.state();
    if (!state) return [];
    return (
      replay(
        state,
        bodies.map((body) => this.entry(body)),
      ).refused?.refusals ?? []
    );
  }

  /**
   * Records `bodies` together: kept on this device at once, then sent. Returns the entries, or the reasons why not, in
   * which case nothing is kept.
   */
  record(...bodies: readonly EntryBody[]): { readonly entries: readonly LedgerEntry[] } | { readonly refused: string } {
    const state = this.state();
    if (!state) return { refused: 'The job is not loaded yet.' };
    if (this.person.onlyLooks()) return { refused: `${this.me()} is a guest here and may look. Nothing was recorded.` };
    const at = this.clock.now().toISOString();
    const entries = bodies.map((body) => this.entry(body, at));
    const { refused } = replay(state, entries);
    if (refused) return { refused: refused.refusals.map(({ words }) => words).join(' ') };
    try {
      this.onlyHere.keep([...this.waiting(), ...entries]);
    } catch {
      return { refused: NO_ROOM };
    }
    // It is on this device; that the next step is shown comes before that it is sent.
    this.drawn.then(() => this.send.next());
    return { entries };
  }

  /**
   * Takes `entries` back: unsent ones vanish, sent ones are corrected by new entries, last first. Returns why one of
   * them cannot be, or undefined.
   */
  undo(entries: readonly LedgerEntry[]): string | undefined {
    const ids = new Set(entries.map(({ id }) => id));
    const unsent = this.waiting().filter(({ id }) => ids.has(id));
    if (unsent.length === entries.length && this.sending.size === 0) {
      this.onlyHere.keep(this.waiting().filter(({ id }) => !ids.has(id)));
      return undefined;
    }
    const bodies = [...entries]
      .reverse()
      .map(({ id }): EntryBody => ({ kind: 'corrected', corrects: id, reason: 'Taken back at once' }));
    for (const body of bodies) {
      const result = this.record(body);
      if ('refused' in result) return result.refused;
    }
    return undefined;
  }

  /**
   * Lets what is held up go out again, as things stand now: it may have been put right meanwhile. Returns why it may not,
   * or undefined.
   */
  tryAgain({ entry, idUsed }: HeldUp): string | undefined {
    const again = idUsed ? { ...entry, id: uuid() } : entry;
    try {
      // Kept twice for a moment rather than not at all.
      this.onlyHere.keep([...this.waiting(), again]);
    } catch {
      return NO_ROOM;
    }
    this.letGo(entry.id);
    const confirmed = this.confirmed();
    if (confirmed) this.adopt(confirmed);
    this.send.next();
    return this.heldUp().find((held) => held.entry.id === again.id)?.words;
  }

  /** Writes `words` down as a note in the place of what is held up. Returns why it may not be, or undefined. */
  makeNote({ entry }: HeldUp, words: string): string | undefined {
    const operation = 'operation' in entry ? entry.operation : undefined;
    const known = operation !== undefined && this.state()?.work.operations.has(operation);
    const result = this.record({
      kind: 'noted',
      text: words.slice(0, LONGEST.text),
      ...(known ? { operation } : {}),
    });
    if ('refused' in result) return result.refused;
    this.letGo(entry.id);
    return undefined;
  }

  /** Drops what is held up under `id` for good. */
  letGo(id: string): void {
    this.onlyHere.letGo(id);
  }

  /** Who records on this device. */
  me(): string {
    return this.person.in(this.job()?.crew ?? []);
  }

  private entry(body: EntryBody, at = this.clock.now().toISOString()): LedgerEntry {
    return {
      id: uuid(),
      at,
      by: this.me(),
      ...body,
    } as LedgerEntry;
  }

  private async load(id: string): Promise<void> {
    try {
      const { job, entries } = await firstValueFrom(this.api.job(id));
      // What was recorded before the view was loaded was recorded by what this device knew then.
      const fresh = this.confirmed() === undefined && this.waiting().length > 0;
      const before = fresh ? await this.jobsHere.read(id) : undefined;
      const known = this.confirmed() === undefined ? before?.entries.length : undefined;
      if (id !== this.id) return;
      this.job.set(job);
      this.adopt(foldLedger(job.plan, entries), known);
      this.line.set('up');
      this.send.next();
    } catch (error) {
      if (id !== this.id) return;
      const kind = problemKind(error);
      // Who may not see it is shown nothing from the device either.
      if (kind === undefined && this.confirmed() === undefined) await this.loadFromHere(id);
      if (id !== this.id) return;
      this.line.set(kind === 'not-found' ? 'missing' : 'gone');
      this.trouble.set(problemWords(error));
    }
  }

  /** The job as the server confirmed it last, where it was opened on this device before. */
  private async loadFromHere(id: string): Promise<void> {
    const kept = await this.jobsHere.read(id);
    if (!kept || id !== this.id || this.confirmed() !== undefined) return;
    this.job.set(kept.job);
    this.adopt(foldLedger(kept.job.plan, kept.entries));
  }

  /**
   * Takes on what the server has, and checks what waits here against it again; of it this device knew the first `known`
   * entries.
   */
  private adopt(state: JobState, known = this.confirmed()?.position ?? state.position): void {
    const before = this.state() ?? state;
    this.confirmed.set(state);
    const job = this.job();
    const written = job ? this.jobsHere.keep(job, state.entries) : Promise.resolve();
    const { stands, falls, renumbered } = rebased(state, known, this.waiting());
    if (falls.length > 0)
      this.onlyHere.holdUp(
        stands,
        falls.map((fallen) => ({ ...fallen, says: entryWords(before, fallen.entry) })),
      );
    else this.onlyHere.confirm(stands, written);
    if (stands.length === 0) this.atOnce = AT_ONCE;
    if (renumbered.length > 0) this.renumbered.update((earlier) => [...earlier, ...renumbered]);
    // Another page of this device may have brought it through.
    const here = new Set(state.entries.map(({ id }) => id));
    for (const { entry, idUsed } of this.heldUp()) if (here.has(entry.id) && !idUsed) this.letGo(entry.id);
  }

  /** `state` carried on by `entries`: what is shown already, where that is no other. */
  private with(state: JobState, entries: readonly LedgerEntry[]): JobState {
    const shown = this.state();
    return shown && this.onlyHere.isAll(entries) ? shown : extend(state, entries);
  }

  /** Sends what waits, or else looks for what is new. */
  private exchange(): Observable<unknown> {
    const state = this.confirmed();
    if (!state) return defer(() => this.load(this.id)).pipe(catchError(() => EMPTY));
    const batch = this.waiting().slice(0, this.atOnce);
    const asked = this.id;
    batch.forEach(({ id }) => this.sending.add(id));
    const here = this.revision();
    const fetched: Observable<LedgerTail> =
      batch.length > 0
        ? this.api
            .append(asked, { expectedPosition: state.position, entries: batch })
            .pipe(map(() => ({ entries: batch, revision: here })))
        : this.api.entriesAfter(asked, state.position);
    return fetched.pipe(
      timeout(ANSWER_WITHIN_MS),
      switchMap(({ entries, revision }) => {
        this.sending.clear();
        this.sends.moved();
        if (asked !== this.id) return EMPTY;
        this.line.set('up');
        if (revision > this.revision()) return defer(() => this.load(asked));
        // The planning may have been changed on this device while the answer was on its way.
        if (entries.length > 0 && this.confirmed() === state) this.adopt(this.with(state, entries));
        return EMPTY;
      }),
      catchError((error: unknown) => {
        this.sending.clear();
        return this.afterFailure(error, asked, batch);
      }),
      takeUntilDestroyed(this.destroyed),
    );
  }

  /** Whatever still waits after an exchange goes out soon, and not only at the next look. */
  private sendTheRest(): void {
    if (this.line() !== 'up' || this.waiting().length === 0) return;
    timer(SEND_REST_AFTER_MS)
      .pipe(takeUntilDestroyed(this.destroyed))
      .subscribe(() => this.send.next());
  }

  private afterFailure(error: unknown, asked: string, batch: readonly LedgerEntry[]): Observable<unknown> {
    if (asked !== this.id) return EMPTY;
    this.sends.failed(error);
    if (error instanceof TimeoutError) this.atOnce = Math.max(1, Math.floor(this.atOnce / 4));
    const kind = problemKind(error);
    if (kind === 'stale-position') return defer(() => this.load(asked));
    if (staysSo(kind)) {
      const [only] = batch;
      if (batch.length === 1 && only) {
        const rest = this.waiting().filter(({ id }) => id !== only.id);
        const state = this.state();
        const fallen = {
          entry: only,
          says: state ? entryWords(state, only) : only.kind,
          words: problemWords(error),
          ...(kind === 'id-used' ? { idUsed: true as const } : {}),
        };
        this.onlyHere.holdUp(rest, [fallen]);
      } else this.atOnce = 1;
      // What the refusal goes by may be news here; what waits is held against it, each by itself.
      return defer(() => this.load(asked));
    }
    this.line.set('gone');
    return EMPTY;
  }
}
