import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { MatTabsModule } from '@angular/material/tabs';
import { RouterLink } from '@angular/router';

const TABS = [
  { id: 'holds', words: 'What holds it', at: 'lift' },
  { id: 'way', words: 'Way through', at: 'lift/way' },
  { id: 'rig', words: 'Rig', at: 'lift/rig' },
  { id: 'balance', words: 'Balance', at: 'lift/balance' },
] as const;

/** What there is to know at this stop, and, between the tags, the part of it that is open. */
@Component({
  selector: 'bl-lift-tabs',
  imports: [MatTabsModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav mat-tab-nav-bar [tabPanel]="panel" [mat-stretch-tabs]="false" aria-label="Lift">
      @for (tab of tabs; track tab.id) {
        <a mat-tab-link [routerLink]="up() + tab.at" queryParamsHandling="preserve" [active]="tab.id === here()">{{
          tab.words
        }}</a>
      }
    </nav>
    <mat-tab-nav-panel #panel><ng-content /></mat-tab-nav-panel>
  `,
  styles: `
    :host {
      display: block;
    }

    mat-tab-nav-panel {
      display: flex;
      flex-direction: column;
      gap: 0.75rem;
      padding-top: 0.75rem;
    }
  `,
})
export class LiftTabs {
  readonly here = input.required<(typeof TABS)[number]['id']>();
  protected readonly tabs = TABS;
  protected up(): string {
    return this.here() === 'holds' ? '../' : '../../';
  }
}
