import equal from 'fast-deep-equal';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatIcon } from '@angular/material/icon';
import { text } from '@brisk/contracts/fields';
import {
  beliefs,
  evidenceOf,
  machineOf,
  nextTests,
  stopWords,
  placesOf,
  OTHER,
  raisesOf,
  ruledOut,
  type Belief,
  type NextTest,
} from '@brisk/core/diagnosis';
import { gateOf } from '@brisk/core/ledger';
import { batteryStops } from '@brisk/core/readiness';
import { duration, sentence, several } from '@brisk/core/words';
import { BayHere } from '../../map/bay-here';
import { TroubleShed } from '../../planning/trouble-shed';
import { Desk } from '../../session/desk';
import { House } from '../../session/house';
import { Recorder } from '../../session/recorder';
import { Ask } from '../../ui/ask';
import { DropSheet, type DropRead } from './drop-sheet';
import { StartTabs } from './start-tabs';

const MOST_SHOWN = 6;
const MOST_OTHERS = 6;
const MOST_ELSEWHERE = 4;
const USUAL_CYLINDERS = 4;
const MOST_NAMED = 6;

/** What is wrong with it: the next test that tells most for its minutes, what is believed and why, and what was tried. */
@Component({
  selector: 'bl-trouble',
  imports: [BayHere, DropSheet, MatButton, MatExpansionModule, MatIcon, RouterLink, StartTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './trouble.html',
  styleUrl: './trouble.scss',
})
export class Trouble {
  protected readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);
  protected readonly several = several;
  protected readonly duration = duration;

  private readonly shed = inject(TroubleShed);
  private readonly house = inject(House);
  /** What is known, with what was found on machines of this kind and on this one before. */
  private readonly knowledge = computed(() =>
    this.shed.asked([...this.house.knowledge().causes, ...(this.desk.state()?.causesFound ?? [])]),
  );
  /** Other entries that come in do not put away the test somebody has in hand. */
  private readonly evidence = computed(
    () => {
      const state = this.desk.state();
      return state ? evidenceOf(state) : [];
    },
    { equal },
  );
  private readonly machine = computed(() => {
    const state = this.desk.state();
    return state && machineOf(state.work.plan.map);
  });
  private readonly believed = computed(() => {
    const [state, machine] = [this.desk.state(), this.machine()];
    return state && machine
      ? beliefs(this.knowledge(), machine, raisesOf(state, this.knowledge().causes), this.evidence(), ruledOut(state))
      : [];
  });
  protected readonly mayCrank = computed(() => {
    const state = this.desk.state();
    return state !== undefined && gateOf(state, 'pre-start').signed !== undefined && this.stops().length === 0;
  });
  /** Why nobody cranks now, though the hold point is signed: what the last attempt did to the battery. */
  protected readonly stops = computed(() => {
    const state = this.desk.state();
    return state ? batteryStops(state) : [];
  });
  /** What it costs to turn or to run it on with the likeliest. */
  protected readonly stop = computed(() => stopWords(this.believed()));
  private readonly tests = computed(() => {
    const machine = this.machine();
    return machine ? nextTests(this.knowledge(), machine, this.believed(), this.evidence(), this.mayCrank()) : [];
  });
  /** The test in hand: the one that tells most, unless somebody took another. */
  private readonly chosen = linkedSignal<unknown, string | undefined>({
    source: this.evidence,
    computation: () => undefined,
  });
  protected readonly inHand = computed(() => {
    // What is complained of comes before anything is tried.
    const first = this.tests().find(({ test }) => test.id === 'complaint');
    return this.tests().find(({ test }) => test.id === this.chosen()) ?? first ?? this.tests()[0];
  });
  protected readonly others = computed(() =>
    this.tests()
      .filter((one) => one !== this.inHand())
      .slice(0, MOST_OTHERS),
  );
  protected readonly answers = computed(() => {
    const now = this.inHand();
    return (now?.answers ?? []).map(({ id, words, leads, leadsBy }) => ({
      id,
      words,
      means: now?.test.id === 'complaint' || !leads ? '' : `${leads.name}: ${percent(leadsBy)}`,
    }));
  });
  protected readonly causes = computed(() =>
    this.believed()
      // That it is none of these can always be said.
      .filter(({ cause }, at) => at < MOST_SHOWN || !cause)
      .map((belief) => ({
        ...belief,
        id: belief.cause?.id ?? OTHER,
        name: belief.cause?.name ?? 'None of these',
        said: percent(belief.chance),
      })),
  );
  /** Where the test in hand is done. */
  protected readonly places = computed(() => {
    const [state, now] = [this.desk.state(), this.inHand()];
    return state && now ? placesOf(state, now.test, this.believed()) : [];
  });
  protected readonly placeNames = computed(() => ({
    first: this.places()
      .slice(0, MOST_NAMED)
      .map(({ name }) => sentence(name))
      .join(', '),
    more: Math.max(0, this.places().length - MOST_NAMED),
  }));
  protected readonly tried = computed(() => {
    const state = this.desk.state();
    const closed = state?.causesFound.at(-1)?.at;
    return [...(state?.troubleTests ?? [])].filter(({ at }) => closed === undefined || at > closed).reverse();
  });
  /** What it was on other machines of this kind. */
  protected readonly elsewhere = computed(() => this.house.knowledge().causes.slice(0, MOST_ELSEWHERE));
  protected readonly found = computed(() => [...(this.desk.state()?.causesFound ?? [])].reverse());

  protected take(test: string): void {
    this.chosen.set(test);
  }

  protected answer({ test }: NextTest, id: string, words: string): void {
    this.recorder.record(`${test.asked} ${words}`, {
      kind: 'trouble-test-done',
      test: test.id,
      asked: test.asked,
      answer: id,
      answered: words,
    });
  }

  /** Cylinders, as the map has them; where it does not say, as far as it names a coil or an injector for each. */
  protected readonly cylinders = computed(() => {
    const said = this.desk.job()?.plan.map.cylinders;
    if (said) return said.count;
    const ids = [...(this.desk.state()?.work.connections.keys() ?? [])];
    const each = ['coil-', 'injector-'].map(
      (begins) => ids.filter((id) => new RegExp(`^${begins}\\d+`).test(id)).length,
    );
    return Math.max(...each) >= 2 ? Math.max(...each) : USUAL_CYLINDERS;
  });

  protected dropped({ test }: NextTest, { answer, note }: DropRead): void {
    this.recorder.record(`${test.asked} ${note}`, {
      kind: 'trouble-test-done',
      test: test.id,
      asked: test.asked,
      answer,
      answered: test.answers.find(({ id }) => id === answer)?.words ?? answer,
      note,
    });
  }

  protected async isIt({ cause }: Belief): Promise<void> {
    const name = cause?.name ?? 'None of these';
    const answers = await this.asker.ask({
      title: cause ? `It was: ${name}` : 'It was something else',
      ...(cause ? { words: cause.mend } : {}),
      questions: [
        ...(cause
          ? []
          : [{ field: 'name', label: 'What it was', as: 'line' as const, schema: text().label('What it was') }]),
        { field: 'mended', label: 'What was done about it', as: 'lines', schema: text().label('What was done') },
      ],
      action: 'Found',
    });
    if (!answers) return;
    this.recorder.record('Found', {
      kind: 'cause-found',
      cause: cause?.id ?? OTHER,
      name: cause ? name : String(answers['name']),
      mended: String(answers['mended']),
    });
  }
}

function percent(share: number): string {
  const whole = Math.round(share * 100);
  return whole === 0 ? 'under 1 %' : `${whole} %`;
}
