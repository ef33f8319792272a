import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { randomUUID } from 'node:crypto';
import type { Bundle } from '@brisk/contracts/bundle';
import type { Job, NewJob } from '@brisk/contracts/job';
import type { Problem } from '@brisk/contracts/problem';
import type { EntryBody, LedgerEntry } from '@brisk/core/ledger';
import { pino } from 'pino';
import type { Pool } from '../background/pool.js';
import { TASKS } from '../background/tasks.js';
import { serve, type Running } from '../serve.js';

/** An answer with its body read. */
export interface Answer<Body = unknown> {
  readonly status: number;
  readonly headers: Headers;
  readonly body: Body;
}

/** A real server on a port of its own and a real database file in a folder of its own. */
export class TestServer {
  #paused = false;

  private constructor(
    readonly folder: string,
    private readonly backupsIn: string | undefined,
    private running: Running,
  ) {}

  /** `backupsIn`: where its backups are looked for. */
  static async start(folder = mkdtempSync(join(tmpdir(), 'brisk-')), backupsIn?: string): Promise<TestServer> {
    return new TestServer(folder, backupsIn, await serveOn(folder, backupsIn));
  }

  get address(): string {
    return this.running.address;
  }

  /** Stops the server and starts another on the same data. */
  async restart(): Promise<void> {
    await this.pause();
    this.running = await serveOn(this.folder, this.backupsIn);
    this.#paused = false;
  }

  /** Stops the server and leaves its data where it is. */
  async pause(): Promise<void> {
    if (!this.#paused) await this.running.stop();
    this.#paused = true;
  }

  async stop(): Promise<void> {
    await this.pause();
    rmSync(this.folder, { recursive: true, force: true });
  }

  async get<Body = unknown>(path: string, headers: Record<string, string> = {}): Promise<Answer<Body>> {
    return answerOf(await fetch(this.address + path, { headers }));
  }

  /** Posts `body` as JSON, or a string as it is. */
  async post<Body = Problem>(path: string, body: unknown, headers: Record<string, string> = {}): Promise<Answer<Body>> {
    return this.send('POST', path, body, headers);
  }

  /** Puts `body` as JSON, or a string as it is. */
  async put<Body = Problem>(path: string, body: unknown, headers: Record<string, string> = {}): Promise<Answer<Body>> {
    return this.send('PUT', path, body, headers);
  }

  async delete(path: string): Promise<Answer> {
    return answerOf(
      await fetch(this.address + path, { method: 'DELETE', headers: { 'content-type': 'application/json' } }),
    );
  }

  private async send<Body>(
    method: string,
    path: string,
    body: unknown,
    headers: Record<string, string>,
  ): Promise<Answer<Body>> {
    return answerOf(
      await fetch(this.address + path, {
        method,
        headers: { 'content-type': 'application/json', ...headers },
        body: typeof body === 'string' ? body : JSON.stringify(body),
      }),
    );
  }

  /** A job to work on; returns its id. */
  async begin(changes: Partial<NewJob> = {}): Promise<string> {
    const job = newJob(changes);
    const { status, body } = await this.post('/api/jobs', job);
    if (status !== 201) throw new Error(body.detail);
    return job.id;
  }

  append(job: string, expectedPosition: number, entries: readonly unknown[]): Promise<Answer<Problem>> {
    return this.post(`/api/jobs/${job}/ledger`, { expectedPosition, entries });
  }
}

/** Tests run from the sources, which no thread of its own could load. */
const IN_THIS_THREAD: Pool = {
  run: async (name, input) => {
    const task = (await TASKS[name]()) as (given: unknown) => unknown;
    return structuredClone(await task(structuredClone(input))) as never;
  },
  close: () => Promise.resolve(),
};

/** Nobody’s request takes longer in a test. */
const FINISH_WITHIN_MS = 500;

async function serveOn(dataFolder: string, backupsIn: string | undefined): Promise<Running> {
  const backup = backupsIn === undefined ? {} : { backup: { into: backupsIn, everyHours: 700 } };
  const settings = { host: '127.0.0.1', port: 0, dataFolder, logLevel: 'silent', ...backup };
  return serve(settings, '/nowhere', pino({ level: 'silent' }), {
    finishWithinMs: FINISH_WITHIN_MS,
    pool: IN_THIS_THREAD,
  });
}

async function answerOf<Body>(response: Response): Promise<Answer<Body>> {
  const text = await response.text();
  const json = response.headers.get('content-type')?.includes('json') ?? false;
  return { status: response.status, headers: response.headers, body: (json ? JSON.parse(text) : text) as Body };
}

/** A survey that the server takes, with `changes`. */
export function newJob(changes: Partial<NewJob> = {}): NewJob {
  return {
    id: randomUUID(),
    title: 'Minibus: slips when warm',
    machine: 'Minibus no. 7',
    reason: 'same-back',
    crew: ['Ines', 'Tobias'],
    layout: 'longitudinal-automatic',
    powerpack: 'engine-with-gearbox',
    route: 'top',
    ...changes,
  };
}

/** A ledger entry as a device would make it. */
export function entry(body: EntryBody): LedgerEntry {
  return { id: randomUUID(), at: '2026-03-02T07:30:00.000Z', by: 'Ines', ...body } as LedgerEntry;
}

/** `bundle` with another ledger, or of another job, as somebody would write it who does not seal it. */
export function toldAnew(bundle: Bundle, ledger: readonly unknown[], job: Job = bundle.job): Bundle {
  const { seal: _seal, ...unsealed } = bundle;
  return { ...unsealed, job, ledgerLength: ledger.length, ledger: ledger as readonly LedgerEntry[] };
}
