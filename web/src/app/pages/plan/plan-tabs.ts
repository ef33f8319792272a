import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { RouterLink } from '@angular/router';

const TABS = [
  { id: 'sheet', words: 'Run sheet', at: 'plan' },
  { id: 'schools', words: 'Schools', at: 'plan/schools' },
  { id: 'ways', words: 'Ways out', at: 'plan/ways' },
  { id: 'tools', words: 'Tools', at: 'plan/tools' },
] as const;

/** What there is to decide at this stop. */
@Component({
  selector: 'bl-plan-tabs',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav aria-label="Plan">
      @for (tab of tabs; track tab.id) {
        <a
          [routerLink]="up() + tab.at"
          queryParamsHandling="preserve"
          [attr.aria-current]="tab.id === here() ? 'page' : null"
          >{{ tab.words }}</a
        >
      }
    </nav>
  `,
  styleUrl: './plan-tabs.scss',
})
export class PlanTabs {
  readonly here = input.required<(typeof TABS)[number]['id']>();
  protected readonly tabs = TABS;
  protected up(): string {
    return this.here() === 'sheet' ? '../' : '../../';
  }
}
