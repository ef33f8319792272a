import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { CAUTION_WORDS } from '@brisk/core/connection-map';
import { gateOf, holding, unsettled } from '@brisk/core/ledger';
import { fluidInside, hangingKg, movesHold } from '@brisk/core/lift';
import { ShapeError } from '@brisk/core/shape';
import { operationId, type WorkPhase } from '@brisk/core/teardown';
import { STATION_WORDS, sentence } from '@brisk/core/words';
import { Desk } from '../../session/desk';
import { Selection } from '../../session/selection';
import { Keys } from '../../ui/keys';
import { LiftTabs } from './lift-tabs';
import { LoadWatch } from './load-watch';
import { BayHere } from '../../map/bay-here';
import { HoldPoint } from '../../working-step/hold-point';
import { PlanDraft } from '../../planning/plan-draft';
import { HoldActions } from '../../working-step/hold-actions';
import { StepInHand } from '../../working-step/step-in-hand';

/** What still holds it, the gate before the lift, and the lift in small steps. */
@Component({
  selector: 'bl-lift',
  imports: [BayHere, HoldPoint, LiftTabs, LoadWatch, MatButton, MatIcon, RouterLink, StepInHand],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lift.html',
  styleUrl: './lift.scss',
})
export class Lift {
  protected readonly desk = inject(Desk);
  protected readonly holds = inject(HoldActions);
  protected readonly selection = inject(Selection);
  protected readonly phases: readonly WorkPhase[] = ['strip', 'lift'];
  protected readonly sentence = sentence;
  protected readonly stations = STATION_WORDS;
  protected readonly openId = operationId.open;
  protected readonly underLoad = CAUTION_WORDS['under-load'];

  protected readonly holding = computed(() => {
    const state = this.desk.state();
    return state ? holding(state) : [];
  });
  protected readonly held = computed(() => this.holding().map(({ connection }) => connection));
  protected readonly massKg = computed(() => {
    const state = this.desk.state();
    return state ? Math.round(hangingKg(state)) : 0;
  });
  protected readonly litresInside = computed(() => {
    const state = this.desk.state();
    return state ? fluidInside(state).reduce((sum, { litres }) => sum + litres, 0) : 0;
  });
  protected readonly signed = computed(() => {
    const state = this.desk.state();
    return state !== undefined && gateOf(state, 'pre-lift').signed !== undefined;
  });
  protected readonly out = computed(() => {
    const state = this.desk.state();
    return state !== undefined && unsettled(state, 'lift').length === 0;
  });
  /** Whether the moves of the lift were worked out for the machine as it is now. */
  protected readonly movesHold = computed(() => {
    const state = this.desk.state();
    try {
      return state === undefined || movesHold(state);
    } catch (error) {
      if (error instanceof ShapeError) return false;
      throw error;
    }
  });
  protected readonly leftOn = computed(() => {
    const state = this.desk.state();
    if (!state) return [];
    return [...state.leftAsItIs].flatMap(([id, left]) =>
      left.as === 'attached'
        ? [{ name: sentence(state.work.connections.get(id)?.name ?? id), reason: left.reason }]
        : [],
    );
  });

  constructor() {
    inject(PlanDraft).half.set('out');
    inject(Keys).use({ key: 'f', words: 'Found one more', act: () => void this.holds.found(false) });
  }
}
