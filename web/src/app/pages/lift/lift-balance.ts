import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { CAUTION_WORDS } from '@brisk/core/connection-map';
import { footingsOf, standingsOf, type Footing, type StandingAt } from '@brisk/core/lift';
import { EDGE_SHARE, GRAVITY, RiggingError } from '@brisk/core/rigging';
import { Slide } from '../../ui/slide';
import { LiftInMeasure } from './lift-in-measure';
import { LiftTabs } from './lift-tabs';

const AT_WORDS: Readonly<Record<StandingAt, string>> = {
  whole: 'As it came',
  stripped: 'Ready for the lift',
  out: 'Powerpack out',
};

/** What is left free before the nose on the picture, and how finely a stand is moved, in mm. */
const BEFORE_NOSE_MM = 200;
const STEP_MM = 10;

/** How the machine stands on its supports while its weight leaves it. */
@Component({
  selector: 'bl-lift-balance',
  imports: [LiftTabs, Slide],
  providers: [LiftInMeasure],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lift-balance.html',
  styleUrl: './lift-balance.scss',
})
export class LiftBalance {
  private readonly inMeasure = inject(LiftInMeasure);
  protected readonly stands = CAUTION_WORDS.stands;
  protected readonly edge = Math.round(EDGE_SHARE * 100);
  /** The stand that hangs on somebody’s finger. */
  protected readonly held = signal<keyof Footing | undefined>(undefined);
  private readonly moved = signal<Partial<Footing>>({});

  protected readonly upset = this.inMeasure.wrong;
  private readonly lift = computed(() => this.inMeasure.shaped()?.lift);
  private readonly usual = computed(() => {
    const lift = this.lift();
    return lift && footingsOf(lift);
  });
  protected readonly footing = computed((): Footing | undefined => {
    const usual = this.usual();
    return usual && { ...usual.stands, ...this.moved() };
  });
  protected readonly ends = computed(() => {
    const planes = this.lift()?.shape.planes;
    return { nose: planes?.get('nose') ?? 700, tail: planes?.get('tail-end') ?? -3_500 };
  });
  private readonly judged = computed(() => {
    const lift = this.lift();
    const footing = this.footing();
    const usual = this.usual();
    if (!lift || !footing || !usual) return undefined;
    try {
      const wheels = standingsOf(lift, usual.wheels);
      return standingsOf(lift, footing).map(({ at, massKg, balance }, index) => ({
        at,
        words: AT_WORDS[at],
        massKg: Math.round(massKg),
        front: kg(balance.frontN),
        rear: kg(balance.rearN),
        axleFront: kg(wheels[index]?.balance.frontN ?? 0),
        axleRear: kg(wheels[index]?.balance.rearN ?? 0),
        xMm: balance.centreMm,
        margin: Math.round(balance.marginShare * 100),
        is: balance.is,
      }));
    } catch (error) {
      if (error instanceof RiggingError) return error.message;
      throw error;
    }
  });
  protected readonly stages = computed(() => {
    const judged = this.judged();
    return typeof judged === 'string' ? [] : (judged ?? []);
  });
  protected readonly wrong = computed(() => {
    const judged = this.judged();
    return typeof judged === 'string' ? judged : undefined;
  });
  protected readonly worst = computed(() => {
    const is = this.stages().map((stage) => stage.is);
    return is.includes('outside') ? 'outside' : is.includes('near the edge') ? 'near the edge' : 'inside';
  });

  /** The machine from the side in mm, nose to the left. */
  protected readonly picture = computed(() => {
    const { nose, tail } = this.ends();
    const usual = this.usual();
    const footing = this.footing();
    if (!usual || !footing) return undefined;
    const x = (mm: number) => nose + BEFORE_NOSE_MM - mm;
    return {
      viewBox: `0 0 ${nose - tail + 400} 1500`,
      width: nose - tail,
      wheels: [x(usual.wheels.frontMm), x(usual.wheels.rearMm)],
      front: x(footing.frontMm),
      rear: x(footing.rearMm),
      onRearWheels: Math.abs(footing.rearMm - usual.wheels.rearMm) < 60,
      centres: this.stages().map(({ xMm, words, is }, index) => ({ x: x(xMm), words, is, y: 300 + index * 190 })),
    };
  });

  /** Follows the hand with a stand; the sliders below do the same without a mouse. */
  protected grab(event: PointerEvent, which: keyof Footing): void {
    (event.target as Element).setPointerCapture(event.pointerId);
    this.held.set(which);
  }

  protected drag(event: PointerEvent): void {
    const which = this.held();
    const sheet = (event.currentTarget as SVGSVGElement).getScreenCTM();
    if (!which || !sheet) return;
    const { nose, tail } = this.ends();
    const at = nose + BEFORE_NOSE_MM - new DOMPoint(event.clientX, event.clientY).matrixTransform(sheet.inverse()).x;
    this.move({ [which]: Math.min(nose, Math.max(tail, Math.round(at / STEP_MM) * STEP_MM)) });
  }

  protected letGo(): void {
    this.held.set(undefined);
  }

  protected mm = (mm: number): number => Math.abs(mm);
  protected side = (mm: number): string => (mm > 0 ? 'before' : 'behind');

  protected move(change: Partial<Footing>): void {
    this.moved.update((before) => ({ ...before, ...change }));
  }
}

function kg(newtons: number): number {
  return Math.round(newtons / GRAVITY);
}
