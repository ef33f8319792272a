import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { revisionOf, type Job, type LedgerTail } from '@brisk/contracts/job';
import {
  canApply,
  extend,
  renumbered,
  replay,
  startOf,
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
  fromEvent,
  map,
  merge,
  Subject,
  switchMap,
  timer,
  type Observable,
} from 'rxjs';
import { v4 as uuid } from 'uuid';
import { Api } from '../api/api';
import { problemKind, problemWords } from '../api/problem-words';
import { Outbox } from './outbox';
import { Person } from './person';

/** How the desk stands with the server. */
export type Line = 'loading' | 'up' | 'gone' | 'missing';

const LOOK_EVERY_MS = 4_000;
const SEND_REST_AFTER_MS = 10;

/**
 * One open job: what the server has confirmed, what this device recorded since, and the fold of both. Entries are kept
 * on the device first, then sent in order; when somebody else was quicker their entries come first and ours are
 * checked again on top of them.
 */
@Injectable()
export class Desk {
  private readonly api = inject(Api);
  private readonly outbox = inject(Outbox);
  private readonly person = inject(Person);
  private readonly destroyed = inject(DestroyRef);

  private readonly confirmed = signal<JobState | undefined>(undefined);
  private readonly waiting = signal<readonly LedgerEntry[]>([]);
  private readonly send = new Subject<void>();
  /** Entries in a request that is under way; they can no longer be taken back without a correction. */
  private readonly sending = new Set<string>();
  private id = '';

  readonly job = signal<Job | undefined>(undefined);
  readonly line = signal<Line>('loading');
  /** Entries that could not stand after what others wrote; shown until the person has read them. */
  readonly refusedLater = signal<readonly { readonly entry: LedgerEntry; readonly words: string }[]>([]);
  /** Entries that got another number because somebody else had taken theirs; shown until the person has read them. */
  readonly renumbered = signal<readonly LedgerEntry[]>([]);
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
    this.waiting.set(this.outbox.read(id));
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
      const entries = this.confirmed()?.entries ?? [];
      this.job.set(job);
      this.adopt(extend(startOf(job.plan), entries));
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
    const visible = () => document.visibilityState === 'visible';
    merge(
      this.send,
      timer(LOOK_EVERY_MS, LOOK_EVERY_MS).pipe(filter(visible)),
      fromEvent(window, 'online'),
      fromEvent(document, 'visibilitychange').pipe(filter(visible)),
    )
      .pipe(
        filter(() => this.confirmed() !== undefined || this.line() === 'gone'),
        exhaustMap(() => this.exchange().pipe(finalize(() => this.sendTheRest()))),
        takeUntilDestroyed(),
      )
      .subscribe();
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
    const at = new Date().toISOString();
    const entries = bodies.map((body) => this.entry(body, at));
    const { refused } = replay(state, entries);
    if (refused) return { refused: refused.refusals.map(({ words }) => words).join(' ') };
    try {
      this.keep([...this.waiting(), ...entries]);
    } catch {
      return { refused: 'This device has no room left to keep it. Nothing was recorded.' };
    }
    this.send.next();
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
      this.keep(this.waiting().filter(({ id }) => !ids.has(id)));
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

  /** Who records on this device. */
  me(): string {
    return this.person.in(this.job()?.crew ?? []);
  }

  private entry(body: EntryBody, at = new Date().toISOString()): LedgerEntry {
    return {
      id: uuid(),
      at,
      by: this.me(),
      ...body,
    } as LedgerEntry;
  }

  private keep(entries: readonly LedgerEntry[]): void {
    this.outbox.keep(this.id, entries);
    this.waiting.set(entries);
  }

  private async load(id: string): Promise<void> {
    try {
      const { job, entries } = await firstValueFrom(this.api.job(id));
      if (id !== this.id) return;
      this.job.set(job);
      this.adopt(extend(startOf(job.plan), entries));
      this.line.set('up');
      this.send.next();
    } catch (error) {
      if (id !== this.id) return;
      this.line.set(problemKind(error) === 'not-found' ? 'missing' : 'gone');
      this.trouble.set(problemWords(error));
    }
  }

  /** Takes on what the server has, and checks what waits here against it again. */
  private adopt(state: JobState): void {
    this.confirmed.set(state);
    const here = new Set(state.entries.map(({ id }) => id));
    let reached = state;
    const stands: LedgerEntry[] = [];
    const falls: { entry: LedgerEntry; words: string }[] = [];
    const renumberings: LedgerEntry[] = [];
    for (const kept of this.waiting()) {
      if (here.has(kept.id)) continue;
      const entry = renumbered(reached, kept);
      if (entry !== kept) renumberings.push(entry);
      const [refusal] = canApply(reached, entry);
      if (refusal) falls.push({ entry, words: refusal.words });
      else {
        reached = extend(reached, [entry]);
        stands.push(entry);
      }
    }
    this.keep(stands);
    if (renumberings.length > 0) this.renumbered.update((before) => [...before, ...renumberings]);
    if (falls.length > 0) this.refusedLater.update((before) => [...before, ...falls]);
  }

  /** Sends what waits, or else looks for what is new. */
  private exchange(): Observable<unknown> {
    const state = this.confirmed();
    if (!state) return defer(() => this.load(this.id)).pipe(catchError(() => EMPTY));
    const batch = this.waiting().slice(0, 100);
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
      switchMap(({ entries, revision }) => {
        this.sending.clear();
        if (asked !== this.id) return EMPTY;
        this.line.set('up');
        if (revision > this.revision()) return defer(() => this.load(asked));
        // The planning may have been changed on this device while the answer was on its way.
        if (entries.length > 0 && this.confirmed() === state) this.adopt(extend(state, entries));
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
    const kind = problemKind(error);
    if (kind === 'stale-position') return defer(() => this.load(asked));
    if (kind === 'refused' || kind === 'bad-input' || kind === 'id-used') {
      const words = problemWords(error);
      this.refusedLater.update((before) => [...before, ...batch.map((entry) => ({ entry, words }))]);
      const ids = new Set(batch.map(({ id }) => id));
      this.keep(this.waiting().filter(({ id }) => !ids.has(id)));
      return EMPTY;
    }
    this.line.set('gone');
    return EMPTY;
  }
}
