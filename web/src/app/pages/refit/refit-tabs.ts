import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { StopTabs, type StopTab } from '../../ui/stop-tabs';

const TABS = [
  { at: 'refit', words: 'Way back' },
  { at: 'refit/first-in', words: 'In first' },
  { at: 'refit/together', words: 'Loose until in' },
  { at: 'refit/set', words: 'Set and try' },
  { at: 'refit/fluids', words: 'Fluids' },
  { at: 'refit/wrenches', words: 'Wrenches' },
] as const satisfies readonly StopTab[];

/** What there is to know at this stop, and, between the tags, the part of it that is open. */
@Component({
  selector: 'bl-refit-tabs',
  imports: [StopTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<bl-stop-tabs stop="Refit" [tabs]="tabs" [here]="here()"><ng-content /></bl-stop-tabs>`,
})
export class RefitTabs {
  readonly here = input.required<(typeof TABS)[number]['at']>();
  protected readonly tabs = TABS;
}
