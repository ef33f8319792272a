import { computed, effect, inject, Injectable, signal, untracked, type WritableSignal } from '@angular/core';
import { MapError, type ConnectionMap, type JobPlan } from '@brisk/core/connection-map';
import { applyEdit, effectOf, type MapEdit } from '@brisk/core/map-edit';
import { Desk } from '../session/desk';
import { Drafts } from '../session/drafts';
import { withSwap } from './swap-plan';

/** One change, and what it was in words. */
interface Change {
  readonly edit: MapEdit;
  readonly words: string;
}

const keyOf = (job: string) => `brisk-ledger map ${job}`;

/**
 * The map of the open job as somebody is changing it: the job’s map with their changes on top, one after the other.
 * Nothing reaches the server before they keep it, and the changes stay on this device until then. When somebody else
 * was quicker, the same changes stand on top of theirs.
 */
@Injectable()
export class MapDraft {
  private readonly desk = inject(Desk);
  private readonly done = signal<readonly Change[]>([]);
  private readonly undone = signal<readonly Change[]>([]);
  private readonly drafts = inject(Drafts);
  /** The job whose changes are here; nothing is kept before those from earlier are taken up. */
  private readonly taken = signal('');

  private asked = '';

  readonly trouble = signal('');
  readonly keeping = signal(false);
  readonly dirty = computed(() => this.done().length > 0);
  readonly undoes = computed(() => this.done().at(-1)?.words);
  readonly redoes = computed(() => this.undone().at(-1)?.words);

  private readonly result = computed(() => {
    const base = this.desk.job()?.plan.map;
    return base && changed(base, this.done());
  });
  readonly map = computed(() => this.result()?.map);
  /** Changes that can no longer be made, because somebody else took away what they were about. */
  readonly failed = computed(() => this.result()?.failed ?? []);

  /** The plan as it would be. */
  readonly plan = computed<JobPlan | undefined>(() => {
    const job = this.desk.job();
    const map = this.map();
    return job && map && withSwap({ ...job.plan, map }, job.swap);
  });

  /** What the changes mean for the work, or what is wrong with them. */
  readonly effect = computed(() => {
    const job = this.desk.job();
    const plan = this.plan();
    return job && plan && this.dirty() ? effectOf(job.plan, plan) : undefined;
  });
  readonly problems = computed(() => {
    const effect = this.effect();
    return effect && !effect.workable ? effect.problems : [];
  });
  readonly problemsAt = computed(() => new Set(this.problems().map(({ at }) => at)));

  constructor() {
    effect(() => {
      const id = this.desk.job()?.id;
      if (id === undefined || id === this.asked) return;
      this.asked = id;
      untracked(() => void this.takeUp(id));
    });
    effect(() => {
      const changes = this.done();
      const job = this.taken();
      if (job !== '') void this.store(job, changes);
    });
  }

  /** Makes a change; `words` say what it was. Returns why not, where it cannot be made. */
  edit(edit: MapEdit, words: string): string | undefined {
    const map = this.map();
    if (!map) return 'The map is not loaded yet.';
    try {
      applyEdit(map, edit);
      this.done.update((changes) => [...changes, { edit, words }]);
      this.undone.set([]);
      this.trouble.set('');
      return undefined;
    } catch (error) {
      if (!(error instanceof MapError)) throw error;
      this.trouble.set(error.message);
      return error.message;
    }
  }

  undo(): void {
    move(this.done, this.undone);
    this.trouble.set('');
  }

  redo(): void {
    move(this.undone, this.done);
    this.trouble.set('');
  }

  /** Lets all changes go. */
  drop(): void {
    this.done.set([]);
    this.undone.set([]);
    this.trouble.set('');
  }

  /** Keeps the changes with the job. */
  async keep(): Promise<void> {
    const job = this.desk.job();
    const plan = this.plan();
    if (!job || !plan || this.keeping()) return;
    this.keeping.set(true);
    const before = this.desk.revision();
    const wrong = await this.desk.replan({ ...job, plan });
    this.keeping.set(false);
    if (wrong === undefined) this.drop();
    else if (this.desk.revision() !== before)
      this.trouble.set(
        'Somebody else changed this map meanwhile. Yours now stands on top of theirs: look, then keep it.',
      );
    else this.trouble.set(`${wrong} Your changes are still here.`);
  }

  /** Takes up what this device kept of `job`; what was changed while it was read stands on top. */
  private async takeUp(job: string): Promise<void> {
    this.taken.set('');
    this.done.set([]);
    const kept = await this.drafts.read(keyOf(job));
    if (this.desk.job()?.id !== job) return;
    if (Array.isArray(kept) && kept.every(isChange)) this.done.update((since) => [...kept, ...since]);
    this.taken.set(job);
  }

  private async store(job: string, changes: readonly Change[]): Promise<void> {
    try {
      await this.drafts.keep(keyOf(job), changes.length > 0 ? changes : undefined);
    } catch {
      this.trouble.set('This device has no room left to keep the changes; keep them with the job soon.');
    }
  }
}

/** Moves the last of `from` to the end of `to`. */
function move(from: WritableSignal<readonly Change[]>, to: WritableSignal<readonly Change[]>): void {
  const last = from().at(-1);
  if (!last) return;
  from.update((changes) => changes.slice(0, -1));
  to.update((changes) => [...changes, last]);
}

/** `base` with each of `changes` that can be made, and what became of the others. */
function changed(base: ConnectionMap, changes: readonly Change[]) {
  const failed: string[] = [];
  const map = changes.reduce((reached, { edit, words }) => {
    try {
      return applyEdit(reached, edit);
    } catch (error) {
      if (!(error instanceof MapError)) throw error;
      failed.push(`${words}: ${error.message}`);
      return reached;
    }
  }, base);
  return { map, failed };
}

function isChange(value: unknown): value is Change {
  return typeof value === 'object' && value !== null && 'edit' in value && 'words' in value;
}
