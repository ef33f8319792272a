import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { RouterLink, RouterOutlet } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { Calls } from './calls';
import { ShiftToRead } from './shift-to-read';
import { StepCard } from './step-card';
import { AtTheJob } from '../session/at-the-job';
import { Awake } from '../session/awake';
import { Desk } from '../session/desk';
import { HeldUpEntries } from './held-up-entries';
import { HoldLine } from './hold-line';
import { House } from '../session/house';
import { JourneyRail } from './journey-rail';
import { PlanDraft } from '../planning/plan-draft';
import { WritingShed } from '../planning/writing-shed';
import { PhotoTaking } from '../photos/photo-taking';
import { Recorder } from '../session/recorder';
import { HoldActions } from '../working-step/hold-actions';
import { JointActions } from '../working-step/joint-actions';
import { StepActions } from '../working-step/step-actions';
import { Selection } from '../session/selection';
import { drawnAfter } from '../ui/drawn';
import { NotFetched } from '../ui/not-fetched';
import { InTurn } from '../ui/in-turn';

/** Around every stop of one job: the journey on the left, the stop's work, the picked step on the right, the hold line below. */
@Component({
  selector: 'bl-job-shell',
  imports: [
    Calls,
    StepCard,
    HeldUpEntries,
    HoldLine,
    InTurn,
    JourneyRail,
    MatButton,
    NotFetched,
    RouterLink,
    RouterOutlet,
    ShiftToRead,
  ],
  providers: [
    AtTheJob,
    Awake,
    Desk,
    HoldActions,
    House,
    PhotoTaking,
    PlanDraft,
    Recorder,
    Selection,
    JointActions,
    StepActions,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './job-shell.html',
  styleUrl: './job-shell.scss',
})
export class JobShell {
  readonly job = input.required<string>();
  protected readonly desk = inject(Desk);
  protected readonly selection = inject(Selection);

  /** The journey and the hold line follow once the step is on the screen. */
  protected readonly calm = drawnAfter(this.desk.state);

  constructor() {
    effect(() => this.desk.open(this.job()));
    inject(Awake);
    inject(WritingShed);
  }

  /** What to write on bags and tags whose number changed. */
  protected readonly renumberWords = computed(() =>
    this.desk.renumbered().flatMap((entry) => {
      const name = (id: string) => this.desk.state()?.work.connections.get(id)?.name ?? id;
      if (entry.kind === 'tagged') return [`Write ${entry.tag} on both halves of ${name(entry.connection)}.`];
      if (entry.kind === 'fasteners-counted') return [`Write ${entry.bag} on the bag of ${name(entry.connection)}.`];
      return [];
    }),
  );
}
