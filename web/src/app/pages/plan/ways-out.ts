import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import { MatButton } from '@angular/material/button';
import type { StepHeight } from '@brisk/core/connection-map';
import { lostBy } from '@brisk/core/ledger';
import { settingsNow } from '@brisk/core/planning';
import { waysCompared, type WayOut } from '@brisk/core/ways';
import { duration, HEIGHT_WORDS } from '@brisk/core/words';
import { Desk } from '../../session/desk';
import { withSwap } from '../../planning/swap-plan';
import { concatMap, from, map, type Subscription } from 'rxjs';
import { PlanDraft } from '../../planning/plan-draft';
import { PlanSearch } from '../../planning/plan-search';
import { PlanTabs } from './plan-tabs';
import { weighed, type Figures } from '../../planning/weighing';

/** Every powerpack by every route it can leave by, with what each costs, to choose from until something is recorded that another way would not have. */
@Component({
  selector: 'bl-ways-out',
  imports: [MatButton, PlanTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ways-out.html',
  styleUrl: './ways-out.scss',
})
export class WaysOut {
  private readonly desk = inject(Desk);
  private readonly router = inject(Router);
  private readonly search = inject(PlanSearch);
  private readonly draft = inject(PlanDraft);
  private readonly figures = signal<ReadonlyMap<string, Figures>>(new Map());
  protected readonly heights = HEIGHT_WORDS;
  protected readonly duration = duration;
  protected readonly trouble = signal('');
  protected readonly taking = signal(false);

  protected readonly ways = computed(() => {
    const job = this.desk.job();
    const state = this.desk.state();
    if (!job || !state) return [];
    const { map, powerpack, route } = job.plan;
    const all = waysCompared(map);
    const fewest = Math.min(...all.map(({ opened }) => opened));
    return all.map((way, index) => {
      const figures = this.figures().get(keyOf(way));
      const taken = way.powerpack.id === powerpack && way.route.id === route;
      const plan = withSwap({ ...job.plan, powerpack: way.powerpack.id, route: way.route.id }, job.swap);
      return {
        way,
        taken,
        out: figures?.halves.out,
        back: figures?.halves.back,
        moved:
          figures?.halves.out && figures.halves.back
            ? figures.halves.out.costs.heightChanges + figures.halves.back.costs.heightChanges
            : undefined,
        lifted: heightOf(way.route.liftSteps),
        lowered: heightOf(way.route.lowerSteps),
        quickest: index === 0,
        fewest: way.opened === fewest,
        lost: taken || state.position === 0 ? [] : lostBy(state, plan),
      };
    });
  });

  protected readonly crew = computed(
    () =>
      this.settings()
        ?.crew.hands.map(({ name }) => name)
        .join(' and ') ?? '',
  );

  constructor() {
    const running = this.weighAll();
    inject(DestroyRef).onDestroy(() => running?.unsubscribe());
  }

  protected async take({ powerpack, route }: WayOut): Promise<void> {
    const job = this.desk.job();
    if (!job || this.taking()) return;
    this.taking.set(true);
    const wrong = await this.desk.replan({
      ...job,
      plan: withSwap({ ...job.plan, powerpack: powerpack.id, route: route.id }, job.swap),
    });
    this.taking.set(false);
    this.trouble.set(wrong ?? '');
    if (wrong === undefined) await this.router.navigate(['/jobs', job.id, 'plan']);
  }

  private settings() {
    const state = this.desk.state();
    const job = this.desk.job();
    return state && job && (this.draft.settings() ?? settingsNow(state, 'out', job.crew, Date.now()));
  }

  /** Plans every way with the crew, one after the other, for a whole job from its beginning. */
  private weighAll(): Subscription | undefined {
    const job = this.desk.job();
    const settings = this.settings();
    if (!job || !settings) return undefined;
    return from(waysCompared(job.plan.map))
      .pipe(
        concatMap((way) =>
          weighed(
            this.search,
            withSwap({ ...job.plan, powerpack: way.powerpack.id, route: way.route.id }, job.swap),
            [],
            { ...settings, pins: [], waits: [] },
            EACH_MS,
          ).pipe(map((figures) => [keyOf(way), figures] as const)),
        ),
      )
      .subscribe({
        next: ([key, figures]) => this.figures.update((before) => new Map(before).set(key, figures)),
        error: (error: unknown) => this.trouble.set(error instanceof Error ? error.message : String(error)),
      });
  }
}

/** How long each half of each way is searched. */
const EACH_MS = 500;

function keyOf({ powerpack, route }: Pick<WayOut, 'powerpack' | 'route'>): string {
  return `${powerpack.id} ${route.id}`;
}

/** How the machine stands for the steps of a lift, as far as they say. */
function heightOf(steps: readonly { readonly height: StepHeight }[]): StepHeight {
  return steps.find(({ height }) => height !== 'either')?.height ?? 'either';
}
