import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { MatMenuModule } from '@angular/material/menu';
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
  imports: [MatButton, MatIcon, MatMenuModule, MatTabsModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav mat-tab-nav-bar [tabPanel]="panel" [mat-stretch-tabs]="false" [attr.aria-label]="stop()">
      @for (tab of tabs(); track tab.at) {
        <a mat-tab-link [routerLink]="up() + tab.at" queryParamsHandling="preserve" [active]="tab.at === here()">{{
          tab.words
        }}</a>
      }
    </nav>
    <button matButton="outlined" type="button" class="pick" [matMenuTriggerFor]="parts">
      {{ words() }} <mat-icon svgIcon="unfold" iconPositionEnd />
    </button>
    <mat-menu #parts>
      @for (tab of tabs(); track tab.at) {
        <a
          mat-menu-item
          [routerLink]="up() + tab.at"
          queryParamsHandling="preserve"
          [attr.aria-current]="tab.at === here() ? 'page' : null"
          >{{ tab.words }}</a
        >
      }
    </mat-menu>
    <mat-tab-nav-panel #panel><ng-content /></mat-tab-nav-panel>
  `,
  styles: `
    :host {
      display: block;
    }

    .pick {
      display: none;
    }

    /* Tabs that would have to be pushed sideways are picked from a list. */
    @media (max-width: 700px) {
      nav {
        display: none;
      }

      .pick {
        display: inline-flex;
        width: 100%;
      }
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

  /** From where it stands up to the job; where each part has the tags itself, by how deep its address is. */
  readonly from = input<string>();

  protected readonly words = computed(() => this.tabs().find(({ at }) => at === this.here())?.words ?? '');

  protected up(): string {
    return this.from() ?? (this.here().includes('/') ? '../../' : '../');
  }
}
