import { computed, inject, Injectable } from '@angular/core';
import type { JobPlan } from '@brisk/core/connection-map';
import { inShape, legsOf, liftFacts, type LiftFacts, type LiftOf } from '@brisk/core/lift';
import type { JobState } from '@brisk/core/ledger';
import type { LiftingGear } from '@brisk/core/rigging';
import { ShapeError } from '@brisk/core/shape';
import equal from 'fast-deep-equal';
import { GearShed } from '../../planning/gear-shed';
import { Desk } from '../../session/desk';

/** A lift in true measure, what it hangs on and the plan it is of, or why its measures cannot be. */
export type InMeasure =
  | { readonly lift: LiftOf; readonly facts: LiftFacts; readonly plan: JobPlan }
  | { readonly wrong: string }
  | undefined;

/** The lift of the open job in true measure, for every page of the stop; it stays the same until something of it changes. */
@Injectable()
export class LiftInMeasure {
  private readonly desk = inject(Desk);
  private readonly shed = inject(GearShed);

  private readonly known = computed(
    (): InMeasure => {
      const state = this.desk.state();
      return state && inMeasure(state, this.shed.gear());
    },
    { equal: alike },
  );
  readonly shaped = computed(() => {
    const known = this.known();
    return known && 'lift' in known ? known : undefined;
  });
  readonly wrong = computed(() => {
    const known = this.known();
    return known && 'wrong' in known ? known.wrong : undefined;
  });
  readonly legs = computed(() => {
    const shaped = this.shaped();
    return shaped ? legsOf(shaped.lift) : [];
  });
}

/** The lift of `state` in true measure, with the shop’s own `gear`. */
export function inMeasure(state: JobState, gear: LiftingGear): InMeasure {
  try {
    const facts = liftFacts(state, gear);
    const lift = inShape(facts);
    return lift && { lift, facts, plan: state.work.plan };
  } catch (error) {
    if (error instanceof ShapeError) return { wrong: error.message };
    throw error;
  }
}

/** Whether nothing has changed that the lift hangs on: others go on recording meanwhile. */
function alike(one: InMeasure, other: InMeasure): boolean {
  return equal(hangsOn(one), hangsOn(other));
}

function hangsOn(known: InMeasure) {
  if (!known || 'wrong' in known) return known;
  const { map, lump, off, inFirst, ...facts } = known.facts;
  return {
    ...facts,
    parts: map.parts,
    connections: map.connections,
    lump: [...lump].sort(),
    off: [...off].sort(),
    inFirst: [...inFirst].sort(),
  };
}
