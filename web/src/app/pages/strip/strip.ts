import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { unsettled } from '@brisk/core/ledger';
import type { WorkPhase } from '@brisk/core/teardown';
import { Desk } from '../../session/desk';
import { Keys } from '../../ui/keys';
import { PlanDraft } from '../../planning/plan-draft';
import { HoldActions } from '../../working-step/hold-actions';
import { StepInHand } from '../../working-step/step-in-hand';

/** Taking it apart, one step in hand at a time. */
@Component({
  selector: 'bl-strip',
  imports: [MatButton, MatIcon, RouterLink, StepInHand],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './strip.html',
})
export class Strip {
  protected readonly desk = inject(Desk);
  protected readonly holds = inject(HoldActions);
  protected readonly phases: readonly WorkPhase[] = ['strip'];
  protected readonly left = computed(() => {
    const state = this.desk.state();
    return state ? unsettled(state, 'strip').length : 0;
  });

  constructor() {
    inject(PlanDraft).half.set('out');
    inject(Keys).use({ key: 'f', words: 'Found one more', act: () => void this.holds.found(false) });
  }
}
