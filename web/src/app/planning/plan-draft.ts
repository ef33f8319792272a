import equal from 'fast-deep-equal';
import { planSettingsSchema } from '@brisk/contracts/plan-settings';
import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core';
import type { PlanSettings } from '@brisk/core/ledger';
import {
  agedBy,
  arranged,
  brokenBy,
  differencesOf,
  movedAlong,
  movedTo,
  orderOf,
  pinnedTo,
  prepared,
  settingsNow,
  unpinned,
  workOrder,
  type Breach,
  type Planned,
  type Prepared,
} from '@brisk/core/planning';
import type { WorkOrder } from '@brisk/core/schedule';
import type { Half, Operation, OperationId } from '@brisk/core/teardown';
import { finalize, type Subscription } from 'rxjs';
import { Desk } from '../session/desk';
import { Drafts } from '../session/drafts';
import { House } from '../session/house';
import { PlanSearch } from './plan-search';
import { ToolShed } from './tool-shed';
import type { Found } from '@brisk/core/planning';

/** One state of a plan that somebody is making. */
interface Version extends WorkOrder {
  readonly settings: PlanSettings;
  /** What was done to come to it. */
  readonly words: string;
  /** When its settings were right, in ms since 1970. */
  readonly madeAt: number;
}

/** A place somebody dragged steps to where they may not stand. */
export interface BrokenMove {
  readonly ids: readonly OperationId[];
  readonly target: OperationId | undefined;
  readonly breaches: readonly (Breach & { readonly early: Operation })[];
}

const MOST_VERSIONS = 60;
const OWN_MINUTES = 'brisk-own-minutes';
const keyOf = (job: string, half: Half) => `brisk-ledger plan ${job} ${half}`;

/**
 * The plan somebody is making for the open job, one for each half: settings and order, with undo and redo. It stays on
 * this device until it is followed, which is an entry in the ledger.
 */
@Injectable()
export class PlanDraft {
  private readonly desk = inject(Desk);
  private readonly house = inject(House);
  private readonly search = inject(PlanSearch);
  private readonly shed = inject(ToolShed);
  private readonly versions = signal<readonly Version[]>([]);
  private readonly at = signal(0);
  private running: Subscription | undefined;
  private readonly drafts = inject(Drafts);
  /** The job and half whose plan is here; nothing is kept before what is from earlier is taken up. */
  private readonly taken = signal('');

  private asked = '';

  readonly half = signal<Half>('out');
  /** How far a search that runs has come. */
  readonly found = signal<Found | undefined>(undefined);
  readonly searching = signal(false);
  readonly trouble = signal('');
  readonly broken = signal<BrokenMove | undefined>(undefined);

  /** Whether steps are planned with the minutes this shop takes, instead of the map’s. */
  readonly byOwnMinutes = signal(localStorage.getItem(OWN_MINUTES) === 'true');
  /** How many steps the shop has minutes of its own for. */
  readonly knownMinutes = computed(() => Object.keys(this.house.knowledge().minutes).length);
  private readonly ownMinutes = computed<ReadonlyMap<OperationId, number>>(() =>
    this.byOwnMinutes()
      ? new Map(
          Object.entries(this.house.knowledge().minutes).map(([id, { likelyMin }]) => [id, Math.round(likelyMin)]),
        )
      : new Map(),
  );

  /** Plans with the minutes of this shop, or with the map’s again. */
  planByOwnMinutes(on: boolean): void {
    localStorage.setItem(OWN_MINUTES, String(on));
    this.byOwnMinutes.set(on);
  }

  private readonly version = computed<Version | undefined>(() => this.versions()[this.at() - 1]);
  /** Whether there is a plan here that is not followed. */
  readonly dirty = computed(() => this.version() !== undefined);
  readonly undoes = computed(() => this.version()?.words);
  readonly redoes = computed(() => this.versions()[this.at()]?.words);
  readonly followed = computed(() => this.desk.state()?.plans.get(this.half()));

  /**
   * What the plan that is followed, or a first one, is made with as things stand. Nothing before it is known what the machine is
   * raised on: the steps would come in another order a moment later, under somebody’s finger.
   */
  private readonly baseSettings = computed(
    () => {
      const state = this.desk.state();
      const job = this.desk.job();
      if (!this.followed() && !this.shed.told()) return undefined;
      return state && job && settingsNow(state, this.half(), job.crew, Date.now(), this.shed.raisedOn());
    },
    { equal },
  );
  readonly settings = computed(
    () => {
      const version = this.version();
      return version ? agedBy(version.settings, version.madeAt, Date.now()) : this.baseSettings();
    },
    { equal },
  );

  private readonly baseReady = computed(() => this.ready(this.baseSettings()));
  /** What is made ready does not change with the order, and is the same for both plans as long as their settings are. */
  private readonly nowReady = computed(() =>
    equal(this.settings(), this.baseSettings()) ? this.baseReady() : this.ready(this.settings()),
  );

  /** The plan that is followed as it stands now, or the grouped order where none is. */
  readonly base = computed<Planned | undefined>(() => {
    const ready = this.baseReady();
    return ready && arranged(ready, this.followed());
  });
  /** The plan that is being made. */
  readonly now = computed<Planned | undefined>(() => {
    const version = this.version();
    const ready = this.nowReady();
    return version && ready ? arranged(ready, version) : this.base();
  });
  /** What following it would change. */
  readonly differences = computed(() => {
    const base = this.base();
    const now = this.now();
    return base && now && this.dirty() ? differencesOf(base.schedule, now.schedule) : undefined;
  });
  readonly pinned = computed<ReadonlySet<OperationId>>(() => new Set(this.settings()?.pins.map(({ of }) => of)));

  constructor() {
    effect(() => {
      const id = this.desk.job()?.id;
      const half = this.half();
      if (id === undefined) return;
      const key = keyOf(id, half);
      if (key === this.asked) return;
      this.asked = key;
      untracked(() => void this.takeUpKept(key));
    });
    effect(() => {
      const version = this.version();
      const key = this.taken();
      // A full device keeps the plan for as long as the page is open.
      if (key !== '') this.drafts.keep(key, version).catch(() => undefined);
    });
  }

  /** Plans with other settings from here on, and looks for a good order with them for a moment. */
  settle(settings: PlanSettings, words: string): void {
    const now = this.now();
    if (!now) return;
    this.push({ settings, ...workOrder(now), words });
    // What it gains is the order’s, and not that of whoever leaves: the words say so.
    this.look(900, `${words}, in a better order`);
  }

  /** Puts `ids` before `target`, or last. Where that breaks something, says what, and leaves the plan as it was. */
  move(ids: readonly OperationId[], target: OperationId | undefined, words: string): void {
    const now = this.now();
    const state = this.desk.state();
    const settings = this.settings();
    if (!now || !state || !settings) return;
    const order = orderOf(now.schedule);
    const moved = movedTo(order, ids, target);
    if (moved.every((id, index) => order[index] === id)) return;
    const breaches = brokenBy(state, moved, now.problem.precedence);
    this.broken.set(breaches.length > 0 ? { ids, target, breaches } : undefined);
    if (breaches.length === 0) this.push({ settings, ...workOrder(now), order: moved, words });
  }

  /** Makes the move that broke something, and takes along what has to go along. */
  moveAlong(): void {
    const broken = this.broken();
    const now = this.now();
    const settings = this.settings();
    if (!broken || !now || !settings) return;
    this.broken.set(undefined);
    const order = movedAlong(orderOf(now.schedule), broken.ids, broken.target, now.problem.precedence);
    this.push({ settings, ...workOrder(now), order, words: 'Moved, with what goes along' });
  }

  putBack(): void {
    this.broken.set(undefined);
  }

  /** Pins `ids` where they stand, or lets them go where they are pinned. */
  pin(ids: readonly OperationId[]): void {
    const now = this.now();
    const settings = this.settings();
    if (!now || !settings) return;
    const order = orderOf(now.schedule);
    const loose = ids.some((id) => this.pinned().has(id));
    const pins = loose ? unpinned(settings.pins, ids) : pinnedTo(settings.pins, order, ids);
    this.push({ settings: { ...settings, pins }, ...workOrder(now), words: loose ? 'Let go' : 'Pinned' });
  }

  /** Looks for a better order for at most `forMs`; what is found last is taken on, and can be undone. */
  look(forMs: number, words = 'A better order'): void {
    const now = this.now();
    const settings = this.settings();
    if (!now || !settings) return;
    this.stop();
    this.searching.set(true);
    this.trouble.set('');
    const { heldUp: _heldUp, lostPins: _lostPins, ...problem } = now.problem;
    const before = now.schedule.costs.objective;
    this.running = this.search
      .search({ problem, from: workOrder(now), seed: this.at() + 1, forMs })
      .pipe(
        finalize(() => {
          const found = this.found();
          this.found.set(undefined);
          this.searching.set(false);
          if (found && found.costs.objective < before - 1e-6) this.push({ settings, ...found.plan, words });
        }),
      )
      .subscribe({
        next: (found) => this.found.set(found),
        error: (error: unknown) => this.trouble.set(error instanceof Error ? error.message : String(error)),
      });
  }

  /** Stops looking and takes what was found so far. */
  stop(): void {
    this.running?.unsubscribe();
    this.running = undefined;
  }

  undo(): void {
    this.stop();
    this.broken.set(undefined);
    this.at.update((at) => Math.max(0, at - 1));
  }

  redo(): void {
    this.at.update((at) => Math.min(this.versions().length, at + 1));
  }

  /** Drops what is not followed. */
  drop(): void {
    this.stop();
    this.broken.set(undefined);
    this.begin(undefined);
  }

  /** Follows the plan from now on. Returns what went wrong, in words, or undefined when it is in the ledger. */
  follow(): string | undefined {
    this.stop();
    const now = this.now();
    const settings = this.settings();
    if (!now || !settings) return 'The job is not loaded yet.';
    const { schedule } = now;
    const result = this.desk.record({
      kind: 'plan-followed',
      half: this.half(),
      ...workOrder(now),
      ...settings,
      finishMin: schedule.costs.finishMin,
      heightChanges: schedule.costs.heightChanges,
    });
    if ('refused' in result) return result.refused;
    this.begin(undefined);
    return undefined;
  }

  private ready(settings: PlanSettings | undefined): Prepared | undefined {
    const state = this.desk.state();
    return state && settings && prepared(state, this.half(), settings, this.ownMinutes());
  }

  private push(version: Omit<Version, 'madeAt'>): void {
    const kept = this.versions().slice(Math.max(0, this.at() - MOST_VERSIONS), this.at());
    this.versions.set([...kept, { ...version, madeAt: Date.now() }]);
    this.at.set(kept.length + 1);
  }

  /** Takes up what this device kept under `key`, unless something newer was made while it was read. */
  private async takeUpKept(key: string): Promise<void> {
    this.taken.set('');
    this.begin(undefined);
    const kept = await this.drafts.read(key);
    const id = this.desk.job()?.id;
    if (id === undefined || keyOf(id, this.half()) !== key) return;
    if (isVersion(kept) && this.version() === undefined) this.begin(kept);
    this.taken.set(key);
  }

  private begin(version: Version | undefined): void {
    this.versions.set(version ? [version] : []);
    this.at.set(version ? 1 : 0);
  }
}

function isVersion(value: unknown): value is Version {
  if (typeof value !== 'object' || value === null) return false;
  const { settings, order, moveFirst = [], words, madeAt } = value as Partial<Version>;
  return (
    planSettingsSchema.isValidSync(settings, { strict: true }) &&
    [order, moveFirst].every((ids) => Array.isArray(ids) && ids.every((id) => typeof id === 'string')) &&
    typeof words === 'string' &&
    typeof madeAt === 'number'
  );
}
