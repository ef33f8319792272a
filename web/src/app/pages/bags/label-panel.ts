import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { PickOne } from '../../ui/pick-one';
import { EntryField } from '../../ui/entry-field';
import { Desk } from '../../session/desk';

const STOCKS = [
  { value: 'a4-24', words: 'A4, 24 a sheet (70 × 37 mm)' },
  { value: 'a4-14', words: 'A4, 14 a sheet (99 × 38 mm)' },
  { value: 'a4-40', words: 'A4, 40 a sheet (52 × 30 mm)' },
  { value: 'roll', words: 'Roll, 62 × 29 mm' },
] as const;

const KINDS = [
  { value: 'bag', words: 'bags of this job' },
  { value: 'tag', words: 'tags of this job, two each' },
  { value: 'roll', words: 'a roll of numbers beforehand' },
] as const;

/** What is printed onto what: this job’s tags or bags, or numbers for a roll beforehand. */
@Component({
  selector: 'bl-label-panel',
  imports: [EntryField, MatButton, PickOne],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="fields">
      <bl-pick label="Print" field="label-of" [choices]="kinds" [value]="of()" (picked)="of.set($event)" />
      <bl-pick label="on" field="label-stock" [choices]="stocks" [value]="stock()" (picked)="stock.set($event)" />
      @if (of() === 'roll') {
        <bl-entry type="amount" label="from" field="label-from" [value]="from()" (typed)="from.set($event)" />
        <bl-entry type="amount" label="how many" field="label-count" [value]="many()" (typed)="many.set($event)" />
      }
      <a matButton="filled" [href]="address()" target="_blank" rel="noopener">Print the labels</a>
    </div>
    @if (loopback) {
      <p class="soft">
        Their codes open {{ origin }}, which only this machine reaches. Open Brisk Ledger by the address your phones use
        before you print, or have whoever looks after the server give it that address.
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
    p {
      padding-top: 0.5rem;
    }
  `,
})
export class LabelPanel {
  private readonly desk = inject(Desk);
  protected readonly stocks = STOCKS;
  protected readonly kinds = KINDS;
  protected readonly of = signal<(typeof KINDS)[number]['value']>('bag');
  protected readonly stock = signal<(typeof STOCKS)[number]['value']>('a4-24');
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
}
