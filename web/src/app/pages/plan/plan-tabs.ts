import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { StopTabs, type StopTab } from '../../ui/stop-tabs';

const TABS = [
  { at: 'plan', words: 'Run sheet' },
  { at: 'plan/schools', words: 'Schools' },
  { at: 'plan/ways', words: 'Ways out' },
  { at: 'plan/tools', words: 'Tools' },
] as const satisfies readonly StopTab[];

/** What there is to decide at this stop, and, between the tags, the part of it that is open. */
@Component({
  selector: 'bl-plan-tabs',
  imports: [StopTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<bl-stop-tabs stop="Plan" [tabs]="tabs" [here]="here()"><ng-content /></bl-stop-tabs>`,
})
export class PlanTabs {
  readonly here = input.required<(typeof TABS)[number]['at']>();
  protected readonly tabs = TABS;
}
