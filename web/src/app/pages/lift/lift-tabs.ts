import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { StopTabs, type StopTab } from '../../ui/stop-tabs';

const TABS = [
  { at: 'lift', words: 'What holds it' },
  { at: 'lift/way', words: 'Way through' },
  { at: 'lift/rig', words: 'Rig' },
  { at: 'lift/balance', words: 'Balance' },
  { at: 'lift/gear', words: 'Gear' },
] as const satisfies readonly StopTab[];

/** What there is to know at this stop, and, between the tags, the part of it that is open. */
@Component({
  selector: 'bl-lift-tabs',
  imports: [StopTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<bl-stop-tabs stop="Lift" [tabs]="tabs" [here]="here()"><ng-content /></bl-stop-tabs>`,
})
export class LiftTabs {
  readonly here = input.required<(typeof TABS)[number]['at']>();
  protected readonly tabs = TABS;
}
