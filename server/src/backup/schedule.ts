import { Worker } from 'node:worker_threads';
import type { BackupStatus } from '@brisk/contracts/backup';
import type { Logger } from 'pino';
import { backupsIn, type Backup, type makeBackup } from './make-backup.js';

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

/** Makes a backup whenever the last one is older than the shop wants, and tells how that goes. */
export class BackupSchedule {
  #last: Backup | undefined;
  #trouble: string | undefined;
  #running: Promise<void> | undefined;
  #first: NodeJS.Timeout | undefined;
  #timer: NodeJS.Timeout | undefined;

  constructor(
    private readonly dataFolder: string,
    private readonly plan: BackupPlan,
    private readonly now: () => Date,
    private readonly logger: Logger,
    private readonly make: typeof makeBackup = inAThreadOfItsOwn,
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

  /** Ends it; one that is being made is waited for. */
  async stop(): Promise<void> {
    clearTimeout(this.#first);
    clearInterval(this.#timer);
    await this.#running;
  }

  status(): BackupStatus {
    const { into, everyHours } = this.plan;
    const last = this.#last && { madeAt: this.#last.madeAt, jobs: this.#last.jobs, photos: this.#last.photos.length };
    return { into, everyHours, ...(last ? { last } : {}), ...(this.#trouble ? { trouble: this.#trouble } : {}) };
  }

  private async makeWhereDue(): Promise<void> {
    const { into, everyHours } = this.plan;
    try {
      this.#last = (await backupsIn(into))[0]?.backup;
      const now = this.now();
      if (this.#last && now.getTime() - Date.parse(this.#last.madeAt) < everyHours * HOUR_MS) return;
      this.#last = await this.make(this.dataFolder, into, now);
      this.#trouble = undefined;
    } catch (error) {
      this.#trouble = error instanceof Error ? error.message : String(error);
      this.logger.error(error, 'No backup was made');
    }
  }
}

function inAThreadOfItsOwn(dataFolder: string, into: string, now: Date): Promise<Backup> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('./backup-worker.js', import.meta.url), {
      workerData: { dataFolder, into, at: now.getTime() },
    });
    worker.once('message', resolve);
    worker.once('error', reject);
    worker.once('exit', () => reject(new Error('The backup stopped by itself.')));
  });
}
