import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { cansToBuy, circuitsNow, type CansToBuy } from '@brisk/core/ledger';
import { litres } from '@brisk/core/words';
import { v4 as uuid } from 'uuid';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { CircuitCard } from './circuit-card';
import { RefitTabs } from './refit-tabs';

/** Every circuit of the job: what came out, what is still inside, how it is filled, and what there is to buy for it. */
@Component({
  selector: 'bl-fluids',
  imports: [CircuitCard, MatButton, RefitTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './fluids.html',
  styleUrl: './fluids.scss',
})
export class Fluids {
  protected readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);

  protected readonly circuits = computed(() => {
    const state = this.desk.state();
    return state ? circuitsNow(state) : [];
  });
  /** Circuits that nothing is done to on this job, and nothing is known against. */
  protected readonly untouched = computed(() => {
    const here = new Set(this.circuits().map(({ circuit }) => circuit.id));
    return (this.desk.state()?.work.plan.map.circuits ?? []).filter(({ id }) => !here.has(id));
  });
  protected readonly toBuy = computed(() => {
    const state = this.desk.state();
    if (!state) return [];
    const listed = new Set([...state.needs.values()].map(({ name }) => name));
    return cansToBuy(state).map((one) => ({
      ...one,
      wanted: litres(one.litres),
      said: one.cans.cans.map(({ sizeL, count }) => `${count} × ${litres(sizeL)}`).join(' and '),
      over: litres(one.cans.leftL),
      listed: one.cans.cans.every(({ sizeL }) => listed.has(canName(one, sizeL))),
    }));
  });

  /** Puts the cans onto the list of what is ordered, one line a size. */
  protected order(one: CansToBuy): void {
    this.recorder.record(
      `On the list: ${one.what}`,
      ...one.cans.cans.map(({ sizeL, count }) => ({
        kind: 'part-needed' as const,
        need: uuid(),
        name: canName(one, sizeL),
        quantity: count,
        reason: `${litres(one.litres)} are filled`,
      })),
    );
  }
}

const canName = ({ what }: CansToBuy, sizeL: number) => `${what}, ${litres(sizeL)}`.slice(0, 200);
