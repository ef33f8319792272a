import { computed, effect, inject, Injectable, signal } from '@angular/core';
import { decidedAtBench, yearsGiven } from '@brisk/core/ledger';
import type { Bargain, NowOrLater, ValuedSet } from '@brisk/core/economics';
import equal from 'fast-deep-equal/es6';
import { RatesShed } from '../../planning/rates-shed';
import { Reckoning, type AskedBoard } from '../../planning/reckoning';
import { Desk } from '../../session/desk';

/** How long it should stay in, where nobody has said. */
export const USUAL_YEARS_IN = 5;

/** One thing that could be done now, as it is weighed and as it was decided. */
export interface Weighed extends Bargain {
  /** Its place in the problem that is reckoned. */
  readonly index: number;
  readonly inBest: boolean;
  readonly inWithin: boolean;
  /** What doing it now is expected to spare, by itself, in hundredths. */
  readonly spares: number;
  readonly decided?: { readonly doIt: 'now' | 'later'; readonly reason?: string };
}

/** Now against later for the open job: reckoned anew when the plan, the units, the guesses or the terms change. */
@Injectable()
export class Board {
  private readonly desk = inject(Desk);
  private readonly shed = inject(RatesShed);
  private readonly reckoning = inject(Reckoning);

  readonly board = signal<NowOrLater | undefined>(undefined);
  readonly reckoningNow = signal(false);
  readonly trouble = signal('');

  readonly terms = computed(() => this.desk.state()?.terms);
  readonly yearsIn = computed(() => this.terms()?.yearsIn ?? USUAL_YEARS_IN);

  private readonly asked = computed<AskedBoard | undefined>(
    () => {
      const state = this.desk.state();
      if (!state) return undefined;
      const { units, own } = decidedAtBench(state);
      const { budgetCents, budgetHours } = state.terms ?? {};
      return {
        plan: state.plan,
        decisions: {
          units: new Map([...units].map(([unit, { becomes, comesWith }]) => [unit, { becomes, comesWith }])),
          own,
          now: new Set<string>(),
        },
        terms: {
          yearsIn: this.yearsIn(),
          lives: yearsGiven(state),
          rates: this.shed.rates(),
          ...(budgetCents === undefined && budgetHours === undefined
            ? {}
            : {
                limits: {
                  ...(budgetCents === undefined ? {} : { cash: budgetCents }),
                  ...(budgetHours === undefined ? {} : { minutes: budgetHours * 60 }),
                },
              }),
        },
      };
    },
    { equal: sameBoard },
  );

  /** The best bargain first. */
  readonly rows = computed<readonly Weighed[]>(() => {
    const board = this.board();
    const renewals = this.desk.state()?.renewals;
    if (!board) return [];
    const isIn = (set: ValuedSet | undefined, index: number) => set?.chosen.includes(index) ?? false;
    return board.bargains
      .map((bargain, index) => {
        const decided = renewals?.get(bargain.renewal.id);
        return {
          ...bargain,
          index,
          inBest: isIn(board.best, index),
          inWithin: isIn(board.within, index),
          spares: bargain.chance * (bargain.later?.cents ?? 0) - bargain.now.cents,
          ...(decided ? { decided } : {}),
        };
      })
      .sort((one, other) => other.spares - one.spares);
  });

  constructor() {
    effect((onCleanup) => {
      const asked = this.asked();
      if (!asked) return;
      this.reckoningNow.set(true);
      const running = this.reckoning.board(asked).subscribe({
        next: (board) => {
          this.board.set(board);
          this.trouble.set('');
          this.reckoningNow.set(false);
        },
        error: (error: unknown) => {
          this.trouble.set(error instanceof Error ? error.message : 'It could not be reckoned.');
          this.reckoningNow.set(false);
        },
      });
      onCleanup(() => running.unsubscribe());
    });
  }
}

/** The plan is the same as long as it is the same object; the rest is compared by what is in it. */
function sameBoard(one: AskedBoard | undefined, other: AskedBoard | undefined): boolean {
  return one?.plan === other?.plan && equal(one?.decisions, other?.decisions) && equal(one?.terms, other?.terms);
}
