import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { unsettled } from '@brisk/core/ledger';
import type { WorkPhase } from '@brisk/core/teardown';
import { Desk } from '../desk/desk';
import { Keys } from '../keys/keys';
import { PlanDraft } from '../plan/plan-draft';
import { StepActions } from '../step/step-actions';
import { StepInHand } from '../step/step-in-hand';

/** Taking it apart, one step in hand at a time. */
@Component({
  selector: 'bl-strip',
  imports: [MatButton, RouterLink, StepInHand],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './strip.html',
})
export class Strip {
  protected readonly desk = inject(Desk);
  protected readonly actions = inject(StepActions);
  protected readonly phases: readonly WorkPhase[] = ['strip'];
  protected readonly left = computed(() => {
    const state = this.desk.state();
    return state ? unsettled(state, 'strip').length : 0;
  });

  constructor() {
    inject(PlanDraft).half.set('out');
    inject(Keys).use({ key: 'f', words: 'Found one more', act: () => void this.actions.found(false) });
  }
}
