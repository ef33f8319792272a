import { ChangeDetectionStrategy, Component, effect, inject, input } from '@angular/core';
import { RouterLink, RouterOutlet } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { BenchCard } from '../bench-card/bench-card';
import { Desk } from '../desk/desk';
import { HoldLine } from '../hold-line/hold-line';
import { JourneyRail } from '../journey/journey-rail';
import { PlanDraft } from '../plan/plan-draft';
import { StepActions } from '../step/step-actions';
import { Selection } from './selection';

/** Around every stop of one job: the journey on the left, the stop's work, the picked step on the right, the hold line below. */
@Component({
  selector: 'bl-job-shell',
  imports: [BenchCard, HoldLine, JourneyRail, MatButton, RouterLink, RouterOutlet],
  providers: [Desk, PlanDraft, Selection, StepActions],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './job-shell.html',
  styleUrl: './job-shell.scss',
})
export class JobShell {
  readonly job = input.required<string>();
  protected readonly desk = inject(Desk);
  protected readonly selection = inject(Selection);

  constructor() {
    effect(() => this.desk.open(this.job()));
  }

  protected readRefused(): void {
    this.desk.refusedLater.set([]);
  }
}
