import { Worker } from 'node:worker_threads';
import type { Backup, BackupStatus } from '@brisk/contracts/backup';
import { several } from '@brisk/core/words';
import type { Logger } from 'pino';
import { backupsIn } from './backup-folder.js';

/** Where and how often a shop wants its data backed up. */
export interface BackupPlan {
  readonly into: string;
  readonly everyHours: number;
}

const HOUR_MS = 3_600_000;
/** After this long it is looked whether one is due, or whether the drive is there again. */
const LOOK_EVERY_MS = HOUR_MS / 4;
/** A server that has just started has other things to do first. */
const FIRST_LOOK_MS = 10_000;

/** Makes a backup of a data folder into another one; ends at once, half done, when told to. */
export type MakeBackup = (dataFolder: string, into: string, now: Date, stop: AbortSignal) => Promise<Backup>;

/** Makes a backup whenever the last one is older than the shop wants, and tells how that goes. */
export class BackupSchedule {
  #last: Backup | undefined;
  #trouble: string | undefined;
  #running: Promise<void> | undefined;
  #first: NodeJS.Timeout | undefined;
  #timer: NodeJS.Timeout | undefined;
  readonly #stop = new AbortController();

  constructor(
    private readonly dataFolder: string,
    private readonly plan: BackupPlan,
    private readonly now: () => Date,
    private readonly logger: Logger,
    private readonly make: MakeBackup = inAThreadOfItsOwn,
  ) {}

  /** Looks soon whether one is due, and again and again from then on. */
  start(): void {
    this.#first = setTimeout(() => void this.look(), FIRST_LOOK_MS);
    this.#first.unref();
    this.#timer = setInterval(() => void this.look(), LOOK_EVERY_MS);
    this.#timer.unref();
  }

  /** Makes one where it is due. One at a time; whoever asks meanwhile waits for that one. */
  look(): Promise<void> {
    this.#running ??= this.makeWhereDue().finally(() => (this.#running = undefined));
    return this.#running;
  }

  /** Ends it; one that is being made is given up, and made anew another time. */
  async stop(): Promise<void> {
    clearTimeout(this.#first);
    clearInterval(this.#timer);
    this.#stop.abort();
    await this.#running;
  }

  status(): BackupStatus {
    const { into, everyHours } = this.plan;
    const last = this.#last && { madeAt: this.#last.madeAt, jobs: this.#last.jobs, photos: this.#last.photos.length };
    const trouble = this.#trouble ?? missingIn(this.#last);
    return { into, everyHours, ...(last ? { last } : {}), ...(trouble === undefined ? {} : { trouble }) };
  }

  private async makeWhereDue(): Promise<void> {
    const { into, everyHours } = this.plan;
    try {
      this.#last = (await backupsIn(into))[0]?.backup;
      this.#stop.signal.throwIfAborted();
      const now = this.now();
      if (!this.#last || now.getTime() - Date.parse(this.#last.madeAt) >= everyHours * HOUR_MS)
        this.#last = await this.make(this.dataFolder, into, now, this.#stop.signal);
      this.#trouble = undefined;
    } catch (error) {
      if (this.#stop.signal.aborted) return;
      this.#trouble = error instanceof Error ? error.message : String(error);
      this.logger.error(error, 'No backup was made');
    }
  }
}

function missingIn(backup: Backup | undefined): string | undefined {
  if (!backup || backup.damaged.length === 0) return undefined;
  return `${several(backup.damaged.length, 'file')} could not be backed up: damaged where kept.`;
}

function inAThreadOfItsOwn(dataFolder: string, into: string, now: Date, stop: AbortSignal): Promise<Backup> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('./backup-worker.js', import.meta.url), {
      workerData: { dataFolder, into, at: now.getTime() },
    });
    stop.addEventListener('abort', () => void worker.terminate(), { once: true });
    worker.once('message', resolve);
    worker.once('error', reject);
    worker.once('exit', () => reject(new Error('The backup stopped by itself.')));
  });
}
