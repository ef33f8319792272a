import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { fittedEarly } from '@brisk/core/lift';
import { Desk } from '../../session/desk';
import { BellGap } from './bell-gap';

/** What counts only until the powerpack is in: what was fitted before it, and the gap at the bell face. */
@Component({
  selector: 'bl-going-in',
  imports: [BellGap, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (early()) {
      <p class="marker" role="alert">
        Fitted before it is in: {{ early() }}. The way back was reckoned without it: look whether it still passes, on
        <a routerLink="../lift/way">the way through</a>, and at every move.
      </p>
    }
    <bl-bell-gap />
  `,
})
export class GoingIn {
  private readonly desk = inject(Desk);

  /** What was fitted before it is in: no way back was reckoned with it. */
  protected readonly early = computed(() => {
    const state = this.desk.state();
    if (!state) return '';
    const names = new Map(state.work.plan.map.parts.map(({ id, name }) => [id, name]));
    return fittedEarly(state)
      .map((part) => names.get(part) ?? part)
      .join(', ');
  });
}
