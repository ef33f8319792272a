import { ChangeDetectionStrategy, Component, computed, input, signal, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import type { LedgerEntry } from '@brisk/core/ledger';
import { readSeal, sealedAt, sealOf } from '@brisk/core/seal';
import { several } from '@brisk/core/words';
import { Written } from '../../ui/written';

/** The seal of a job’s record, to be printed, and the check of one that is on paper. */
@Component({
  selector: 'bl-seal-card',
  imports: [MatButton, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Seal of the record</h2>
    @if (unsent() > 0) {
      <p class="grave">
        {{ several(unsent(), 'entry', 'entries') }} of it {{ unsent() === 1 ? 'is' : 'are' }} still on this device
        alone: it is sealed once the server has {{ unsent() === 1 ? 'it' : 'them' }}.
      </p>
    } @else {
      <p class="figure" aria-label="Seal">
        @for (group of groups(); track $index) {
          <span>{{ group }}</span>
        }
      </p>
      <p class="soft">
        Of {{ several(entries().length, 'entry', 'entries') }}. Print it or write it down: whoever has it can tell later
        whether anything recorded until now was changed, left out or put in.
      </p>
      <div class="row no-print">
        <button matButton="outlined" type="button" (click)="print()">Print this page</button>
      </div>
    }
    <mat-form-field class="no-print">
      <mat-label>Check a seal that is on paper</mat-label>
      <input matInput autocomplete="off" spellcheck="false" (input)="typed.set($any($event.target).value)" />
      <mat-hint>Its first 16 signs will do</mat-hint>
    </mat-form-field>
    @if (found(); as words) {
      <p class="no-print" role="status" [class.grave]="words.wrong">{{ words.said }}</p>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      gap: 0.75rem;
    }

    .figure {
      display: flex;
      flex-wrap: wrap;
      gap: 0.1rem 0.9rem;
      max-width: 26rem;
      font-size: 1.25rem;
    }

    mat-form-field {
      width: 100%;
      max-width: 26rem;
    }

    .grave {
      color: var(--marker);
      font-weight: 600;
    }
  `,
})
export class SealCard {
  private readonly written = inject(Written);
  readonly job = input.required<string>();
  readonly entries = input.required<readonly LedgerEntry[]>();
  /** Entries that the server has not got yet; they may still come to stand elsewhere. */
  readonly unsent = input.required<number>();
  protected readonly several = several;
  protected readonly typed = signal('');

  protected readonly groups = computed(() => sealOf(this.job(), this.entries()).hash.match(/.{4}/g) ?? []);

  protected readonly found = computed(() => {
    if (this.typed().trim() === '') return undefined;
    const read = readSeal(this.typed());
    if (read === undefined)
      return { wrong: true, said: 'A seal is at least 16 signs from 0 to 9 and a to f. Go on typing.' };
    const position = sealedAt(this.job(), this.entries(), read);
    if (position === undefined)
      return {
        wrong: true,
        said: '▲ This record has that seal nowhere: something was changed since, or it is the seal of another job.',
      };
    const last = this.entries()[position - 1];
    const until = last ? `, up to ${this.written.longMoment(last.at)}` : '';
    return {
      wrong: false,
      said: `✓ It is the seal of the first ${several(position, 'entry', 'entries')}${until}. Nothing of those was changed since.`,
    };
  });

  protected print(): void {
    window.print();
  }
}
