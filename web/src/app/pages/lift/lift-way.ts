import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { FormControl } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { MatSliderModule } from '@angular/material/slider';
import { RouterLink } from '@angular/router';
import { positive } from '@brisk/contracts/fields';
import { Gaps, poseBetween, pushedFrom, SEATED, WIDE_MM, type Pose } from '@brisk/core/clearance';
import {
  GO_MM,
  goesThrough,
  hookFor,
  measuresOf,
  moveWords,
  movesToGoBy,
  movesToTake,
  poseWords,
  saysPush,
  seatedInEachOther,
  verdictOf,
  withoutPart,
  type Measure,
  type Move,
  type Offer,
  type WayFound,
} from '@brisk/core/lift';
import { levellerFor } from '@brisk/core/rigging';
import type { PlaneName } from '@brisk/core/shape';
import type { MovesOut } from '@brisk/core/work';
import { operationId } from '@brisk/core/teardown';
import { sentence } from '@brisk/core/words';
import equal from 'fast-deep-equal';
import type { Subscription } from 'rxjs';
import { BayFromTheSide, type BayView, type Tape } from '../../map/bay-from-the-side';
import { GearShed } from '../../planning/gear-shed';
import { WaySearch } from '../../planning/way-search';
import { withSwap } from '../../planning/swap-plan';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { EntryField } from '../../ui/entry-field';
import { InSight } from '../../ui/in-sight';
import { yupRule } from '../../ui/yup-rule';
import { inMeasure, LiftInMeasure } from './lift-in-measure';
import { LiftTabs } from './lift-tabs';
import { WayPlayer } from './way-player';

/** What one go of hoist or jack may be, in mm. */
const GOES_MM = [25, 50, 100] as const;

/** The way of the powerpack through its bay, played: where it pinches, how it is moved, what one more part off would buy. */
@Component({
  selector: 'bl-lift-way',
  imports: [
    BayFromTheSide,
    EntryField,
    InSight,
    LiftTabs,
    MatButton,
    MatProgressBar,
    MatSliderModule,
    NgTemplateOutlet,
    RouterLink,
  ],
  providers: [LiftInMeasure],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lift-way.html',
  styleUrl: './lift-way.scss',
})
export class LiftWay {
  private readonly desk = inject(Desk);
  private readonly inMeasure = inject(LiftInMeasure);
  private readonly shed = inject(GearShed);
  private readonly recorder = inject(Recorder);
  private readonly search = inject(WaySearch);
  private readonly shaped = this.inMeasure.shaped;
  protected readonly sentence = sentence;
  protected readonly wideMm = WIDE_MM;

  protected readonly leg = signal(0);
  protected readonly view = signal<BayView>('side');
  protected readonly trouble = signal('');
  protected readonly taking = signal(false);
  protected readonly removeOf = operationId.remove;

  protected readonly upset = this.inMeasure.wrong;
  protected readonly legs = this.inMeasure.legs;
  protected readonly here = computed(() => this.legs()[this.leg()]);
  /** What is known of the way of each leg that was looked at. */
  private readonly foundOf = linkedSignal<unknown, ReadonlyMap<number, WayFound>>({
    source: () => this.shaped(),
    computation: () => new Map(),
  });
  protected readonly found = computed(() => this.foundOf().get(this.leg()));
  /** The first answer of each leg, once there is a refined one to hold it against. */
  private readonly firstOf = linkedSignal<unknown, ReadonlyMap<number, WayFound>>({
    source: () => this.shaped(),
    computation: () => new Map(),
  });
  /** Whether the first answer is looked at and not the one to go by. */
  protected readonly looksAtFirst = linkedSignal<unknown, boolean>({
    source: () => [this.shaped(), this.leg()],
    computation: () => false,
  });
  /** What is shown and played. */
  private readonly looked = computed(() => {
    const first = this.firstOf().get(this.leg());
    return this.looksAtFirst() && first ? first : this.found();
  });
  /** The first answer and the refined one, with what each costs in moves and leaves in room. */
  protected readonly answers = computed(() => {
    const [first, fine] = [this.firstOf().get(this.leg()), this.found()];
    const lift = this.shaped()?.lift;
    const leg = this.here();
    if (!first || !fine?.fine || !lift || !leg) return [];
    return [first, fine].flatMap((one) => {
      if (one.way === undefined || one.way === 'none') return [];
      const { goes, mm } = verdictOf(lift, leg, one.way);
      return [{ first: one === first, moves: one.moves.length, goes, mm: Math.floor(mm) }];
    });
  });
  /** It hangs on a hook, and no hoist of the shop reaches over it and is rated for it. */
  protected readonly noHoist = computed(() => {
    const lift = this.shaped()?.lift;
    const leg = this.here();
    return lift !== undefined && leg?.leg.by === 'hoist' && hookFor(lift, leg) === undefined;
  });
  private readonly gaps = computed(() => {
    const leg = this.here();
    if (!leg) return undefined;
    const pushed = this.isPushed() ? this.found()?.aside : undefined;
    return new Gaps(pushed ? pushedFrom(leg.scene, SEATED, pushed.yMm) : leg.scene);
  });
  private readonly isPushed = computed(() => this.asideMm() !== 0);

  protected readonly way = computed(() => {
    const way = this.looked()?.way;
    return way === 'none' ? undefined : way;
  });
  protected readonly noWay = computed(() => this.looked()?.way === 'none');
  /** The legs that are pushed aside on their way, as somebody chose. */
  private readonly asideLegs = linkedSignal<unknown, ReadonlySet<number>>({
    source: () => this.shaped(),
    computation: () => {
      const { moves } = this.desk.state() ?? {};
      const legs = moves ? [moves, ...(moves.then ?? [])] : [];
      return new Set(legs.flatMap(({ out }, index) => (out.some(saysPush) ? [index] : [])));
    },
  });
  protected readonly isAside = computed(() => this.asideLegs().has(this.leg()) && this.found()?.aside !== undefined);
  private readonly goMoves = computed((): readonly Move[] => this.movesOf(this.leg(), this.looked()));
  /** How far it is pushed aside by now, in mm. */
  protected readonly asideMm = computed(() => {
    const aside = this.isAside() ? this.found()?.aside : undefined;
    const push = this.goMoves().findIndex(({ parts }) => parts.some(({ kind }) => kind === 'left' || kind === 'right'));
    return aside && push >= 0 ? aside.yMm * Math.min(1, Math.max(0, this.player.at() - push)) : 0;
  });
  protected readonly moves = computed(() => {
    const leg = this.here();
    const gear = this.shaped()?.lift.gear;
    return this.goMoves().map((move) => ({
      move,
      words: leg && gear ? moveWords(move, leg, levellerFor(gear, leg.massKg), this.goMm()) : '',
      room: Math.round(move.clearanceMm),
      watch: move.watch[0],
    }));
  });
  protected readonly player = new WayPlayer(() => this.moves().length);
  protected readonly pose = computed((): Pose => {
    const moves = this.goMoves();
    const at = this.player.at();
    const move: Move | undefined = moves[Math.min(Math.floor(at), moves.length - 1)];
    return move ? poseBetween(move.from, move.to, Math.min(1, at - moves.indexOf(move))) : SEATED;
  });
  protected readonly nearest = computed(() => this.gaps()?.nearest(this.pose(), 3, 600) ?? []);
  protected readonly corners = computed(() => [SEATED, ...this.goMoves().map(({ to }) => to)]);

  /** Things that by what was measured are in each other where they sit: that cannot be. */
  protected readonly seatedWrong = computed(() => {
    const leg = this.here();
    const gap = leg && seatedInEachOther(leg);
    return gap && { one: sentence(gap.moving.name), other: gap.still.name, mm: Math.round(-gap.mm) };
  });

  protected readonly verdict = computed(() => {
    const way = this.way();
    const lift = this.shaped()?.lift;
    const leg = this.here();
    if (!way || !lift || !leg || this.seatedWrong()) return undefined;
    const { goes, mm, unsureMm } = verdictOf(lift, leg, way);
    return {
      goes,
      sure: mm > unsureMm,
      mayTouch: goes && mm <= unsureMm,
      mm: Math.floor(mm),
      unsureMm: Math.round(unsureMm),
      pinch: way.pinch && {
        one: sentence(way.pinch.moving.name),
        other: way.pinch.still.name,
        where: poseWords(way.pinch.pose),
      },
    };
  });

  /** The leg that has to be looked at before the moves can be taken. */
  protected readonly otherLeg = computed(() => {
    const missing = this.legs().findIndex((_leg, index) => !this.foundOf().get(index)?.fine);
    return missing >= 0 && missing !== this.leg() && this.found()?.fine ? missing : undefined;
  });
  /** What somebody chose one go to be; absent: that of the moves that were taken, or the usual. */
  private readonly chosenGoMm = signal<number | undefined>(undefined);
  protected readonly goes = GOES_MM;
  protected readonly goMm = computed(() => this.chosenGoMm() ?? this.takenGoMm() ?? GO_MM);
  private readonly takenGoMm = computed(() => {
    const { moves } = this.desk.state() ?? {};
    return moves && GOES_MM.find((goMm) => equal(moves, this.stepsBy(goMm)));
  });
  protected readonly taken = computed((): 'these' | 'others' | 'none' | undefined => {
    const steps = this.stepsBy(this.goMm());
    if (!steps) return undefined;
    const { moves } = this.desk.state() ?? {};
    return moves === undefined ? 'none' : equal(moves, steps) ? 'these' : 'others';
  });

  /** The way back, where it is another one than the way out. */
  protected readonly wayBack = computed(() => {
    const lift = this.shaped()?.lift;
    const back = this.found()?.back;
    if (!lift || !back || back === 'as out') return undefined;
    const names = [...lift.off]
      .filter((part) => lift.inFirst.has(part))
      .map((part) => lift.map.parts.find(({ id }) => id === part)?.name ?? part);
    const { way } = back;
    return {
      names: names.join(', '),
      goes: way !== 'none' && goesThrough(way),
      mm: way === 'none' ? 0 : Math.floor(goesThrough(way) ? way.onTheWayMm : -way.clearanceMm),
    };
  });
  /** Where pushing it to one side gives more room. */
  protected readonly aside = computed(() => {
    const aside = this.found()?.aside;
    return (
      aside && {
        by: `${Math.round(Math.abs(aside.yMm))} mm to the ${aside.yMm > 0 ? 'left' : 'right'}`,
        where: poseWords(aside.at),
        mm: Math.floor(aside.clearanceMm),
      }
    );
  });

  protected readonly measures = computed(() => {
    const shape = this.shaped()?.lift.shape;
    return shape ? measuresOf(shape, this.way()?.pinch) : [];
  });

  /** The measure whose card is open. */
  protected readonly taped = signal<PlaneName | undefined>(undefined);
  protected readonly tapedMm = new FormControl<number | null>(null, yupRule(positive(20_000).label('Millimetres')));
  /** Why what was measured cannot be. */
  protected readonly unfit = signal('');
  protected readonly measuring = computed(() => this.measures().filter(({ plane }) => plane === this.taped()));
  protected readonly tape = computed((): Tape | undefined => {
    const [measure] = this.measuring();
    return measure && { ...measure.tape, words: tapeWords(measure) };
  });

  constructor() {
    let running: Subscription | undefined;
    effect(() => {
      const shaped = this.shaped();
      const leg = this.leg();
      running?.unsubscribe();
      untracked(() => {
        this.player.goTo(0);
        this.trouble.set('');
      });
      if (!shaped || untracked(this.found)?.share === 1) return;
      running = this.search.find({ facts: shaped.facts, plan: shaped.plan, leg }).subscribe({
        next: (found) => {
          if (!found.fine && found.way !== undefined)
            this.firstOf.update((before) => new Map(before).set(leg, { ...found, share: 1 }));
          this.foundOf.update((before) => new Map(before).set(leg, found));
        },
        error: (error: unknown) => this.trouble.set(error instanceof Error ? error.message : String(error)),
      });
    });
    inject(DestroyRef).onDestroy(() => {
      running?.unsubscribe();
      this.player.goTo(0);
    });
  }

  /** The moves of every leg as steps of the lift, once they are the ones to go by. */
  private stepsBy(goMm: number): MovesOut | undefined {
    const shaped = this.shaped();
    const legs = this.legs().flatMap((leg, index) => {
      const found = this.foundOf().get(index);
      const goBy = found && movesToGoBy(found, this.asideLegs().has(index));
      return goBy ? [{ leg, ...goBy }] : [];
    });
    if (!shaped || legs.length < this.legs().length) return undefined;
    return movesToTake(shaped.plan, shaped.lift, legs, goMm);
  }

  private movesOf(leg: number, found: WayFound | undefined): readonly Move[] {
    return (this.asideLegs().has(leg) ? found?.aside?.moves : undefined) ?? found?.moves ?? [];
  }

  protected pushAside(on: boolean): void {
    this.player.goTo(0);
    this.asideLegs.update((before) => {
      const legs = new Set(before);
      if (on) legs.add(this.leg());
      else legs.delete(this.leg());
      return legs;
    });
  }

  protected goBy(mm: number): void {
    this.chosenGoMm.set(mm);
  }

  protected workBy(): void {
    const steps = this.stepsBy(this.goMm());
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

  /** Opens the card of a measure, with its tape on the picture; or puts it away. */
  protected hold(measure: Measure | undefined): void {
    this.taped.set(measure?.plane === this.taped() ? undefined : measure?.plane);
    this.tapedMm.reset(null);
    this.unfit.set('');
    if (measure) {
      this.player.goTo(0);
      this.view.set('side');
    }
  }

  protected measured(plane: PlaneName): void {
    const mm = this.tapedMm.value;
    this.tapedMm.markAsTouched();
    if (mm === null || this.tapedMm.invalid) return;
    const wrong = this.turnsInsideOut(plane, mm);
    if (wrong === undefined) {
      this.recorder.record(`${mm} mm noted`, { kind: 'machine-measured', plane, mm });
      this.hold(undefined);
    } else this.unfit.set(wrong);
  }

  /** Why a measurement cannot be, or nothing where it can. */
  private turnsInsideOut(plane: PlaneName, mm: number): string | undefined {
    const state = this.desk.state();
    const measured =
      state && inMeasure({ ...state, measured: new Map(state.measured).set(plane, mm) }, this.shed.gear());
    return measured && 'wrong' in measured ? measured.wrong : undefined;
  }
}

/** What the tape gives, or usually does on this layout. */
function tapeWords({ measuredMm, usualMm }: Measure): string {
  return measuredMm === undefined ? `usually ${usualMm} mm` : `${measuredMm} mm`;
}
