import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { revisionOf } from '@brisk/contracts/job';
import { MapError, type ConnectionMap, type JobPlan } from '@brisk/core/connection-map';
import { applyEdit, effectOf, type MapEdit } from '@brisk/core/map-edit';
import { Desk } from '../desk/desk';
import { withSwap } from '../donor/swap-plan';

/** A map before a change, and what the change was, for undo and redo. */
interface Step {
  readonly map: ConnectionMap;
  readonly words: string;
}

const keyOf = (job: string) => `brisk-ledger map ${job}`;

/**
 * The map of the open job as somebody is changing it: nothing reaches the server before they keep it, and what they
 * changed stays on this device until then.
 */
@Injectable()
export class MapDraft {
  private readonly desk = inject(Desk);
  private readonly changed = signal<ConnectionMap | undefined>(undefined);
  private readonly past = signal<readonly Step[]>([]);
  private readonly future = signal<readonly Step[]>([]);

  readonly trouble = signal('');
  readonly keeping = signal(false);
  readonly map = computed(() => this.changed() ?? this.desk.job()?.plan.map);
  readonly dirty = computed(() => this.changed() !== undefined);
  readonly undoes = computed(() => this.past().at(-1)?.words);
  readonly redoes = computed(() => this.future().at(-1)?.words);

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
      const job = this.desk.job();
      if (job) untracked(() => this.takeUp(job.id, revisionOf(job)));
    });
    effect(() => {
      const map = this.changed();
      const job = this.desk.job();
      if (job) untracked(() => this.store(job.id, revisionOf(job), map));
    });
  }

  /** Makes a change; `words` say what it was. Returns why not, where it cannot be made. */
  edit(edit: MapEdit, words: string): string | undefined {
    const map = this.map();
    if (!map) return 'The map is not loaded yet.';
    try {
      const changed = applyEdit(map, edit);
      this.past.update((steps) => [...steps, { map, words }].slice(-100));
      this.future.set([]);
      this.changed.set(changed);
      this.trouble.set('');
      return undefined;
    } catch (error) {
      if (!(error instanceof MapError)) throw error;
      this.trouble.set(error.message);
      return error.message;
    }
  }

  undo(): void {
    this.step(this.past, this.future);
  }

  redo(): void {
    this.step(this.future, this.past);
  }

  /** Lets all changes go. */
  drop(): void {
    this.changed.set(undefined);
    this.past.set([]);
    this.future.set([]);
    this.trouble.set('');
  }

  /** Keeps the changes with the job. */
  async keep(): Promise<void> {
    const job = this.desk.job();
    const plan = this.plan();
    if (!job || !plan || this.keeping()) return;
    this.keeping.set(true);
    const wrong = await this.desk.replan({ ...job, plan });
    this.keeping.set(false);
    if (wrong === undefined) this.drop();
    else this.trouble.set(`${wrong} Your changes are still here.`);
  }

  private step(from: typeof this.past, to: typeof this.past): void {
    const step = from().at(-1);
    const map = this.map();
    if (!step || !map) return;
    from.update((steps) => steps.slice(0, -1));
    to.update((steps) => [...steps, { map, words: step.words }]);
    this.changed.set(step.map === this.desk.job()?.plan.map ? undefined : step.map);
    this.trouble.set('');
  }

  private takeUp(job: string, revision: number): void {
    if (this.dirty()) return;
    const kept = readKept(job);
    if (kept?.revision === revision) this.changed.set(kept.map);
  }

  private store(job: string, revision: number, map: ConnectionMap | undefined): void {
    try {
      if (map) localStorage.setItem(keyOf(job), JSON.stringify({ revision, map }));
      else localStorage.removeItem(keyOf(job));
    } catch {
      this.trouble.set('This device has no room left to keep the changes; keep them with the job soon.');
    }
  }
}

function readKept(job: string): { readonly revision: number; readonly map: ConnectionMap } | undefined {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(keyOf(job)) ?? 'null');
    return kept && typeof kept === 'object' && 'map' in kept && 'revision' in kept
      ? (kept as { revision: number; map: ConnectionMap })
      : undefined;
  } catch {
    return undefined;
  }
}
