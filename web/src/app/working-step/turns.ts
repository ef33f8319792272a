import { computed, effect, signal, untracked, type Signal } from '@angular/core';
import type { JobState } from '@brisk/core/ledger';
import { planned, settingsNow, turnsOf } from '@brisk/core/planning';
import { halfOf, type OperationId, type WorkPhase } from '@brisk/core/teardown';

/** Who does each step by the plan that is followed. */
export type Turns = ReadonlyMap<OperationId, readonly string[]>;

const NOBODY: Turns = new Map();

/** How long a touch and what it draws are left alone before the turns are worked out anew. */
const AFTER_A_TOUCH_MS = 60;

/**
 * Who does what by the plan that is followed; empty where none is, or where one works alone. Planning a half takes
 * longer than a touch may, so what was worked out before stands until there is time for it. Call within an injection
 * context.
 */
export function turnsBetweenTouches(state: Signal<JobState>, phases: Signal<readonly WorkPhase[]>): Signal<Turns> {
  const turns = signal<Turns | undefined>(undefined);
  effect((onCleanup) => {
    const now = state();
    const [phase = 'strip'] = phases();
    const workOut = () => turns.set(turnsNow(now, phase));
    if (untracked(turns) === undefined) {
      workOut();
      return;
    }
    const soon = setTimeout(workOut, AFTER_A_TOUCH_MS);
    onCleanup(() => clearTimeout(soon));
  });
  return computed(() => turns() ?? NOBODY);
}

function turnsNow(state: JobState, phase: WorkPhase): Turns {
  const half = halfOf(phase);
  const followed = state.plans.get(half);
  if (!followed || followed.settings.crew.hands.length < 2) return NOBODY;
  return turnsOf(planned(state, half, settingsNow(state, half, [], Date.now()), followed));
}
