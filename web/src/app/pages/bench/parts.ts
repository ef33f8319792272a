import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { MatMenuModule } from '@angular/material/menu';
import { RouterLink } from '@angular/router';
import {
  CONDITION_WORDS,
  COST_WORDS,
  fastenersToBuy,
  listedAs,
  NEXT_STAGES,
  STAGE_WORDS,
  type FastenersToBuy,
  type PartStage,
  type PartToOrder,
} from '@brisk/core/ledger';
import { priceOf, spendingOf, type PriceLine } from '@brisk/core/parts';
import { sumOf } from '@brisk/core/swap';
import { duration, sentence, several } from '@brisk/core/words';
import { format } from 'date-fns';
import { v4 as uuid } from 'uuid';
import { RatesShed } from '../../planning/rates-shed';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { writeSheet } from '../../ui/csv';
import { FileKey } from '../../ui/file-key';
import { saveFile } from '../../ui/save-file';
import { inMoney, money } from '../../words/money';
import { BenchTabs } from './bench-tabs';
import { MoneyChart } from './money-chart';
import { PartActions } from './part-actions';
import { PriceListCard } from './price-list-card';
import { PriceSheet } from './price-sheet';
import { Written } from '../../ui/written';

const WHY_WORDS: Readonly<Record<FastenersToBuy['why'], string>> = {
  ...CONDITION_WORDS,
  'single-use': 'new every time',
  missing: 'missing',
};

/** What is done next with a line of the list, as it is said on its key. */
const NEXT_WORDS: Readonly<Partial<Record<PartStage, { readonly to: PartStage; readonly words: string }>>> = {
  needed: { to: 'ordered', words: 'Ordered' },
  asked: { to: 'ordered', words: 'Ordered' },
  ordered: { to: 'arrived', words: 'It is here' },
  arrived: { to: 'fitted', words: 'Fitted' },
  wrong: { to: 'returned', words: 'Sent back' },
  returned: { to: 'ordered', words: 'Ordered again' },
};

const GROUPS: readonly { readonly words: string; readonly stages: readonly PartStage[]; readonly prints: boolean }[] = [
  { words: 'Wrong: goes back', stages: ['wrong'], prints: false },
  { words: 'To order', stages: ['needed', 'asked'], prints: true },
  { words: 'On its way', stages: ['ordered'], prints: false },
  { words: 'Here', stages: ['arrived'], prints: false },
  { words: 'Fitted or sent back', stages: ['fitted', 'returned'], prints: false },
];

/** What is bought for this job, from whom, where it is, and what everything comes to. */
@Component({
  selector: 'bl-parts',
  imports: [
    BenchTabs,
    FileKey,
    MatButton,
    MatIcon,
    MatIconButton,
    MatMenuModule,
    MoneyChart,
    PriceListCard,
    RouterLink,
  ],
  providers: [PartActions, PriceSheet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './parts.html',
  styleUrl: './parts.scss',
})
export class Parts {
  private readonly written = inject(Written);
  private readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  private readonly actions = inject(PartActions);
  protected readonly prices = inject(PriceSheet);
  protected readonly shed = inject(RatesShed);
  protected readonly duration = duration;
  protected readonly stages = STAGE_WORDS;
  protected readonly costWords = COST_WORDS;

  protected readonly money = computed(() => {
    const state = this.desk.state();
    return state && spendingOf(state, this.shed.rates(), (at) => format(new Date(at), 'yyyy-MM-dd'));
  });
  protected readonly budget = computed(() => this.desk.state()?.terms?.budgetCents);
  protected readonly over = computed(() => {
    const budget = this.budget();
    const now = this.money()?.now;
    return budget !== undefined && now !== undefined && now.ordered + now.costs > budget;
  });
  protected readonly budgetWords = computed(() => {
    const budget = this.budget();
    const now = this.money()?.now;
    if (budget === undefined || !now) return 'no limit set';
    const left = budget - now.ordered - now.costs;
    return left >= 0 ? `${this.words(left)} left for parts` : `${this.words(-left)} over the limit for parts`;
  });
  protected readonly coresWords = computed(() => {
    const { coresOwing = 0, firstCoreDueOn: first } = this.money()?.now ?? {};
    if (coresOwing === 0) return 'none';
    return `${several(coresOwing, 'old part')}${first === undefined ? '' : `, the first by ${this.written.day(first)}`}`;
  });

  protected readonly groups = computed(() => {
    const state = this.desk.state();
    const all = [...(state?.needs.values() ?? [])].map((part) => {
      const next = NEXT_WORDS[part.stage];
      return {
        ...part,
        price: priceOf(part),
        next,
        others: NEXT_STAGES[part.stage].filter((to) => to !== next?.to),
        owes: part.coreChargeCents !== undefined && !part.coreReturned,
        waits: part.operation === undefined ? undefined : state?.work.operations.get(part.operation)?.title,
      };
    });
    return GROUPS.flatMap((group) => {
      const parts = all.filter(({ stage }) => group.stages.includes(stage));
      if (!group.prints) return [{ ...group, parts }];
      // An order goes to one supplier: what is to be had from each stands together.
      const suppliers = [...new Set(parts.map(({ supplier }) => supplier))].sort((one = '~', other = '~') =>
        one.localeCompare(other),
      );
      return suppliers.map((supplier) => ({
        ...group,
        words: supplier === undefined ? group.words : `${group.words} from ${supplier}`,
        parts: parts.filter((part) => part.supplier === supplier),
      }));
    }).filter(({ parts }) => parts.length > 0);
  });

  /** What was paid at the yard, as it was noted on the pull list of a swap. */
  protected readonly yard = computed(() => {
    const swap = this.desk.job()?.swap;
    return swap ? sumOf(Object.values(swap.pulled)) : undefined;
  });
  /** All that is spent: the record’s, and the yard’s. */
  protected readonly spent = computed(() => {
    const { priceCents = 0, coreChargeCents = 0 } = this.yard() ?? {};
    return (this.money()?.now.spent ?? 0) + priceCents + coreChargeCents;
  });

  /** Fasteners to be had new: they are on the list whether anybody thinks of them or not. */
  protected readonly fasteners = computed(() => {
    const state = this.desk.state();
    if (!state) return [];
    return fastenersToBuy(state).map((one) => {
      const { connection, count: many, what, why } = one;
      return {
        one,
        key: connection.id + what + why,
        id: connection.id,
        many,
        what,
        where: connection.name,
        why: WHY_WORDS[why],
      };
    });
  });
  protected readonly costs = computed(() => [...(this.desk.state()?.costs.values() ?? [])]);

  protected words(cents: number): string {
    return inMoney(cents, this.shed.rates().currency);
  }

  /** What stands under the name of a line. */
  protected about(part: PartToOrder): string {
    return [
      part.reason,
      part.supplier,
      part.number,
      part.priceCents === undefined && part.guideCents !== undefined ? 'price is about' : undefined,
      part.coreChargeCents === undefined
        ? undefined
        : `core ${this.words(part.coreChargeCents)}${part.coreReturned ? ', back' : ''}`,
      part.stage === 'ordered' && part.expectedOn !== undefined
        ? `due ${this.written.day(part.expectedOn)}`
        : undefined,
    ]
      .filter((words) => words !== undefined && words !== '')
      .join(' · ');
  }

  protected need(): void {
    void this.actions.need();
  }

  protected cost(): void {
    void this.actions.cost(this.shed.rates().currency);
  }

  /** Puts fasteners onto the list of parts, each for the step that takes them. */
  protected order(fasteners: readonly FastenersToBuy[]): void {
    const operations = this.desk.state()?.work.operations;
    this.recorder.record(
      fasteners.length === 1 ? `To order: ${fasteners[0]?.what}` : `To order: ${several(fasteners.length, 'line')}`,
      ...fasteners.map((one) => {
        const { operation, name } = listedAs(one);
        return {
          kind: 'part-needed',
          need: uuid(),
          name,
          quantity: one.count,
          reason: sentence(WHY_WORDS[one.why]),
          ...(operations?.has(operation) ? { operation } : {}),
        } as const;
      }),
    );
  }

  protected orderAll(): void {
    this.order(this.fasteners().map(({ one }) => one));
  }

  protected price(part: PartToOrder): void {
    void this.actions.price(part, this.shed.rates().currency);
  }

  protected move(part: PartToOrder, to: PartStage): void {
    void this.actions.move(part, to);
  }

  protected compare(part: PartToOrder): void {
    void this.actions.compare(part);
  }

  protected coreBack({ need, name }: PartToOrder): void {
    this.recorder.record(`Old part went back: ${name}`, { kind: 'core-returned', need });
  }

  protected readPrices(files: readonly File[]): void {
    const [file] = files;
    if (file) void this.prices.read(file);
  }

  /** Writes the prices of a supplier’s list onto the lines that have the same number. */
  protected takePrices({
    supplier,
    found,
  }: {
    supplier: string;
    found: readonly { part: PartToOrder; line: PriceLine }[];
  }): void {
    const recorded = this.recorder.record(
      `Prices of ${supplier}: ${several(found.length, 'line')}`,
      ...found.map(
        ({ part: { need }, line: { priceCents, coreChargeCents, leadDays } }) =>
          ({
            kind: 'part-priced',
            need,
            supplier,
            priceCents,
            ...(coreChargeCents === undefined ? {} : { coreChargeCents }),
            ...(leadDays === undefined ? {} : { leadDays }),
          }) as const,
      ),
    );
    if (recorded) this.prices.close();
  }

  protected save(): void {
    const columns = ['quantity', 'name', 'supplier', 'number', 'price each', 'core charge', 'stage', 'due', 'reason'];
    const rows = [...(this.desk.state()?.needs.values() ?? [])].map((part) => ({
      quantity: String(part.quantity),
      name: part.name,
      supplier: part.supplier ?? '',
      number: part.number ?? '',
      'price each': part.priceCents === undefined ? '' : money(part.priceCents),
      'core charge': part.coreChargeCents === undefined ? '' : money(part.coreChargeCents),
      stage: STAGE_WORDS[part.stage],
      due: part.expectedOn ?? '',
      reason: part.reason,
    }));
    saveFile(
      'parts.csv',
      writeSheet(
        columns.map((id) => ({ id, heading: id })),
        rows,
      ),
    );
  }

  protected print(): void {
    window.print();
  }
}
