import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggleModule, type MatButtonToggleChange } from '@angular/material/button-toggle';
import { MatIcon } from '@angular/material/icon';
import { MatProgressBar } from '@angular/material/progress-bar';
import { text } from '@brisk/contracts/fields';
import type { WhenRenewed } from '@brisk/core/ledger';
import { valueOf } from '@brisk/core/economics';
import { duration, sentence, several } from '@brisk/core/words';
import { RatesShed } from '../../planning/rates-shed';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { Ask } from '../../ui/ask';
import { inMoney } from '../../words/money';
import { BenchTabs } from './bench-tabs';
import { Board, type Weighed } from './board';
import { ownRenewal, ownRenewalAsking } from './own-renewal';
import { lifeAsking, lifeIn } from './life-said';
import { ratesIn, termsAsking, termsIn } from './reckoned-with';

/** The longest length takes so much of its room, in per cent; its figure stands behind it. */
const LONGEST_SHARE = 52;
/** Nobody guesses a seal nearer than to a year. */
const GUESS_STEP_YEARS = 1;

/** What is worth doing while one can get at it: now against coming back for it, as two lengths on one scale. */
@Component({
  selector: 'bl-now-or-later',
  imports: [BenchTabs, MatButton, MatButtonToggleModule, MatIcon, MatProgressBar],
  providers: [Board],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './now-or-later.html',
  styleUrl: './now-or-later.scss',
})
export class NowOrLaterView {
  protected readonly desk = inject(Desk);
  protected readonly board = inject(Board);
  private readonly shed = inject(RatesShed);
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);
  protected readonly sentence = sentence;
  protected readonly several = several;
  protected readonly duration = duration;

  protected readonly longest = computed(() =>
    Math.max(1, ...this.board.rows().map(({ now, later }) => Math.max(now.cents, later?.cents ?? 0))),
  );
  /** What the best set comes to, against leaving everything and against the next best. */
  protected readonly sums = computed(() => {
    const all = this.board.board();
    if (!all) return undefined;
    const nothing = valueOf(all.problem, []);
    const total = all.best.now + all.best.later;
    return {
      best: all.best,
      nothing: nothing.later,
      spares: nothing.later - total,
      second: all.second ? all.second.now + all.second.later - total : undefined,
      within: all.within,
    };
  });
  /** What was chosen so far, all together: what is opened for several of them is paid for once. */
  protected readonly chosen = computed(() => {
    const all = this.board.board();
    const now = this.board.rows().flatMap(({ index, decided }) => (decided?.doIt === 'now' ? [index] : []));
    if (!all || now.length === 0) return undefined;
    const left = this.board.rows().filter(({ decided }) => decided?.doIt === 'later').length;
    return { ...valueOf(all.problem, now), count: now.length, left };
  });
  protected readonly reckonedWith = computed(() => {
    const { yearsIn, budgetCents, budgetHours } = { yearsIn: this.board.yearsIn(), ...this.board.terms() };
    return [
      `${several(yearsIn, 'year')} until the next time out`,
      `${this.money(this.shed.rates().hourCents)} an hour`,
      ...(budgetCents === undefined ? [] : [`at most ${this.money(budgetCents)} for parts`]),
      ...(budgetHours === undefined ? [] : [`at most ${budgetHours} h`]),
    ].join(', ');
  });

  protected money(cents: number): string {
    // Whole money is near enough for what is reckoned from guesses.
    return inMoney(Math.round(cents / 100) * 100, this.shed.rates().currency);
  }

  /** How far the next best set is from the best. */
  protected secondWords(more: number | undefined): string {
    if (more === undefined) return '';
    return more < 100
      ? 'Another set comes to as much: a thing or two may as well be left or done.'
      : `The next best set comes to ${this.money(more)} more.`;
  }

  protected percent(share: number): string {
    return `${Math.round(share * 100)} %`;
  }

  protected share(cents: number): string {
    return `${Math.max(0.4, (LONGEST_SHARE * cents) / this.longest())}%`;
  }

  /** Decides as was tapped; where that is called off or refused, what is recorded is shown again. */
  protected async choose(row: Weighed, { source, value }: MatButtonToggleChange): Promise<void> {
    await this.decide(row, value as WhenRenewed);
    source.buttonToggleGroup.value = this.desk.state()?.renewals.get(row.renewal.id)?.doIt;
  }

  /** Decides on one: now puts its steps and parts into the plan; later asks why, and is told at handover. */
  private async decide({ renewal: { id, name } }: Weighed, doIt: WhenRenewed): Promise<void> {
    if (doIt === 'now') {
      this.recorder.record(`In the plan: the ${name}`, { kind: 'renewal-decided', renewals: [id], doIt });
      return;
    }
    const answers = await this.asker.ask({
      title: `Leave the ${name}`,
      words: 'Why it is left is read at handover, and when it fails.',
      questions: [{ field: 'reason', label: 'Reason', as: 'lines', schema: text().label('Reason') }],
      action: 'Leave it',
    });
    if (!answers) return;
    this.recorder.record(`Left: the ${name}`, {
      kind: 'renewal-decided',
      renewals: [id],
      doIt,
      reason: String(answers['reason']),
    });
  }

  /** Puts all of a set into the plan that is not in it yet and was not declined. */
  protected take(within: boolean): void {
    const rows = this.board.rows().filter((row) => (within ? row.inWithin : row.inBest) && row.decided === undefined);
    if (rows.length === 0) return;
    this.recorder.record(`In the plan: ${several(rows.length, 'thing')}`, {
      kind: 'renewal-decided',
      renewals: rows.map(({ renewal }) => renewal.id),
      doIt: 'now',
    });
  }

  protected takes(within: boolean): number {
    return this.board.rows().filter((row) => (within ? row.inWithin : row.inBest) && row.decided === undefined).length;
  }

  protected guess({ renewal: { id, name }, yearsLeft }: Weighed, by: 1 | -1): void {
    const years = Math.max(0.5, Math.round((yearsLeft + by * GUESS_STEP_YEARS) * 2) / 2);
    if (years !== yearsLeft)
      this.recorder.record(`The ${name} is given ${several(years, 'year')}`, {
        kind: 'life-guessed',
        renewal: id,
        yearsLeft: years,
      });
  }

  /** How long it is given, in years, and in kilometres where it is known how far the machine goes. */
  protected leftWords({ renewal: { id }, yearsLeft, guessed }: Weighed): string {
    const years = `${Math.round(yearsLeft * 10) / 10} y left`;
    if (!guessed) return `${years}, as usual`;
    const km = this.desk.state()?.lives.get(id)?.kmLeft;
    return km === undefined ? years : `${km.toLocaleString('en')} km: ${years}`;
  }

  /** Asks how long somebody gives it, in years or in kilometres. */
  protected async sayLife(row: Weighed): Promise<void> {
    const kmPerYear = this.board.terms()?.kmPerYear;
    const answers = await this.asker.ask(lifeAsking(row, this.desk.state()?.lives.get(row.renewal.id), kmPerYear));
    if (!answers) return;
    this.recorder.record(`Said how long the ${row.renewal.name} lasts`, {
      kind: 'life-guessed',
      renewal: row.renewal.id,
      ...lifeIn(answers, kmPerYear),
    });
  }

  protected async reckonWith(): Promise<void> {
    const answers = await this.asker.ask(termsAsking(this.board.yearsIn(), this.board.terms(), this.shed.rates()));
    if (!answers) return;
    await this.shed.put(ratesIn(answers));
    this.recorder.record('Reckoned anew', { kind: 'terms-set', ...termsIn(answers) });
  }

  protected async write(): Promise<void> {
    const state = this.desk.state();
    if (!state) return;
    const answers = await this.asker.ask(ownRenewalAsking(state));
    if (!answers) return;
    const renewal = ownRenewal(state, answers);
    this.recorder.record(`Put up: the ${renewal.name}`, { kind: 'renewal-written', renewal });
  }
}
