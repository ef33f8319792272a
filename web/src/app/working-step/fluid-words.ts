import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { circuitNow, fillPlanOf, type FluidAtStep, type JobState } from '@brisk/core/ledger';
import { litres } from '@brisk/core/words';
import { Desk } from '../session/desk';

/** What there is to know of a fluid at the step in hand: what must still be inside and where it comes out, or what goes in. */
@Component({
  selector: 'bl-fluid-words',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (fluid().joint !== undefined) {
      <p class="marker">
        About {{ litres(fluid().insideL) }} of {{ fluid().circuit.name.toLowerCase() }} must still be inside, and this
        is the lowest joint of it still closed: tray under it.
      </p>
    } @else if (fluid().direction === 'out' && comesOutAt(); as joint) {
      <p class="soft">What stays inside comes out at {{ joint }}.</p>
    } @else if (pour(); as words) {
      <p class="pour">
        {{ words }} <a [routerLink]="['/jobs', desk.job()?.id, 'refit', 'fluids']">How that is reckoned</a>
      </p>
    }
  `,
  styles: `
    p {
      margin: 0;
    }
    .pour {
      font: 600 1.125rem/1.25 var(--display);
    }
  `,
})
export class FluidWords {
  readonly state = input.required<JobState>();
  readonly fluid = input.required<FluidAtStep>();
  protected readonly desk = inject(Desk);
  protected readonly litres = litres;

  private readonly now = computed(() => circuitNow(this.state(), this.fluid().circuit.id));
  protected readonly comesOutAt = computed(() => this.now()?.comesOutAt[0]?.name);
  protected readonly pour = computed(() => {
    const now = this.now();
    if (!now || this.fluid().direction !== 'in') return undefined;
    const plan = fillPlanOf(this.state(), now);
    switch (plan.is) {
      case 'mix': {
        if (now.terms?.school === 'water-first')
          return `Water first: ${litres(plan.waterFirst.firstWaterL)}. Mixed once it is known to be tight.`;
        const [first] = plan.mix.fills;
        const rounds = plan.mix.fills.length;
        return `${litres(first?.concentrateL ?? 0)} of concentrate, ${litres(first?.waterL ?? 0)} of water${
          rounds > 1 ? `: the first of ${rounds} fills` : ''
        }.`;
      }
      case 'oil':
        return `${litres(plan.fill.startL)} to start with${
          plan.fill.afterL > 0 ? `, ${litres(plan.fill.afterL)} more once it has run` : ''
        }.`;
      case 'rest':
        return `About ${litres(plan.litres)} are missing.`;
      case 'asked':
        return plan.words;
    }
  });
}
