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
import type { Pose } from '@brisk/core/clearance';
import { fromBelow, overhangMm, rigOf, USUAL_PICKS, type FromBelow, type Picks, type Rig } from '@brisk/core/lift';
import { GRAVITY, RiggingError, type HoleJudgement, type Lack } from '@brisk/core/rigging';
import { CAUTION_WORDS } from '@brisk/core/connection-map';
import { sentence } from '@brisk/core/words';
import type { Subscription } from 'rxjs';
import { RouterLink } from '@angular/router';
import { BayFromTheSide, type Hanging } from '../../map/bay-from-the-side';
import { GearShed } from '../../planning/gear-shed';
import { WaySearch } from '../../planning/way-search';
import { Slide } from '../../ui/slide';
import { GearRows, type GearRow } from './gear-rows';
import { LiftInMeasure } from './lift-in-measure';
import { LiftTabs } from './lift-tabs';

const LACK_WORDS: Readonly<Record<Lack, string>> = {
  'too short': 'too short',
  'rated too low': 'not rated for it',
  'does not go low enough': 'does not go low enough',
  'does not go high enough': 'does not go high enough',
};
const HOLE_WORDS: Readonly<Record<HoleJudgement['wrong'][number], string>> = {
  'too short': 'does not reach it',
  'rated too low': 'not rated for it',
  'hook too low': 'hook does not come high enough',
  'hook too high': 'hook does not come low enough',
};

/** How the powerpack hangs: centre of gravity, slings, leveller and boom, drawn with their figures. */
@Component({
  selector: 'bl-lift-rig',
  imports: [BayFromTheSide, GearRows, LiftTabs, RouterLink, Slide],
  providers: [LiftInMeasure],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lift-rig.html',
  styleUrl: './lift-rig.scss',
})
export class LiftRig {
  private readonly inMeasure = inject(LiftInMeasure);
  private readonly search = inject(WaySearch);
  protected readonly sentence = sentence;
  protected readonly underLoad = CAUTION_WORDS['under-load'];
  protected readonly picks = signal<Picks>(USUAL_PICKS);
  private readonly poses = signal<readonly Pose[]>([]);

  protected readonly wayKnown = computed(() => this.poses().length > 0);

  private readonly shaped = this.inMeasure.shaped;
  protected readonly upset = this.inMeasure.wrong;
  /** The leg that hangs on a hook. */
  private readonly at = computed(() => this.inMeasure.legs().findIndex(({ leg }) => leg.by === 'hoist'));
  protected readonly leg = computed(() => this.inMeasure.legs()[this.at()]);
  protected readonly drawn = computed(() => this.shaped() !== undefined);

  private readonly rigged = computed(() => {
    const leg = this.leg();
    const lift = this.shaped()?.lift;
    if (!leg || !lift) return undefined;
    const { raisedMm, gear } = lift;
    try {
      return {
        rig: rigOf(leg, this.picks(), this.poses(), { overhangMm: overhangMm(lift, leg.centre), raisedMm, gear }),
      };
    } catch (error) {
      if (error instanceof RiggingError) return { wrong: error.message };
      throw error;
    }
  });
  /** How it leaves from below, where nothing hangs on a hook. */
  protected readonly below = computed(() => {
    const leg = this.inMeasure.legs().find(({ leg: { by } }) => by !== 'hoist');
    const lift = this.shaped()?.lift;
    return leg && lift && { leg, by: leg.leg.by, ...fromBelow(leg, lift.gear, lift.raisedMm) };
  });
  protected readonly madeUp = inject(GearShed).madeUp;
  protected readonly slings = computed(() => (this.rig()?.slings ?? []).map(slingRow));
  protected readonly hoists = computed(() =>
    (this.rig()?.hoists ?? []).map(({ hoist, holes }) => ({
      name: hoist.name,
      id: hoist.id,
      rows: holes.map(holeRow),
    })),
  );
  protected readonly carriers = computed(() => (this.below()?.carriers ?? []).map(carrierRow));
  protected readonly rig = computed(() => {
    const rigged = this.rigged();
    return rigged && 'rig' in rigged ? rigged.rig : undefined;
  });
  protected readonly wrong = computed(() => {
    const rigged = this.rigged();
    return rigged && 'wrong' in rigged ? rigged.wrong : undefined;
  });
  protected readonly hanging = computed((): Hanging | undefined => {
    const rig = this.rig();
    if (!rig) return undefined;
    return {
      hook: rig.hook,
      centre: rig.centre,
      words: `${Math.round(rig.massKg)} kg`,
      slings: rig.legs.map((leg, index) => ({
        pick: rig.picks[index as 0 | 1],
        words: `${kgf(leg.tensionN)} kg, ${Math.round(leg.angleDeg)}°`,
        flat: rig.judged[index as 0 | 1] !== 'as drawn',
      })),
    };
  });
  protected readonly refused = computed(() => this.rig()?.judged.includes('refused') ?? false);
  protected readonly flat = computed(() => this.rig()?.judged.includes('flat') ?? false);

  constructor() {
    let running: Subscription | undefined;
    effect(() => {
      const shaped = this.shaped();
      const leg = this.at();
      running?.unsubscribe();
      untracked(() => this.poses.set([]));
      if (!shaped || leg < 0) return;
      running = this.search.find({ facts: shaped.facts, plan: shaped.plan, leg }).subscribe({
        next: ({ way, fine }) => {
          if (way && way !== 'none') this.poses.set(way.poses);
          if (fine) running?.unsubscribe();
        },
        error: () => this.poses.set([]),
      });
    });
    inject(DestroyRef).onDestroy(() => running?.unsubscribe());
  }

  protected change(picks: Partial<Picks>): void {
    this.picks.update((before) => ({ ...before, ...picks }));
  }

  protected per = (share: number): string => `${Math.round(share * 100)} %`;
}

function slingRow({ gear, wrong }: Rig['slings'][number]): GearRow {
  const stamped = `${gear.name}, ${gear.lengthMm} mm, ${gear.ratedKg} kg`;
  return { id: gear.id, stamped, lacks: lacksIn(LACK_WORDS, wrong), does: 'long enough and rated for the pull' };
}

function holeRow({ hole, loadKg, wrong }: HoleJudgement): GearRow {
  const does = `reaches it; ${loadKg.toFixed(0)} kg with a quarter more for the jerk`;
  const stamped = `${hole.reachMm} mm, ${hole.ratedKg} kg`;
  return { id: String(hole.reachMm), stamped, lacks: lacksIn(HOLE_WORDS, wrong), does };
}

function carrierRow({ gear, wrong, bodyUpMm }: FromBelow['carriers'][number]): GearRow {
  const height = 'deckMm' in gear ? `deck ${gear.deckMm}` : `${gear.lowestMm} to ${gear.highestMm}`;
  const stamped = `${gear.name}, ${height} mm, ${gear.ratedKg} kg`;
  return { id: gear.id, stamped, lacks: lacksIn(LACK_WORDS, wrong), does: `body up ${bodyUpMm.toFixed(0)} mm` };
}

function lacksIn<What extends string>(words: Readonly<Record<What, string>>, wrong: readonly What[]): string {
  return wrong.map((what) => words[what]).join(', ');
}

/** What pulls in a sling as the weight that would pull as hard: what a crew reads off a scale. */
function kgf(newtons: number): number {
  return Math.round(newtons / GRAVITY);
}
