import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Connection } from '@brisk/core/connection-map';
import { jointOf, MANY_BOLTS, type JobState } from '@brisk/core/ledger';
import { JointTightening } from './joint-tightening';
import { TorqueEntry } from './torque-entry';

/** The torque of the joint in hand, bolt by bolt or with one reading for all: as it was begun, as somebody wants, or as is usual. */
@Component({
  selector: 'bl-torque-step',
  imports: [JointTightening, MatButton, TorqueEntry],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (boltByBolt()) {
      <bl-joint-tightening
        [connection]="connection()"
        [state]="state()"
        [helped]="helped()"
        (recorded)="recorded.emit()"
      />
    } @else {
      <bl-torque-entry [connection]="connection()" [state]="state()" [helped]="helped()" (recorded)="recorded.emit()" />
    }
    @if (mayChange()) {
      <button matButton type="button" (click)="wanted.set(boltByBolt() ? 'whole' : 'bolts')">
        {{ boltByBolt() ? 'One reading for the whole joint' : 'Bolt by bolt, in stages' }}
      </button>
    }
  `,
})
export class TorqueStep {
  readonly connection = input.required<Connection>();
  readonly state = input.required<JobState>();
  /** Whoever works alone has somebody with them for it. */
  readonly helped = input(false);
  readonly recorded = output();

  /** What somebody wants for this joint; another one begins anew. */
  protected readonly wanted = linkedSignal<string, 'bolts' | 'whole' | undefined>({
    source: computed(() => this.connection().id),
    computation: () => undefined,
  });
  private readonly bolts = computed(() => jointOf(this.state(), this.connection().id)?.bolts ?? 0);
  protected readonly boltByBolt = computed(() => {
    const { id, refit } = this.connection();
    if (this.state().tightened.has(id)) return true;
    if (this.bolts() === 0 || this.state().torques.has(id)) return false;
    const wanted = this.wanted();
    return wanted ? wanted === 'bolts' : this.bolts() >= MANY_BOLTS || refit.torque?.eachRead === true;
  });
  protected readonly mayChange = computed(() => {
    const { id } = this.connection();
    return this.bolts() > 1 && !this.state().tightened.has(id) && !this.state().torques.has(id);
  });
}
