import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';
import { MatSlideToggle } from '@angular/material/slide-toggle';
import { Router } from '@angular/router';
import { Keys } from '../ui/keys';
import { pageAt } from './page-words';

/** The `?` sheet: every key that acts in the view behind it. */
@Component({
  selector: 'bl-key-sheet',
  imports: [MatButton, MatSlideToggle, MatDialogTitle, MatDialogContent, MatDialogActions, MatDialogClose],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ page.name }}</h2>
    <mat-dialog-content tabindex="0">
      <p>{{ page.words }}</p>
      <h3>Keys</h3>
      <mat-slide-toggle [checked]="keys.on()" (change)="keys.toggle()">Single keys act</mat-slide-toggle>
      <dl>
        @for (action of keys.actions(); track action) {
          <div>
            <dt>
              <kbd class="figure">{{ action.key }}</kbd>
            </dt>
            <dd>{{ action.words }}</dd>
          </div>
        }
        <div>
          <dt><kbd class="figure">Tab</kbd></dt>
          <dd>Go through everything that can be pressed; Enter presses it</dd>
        </div>
      </dl>
    </mat-dialog-content>
    <mat-dialog-actions><button matButton="filled" mat-dialog-close>Close</button></mat-dialog-actions>
  `,
  styles: `
    dl > div {
      display: grid;
      grid-template-columns: 4rem 1fr;
      padding: 0.35rem 0;
      align-items: center;
      color: var(--ink);
    }
    kbd {
      border: 1px solid var(--line);
      border-bottom-width: 3px;
      border-radius: 4px;
      padding: 0.1rem 0.5rem;
      background: var(--sheet-sunk);
    }
  `,
})
export class KeySheet {
  protected readonly keys = inject(Keys);
  protected readonly page = pageAt(inject(Router).url);
}
