import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { StopTabs, type StopTab } from '../../ui/stop-tabs';

const TABS = [
  { at: 'first-start', words: 'Start' },
  { at: 'first-start/ready', words: 'What the key would do' },
  { at: 'first-start/battery', words: 'Battery' },
  { at: 'first-start/trouble', words: 'What is wrong' },
  { at: 'first-start/known', words: 'What we know' },
  { at: 'first-start/running-in', words: 'Running in' },
] as const satisfies readonly StopTab[];

/** What there is to know at this stop, and, between the tags, the part of it that is open. */
@Component({
  selector: 'bl-start-tabs',
  imports: [StopTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<bl-stop-tabs stop="First start" [tabs]="tabs" [here]="here()"><ng-content /></bl-stop-tabs>`,
})
export class StartTabs {
  readonly here = input.required<(typeof TABS)[number]['at']>();
  protected readonly tabs = TABS;
}
