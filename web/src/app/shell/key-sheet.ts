import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';
import { MatSlideToggle } from '@angular/material/slide-toggle';
import { Router } from '@angular/router';
import { Keys, type KeyAction } from '../ui/keys';
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
      <p class="soft">A key that is pressed here can be changed for another one.</p>
      <dl>
        @for (action of keys.actions(); track action) {
          <div>
            <dt>
              @if (action.key.length === 1) {
                <button
                  type="button"
                  [attr.aria-label]="'Another key for: ' + action.words + '. Now ' + keys.keyOf(action)"
                  [attr.aria-pressed]="waiting() === action"
                  (click)="wait(action)"
                  (keydown)="take($event)"
                  (blur)="waiting.set(undefined)"
                >
                  <kbd class="figure">{{ waiting() === action ? '…' : keys.keyOf(action) }}</kbd>
                </button>
              } @else {
                <kbd class="figure">{{ action.key }}</kbd>
              }
            </dt>
            <dd>{{ waiting() === action ? 'Press the key it shall have; Escape leaves it' : action.words }}</dd>
          </div>
        }
        <div>
          <dt><kbd class="figure">Tab</kbd></dt>
          <dd>Go through everything that can be pressed; Enter presses it</dd>
        </div>
      </dl>
    </mat-dialog-content>
    <mat-dialog-actions>
      @if (keys.changed()) {
        <button matButton type="button" (click)="keys.reset()">The keys that ship</button>
      }
      <button matButton="filled" mat-dialog-close>Close</button>
    </mat-dialog-actions>
  `,
  styles: `
    dl > div {
      display: grid;
      grid-template-columns: 4rem 1fr;
      padding: 0.35rem 0;
      align-items: center;
      color: var(--ink);
    }
    button {
      min-width: 44px;
      min-height: 44px;
      border: 0;
      background: none;
      cursor: pointer;
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
  /** The action that waits for its new key. */
  protected readonly waiting = signal<KeyAction | undefined>(undefined);

  protected wait(action: KeyAction): void {
    this.waiting.set(this.waiting() === action ? undefined : action);
  }

  protected take(event: KeyboardEvent): void {
    const action = this.waiting();
    if (!action || event.ctrlKey || event.metaKey || event.altKey || event.key === 'Tab') return;
    event.preventDefault();
    event.stopPropagation();
    if (event.key.length === 1 && event.key !== ' ') this.keys.change(action, event.key);
    if (event.key.length === 1 || event.key === 'Escape') this.waiting.set(undefined);
  }
}
