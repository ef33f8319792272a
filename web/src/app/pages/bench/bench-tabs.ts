import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { StopTabs, type StopTab } from '../../ui/stop-tabs';

const TABS = [
  { at: 'bench', words: 'Work' },
  { at: 'bench/now-or-later', words: 'Now or later' },
  { at: 'bench/parts', words: 'Parts and money' },
  { at: 'bench/looked', words: 'Looked at' },
  { at: 'bench/where', words: 'Where it is' },
  { at: 'bench/looms', words: 'Looms' },
] as const satisfies readonly StopTab[];

/** What there is to do and decide at this stop, and, between the tags, the part of it that is open. */
@Component({
  selector: 'bl-bench-tabs',
  imports: [StopTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<bl-stop-tabs stop="Bench" [tabs]="tabs" [here]="here()"><ng-content /></bl-stop-tabs>`,
})
export class BenchTabs {
  readonly here = input.required<(typeof TABS)[number]['at']>();
  protected readonly tabs = TABS;
}
