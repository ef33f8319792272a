import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatIcon } from '@angular/material/icon';
import type { JobState } from '@brisk/core/ledger';
import { pagesFor, pagesForPart } from '@brisk/core/literature';
import type { Operation } from '@brisk/core/teardown';
import { Desk } from '../session/desk';

/** The pages of the literature that belong to a step or a part; a touch opens one. */
@Component({
  selector: 'bl-pages-for',
  imports: [MatIcon, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (page of pages(); track $index) {
      <a [routerLink]="['/jobs', desk.job()?.id, 'literature', page.file, page.page]">
        <mat-icon svgIcon="literature" />
        <span
          >{{ page.title }}, page <span class="figure">{{ page.page }}</span>{{
            page.words ? ': ' + page.words : ''
          }}</span
        >
      </a>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 0 1rem;

      &:empty {
        display: none;
      }
    }
    a {
      display: flex;
      align-items: center;
      gap: 0.4rem;
      min-height: 48px;
      color: inherit;
    }
    mat-icon {
      flex: none;
    }
  `,
})
export class PagesFor {
  readonly state = input.required<JobState>();
  readonly operation = input<Operation>();
  readonly part = input<string>();
  protected readonly desk = inject(Desk);

  protected readonly pages = computed(() => {
    const [operation, part] = [this.operation(), this.part()];
    if (operation) return pagesFor(this.state(), operation);
    return part === undefined ? [] : pagesForPart(this.state(), part);
  });
}
