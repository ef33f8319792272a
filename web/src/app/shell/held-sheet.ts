import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MAT_BOTTOM_SHEET_DATA, MatBottomSheetRef } from '@angular/material/bottom-sheet';
import { MatButton } from '@angular/material/button';
import { MatListModule } from '@angular/material/list';

/** A list that rises from the hold line: what it names, and where each of it is. */
export interface HeldList {
  readonly title: string;
  readonly none: string;
  readonly lines: readonly { readonly name: string; readonly where: string }[];
}

/** What still holds the powerpack, or what is open, by name, over the foot of any view. */
@Component({
  selector: 'bl-held-sheet',
  imports: [MatButton, MatListModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  preserveWhitespaces: false,
  template: `
    <div class="row">
      <h2>{{ list.title }}</h2>
      <button matButton type="button" (click)="sheet.dismiss()">Close</button>
    </div>
    <mat-list>
      @for (line of list.lines; track $index) {
        <mat-list-item>
          <span matListItemTitle>{{ line.name }}</span>
          @if (line.where) {
            <span matListItemLine>{{ line.where }}</span>
          }
        </mat-list-item>
      } @empty {
        <mat-list-item>{{ list.none }}</mat-list-item>
      }
    </mat-list>
  `,
  styles: `
    .row {
      justify-content: space-between;
      position: sticky;
      top: 0;
      z-index: 1;
      background: var(--sheet);
    }
    :host {
      display: block;
    }
  `,
})
export class HeldSheet {
  protected readonly list = inject<HeldList>(MAT_BOTTOM_SHEET_DATA);
  protected readonly sheet = inject(MatBottomSheetRef);
}
