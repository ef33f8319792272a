import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import type { HoldPointId } from '@brisk/core/connection-map';
import { gateOf } from '@brisk/core/ledger';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { TickList } from '../../ui/tick-list';

/** At which hold points nobody has signed yet two people look and sign. Recorded at once, whatever plan is followed. */
@Component({
  selector: 'bl-two-sign',
  imports: [TickList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (choices().length > 0) {
      <bl-tick-list
        label="Two people look and sign at"
        [choices]="choices()"
        [ticked]="ticked()"
        (changed)="ask($event)"
      />
    }
  `,
})
export class TwoSign {
  private readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);

  protected readonly choices = computed(() => {
    const state = this.desk.state();
    if (!state) return [];
    return state.work.plan.map.holdPoints
      .filter(({ id }) => !gateOf(state, id).signed)
      .map(({ id, name }) => ({ value: id, words: name }));
  });
  protected readonly ticked = computed(() => this.desk.state()?.twoSign ?? new Set<HoldPointId>());

  protected ask(now: ReadonlySet<HoldPointId>): void {
    for (const { value: holdPoint, words } of this.choices()) {
      const asked = now.has(holdPoint);
      if (asked !== this.ticked().has(holdPoint))
        this.recorder.record(`${asked ? 'Two sign' : 'One is enough'}: ${words}`, {
          kind: 'second-signer-asked',
          holdPoint,
          asked,
        });
    }
  }
}
