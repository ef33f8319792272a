import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import { MapError, type JobPlan, type Practice } from '@brisk/core/connection-map';
import { lostBy, type PlanSettings } from '@brisk/core/ledger';
import { practicesOf, settingsNow } from '@brisk/core/planning';
import { FUEL_SCHOOLS, ORDER_SCHOOLS, type FuelSchool, type OrderSchool } from '@brisk/core/schedule';
import { duration } from '@brisk/core/words';
import equal from 'fast-deep-equal';
import type { Subscription } from 'rxjs';
import { choicesOf, type Choice } from '../../ui/choice';
import { PickOne } from '../../ui/pick-one';
import { Desk } from '../../session/desk';
import { withSwap } from '../../planning/swap-plan';
import { PlanDraft } from '../../planning/plan-draft';
import { PlanSearch } from '../../planning/plan-search';
import { PlanTabs } from './plan-tabs';
import { FUEL_WORDS, ORDER_WORDS } from '../../planning/school-words';
import { weighed, type Figures } from '../../planning/weighing';

/** How long each half of each column is searched. */
const EACH_MS = 900;
const MOST_COLUMNS = 4;

/** One way of going about it, beside others. */
interface Column {
  readonly order: OrderSchool;
  readonly fuel: FuelSchool;
  readonly practice: Practice;
  readonly figures?: Figures;
  readonly weighing?: boolean;
  readonly wrong?: string;
  /** What is recorded already and stands against it. */
  readonly lost?: string;
}

/** What a crew may do one way or another, with the answer that is taken. */
interface PracticeQuestion {
  readonly words: string;
  readonly taken: Practice | undefined;
  readonly answers: readonly Choice<Practice>[];
}

interface Row {
  readonly words: string;
  readonly of: (figures: Figures) => { readonly text: string; readonly value: number } | undefined;
}

/** Schools of practice side by side, each planned with the same crew: what each costs, for the crew to decide. */
@Component({
  selector: 'bl-schools',
  imports: [MatButton, PickOne, PlanTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './schools.html',
  styleUrl: './schools.scss',
})
export class Schools {
  private readonly desk = inject(Desk);
  private readonly draft = inject(PlanDraft);
  private readonly search = inject(PlanSearch);
  private readonly router = inject(Router);
  private readonly running = new Map<number, Subscription>();
  private readonly keys = signal<readonly number[]>([0, 1, 2]);
  private readonly byKey = signal<ReadonlyMap<number, Column>>(new Map());
  private made = 3;

  protected readonly orders = choicesOf(ORDER_WORDS, ORDER_SCHOOLS);
  protected readonly fuels = choicesOf(FUEL_WORDS, FUEL_SCHOOLS);
  protected readonly trouble = signal('');
  protected readonly most = MOST_COLUMNS;
  protected readonly columns = computed(() =>
    this.keys().flatMap((key) => {
      const column = this.byKey().get(key);
      return column ? [{ key, column, choices: this.practices(column) }] : [];
    }),
  );
  protected readonly crew = computed(
    () =>
      this.settings()
        ?.crew.hands.map(({ name }) => name)
        .join(' and ') ?? '',
  );

  protected readonly rows: readonly Row[] = [
    { words: 'Out', of: ({ halves: { out } }) => minutes(out?.costs.finishMin) },
    { words: 'Back', of: ({ halves: { back } }) => minutes(back?.costs.finishMin) },
    { words: 'Up or down', of: (figures) => counted(figures, 'heightChanges') },
    { words: 'Walks', of: (figures) => counted(figures, 'stationMoves') },
    { words: 'Tools fetched', of: (figures) => counted(figures, 'toolFetches') },
    {
      words: 'Standing by',
      of: ({ halves: { out, back } }) => (out && back ? minutes(out.waitingMin + back.waitingMin) : undefined),
    },
    { words: 'Connections opened', of: ({ opened }) => ({ text: String(opened), value: opened }) },
    { words: 'Fluids', of: ({ litres }) => ({ text: `${Math.round(litres * 10) / 10} l`, value: litres }) },
  ];

  constructor() {
    const practice = this.desk.job()?.plan.practice ?? {};
    const taken = this.settings()?.school ?? { order: 'quickest', fuel: 'any-time' };
    const others = (['by-system', 'by-position', 'quickest'] as const).filter((order) => order !== taken.order);
    this.byKey.set(
      new Map<number, Column>([
        [0, { ...taken, practice }],
        ...others
          .slice(0, 2)
          .map((order, index): [number, Column] => [index + 1, { order, fuel: 'any-time', practice }]),
      ]),
    );
    for (const key of this.keys()) this.weigh(key);
    inject(DestroyRef).onDestroy(() => this.running.forEach((one) => one.unsubscribe()));
  }

  protected change(key: number, change: Partial<Column>): void {
    const column = this.byKey().get(key);
    if (!column) return;
    const { figures: _figures, wrong: _wrong, lost: _lost, ...rest } = column;
    this.put(key, { ...rest, ...change });
    this.weigh(key);
  }

  protected add(): void {
    const [first] = this.columns();
    if (!first || this.keys().length >= MOST_COLUMNS) return;
    const key = this.made++;
    this.put(key, { order: 'outside-in', fuel: 'last', practice: first.column.practice });
    this.keys.update((keys) => [...keys, key]);
    this.weigh(key);
  }

  protected remove(key: number): void {
    this.running.get(key)?.unsubscribe();
    this.keys.update((keys) => keys.filter((one) => one !== key));
  }

  /** The figure of one row, and whether it is the least of all columns that have one. */
  protected cell(row: Row, { figures }: Column): { readonly text: string; readonly least: boolean } | undefined {
    const own = figures && row.of(figures);
    if (!own) return undefined;
    const all = this.columns().flatMap(({ column }) => (column.figures ? (row.of(column.figures)?.value ?? []) : []));
    const least = Math.min(...all);
    return { text: own.text, least: own.value === least && all.some((value) => value > least) };
  }

  /** Goes on with a column: its practice becomes part of the plan, its school orders the steps. */
  protected async take({ order, fuel, practice }: Column): Promise<void> {
    const job = this.desk.job();
    const settings = this.settings();
    if (!job || !settings) return;
    if (!equal(practice, job.plan.practice ?? {})) {
      const wrong = await this.desk.replan({ ...job, plan: withSwap(practised(job.plan, practice), job.swap) });
      this.trouble.set(wrong ?? '');
      if (wrong !== undefined) return;
    }
    this.draft.half.set('out');
    this.draft.settle({ ...settings, school: { order, fuel } }, ORDER_WORDS[order]);
    await this.router.navigate(['/jobs', job.id, 'plan']);
  }

  private settings(): PlanSettings | undefined {
    const state = this.desk.state();
    const job = this.desk.job();
    return state && job && (this.draft.settings() ?? settingsNow(state, 'out', job.crew, Date.now()));
  }

  private practices({ practice }: Column): readonly PracticeQuestion[] {
    const job = this.desk.job();
    return (job ? practicesOf(practised(job.plan, practice)) : []).map(({ words, answers }) => ({
      words,
      taken: answers.find(({ taken }) => taken)?.practice,
      answers: answers.map(({ practice: value, words: said, not, taken }) => ({
        value,
        words: said,
        not: taken ? undefined : not,
      })),
    }));
  }

  private put(key: number, column: Column): void {
    this.byKey.update((before) => new Map(before).set(key, column));
  }

  private weigh(key: number): void {
    this.running.get(key)?.unsubscribe();
    const job = this.desk.job();
    const state = this.desk.state();
    const settings = this.settings();
    const column = this.byKey().get(key);
    if (!job || !state || !settings || !column) return;
    const { order, fuel, practice } = column;
    const plan = withSwap(practised(job.plan, practice), job.swap);
    const update = (change: Partial<Column>) => {
      const now = this.byKey().get(key);
      if (now) this.put(key, { ...now, ...change });
    };
    try {
      const [lost] = state.position === 0 ? [] : lostBy(state, plan);
      update({ weighing: true, ...(lost === undefined ? {} : { lost }) });
      this.running.set(
        key,
        weighed(
          this.search,
          plan,
          state.entries,
          { ...settings, pins: [], school: { order, fuel } },
          EACH_MS,
        ).subscribe({
          next: (figures) => update({ figures }),
          error: (error: unknown) => update({ weighing: false, wrong: String(error) }),
          complete: () => update({ weighing: false }),
        }),
      );
    } catch (error) {
      if (!(error instanceof MapError)) throw error;
      update({ weighing: false, wrong: error.message });
    }
  }
}

function practised({ practice: _practice, ...plan }: JobPlan, practice: Practice): JobPlan {
  return Object.keys(practice).length > 0 ? { ...plan, practice } : plan;
}

function minutes(value: number | undefined) {
  return value === undefined ? undefined : { text: duration(value), value };
}

function counted({ halves: { out, back } }: Figures, which: 'heightChanges' | 'stationMoves' | 'toolFetches') {
  if (!out || !back) return undefined;
  const value = out.costs[which] + back.costs[which];
  return { text: String(value), value };
}
