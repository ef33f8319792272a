import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Desk } from '../../session/desk';

const STOCKS = [
  { id: 'a4-24', words: 'A4, 24 a sheet (70 × 37 mm)' },
  { id: 'a4-14', words: 'A4, 14 a sheet (99 × 38 mm)' },
  { id: 'a4-40', words: 'A4, 40 a sheet (52 × 30 mm)' },
  { id: 'roll', words: 'Roll, 62 × 29 mm' },
] as const;

/** What is printed onto what: this job’s tags or bags, or numbers for a roll beforehand. */
@Component({
  selector: 'bl-label-panel',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <label
        >Print
        <select class="plain-field" name="label-of" (change)="of.set(pick($event))">
          <option value="bag">bags of this job</option>
          <option value="tag">tags of this job, two each</option>
          <option value="roll">a roll of numbers beforehand</option>
        </select></label
      >
      <label
        >on
        <select class="plain-field" name="label-stock" (change)="stock.set(pick($event))">
          @for (one of stocks; track one.id) {
            <option [value]="one.id">{{ one.words }}</option>
          }
        </select></label
      >
      @if (of() === 'roll') {
        <label
          >from
          <input
            class="plain-field"
            name="label-from"
            type="number"
            min="1"
            [value]="from()"
            (input)="from.set(pick($event))"
        /></label>
        <label
          >how many
          <input
            class="plain-field"
            name="label-count"
            type="number"
            min="1"
            max="500"
            [value]="many()"
            (input)="many.set(pick($event))"
        /></label>
      }
      <a matButton="filled" [href]="address()" target="_blank" rel="noopener">Print the labels</a>
    </div>
    @if (loopback) {
      <p class="soft">
        Their codes open {{ origin }}, which only this machine reaches. Open Brisk Ledger by the address your phones
        use, or set BRISK_ADDRESS, before you print.
      </p>
    }
  `,
  styles: `
    :host {
      display: block;
      border: 1px solid var(--line);
      border-radius: 6px;
      background: var(--sheet);
      padding: 0.75rem 0.9rem;
    }
    label {
      display: inline-flex;
      align-items: center;
      gap: 0.5rem;
    }
    input {
      width: 6rem;
    }
    p {
      padding-top: 0.5rem;
    }
  `,
})
export class LabelPanel {
  private readonly desk = inject(Desk);
  protected readonly stocks = STOCKS;
  protected readonly of = signal('bag');
  protected readonly stock = signal('a4-24');
  protected readonly from = signal('1');
  protected readonly many = signal('50');
  protected readonly origin = location.origin;
  protected readonly loopback = /^https?:\/\/(localhost|127\.|\[::1\])/.test(location.origin);

  protected readonly address = computed(() => {
    const of = this.of();
    const stock = `stock=${this.stock()}`;
    if (of === 'roll')
      return `/api/labels/roll.pdf?of=tag&${stock}&from=${encodeURIComponent(this.from())}&count=${encodeURIComponent(this.many())}`;
    return `/api/jobs/${this.desk.job()?.id}/labels.pdf?of=${of}&${stock}`;
  });

  protected pick(event: Event): string {
    const field = event.target;
    return field instanceof HTMLSelectElement || field instanceof HTMLInputElement ? field.value : '';
  }
}
