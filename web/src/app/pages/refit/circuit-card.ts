import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { amount, oneOf, optionalAmount, optionalText, text } from '@brisk/contracts/fields';
import type { LevelSpec } from '@brisk/core/connection-map';
import { freezingAtC, PRIMING_WAYS, STRONGEST_SHARE, type Fill, type PrimingWay } from '@brisk/core/fluids';
import {
  CIRCUIT_STATE_WORDS,
  fillPlanOf,
  FILL_SCHOOLS,
  PRIMING_WORDS,
  USUAL_CANS_L,
  type CircuitNow,
  type EntryBody,
  type FillSchool,
  type FillTerms,
  type JobState,
} from '@brisk/core/ledger';
import { litres, sentence, several, figureIn } from '@brisk/core/words';
import { differenceInCalendarDays } from 'date-fns';
import { Recorder } from '../../session/recorder';
import { Ask } from '../../ui/ask';
import { ChoiceKeys } from '../../ui/choice-keys';

type Terms = Omit<FillTerms, 'by' | 'at' | 'entry'>;
const SCHOOL_WORDS: Readonly<Record<FillSchool, string>> = { mixed: 'Mixed at once', 'water-first': 'Water first' };
const LEVEL_WORDS: Readonly<Record<LevelSpec['by'], string>> = {
  stick: 'by the stick',
  overflow: 'until it runs out of its level hole',
  marks: 'between its marks',
};
/** Left open for so many days, what runs in it has drunk water and dust. */
const LONG_OPEN_DAYS = 3;
const MOST_C = 100;

/** One circuit: its litres drawn, where the rest comes out, how it is filled, and its level. */
@Component({
  selector: 'bl-circuit-card',
  imports: [ChoiceKeys, MatButton, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './circuit-card.html',
  styleUrl: './circuit-card.scss',
})
export class CircuitCard {
  readonly now = input.required<CircuitNow>();
  readonly state = input.required<JobState>();
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);
  protected readonly litres = litres;
  protected readonly several = several;
  protected readonly sentence = sentence;
  protected readonly states = CIRCUIT_STATE_WORDS;
  protected readonly schools = FILL_SCHOOLS.map((value) => ({ value, words: SCHOOL_WORDS[value] }));
  protected readonly primings = PRIMING_WAYS.map((value) => ({ value, words: PRIMING_WORDS[value].name }));
  protected readonly primingWords = PRIMING_WORDS;

  protected readonly plan = computed(() => fillPlanOf(this.state(), this.now()));
  protected readonly isCoolant = computed(() => this.now().circuit.fluid === 'coolant');
  protected readonly isEngineOil = computed(() => this.now().circuit.id === 'engine-oil');
  /** Shares of what it holds, drawn as a bar. */
  protected readonly bar = computed(() => {
    const { circuit, insideL } = this.now();
    return {
      inside: Math.min(100, (100 * insideL) / circuit.capacityL),
      usual: 100 - (100 * circuit.drainsL) / circuit.capacityL,
    };
  });
  protected readonly openDays = computed(() => {
    const { openSince } = this.now();
    return openSince === undefined ? undefined : differenceInCalendarDays(new Date(), new Date(openSince));
  });
  protected readonly longOpen = computed(() => (this.openDays() ?? 0) >= LONG_OPEN_DAYS);
  /** What was caught, against what usually runs out. */
  protected readonly caught = computed(() => {
    const { circuit, caughtL, drained } = this.now();
    if (caughtL === undefined) return drained ? 'nobody measured what was caught' : 'not drained yet';
    const short = circuit.drainsL - caughtL;
    return `${litres(caughtL)} caught of the usual ${litres(circuit.drainsL)}${short > 0.1 * circuit.drainsL ? `: ${litres(short)} short` : ''}`;
  });
  protected readonly levelHow = computed(() => {
    const { level } = this.now().circuit;
    if (!level) return 'as the maker says';
    const { by, fromC, toC } = level;
    const warm = fromC === undefined && toC === undefined ? '' : `, at ${fromC ?? 0} to ${toC ?? 0} °C`;
    return `${LEVEL_WORDS[by]}${warm}`;
  });
  protected readonly water = computed(() => {
    const plan = this.plan();
    if (plan.is !== 'mix') return undefined;
    const { firstWaterL, shareThen, freezesAtC, moreConcentrateL, wastedL, then } = plan.waterFirst;
    return {
      first: litres(firstWaterL),
      share: Math.round(shareThen * 100),
      freezes: Math.round(freezesAtC),
      more:
        moreConcentrateL >= 0.05
          ? `${litres(moreConcentrateL)} more concentrate`
          : moreConcentrateL <= -0.05
            ? `${litres(-moreConcentrateL)} less concentrate`
            : 'no more concentrate',
      wasted: litres(wastedL),
      minutes: this.now().circuit.drain.minutes.likely + this.now().circuit.fill.minutes.likely,
      then: then.fills,
    };
  });

  protected fillWords({ concentrateL, waterL, shareAfter }: Fill): string {
    const strong = Math.min(shareAfter, STRONGEST_SHARE);
    return `${litres(concentrateL)} concentrate, ${litres(waterL)} water: ${Math.round(shareAfter * 100)} % all round, down to ${Math.round(freezingAtC(strong))} °C`;
  }

  protected school(school: FillSchool): void {
    this.plans({ school }, SCHOOL_WORDS[school]);
  }

  protected priming(priming: PrimingWay): void {
    this.plans({ priming }, PRIMING_WORDS[priming].name);
  }

  /** Asks what the mix has to hold, how strong what is inside is, and what cans there are. */
  protected async ask(): Promise<void> {
    const { circuit, terms, shareInside } = this.now();
    const answers = await this.asker.ask({
      title: `How the ${circuit.name.toLowerCase()} is filled`,
      ...(circuit.grade === undefined ? {} : { words: `${circuit.grade}. The figure on the can wins.` }),
      questions: [
        ...(this.isCoolant()
          ? [
              {
                field: 'freezingC',
                label: 'Holds down to',
                as: 'amount' as const,
                suffix: '°C',
                schema: amount(MOST_C, -273).label('Holds down to'),
                initial: terms?.freezingC ?? -30,
              },
              {
                field: 'inside',
                label: 'What is still inside is so strong',
                as: 'amount' as const,
                suffix: '%',
                schema: optionalAmount(100).label('How strong'),
                hint: 'By a tester on what was caught',
                ...(shareInside === undefined ? {} : { initial: Math.round(shareInside * 100) }),
              },
            ]
          : []),
        {
          field: 'cans',
          label: 'Cans it is bought in, litres',
          as: 'line' as const,
          schema: text().test('cans', 'Cans have to be litres, with spaces between.', (typed) => !!cansIn(typed)),
          initial: (terms?.cansL ?? USUAL_CANS_L).join(' '),
        },
      ],
      action: 'Reckon with it',
    });
    if (!answers) return;
    const given = (field: string) => answers[field] !== undefined && answers[field] !== '';
    this.plans(
      {
        ...(given('freezingC') ? { freezingC: Number(answers['freezingC']) } : {}),
        ...(given('inside') ? { shareInside: Number(answers['inside']) / 100 } : {}),
        cansL: cansIn(String(answers['cans'])) ?? USUAL_CANS_L,
      },
      'Reckoned with',
    );
  }

  /** Asks how much ran out or went in besides, and how strong it is. */
  protected async measure(): Promise<void> {
    const { circuit } = this.now();
    const answers = await this.asker.ask({
      title: `${circuit.name}: measured`,
      questions: [
        {
          field: 'direction',
          label: 'Which way?',
          as: 'choice',
          schema: oneOf(['out', 'in'] as const).label('Which way'),
          choices: [
            { value: 'out', words: 'Ran out besides' },
            { value: 'in', words: 'Went in besides' },
          ],
          initial: this.now().drained && this.now().filledL === undefined ? 'out' : 'in',
        },
        { field: 'litres', label: 'How much', as: 'amount', suffix: 'l', schema: amount(1_000).label('How much') },
        ...(this.isCoolant()
          ? [
              {
                field: 'share',
                label: 'How strong it is',
                as: 'amount' as const,
                suffix: '%',
                schema: optionalAmount(100).label('How strong'),
              },
            ]
          : []),
      ],
      action: 'Record it',
    });
    if (!answers) return;
    const share = answers['share'];
    this.recorder.record('Measured', {
      kind: 'fluid-measured',
      circuit: circuit.id,
      direction: answers['direction'] === 'out' ? 'out' : 'in',
      litres: Number(answers['litres']),
      onTop: true,
      ...(share === undefined || share === '' ? {} : { share: Number(share) / 100 }),
    });
  }

  /** The first fill poured as it was reckoned. */
  protected poured({ concentrateL, waterL }: Fill): void {
    const all = concentrateL + waterL;
    this.recorder.record('Poured', {
      kind: 'fluid-measured',
      circuit: this.now().circuit.id,
      direction: 'in',
      litres: Math.round(all * 10) / 10,
      onTop: true,
      share: all === 0 ? 0 : concentrateL / all,
    });
  }

  protected async level(): Promise<void> {
    const { circuit } = this.now();
    const answers = await this.asker.ask({
      title: `Level of the ${circuit.name.toLowerCase()}`,
      words: `Read ${this.levelHow()}. The maker’s way wins.`,
      questions: [
        {
          field: 'addedL',
          label: 'Added for it; less than nought where some was let out',
          as: 'amount',
          suffix: 'l',
          schema: amount(1_000, -1_000).label('Added'),
          initial: 0,
        },
        {
          field: 'celsius',
          label: 'How warm it was',
          as: 'amount',
          suffix: '°C',
          schema: optionalAmount(300, -60).label('How warm'),
        },
        { field: 'note', label: 'Note', as: 'line', schema: optionalText().label('Note') },
      ],
      action: 'Its level is set',
    });
    if (!answers) return;
    const given = (field: string) => answers[field] !== undefined && answers[field] !== '';
    this.recorder.record(`Level set: ${circuit.name.toLowerCase()}`, {
      kind: 'level-set',
      circuit: circuit.id,
      addedL: Number(answers['addedL']),
      ...(given('celsius') ? { celsius: Number(answers['celsius']) } : {}),
      ...(given('note') ? { note: String(answers['note']) } : {}),
    });
  }

  private plans(change: Terms, words: string): void {
    const { circuit, terms } = this.now();
    const { by: _by, at: _at, entry: _entry, ...before } = terms ?? { by: '', at: '', entry: '' };
    const body: EntryBody = { kind: 'fill-planned', circuit: circuit.id, ...before, ...change };
    this.recorder.record(words, body);
  }
}

/** “1.5 5” as sizes of cans in litres; undefined where they are none. */
function cansIn(typed: string | undefined): readonly number[] | undefined {
  const sizes = (typed ?? '')
    .trim()
    .split(/[\s;/]+/)
    .map((one) => figureIn(one) ?? NaN);
  return sizes.length <= 10 && sizes.every((size) => size >= 0.1 && size <= 1_000) ? sizes : undefined;
}
