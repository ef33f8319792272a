import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  output,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { PRICE_COLUMNS, type PriceColumn, type PriceLine, type PriceMapping } from '@brisk/core/parts';
import type { PartToOrder } from '@brisk/core/ledger';
import { several } from '@brisk/core/words';
import { RatesShed } from '../../planning/rates-shed';
import { Desk } from '../../session/desk';
import { EntryField } from '../../ui/entry-field';
import { PickOne } from '../../ui/pick-one';
import { inMoney } from '../../words/money';
import { PriceSheet } from './price-sheet';
import type { PricesRead, PricesTried } from './price-work';

const COLUMN_WORDS: Readonly<Record<PriceColumn, string>> = {
  number: 'Part number',
  name: 'Name',
  price: 'Price',
  core: 'Core charge',
  currency: 'Currency',
  days: 'Days until it comes',
};
/** Headings that suppliers use, by what they mean. */
const MEANS: Readonly<Record<PriceColumn, RegExp>> = {
  number: /number|no\.?$|nr|article|sku|ref/i,
  name: /name|descr|text|title/i,
  price: /price|net|each|amount/i,
  core: /core|deposit|exchange|pfand/i,
  currency: /curr/i,
  days: /days|lead|delivery/i,
};

/** A supplier’s list before it is taken: which column is which, what it would do, and which lines it cannot be read from. */
@Component({
  selector: 'bl-price-list-card',
  imports: [EntryField, MatButton, PickOne],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './price-list-card.html',
  styleUrl: './price-list-card.scss',
})
export class PriceListCard {
  readonly sheet = input.required<PricesRead & { readonly file: string }>();
  readonly closed = output();
  readonly taken = output<{ supplier: string; found: readonly { part: PartToOrder; line: PriceLine }[] }>();
  private readonly desk = inject(Desk);
  private readonly prices = inject(PriceSheet);
  protected readonly shed = inject(RatesShed);
  protected readonly several = several;
  protected readonly columns = PRICE_COLUMNS;
  protected readonly columnWords = COLUMN_WORDS;

  protected readonly mapping = linkedSignal<PriceMapping>(() => guessed(this.sheet().headings));
  protected readonly supplier = linkedSignal(() => this.sheet().file.replace(/\.[^.]*$/, ''));
  protected readonly tried = signal<PricesTried | undefined>(undefined);
  protected readonly headings = computed(() => [
    { value: undefined, words: 'Not in this list' },
    ...this.sheet().headings.map((heading) => ({ value: heading, words: heading })),
  ]);
  private readonly needs = computed(() => [...(this.desk.state()?.needs.values() ?? [])]);
  protected readonly numbered = computed(() => this.needs().filter(({ number }) => number !== undefined).length);

  constructor() {
    effect((onCleanup) => {
      const asked = [this.needs(), this.mapping(), this.shed.rates().currency] as const;
      this.sheet();
      let stale = false;
      void this.prices.tryOn(...asked).then((tried) => {
        if (!stale) this.tried.set(tried);
      });
      onCleanup(() => (stale = true));
    });
  }

  protected map(column: PriceColumn, heading: string | undefined): void {
    const { [column]: _before, ...rest } = this.mapping();
    this.mapping.set(heading === undefined ? rest : { ...rest, [column]: heading });
  }

  protected money(cents: number): string {
    return inMoney(cents, this.shed.rates().currency);
  }

  protected take(): void {
    this.taken.emit({ supplier: this.supplier().trim() || this.sheet().file, found: this.tried()?.found ?? [] });
  }
}

function guessed(headings: readonly string[]): PriceMapping {
  const mapping: Partial<Record<PriceColumn, string>> = {};
  for (const column of PRICE_COLUMNS) {
    const heading = headings.find((one) => MEANS[column].test(one) && !Object.values(mapping).includes(one));
    if (heading !== undefined) mapping[column] = heading;
  }
  return mapping;
}
