import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggleModule, type MatButtonToggleChange } from '@angular/material/button-toggle';
import { MatIcon } from '@angular/material/icon';
import { name, oneOf, optionalAmount, optionalText } from '@brisk/contracts/fields';
import {
  judgeReadings,
  looksFor,
  proposedBy,
  READING_WORDS,
  READINGS,
  type Look,
  type Reading,
} from '@brisk/core/inspection';
import { several, figureIn } from '@brisk/core/words';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { Ask } from '../../ui/ask';
import { choicesOf } from '../../ui/choice';
import { BenchTabs } from './bench-tabs';
import { Written } from '../../ui/written';

const SYSTEM_WORDS: Readonly<Partial<Record<Look['system'], string>>> = {
  inside: 'Engine, inside and its seals',
  cooling: 'Cooling',
  electrics: 'Electrics',
  air: 'Air',
  exhaust: 'Exhaust',
  driveline: 'Clutch and gearbox',
  mounts: 'Mounts',
};
const GRADES = ['✓', '◐', '✗'] as const;
const WORDS_OF_READINGS = Object.fromEntries(READINGS.map((one) => [one, READING_WORDS[one].words])) as Readonly<
  Record<Reading, string>
>;

/** The unit on the stand, looked over and measured: what is found proposes what to renew. */
@Component({
  selector: 'bl-looked',
  imports: [BenchTabs, MatButton, MatButtonToggleModule, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './looked.html',
  styleUrl: './looked.scss',
})
export class Looked {
  private readonly written = inject(Written);
  private readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);
  protected readonly several = several;
  protected readonly grades = GRADES;

  protected readonly groups = computed(() => {
    const state = this.desk.state();
    if (!state) return [];
    const rows = looksFor(state.work.plan).map((look) => {
      const found = state.findings.get(look.id);
      const answer = look.answers.find(({ id }) => id === found?.finding);
      return {
        look,
        found,
        answer,
        proposed: proposedBy(look, answer?.grade ?? 0, state.work.plan).flatMap((id) => {
          const renewal = state.work.plan.map.renewals?.find((one) => one.id === id);
          return renewal ? [{ id, name: renewal.name, decided: state.renewals.get(id)?.doIt }] : [];
        }),
      };
    });
    return [...new Set(rows.map(({ look }) => look.system))].map((system) => ({
      system,
      words: SYSTEM_WORDS[system] ?? system,
      rows: rows.filter(({ look }) => look.system === system),
    }));
  });
  protected readonly left = computed(
    () =>
      this.groups()
        .flatMap(({ rows }) => rows)
        .filter(({ found }) => !found).length,
  );
  protected readonly bad = computed(
    () =>
      this.groups()
        .flatMap(({ rows }) => rows)
        .filter(({ answer }) => answer?.grade === 2).length,
  );
  protected readonly readings = computed(() =>
    [...(this.desk.state()?.readings ?? [])].reverse().map((one) => {
      const { low, high } = one;
      const limits = { ...(low === undefined ? {} : { low }), ...(high === undefined ? {} : { high }) };
      return {
        ...one,
        ...READING_WORDS[one.reading],
        note: one.note,
        judged: judgeReadings(one.reading, one.values, limits),
        when: this.written.moment(one.at),
        most: Math.max(...one.values, 0.001),
      };
    }),
  );

  protected look(look: Look, { source, value }: MatButtonToggleChange): void {
    const finding = String(value);
    const answer = look.answers.find(({ id }) => id === finding);
    this.recorder.record(`${look.what}: ${answer?.words.toLowerCase() ?? finding}`, {
      kind: 'looked-at',
      look: look.id,
      finding,
    });
    // Where it was refused, what is recorded is shown again.
    source.buttonToggleGroup.value = this.desk.state()?.findings.get(look.id)?.finding;
  }

  protected async note(look: Look, finding: string): Promise<void> {
    const answers = await this.asker.ask({
      title: look.what,
      questions: [
        { field: 'note', label: 'What was seen', as: 'lines', schema: optionalText().label('What was seen') },
      ],
      action: 'Write it down',
    });
    const note = String(answers?.['note'] ?? '').trim();
    if (!note) return;
    // What was seen on one machine is worth knowing on the next of its kind.
    this.recorder.record(
      `Seen: ${note}`,
      { kind: 'looked-at', look: look.id, finding, note },
      { kind: 'noted', text: `${look.what}: ${note}`, house: true },
    );
  }

  protected renew(id: string, called: string): void {
    this.recorder.record(`In the plan: the ${called}`, { kind: 'renewal-decided', renewals: [id], doIt: 'now' });
  }

  protected async measure(): Promise<void> {
    const answers = await this.asker.ask({
      title: 'Measured on the stand',
      words: 'Limits are the maker’s, from the table for this engine.',
      questions: [
        {
          field: 'reading',
          label: 'What?',
          as: 'choice',
          schema: oneOf(READINGS).label('What'),
          choices: choicesOf(WORDS_OF_READINGS, READINGS),
          initial: 'compression',
        },
        {
          field: 'values',
          label: 'Readings, cylinder by cylinder',
          as: 'line',
          schema: name().test(
            'figures',
            'The readings have to be figures, nought or more, with spaces between.',
            (typed) => figuresIn(typed) !== undefined,
          ),
          hint: '11.2 11.0 8.4 11.3',
        },
        { field: 'low', label: 'Not under', as: 'amount', schema: optionalAmount(1_000).label('Not under') },
        { field: 'high', label: 'Not over', as: 'amount', schema: optionalAmount(1_000).label('Not over') },
        { field: 'note', label: 'How: warm, throttle open…', as: 'line', schema: optionalText().label('How') },
      ],
      action: 'Record it',
    });
    if (!answers) return;
    const given = (field: string) => answers[field] !== undefined && answers[field] !== '';
    const reading = String(answers['reading']) as Reading;
    this.recorder.record(`Measured: ${READING_WORDS[reading].words.toLowerCase()}`, {
      kind: 'unit-measured',
      reading,
      values: figuresIn(String(answers['values'])) ?? [],
      ...(given('low') ? { low: Number(answers['low']) } : {}),
      ...(given('high') ? { high: Number(answers['high']) } : {}),
      ...(given('note') ? { note: String(answers['note']) } : {}),
    });
  }
}

/** “11,2 11.0; 8.4” as figures; undefined where it is none, or more than any engine has cylinders. */
function figuresIn(typed: string | undefined): readonly number[] | undefined {
  const figures = (typed ?? '')
    .trim()
    .split(/[\s;/]+/)
    .map((one) => figureIn(one) ?? NaN);
  const sound = figures.every((one) => Number.isFinite(one) && one >= 0);
  return sound && figures.length > 0 && figures.length <= 16 && (typed ?? '').trim() !== '' ? figures : undefined;
}
