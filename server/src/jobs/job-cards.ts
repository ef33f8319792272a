import { setImmediate as nextTurn } from 'node:timers/promises';
import type { SqlEntityManager } from '@mikro-orm/libsql';
import type { JobHits } from '@brisk/contracts/house';
import type { Job, JobSummary } from '@brisk/contracts/job';
import { findableIn, hitsAmong, wordsAsked, type Findable, type Hit } from '@brisk/core/find';
import { lessonsOf, type Lessons, type PastJob } from '@brisk/core/house';
import type { JobState } from '@brisk/core/ledger';
import type { OpenDatabase } from '../database/open.js';
import { oneAtATime } from './one-at-a-time.js';
import { isDiskFull } from '../http/disk-full.js';
import { ProblemError } from '../http/problem.js';
import { summaryOf, unreadableSummary } from './summary.js';

/**
 * Raised when what stands on a card changes: older ones are then made anew, and read until then. So what is added to a
 * card is optional to whoever reads it.
 */
const EDITION = 5;

/** Throws the card of the job named by its only value away. */
export const DROP_CARD = 'delete from "job_card" where "job_id" = ?';

/** A word that is on every job finds no more than so many of them; whoever looks wants a narrower one. */
const MOST_JOBS = 60;
/** What a shop did longer ago than so many jobs on a layout teaches nobody any more. */
const MOST_PAST_JOBS = 40;
/** So many lines are looked at for one question. */
const MOST_LINES = 6_000;

/**
 * What is asked of all jobs at once: how each stands, where something is, what the shop learned. Kept on cards beside
 * the ledgers. A card is thrown away with whatever makes it untrue, and made anew when somebody asks.
 */
export class JobCards {
  readonly #inTurn = oneAtATime();
  /** How those jobs stand whose card did not fit on the disk. */
  readonly #unwritten = new Map<string, JobSummary>();

  constructor(
    private readonly database: OpenDatabase,
    /** Does something with one job, folded, while nobody else writes to it. */
    private readonly withJob: (id: string, task: (job: Job, state: JobState) => Promise<void>) => Promise<void>,
  ) {}

  /** Throws the card of a job away. Within the transaction that makes it untrue. */
  static async drop(em: SqlEntityManager, job: string): Promise<void> {
    await em.execute(DROP_CARD, [job]);
  }

  /**
   * Makes the cards that are missing or of an older edition, one job after the other; meanwhile older ones are read. `stop`
   * ends it between two.
   */
  async catchUp(stop: () => boolean = () => false): Promise<void> {
    // What could not be read by an earlier version, or was put right in the file, may be readable now.
    await this.rows(`delete from "job_card" where "layout" = ''`);
    await this.makeMissing(stop);
    await this.make(await this.jobsWhere(`"edition" <> ${EDITION}`), stop);
  }

  /** Makes the cards that were thrown away since somebody asked last. */
  private makeMissing(stop?: () => boolean): Promise<void> {
    return this.#inTurn('missing', async () => this.make(await this.jobsWhere('"edition" is null'), stop));
  }

  private jobsWhere(which: string): Promise<readonly { readonly id: string }[]> {
    return this.rows(`select "job"."id" from "job" left join "job_card" on "job_id" = "job"."id" where ${which}`);
  }

  private async make(jobs: readonly { readonly id: string }[], stop: () => boolean = () => false): Promise<void> {
    for (const { id } of jobs) {
      if (stop()) return;
      await nextTurn();
      try {
        await this.withJob(id, (job, state) =>
          this.whereThereIsRoom(summaryOf(job, state), () => this.write(job, state)),
        );
      } catch (error) {
        if (!(error instanceof ProblemError && error.kind === 'unreadable')) throw error;
        await this.writeUnreadable(id, error.message);
      }
    }
  }

  /** On a full disk nothing is written any more; what is there is read all the same. */
  private async whereThereIsRoom(summary: JobSummary, write: () => Promise<void>): Promise<void> {
    try {
      await write();
      this.#unwritten.delete(summary.id);
    } catch (error) {
      if (!isDiskFull(error)) throw error;
      this.#unwritten.set(summary.id, summary);
    }
  }

  /** A job that cannot be read keeps nobody from the others: it has a card that says so. */
  private async writeUnreadable(id: string, words: string): Promise<void> {
    const [row] = await this.rows<{ readonly document: string }>('select "document" from "job" where "id" = ?', [id]);
    const summary = unreadableSummary(id, row?.document ?? '', words);
    await this.whereThereIsRoom(summary, () =>
      this.database.fork().transactional(async (em) => {
        await em.execute('delete from "find_line" where "job_id" = ?', [id]);
        await JobCards.drop(em, id);
        await em.execute(
          `insert into "job_card" ("job_id", "edition", "layout", "machine", "summary", "lessons") values (?, ?, '', '', ?, '[]')`,
          [id, EDITION, JSON.stringify(summary)],
        );
      }),
    );
  }

  /** How every job stands, newest first. */
  async summaries(): Promise<readonly JobSummary[]> {
    await this.makeMissing();
    const rows = await this.rows<{ readonly summary: string; readonly aside_at: string | null }>(
      `select "summary", "aside_at" from "job_card" join "job" on "job"."id" = "job_id" order by "created_at" desc`,
    );
    const onCards = rows.map(({ summary, aside_at: aside }): JobSummary => ({
      ...(JSON.parse(summary) as JobSummary),
      ...(aside === null ? {} : { aside: true }),
    }));
    const there = new Set(onCards.map(({ id }) => id));
    return [...[...this.#unwritten.values()].filter(({ id }) => !there.has(id)), ...onCards];
  }

  /** What the other jobs on the layout of `job` have to teach: those of the same machine, then the newest. */
  async pastJobs({ id, machine: same, plan }: Job): Promise<readonly PastJob[]> {
    await this.makeMissing();
    const rows = await this.rows<{ readonly machine: string; readonly lessons: string }>(
      `select "machine", "lessons" from "job_card" join "job" on "job"."id" = "job_id"
       where "layout" = ? and "job_id" <> ? order by "machine" = ? desc, "created_at" desc limit ?`,
      [plan.map.layout, id, same, MOST_PAST_JOBS],
    );
    return rows.map(({ machine, lessons }) => ({ machine, lessons: JSON.parse(lessons) as Lessons }));
  }

  /** What answers `question` on any job; whoever looks for a bolt looks for one that is out, so those come first. */
  async find(question: string): Promise<readonly JobHits[]> {
    const words = wordsAsked(question);
    const match = matchFor(words);
    if (match === '') return [];
    await this.makeMissing();
    const rows = await this.rows<FoundRow>(
      `select "find_line"."job_id", "find_line"."text", "hit", "summary"
       from "find_word" join "find_line" on "find_line"."id" = "find_word"."rowid"
       join "job_card" on "job_card"."job_id" = "find_line"."job_id"
       where "find_word" match ? limit ?`,
      [match, MOST_LINES],
    );
    const byJob = new Map<string, { readonly summary: string; readonly lines: Findable[] }>();
    for (const { job_id: job, text, hit, summary } of rows) {
      const found = byJob.get(job) ?? { summary, lines: [] };
      found.lines.push({ text, hit: JSON.parse(hit) as Hit });
      byJob.set(job, found);
    }
    const all = [...byJob.values()].flatMap(({ summary, lines }): readonly JobHits[] => {
      const hits = hitsAmong(lines, words);
      const { id, title, machine } = JSON.parse(summary) as JobSummary;
      return hits.length > 0 ? [{ id, title, machine, hits }] : [];
    });
    return all.sort((one, other) => Number(isOut(other)) - Number(isOut(one))).slice(0, MOST_JOBS);
  }

  private async write(job: Job, state: JobState): Promise<void> {
    const { id } = job;
    await this.database.fork().transactional(async (em) => {
      await em.execute('delete from "find_line" where "job_id" = ?', [id]);
      await JobCards.drop(em, id);
      const summary = JSON.stringify(summaryOf(job, state));
      const lessons = JSON.stringify(lessonsOf(state));
      await em.execute(
        `insert into "job_card" ("job_id", "edition", "layout", "machine", "summary", "lessons") values (?, ?, ?, ?, ?, ?)`,
        [id, EDITION, state.plan.map.layout, job.machine, summary, lessons],
      );
      const lines = findableIn(state);
      for (let from = 0; from < lines.length; from += LINES_AT_ONCE) {
        const some = lines.slice(from, from + LINES_AT_ONCE);
        await em.execute(
          `insert into "find_line" ("job_id", "text", "hit") values ${some.map(() => '(?, ?, ?)').join(', ')}`,
          some.flatMap(({ text, hit }) => [id, text, JSON.stringify(hit)]),
        );
        await nextTurn();
      }
    });
  }

  private rows<Row>(query: string, values: readonly unknown[] = []): Promise<readonly Row[]> {
    return this.database.fork().execute<Row[]>(query, [...values]);
  }
}

interface FoundRow {
  readonly job_id: string;
  readonly text: string;
  readonly hit: string;
  readonly summary: string;
}

/** Lines in one insert, within what SQLite takes as parameters. */
const LINES_AT_ONCE = 200;

/** `words` as the index is asked: every run of letters and figures in them begins one of its words. */
function matchFor(words: readonly string[]): string {
  return words
    .flatMap((word) => word.match(/[\p{L}\p{N}]+/gu) ?? [])
    .map((run) => `"${run}"*`)
    .join(' AND ');
}

function isOut({ hits }: JobHits): boolean {
  return hits.some(({ bag }) => bag !== undefined);
}
