import { setImmediate as nextTurn } from 'node:timers/promises';
import { isDeepStrictEqual } from 'node:util';
import { jobCode } from '@brisk/core/labels';
import { LRUCache } from 'lru-cache';
import { type Append, type Appended, type Job, type JobWithLedger, type Planning } from '@brisk/contracts/job';
import { revisionOf } from '@brisk/contracts/revision';
import { LONGEST } from '@brisk/contracts/fields';
import { MapError } from '@brisk/core/connection-map';
import { canApply, extend, foldLedger, lostBy, startOf, type JobState, type LedgerEntry } from '@brisk/core/ledger';
import type { OpenDatabase } from '../database/open.js';
import { plain } from '../database/plain.js';
import { JobRows } from '../database/rows.js';
import { ProblemError } from '../http/problem.js';
import { JobCards } from './job-cards.js';
import { insertFew, insertMany, rewrite, rowsOf, storedEntries } from './ledger-rows.js';
import { oneAtATime } from './one-at-a-time.js';
import { SLICE, slices } from './slices.js';
import type { InBackground } from '../background/tasks.js';
import type { PutRight, Spare } from './put-right.js';
import type { StoredJob } from './stored-job.js';
import { Bell } from './bell.js';
import { isUnchecked, type ReadBundle } from './read-bundle.js';

/** A job in memory: as stored, and folded. Nothing else writes to the file, so it is never out of date. */
interface LiveJob {
  readonly job: Job;
  readonly state: JobState;
  /** Position by id of an entry; grows with the ledger, once what is written is on the disk. */
  readonly positions: Map<string, number>;
}

/** Why what is stored of a job cannot be read, for whoever has to deal with it. */
function unreadableWords(error: unknown): string {
  if (error instanceof SyntaxError) return 'What is stored of this job is damaged: it is no JSON any more.';
  if (error instanceof MapError) return `Its map cannot be worked: ${error.message}`;
  return 'What is stored of this job does not hang together any more.';
}

/**
 * So many jobs, with so many entries in all, are kept folded; one that has fallen out is folded anew when somebody opens
 * it. A job nobody has written to counts as {@link EMPTY_JOB} entries, by the room its map takes.
 */
const MOST_IN_MEMORY = { jobs: 24, entries: 150_000 } as const;
const EMPTY_JOB = 500;
/** So many entries at most come with one request of a crew; more come with a bundle. */
const FEW = 200;

/** Keeps jobs and their ledgers: one writer at a time for each job, everything on disk before it is answered. */
export class JobStore {
  readonly #live = new LRUCache<string, LiveJob>({
    max: MOST_IN_MEMORY.jobs,
    maxSize: MOST_IN_MEMORY.entries,
    sizeCalculation: ({ state }) => EMPTY_JOB + state.position,
  });
  readonly #inTurn = oneAtATime();
  /** Rings when something was written to a job. */
  readonly bell = new Bell();

  constructor(
    private readonly database: OpenDatabase,
    private readonly background: InBackground,
    private readonly now: () => Date,
  ) {}

  /** The job whose id begins with `code`, as labels name it; undefined where there is none. */
  async byCode(code: string): Promise<Job | undefined> {
    const row = await this.database.fork().findOne(JobRows, { id: { $like: `${code}%` } });
    return row && jobCode(row.id) === code ? jobOf(row.document) : undefined;
  }

  /** One job, folded. Throws `not-found`. */
  async read(id: string): Promise<LiveJob> {
    return this.#live.get(id) ?? this.#inTurn(id, () => this.load(id));
  }

  /** Does something with a job, folded, while nobody else writes to it. Throws `not-found`. */
  async while(id: string, task: (job: Job, state: JobState) => Promise<void>): Promise<void> {
    return this.#inTurn(id, async () => {
      const { job, state } = await this.load(id);
      await task(job, state);
    });
  }

  /** One job and the entries after position `after`. Throws `not-found`. */
  async withLedger(id: string, after = 0): Promise<JobWithLedger> {
    const { job, state } = await this.read(id);
    return { job, entries: state.entries.slice(after) };
  }

  /** Stores a new job. The same job again is answered the same; another under its id is `exists`. */
  async create(job: Job): Promise<Job> {
    return this.#inTurn(job.id, async () => {
      const stored = await this.find(job.id);
      if (stored) {
        // Sent again after somebody has gone on with its plan, it is still the job that was begun.
        const begun = revisionOf(stored) > 1 ? { ...stored, ...planningOf(job) } : stored;
        if (isDeepStrictEqual(plain({ ...begun, createdAt: job.createdAt }), plain(job))) return stored;
        throw new ProblemError('exists', `There is another job under this id: “${stored.title}”.`);
      }
      await this.insert(job, []);
      return job;
    });
  }

  /**
   * Writes entries after the position the sender knew, all or none. Entries that stand in the ledger already are
   * answered as before. Throws `stale-position`, `id-used` or `refused`.
   */
  async append(id: string, { expectedPosition, entries }: Append): Promise<Appended> {
    return this.#inTurn(id, async () => {
      const live = this.#live.get(id) ?? (await this.load(id));
      const fresh = entries.filter((entry) => !this.isKnown(live, entry));
      if (new Set(fresh.map((entry) => entry.id)).size < fresh.length)
        throw new ProblemError('id-used', 'Two of the entries sent have the same id. Nothing was written.');
      if (fresh.length > 0) {
        const { position } = live.state;
        if (position + fresh.length > LONGEST.ledger)
          throw new ProblemError(
            'refused',
            `The ledger of this job is full: it holds ${LONGEST.ledger} entries and a bundle takes no more. Nothing was written.`,
          );
        if (expectedPosition !== position)
          throw new ProblemError(
            'stale-position',
            `The ledger stands at ${position}, not ${expectedPosition}: somebody else wrote meanwhile. Nothing was written; fetch what is new and look again.`,
            { position },
          );
        await this.write(live, live, fresh);
      }
      const positions = this.#live.get(id)?.positions;
      return { written: entries.map((entry) => ({ id: entry.id, position: positions?.get(entry.id) ?? 0 })) };
    });
  }

  /**
   * Takes in a whole job from a bundle, or, where it is here already, whatever of the bundle’s ledger is newer. Throws
   * `exists` where the two tell different stories, and `refused` where the ledger breaks its own rules.
   */
  async takeIn(read: ReadBundle): Promise<{ readonly job: Job; readonly written: number }> {
    const { job: given, ledger } = read.bundle;
    const { unchecked: _elsewhere, ...asGiven } = given;
    return this.#inTurn(given.id, async () => {
      if (await this.isUnreadable(given.id)) {
        const { job, instead } = await this.putRight(given.id, { job: asGiven, ledger });
        return { job, written: instead.size + (await this.newerOf(job, ledger)) };
      }
      const stored = await this.find(given.id);
      // Whether it was checked is for this shop to say.
      if (stored) return this.mergeIn(stored, { ...asGiven, ...(stored.unchecked ? { unchecked: true } : {}) }, ledger);
      const job: Job = { ...asGiven, ...(isUnchecked(read) ? { unchecked: true } : {}) };
      await this.insert(job, ledger);
      return { job, written: ledger.length };
    });
  }

  /**
   * Takes new planning data made from the revision the sender knew. The same again is answered the same. Throws
   * `stale-revision`, and `refused` where something recorded already would be lost.
   */
  async replan(id: string, { revision, ...planning }: Planning): Promise<Job> {
    return this.#inTurn(id, async () => {
      const live = this.#live.get(id) ?? (await this.load(id));
      const { plan: _plan, survey: _survey, swap: _swap, ...head } = live.job;
      const job: Job = { ...head, ...planning, revision: revision + 1 };
      const stands = revisionOf(live.job);
      if (stands === revision + 1 && isDeepStrictEqual(plain(live.job), plain(job))) return live.job;
      if (stands !== revision)
        throw new ProblemError(
          'stale-revision',
          'Somebody else changed the map of this job meanwhile. Nothing was written; look at theirs and do yours again.',
          { revision: stands },
        );
      await this.write(live, this.replanned(live, job), []);
      return job;
    });
  }

  /** `live` under the planning data of `job`. Throws `refused` where something recorded already would be lost. */
  private replanned({ state, positions }: LiveJob, job: Job): LiveJob {
    const [lost] = lostBy(state, job.plan);
    if (lost !== undefined) throw new ProblemError('refused', `${lost} Nothing was changed.`);
    return { job, state: foldLedger(job.plan, state.entries), positions };
  }

  /** A bundle of a job that is here: its newer planning and the entries that came after ours, where the rest agrees. */
  private async mergeIn(stored: Job, job: Job, ledger: readonly LedgerEntry[]) {
    const live = this.#live.get(job.id) ?? (await this.load(job.id));
    const shared = Math.min(live.state.position, ledger.length);
    const newerPlan = revisionOf(job) > revisionOf(stored);
    const told = newerPlan ? { ...job, ...planningOf(stored) } : job;
    const olderPlan = revisionOf(job) < revisionOf(stored);
    const same =
      isDeepStrictEqual(plain(olderPlan ? { ...told, ...planningOf(stored) } : told), plain(stored)) &&
      (await areSame(live.state.entries.slice(0, shared), ledger.slice(0, shared)));
    if (!same)
      throw new ProblemError(
        'exists',
        `“${stored.title}” is here already and tells a different story. Nothing was changed.`,
      );
    const newer = ledger.slice(shared);
    await this.write(live, newerPlan ? this.replanned(live, job) : live, newer);
    return { job: newerPlan ? job : stored, written: newer.length };
  }

  /** Writes what a bundle has beyond a ledger that was just put right with it; none of it where the two differ. */
  private async newerOf(job: Job, ledger: readonly LedgerEntry[]): Promise<number> {
    try {
      return (await this.mergeIn(job, job, ledger)).written;
    } catch (error) {
      if (error instanceof ProblemError) return 0;
      throw error;
    }
  }

  private isKnown({ state, positions }: LiveJob, entry: LedgerEntry): boolean {
    const position = positions.get(entry.id);
    if (position === undefined) return false;
    if (isDeepStrictEqual(plain(state.entries[position - 1]), plain(entry))) return true;
    throw new ProblemError('id-used', `Entry ${position} has this id and says something else. Nothing was written.`);
  }

  /**
   * Writes what a job was changed to, from `before` to `live`, and `entries` after that: all in one transaction, or
   * nothing. Throws `refused` where an entry may not follow.
   */
  private async write(before: LiveJob, live: LiveJob, entries: readonly LedgerEntry[]): Promise<void> {
    const { job, state, positions } = live;
    let reached = state;
    for (const [index, entry] of entries.entries()) {
      const [refusal] = canApply(reached, entry);
      if (refusal) throw new ProblemError('refused', `${refusal.words} Nothing was written.`);
      reached = extend(reached, [entry]);
      // What a bundle brings may be long.
      if (index % 50 === 49) await nextTurn();
    }
    const planned = live.job !== before.job;
    if (!planned && entries.length === 0) return;
    if (planned || entries.length > FEW)
      await this.database.fork().transactional(async (em) => {
        if (planned) await em.nativeUpdate(JobRows, { id: job.id }, { document: JSON.stringify(job) });
        await insertMany(em, this.rowsOf(job.id, state.position, entries));
        await JobCards.drop(em, job.id);
      });
    else await insertFew(this.database.commit, job.id, this.rowsOf(job.id, state.position, entries));
    entries.forEach((entry, index) => positions.set(entry.id, state.position + index + 1));
    this.#live.set(job.id, { job, state: reached, positions });
    this.bell.ring(job.id);
  }

  private async insert(job: Job, ledger: readonly LedgerEntry[]): Promise<void> {
    await this.database.fork().transactional(async (em) => {
      await em.insert(JobRows, { id: job.id, createdAt: job.createdAt, document: JSON.stringify(job) });
      await insertMany(em, this.rowsOf(job.id, 0, ledger));
    });
    await this.remember(job, ledger);
  }

  private rowsOf(job: string, after: number, entries: readonly LedgerEntry[]) {
    return rowsOf(job, after, entries, this.now().toISOString());
  }

  private async load(id: string): Promise<LiveJob> {
    const live = this.#live.get(id);
    if (live) return live;
    const { row, rows } = await this.stored(id);
    try {
      const entries: LedgerEntry[] = [];
      for (const some of slices(rows)) {
        entries.push(...some.map(({ document }) => JSON.parse(document) as LedgerEntry));
        await nextTurn();
      }
      return await this.remember(JSON.parse(row.document) as Job, entries);
    } catch (error) {
      throw unreadable(error);
    }
  }

  private async stored(id: string) {
    const em = this.database.fork();
    const row = await em.findOne(JobRows, { id });
    if (!row) throw new ProblemError('not-found', 'There is no such job here.');
    return { row, rows: await storedEntries(em, id) };
  }

  /**
   * Makes a job that cannot be read readable with a copy of it; see {@link putRight}. Throws `exists` where it can be read.
   */
  async putRightFrom(id: string, spare: Spare): Promise<PutRight> {
    return this.#inTurn(id, async () => {
      if (!(await this.isUnreadable(id)))
        throw new ProblemError('exists', 'This job can be read; there is nothing to put right. Nothing was changed.');
      return this.putRight(id, spare);
    });
  }

  private async putRight(id: string, spare: Spare): Promise<PutRight> {
    const stored = await this.asStored(id);
    const right = await this.background('put a job right', { stored, spare });
    await this.database.fork().transactional(async (em) => {
      await em.execute('insert into "put_right" ("job_id", "at", "stored_before") values (?, ?, ?)', [
        id,
        this.now().toISOString(),
        JSON.stringify(stored),
      ]);
      await em.nativeUpdate(JobRows, { id }, { document: JSON.stringify(right.job) });
      await rewrite(em, id, right.instead);
      await JobCards.drop(em, id);
    });
    this.#live.delete(id);
    return right;
  }

  private async isUnreadable(id: string): Promise<boolean> {
    try {
      await this.load(id);
      return false;
    } catch (error) {
      if (error instanceof ProblemError && error.kind === 'unreadable') return true;
      if (error instanceof ProblemError && error.kind === 'not-found') return false;
      throw error;
    }
  }

  /** What is stored of a job, as it is, whether anybody can read it or not. Throws `not-found`. */
  async asStored(id: string): Promise<StoredJob> {
    const { row, rows } = await this.stored(id);
    return {
      format: 'brisk-ledger-as-stored',
      job: { id: row.id, createdAt: row.createdAt, document: row.document },
      entries: rows,
    };
  }

  /** Sets a job aside, or takes it back; nothing of it changes. Throws `not-found`. */
  async setAside(id: string, aside: boolean): Promise<void> {
    const asideAt = aside ? this.now().toISOString() : null;
    const found = await this.database.fork().nativeUpdate(JobRows, { id }, { asideAt });
    if (found === 0) throw new ProblemError('not-found', 'There is no such job here.');
  }

  private async remember(job: Job, entries: readonly LedgerEntry[]): Promise<LiveJob> {
    let state = startOf(job.plan);
    for (const some of slices(entries)) {
      state = extend(state, some);
      await nextTurn();
    }
    const live = {
      job,
      state,
      positions: new Map(entries.map((entry, index) => [entry.id, index + 1])),
    };
    this.#live.set(job.id, live);
    return live;
  }

  private async find(id: string): Promise<Job | undefined> {
    const row = await this.database.fork().findOne(JobRows, { id });
    return row ? jobOf(row.document) : undefined;
  }
}

/** The job in a stored document. Throws `unreadable`. */
function jobOf(document: string): Job {
  try {
    return JSON.parse(document) as Job;
  } catch (error) {
    throw unreadable(error);
  }
}

function unreadable(error: unknown): ProblemError {
  return new ProblemError('unreadable', unreadableWords(error), {}, { cause: error });
}

/** The planning data of a job, absent where it is absent. */
function planningOf({ plan, survey, swap, revision }: Job) {
  return { plan, survey, swap, revision };
}

async function areSame(ours: readonly LedgerEntry[], theirs: readonly LedgerEntry[]): Promise<boolean> {
  for (let from = 0; from < ours.length; from += SLICE) {
    if (!isDeepStrictEqual(plain(ours.slice(from, from + SLICE)), plain(theirs.slice(from, from + SLICE))))
      return false;
    await nextTurn();
  }
  return true;
}
