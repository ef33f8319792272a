import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { CAUTION_WORDS } from '@brisk/core/connection-map';
import { gateOf, holding, powerpackMassKg, unsettled } from '@brisk/core/ledger';
import { operationId, type WorkPhase } from '@brisk/core/teardown';
import { STATION_WORDS, sentence } from '@brisk/core/words';
import { Desk } from '../desk/desk';
import { Selection } from '../job/selection';
import { Keys } from '../keys/keys';
import { BayPicture } from '../picture/bay-picture';
import { HoldPoint } from '../step/hold-point';
import { PlanDraft } from '../plan/plan-draft';
import { StepActions } from '../step/step-actions';
import { StepInHand } from '../step/step-in-hand';

/** What still holds it, the gate before the lift, and the lift in small steps. */
@Component({
  selector: 'bl-lift',
  imports: [BayPicture, HoldPoint, MatButton, RouterLink, StepInHand],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lift.html',
  styleUrl: './lift.scss',
})
export class Lift {
  protected readonly desk = inject(Desk);
  protected readonly actions = inject(StepActions);
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
    return state ? powerpackMassKg(state) : 0;
  });
  protected readonly signed = computed(() => {
    const state = this.desk.state();
    return state !== undefined && gateOf(state, 'pre-lift').signed !== undefined;
  });
  protected readonly out = computed(() => {
    const state = this.desk.state();
    return state !== undefined && unsettled(state, 'lift').length === 0;
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
    inject(Keys).use({ key: 'f', words: 'Found one more', act: () => void this.actions.found(false) });
  }
}
