import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { MatSliderModule } from '@angular/material/slider';
import { positive } from '@brisk/contracts/fields';
import type { JobPlan } from '@brisk/core/connection-map';
import { Gaps, poseBetween, SEATED, WIDE_MM, type Pose } from '@brisk/core/clearance';
import {
  legsOf,
  liftFor,
  moveWords,
  movesToTake,
  withoutPart,
  type LiftOf,
  type Move,
  type Offer,
  type WayFound,
} from '@brisk/core/lift';
import { levellerFor } from '@brisk/core/rigging';
import { PLANES, ShapeError, spreadBetween, type PlaneName } from '@brisk/core/shape';
import { sentence } from '@brisk/core/words';
import equal from 'fast-deep-equal';
import type { Subscription } from 'rxjs';
import { BayFromTheSide, type BayView } from '../../map/bay-from-the-side';
import { WaySearch } from '../../planning/way-search';
import { withSwap } from '../../planning/swap-plan';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { Ask } from '../../ui/ask';
import { LiftTabs } from './lift-tabs';
import { measuresOf } from './measures';

/** A lift in true measure, and the plan it is of. */
interface Shaped {
  readonly lift: LiftOf;
  readonly plan: JobPlan;
}

/** Moves that are shown in one second. */
const MOVES_A_SECOND = 0.9;

/** The way of the powerpack through its bay, played: where it pinches, how it is moved, what one more part off would buy. */
@Component({
  selector: 'bl-lift-way',
  imports: [BayFromTheSide, LiftTabs, MatButton, MatProgressBar, MatSliderModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lift-way.html',
  styleUrl: './lift-way.scss',
})
export class LiftWay {
  private readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);
  private readonly search = inject(WaySearch);
  protected readonly sentence = sentence;
  protected readonly wideMm = WIDE_MM;

  protected readonly leg = signal(0);
  protected readonly view = signal<BayView>('side');
  /** How many moves are done; between two whole figures one is under way. */
  protected readonly at = signal(0);
  protected readonly playing = signal(false);
  protected readonly found = signal<WayFound | undefined>(undefined);
  protected readonly trouble = signal('');
  protected readonly taking = signal(false);

  private readonly lift = computed((): Shaped | { readonly wrong: string } | undefined => {
    const state = this.desk.state();
    if (!state) return undefined;
    try {
      const lift = liftFor(state);
      return lift && { lift, plan: state.work.plan };
    } catch (error) {
      if (error instanceof ShapeError) return { wrong: error.message };
      throw error;
    }
  });
  protected readonly upset = computed(() => {
    const lift = this.lift();
    return lift && 'wrong' in lift ? lift.wrong : undefined;
  });
  private readonly shaped = computed((): Shaped | undefined => {
    const lift = this.lift();
    return lift && 'lift' in lift ? lift : undefined;
  });
  protected readonly legs = computed(() => {
    const shaped = this.shaped();
    return shaped ? legsOf(shaped.lift) : [];
  });
  protected readonly here = computed(() => this.legs()[this.leg()]);
  private readonly gaps = computed(() => {
    const leg = this.here();
    return leg && new Gaps(leg.scene);
  });

  protected readonly way = computed(() => {
    const way = this.found()?.way;
    return way === 'none' ? undefined : way;
  });
  protected readonly noWay = computed(() => this.found()?.way === 'none');
  protected readonly moves = computed(() => {
    const leg = this.here();
    const gear = this.shaped()?.lift.gear;
    return (this.found()?.moves ?? []).map((move) => ({
      move,
      words: leg && gear ? moveWords(move, leg, levellerFor(gear, leg.massKg)) : '',
      room: Math.round(move.clearanceMm),
      watch: move.watch[0],
    }));
  });
  protected readonly pose = computed((): Pose => {
    const moves = this.found()?.moves ?? [];
    const at = this.at();
    const move: Move | undefined = moves[Math.min(Math.floor(at), moves.length - 1)];
    return move ? poseBetween(move.from, move.to, Math.min(1, at - moves.indexOf(move))) : SEATED;
  });
  protected readonly nearest = computed(() => this.gaps()?.nearest(this.pose(), 3, 600) ?? []);
  protected readonly corners = computed(() => [SEATED, ...(this.found()?.moves ?? []).map(({ to }) => to)]);

  /** How much nearer the pinch may be than drawn, and what has to be measured to know. */
  protected readonly unsure = computed(() => {
    const shape = this.shaped()?.lift.shape;
    const pinch = this.way()?.pinch;
    const leg = this.here();
    const thing = (id: string) => leg && [...leg.moving, ...leg.still].find((one) => one.id === id);
    const [one, other] = pinch ? [thing(pinch.moving.id), thing(pinch.still.id)] : [];
    return shape && one && other ? Math.round(spreadBetween(shape, one, other)) : 0;
  });

  /** Things that by what was measured are in each other where they sit: that cannot be. */
  protected readonly seatedWrong = computed(() => {
    const gap = this.gaps()?.at(SEATED, 0);
    return gap && { one: sentence(gap.moving.name), other: gap.still.name, mm: Math.round(-gap.mm) };
  });

  protected readonly verdict = computed(() => {
    const way = this.way();
    if (!way || this.seatedWrong()) return undefined;
    const mm = Math.round(
      way.pinch ? Math.min(way.pinch.mm, way.clearanceMm < 0 ? way.clearanceMm : way.pinch.mm) : way.clearanceMm,
    );
    return {
      goes: way.clearanceMm > 0,
      sure: way.clearanceMm > this.unsure(),
      mm: Math.abs(mm),
      wide: way.pinch === undefined,
      pinch: way.pinch && {
        one: sentence(way.pinch.moving.name),
        other: way.pinch.still.name,
        where: whereWords(way.pinch.pose),
      },
    };
  });

  /** The moves as steps of the lift, once they are the ones to go by; only where it leaves in one leg. */
  private readonly toTake = computed(() => {
    const found = this.found();
    const leg = this.here();
    const gear = this.shaped()?.lift.gear;
    const goes = (this.way()?.clearanceMm ?? 0) > 0;
    if (!leg || !gear || !found?.fine || !goes || found.moves.length === 0 || this.legs().length !== 1)
      return undefined;
    const shaped = this.shaped();
    return shaped && movesToTake(shaped.plan, shaped.lift, leg, found.moves, levellerFor(gear, leg.massKg));
  });
  protected readonly taken = computed((): 'these' | 'others' | 'none' | undefined => {
    const steps = this.toTake();
    if (!steps) return undefined;
    const { moves } = this.desk.state() ?? {};
    return moves === undefined ? 'none' : equal(moves, steps) ? 'these' : 'others';
  });

  protected readonly measures = computed(() => {
    const state = this.desk.state();
    const shape = this.shaped()?.lift.shape;
    return shape && state ? measuresOf(shape, this.way()?.pinch) : [];
  });

  constructor() {
    let running: Subscription | undefined;
    effect(() => {
      const shaped = this.shaped();
      const leg = this.leg();
      running?.unsubscribe();
      untracked(() => {
        this.found.set(undefined);
        this.at.set(0);
        this.playing.set(false);
        this.trouble.set('');
      });
      if (!shaped) return;
      running = this.search.find({ ...shaped, leg }).subscribe({
        next: (found) => this.found.set(found),
        error: (error: unknown) => this.trouble.set(error instanceof Error ? error.message : String(error)),
      });
    });
    inject(DestroyRef).onDestroy(() => {
      running?.unsubscribe();
      this.playing.set(false);
    });
  }

  /** Forwards or backwards to the next whole move. */
  protected step(by: 1 | -1): void {
    this.playing.set(false);
    const at = this.at();
    const next = by === 1 ? Math.floor(at + 1) : Math.ceil(at - 1);
    this.at.set(Math.min(Math.max(0, next), this.moves().length));
  }

  protected play(): void {
    if (this.playing()) {
      this.playing.set(false);
      return;
    }
    const last = this.moves().length;
    if (this.at() >= last) this.at.set(0);
    this.playing.set(true);
    // Whoever wants little motion sees where each move ends.
    const leaps = matchMedia('(prefers-reduced-motion: reduce)').matches;
    let before = performance.now();
    const frame = (now: number) => {
      if (!this.playing()) return;
      const by = ((now - before) / 1_000) * MOVES_A_SECOND;
      if (!leaps || by >= 1) {
        before = now;
        this.at.update((at) => Math.min(last, leaps ? Math.floor(at + 1) : at + by));
      }
      if (this.at() >= last) this.playing.set(false);
      else requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
  }

  protected workBy(): void {
    const steps = this.toTake();
    if (steps) this.recorder.record('The lift goes by these moves', { kind: 'moves-taken', ...steps });
  }

  protected async take({ part }: Offer): Promise<void> {
    const job = this.desk.job();
    if (!job || this.taking()) return;
    this.taking.set(true);
    const wrong = await this.desk.replan({ ...job, plan: withSwap(withoutPart(job.plan, part), job.swap) });
    this.taking.set(false);
    this.trouble.set(wrong ?? '');
  }

  protected async measure(plane: PlaneName, usualMm: number, from: string): Promise<void> {
    const answers = await this.asker.ask({
      title: `Measure: ${PLANES[plane].words}`,
      words: `From the ${from}, straight. Usual for this layout: ${usualMm} mm.`,
      questions: [
        {
          field: 'mm',
          label: 'Millimetres',
          as: 'number',
          schema: positive(20_000).label('Millimetres'),
        },
      ],
      action: 'Measured',
    });
    if (!answers) return;
    const mm = Number(answers['mm']);
    const wrong = this.turnsInsideOut(plane, mm);
    if (wrong === undefined) this.recorder.record(`${mm} mm noted`, { kind: 'machine-measured', plane, mm });
    else this.trouble.set(wrong);
  }

  /** Why a measurement cannot be, or nothing where it can. */
  private turnsInsideOut(plane: PlaneName, mm: number): string | undefined {
    const state = this.desk.state();
    if (!state) return undefined;
    try {
      liftFor({ ...state, measured: new Map(state.measured).set(plane, mm) });
      return undefined;
    } catch (error) {
      if (error instanceof ShapeError) return error.message;
      throw error;
    }
  }
}

/** Where on its way a pose is. */
function whereWords({ xMm, zMm, tiltDeg }: Pose): string {
  const parts = [
    Math.abs(zMm) >= 5 ? `${Math.round(Math.abs(zMm))} mm ${zMm > 0 ? 'up' : 'down'}` : '',
    Math.abs(xMm) >= 5 ? `${Math.round(Math.abs(xMm))} mm ${xMm > 0 ? 'to the nose' : 'to the tail'}` : '',
    Math.abs(tiltDeg) >= 1 ? `${tiltDeg > 0 ? 'tail' : 'nose'} ${Math.round(Math.abs(tiltDeg))}° down` : 'level',
  ];
  return parts.filter((part) => part !== '').join(', ');
}
