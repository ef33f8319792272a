import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { MatTabsModule } from '@angular/material/tabs';
import { RouterLink } from '@angular/router';

/** One part of a stop: its address from the job, and its words. */
export interface StopTab {
  readonly at: string;
  readonly words: string;
}

/** The parts of one stop, and, between the tags, the one that is open. */
@Component({
  selector: 'bl-stop-tabs',
  imports: [MatTabsModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav mat-tab-nav-bar [tabPanel]="panel" [mat-stretch-tabs]="false" [attr.aria-label]="stop()">
      @for (tab of tabs(); track tab.at) {
        <a mat-tab-link [routerLink]="up() + tab.at" queryParamsHandling="preserve" [active]="tab.at === here()">{{
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
export class StopTabs {
  readonly stop = input.required<string>();
  readonly tabs = input.required<readonly StopTab[]>();
  /** The address of the one that is open. */
  readonly here = input.required<string>();

  protected up(): string {
    return this.here().includes('/') ? '../../' : '../';
  }
}
