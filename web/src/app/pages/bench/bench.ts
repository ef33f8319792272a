import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatIcon } from '@angular/material/icon';
import { RouterLink } from '@angular/router';
import { unitsOf } from '@brisk/core/bench';
import { unsettled } from '@brisk/core/ledger';
import type { WorkPhase } from '@brisk/core/teardown';
import { several } from '@brisk/core/words';
import { PlanDraft } from '../../planning/plan-draft';
import { Desk } from '../../session/desk';
import { StepActions } from '../../working-step/step-actions';
import { StepInHand } from '../../working-step/step-in-hand';
import { BenchTabs } from './bench-tabs';
import { UnitCard } from './unit-card';
import { Written } from '../../ui/written';

/** While it is out: the step in hand at the bench, what becomes of the units, and what was seen. */
@Component({
  selector: 'bl-bench',
  imports: [BenchTabs, MatButton, MatExpansionModule, MatIcon, RouterLink, StepInHand, UnitCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench.html',
  styleUrl: './bench.scss',
})
export class Bench {
  private readonly written = inject(Written);
  protected readonly desk = inject(Desk);
  protected readonly actions = inject(StepActions);
  protected readonly phases: readonly WorkPhase[] = ['bench'];
  protected readonly several = several;

  protected readonly steps = computed(
    () => [...(this.desk.state()?.work.operations.values() ?? [])].filter(({ phase }) => phase === 'bench').length,
  );
  protected readonly at = computed(() => {
    const state = this.desk.state();
    if (!state) return undefined;
    if (unsettled(state, 'lift').length > 0) return 'in';
    return unsettled(state, 'bench').length === 0 ? 'finished' : 'working';
  });
  protected readonly units = computed(() => {
    const work = this.desk.state()?.work;
    return work ? unitsOf(work.plan, work.lump) : [];
  });
  protected readonly notes = computed(() =>
    [...(this.desk.state()?.notes ?? [])].reverse().map((note) => ({
      ...note,
      when: this.written.moment(note.at),
      about: note.operation === undefined ? undefined : this.desk.state()?.work.operations.get(note.operation)?.title,
    })),
  );

  constructor() {
    inject(PlanDraft).half.set('bench');
  }
}
