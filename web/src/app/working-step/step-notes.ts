import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { isDone, PRIMING_WORDS, type JobState } from '@brisk/core/ledger';
import { operationId, type Operation } from '@brisk/core/teardown';
import { Loosening } from './loosening';
import { SeatStep } from './seat-step';

/** What there is to know and to measure at a step besides: how it is loosened, how tight by hand, what is set by trying, its seat. */
@Component({
  selector: 'bl-step-notes',
  imports: [Loosening, RouterLink, SeatStep],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let step = operation();
    @if (back(); as back) {
      @if (back.handTight) {
        <p><strong>Hand tight</strong> {{ back.handTight }}</p>
      }
      @if (back.adjust) {
        <p>Set by trying, once it is together: <a routerLink="../refit/set">Set and try</a>.</p>
      }
    }
    @if (step.kind === 'disconnect' && step.connection; as id) {
      <bl-loosening [state]="state()" [connection]="id" />
    }
    @if (priming(); as way) {
      <p>
        <strong>{{ way.name }}</strong> {{ way.how }}
      </p>
    }
    @if (again().length > 0) {
      <ul>
        @for (joint of again(); track joint.id) {
          <li>
            <span class="figure">{{ joint.refit.torque?.targetNm }}</span> N·m {{ joint.name }}
          </li>
        }
      </ul>
    }
    @if (step.measures) {
      <bl-seat-step [state]="state()" [operation]="step" />
    }
  `,
  styles: `
    :host {
      display: contents;
    }
    p {
      margin: 0;
    }
    li {
      padding: 0.2rem 0;
    }
  `,
})
export class StepNotes {
  readonly state = input.required<JobState>();
  readonly operation = input.required<Operation>();

  /** How the joint in hand goes back, where it is closed. */
  protected readonly back = computed(() => {
    const { kind, connection } = this.operation();
    return kind === 'connect' ? this.state().work.connections.get(connection ?? '')?.refit : undefined;
  });
  /** How this crew brings oil to the bearings, at the step that does it. */
  protected readonly priming = computed(() => {
    const way = this.state().fills.get('engine-oil')?.priming;
    return way && this.operation().id === operationId.check('prime-oil') ? PRIMING_WORDS[way] : undefined;
  });
  /** Joints that are torqued once more after a heat cycle, at the step that asks for it. */
  protected readonly again = computed(() => {
    const state = this.state();
    if (this.operation().id !== operationId.check('heat-cycle')) return [];
    return [...state.work.connections.values()].filter(
      ({ id, refit }) => refit.torque?.again && isDone(state, operationId.torque(id)),
    );
  });
}
