import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatIcon } from '@angular/material/icon';
import { stillOpen, unsettled } from '@brisk/core/ledger';
import type { WorkPhase } from '@brisk/core/teardown';
import { STATION_WORDS, sentence } from '@brisk/core/words';
import { Desk } from '../../session/desk';
import { drawnAfter } from '../../ui/drawn';
import { Keys } from '../../ui/keys';
import { PlanDraft } from '../../planning/plan-draft';
import { HoldActions } from '../../working-step/hold-actions';
import { StepInHand } from '../../working-step/step-in-hand';
import { GoingIn } from './going-in';
import { RefitTabs } from './refit-tabs';
import { NotFetched } from '../../ui/not-fetched';

/** The way back: in before lowering, down, by fingers, seated, torqued, connected, filled, battery last. */
@Component({
  selector: 'bl-refit',
  imports: [GoingIn, MatButton, MatExpansionModule, MatIcon, NotFetched, RefitTabs, RouterLink, StepInHand],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './refit.html',
  styleUrl: './refit.scss',
})
export class Refit {
  protected readonly desk = inject(Desk);
  protected readonly holds = inject(HoldActions);
  protected readonly phases: readonly WorkPhase[] = ['refit'];
  protected readonly sentence = sentence;
  protected readonly stations = STATION_WORDS;

  protected readonly at = computed(() => {
    const state = this.desk.state();
    if (!state) return undefined;
    if (unsettled(state, 'lift').length > 0) return 'too-soon';
    return unsettled(state, 'refit').length === 0 ? 'finished' : 'working';
  });
  /** Whether it is still on its way in. */
  protected readonly goingIn = computed(() => {
    const state = this.desk.state();
    return state !== undefined && unsettled(state, 'refit').some(({ kind }) => kind === 'lower');
  });
  private readonly drawn = drawnAfter(this.desk.state);
  protected readonly open = computed(() => {
    const state = this.drawn();
    return state ? stillOpen(state) : [];
  });

  constructor() {
    inject(PlanDraft).half.set('back');
    inject(Keys).use({ key: 'f', words: 'Found one more', act: () => void this.holds.found(true) });
  }
}
