import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { MatExpansionModule } from '@angular/material/expansion';
import { name, optionalText } from '@brisk/contracts/fields';
import type { Kept } from '@brisk/contracts/shop';
import { INSPECTION_SHEET, verdictOf, type Bet, type InspectionSheet } from '@brisk/core/donor';
import { OPTIONS, TEMPLATES, templateOf, usualMap, type OptionId } from '@brisk/core/layouts';
import { choiceOf } from '@brisk/core/survey';
import { figureIn } from '@brisk/core/words';
import { firstValueFrom } from 'rxjs';
import { string } from 'yup';
import { PickOne } from '../../ui/pick-one';
import { EntryField } from '../../ui/entry-field';
import type { Choice } from '../../ui/choice';
import { ChoiceKeys } from '../../ui/choice-keys';
import { Desk } from '../../session/desk';
import { Ask } from '../../ui/ask';
import { Api } from '../../api/api';
import { problemWords } from '../../api/problem-words';
import { money } from '../../words/money';
import { priceQuestions, pricesIn } from './price-questions';
import { SwapDesk } from './swap-desk';

const BET_WORDS: Readonly<Record<Bet, string>> = {
  'good-bet': 'A good bet',
  'look-closer': 'Look closer',
  'leave-it': 'Leave it',
};

/** The donor looked over: what was found, what it comes to, and what to look at next. */
@Component({
  selector: 'bl-donor',
  imports: [ChoiceKeys, EntryField, MatButton, MatExpansionModule, PickOne, RouterLink],
  providers: [SwapDesk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './donor.html',
  styleUrl: './donor.scss',
})
export class DonorView {
  private readonly ask = inject(Ask);
  private readonly api = inject(Api);
  private readonly desk = inject(Desk);
  protected readonly swapDesk = inject(SwapDesk);
  protected readonly bets = BET_WORDS;
  protected readonly money = money;
  protected readonly sheet = signal<Kept<InspectionSheet>>({ revision: 0, updatedAt: '', document: INSPECTION_SHEET });
  protected readonly weighing = signal(false);
  protected readonly trouble = signal('');
  /** What was touched and is not kept yet, by inspection. */
  protected readonly shownFinding = signal<Readonly<Record<string, string>>>({});

  protected readonly swap = this.swapDesk.swap;
  protected readonly verdict = computed(() => verdictOf(this.sheet().document, this.swap()?.found ?? {}));
  protected readonly differs = computed(() => {
    const swap = this.swap();
    const own = this.desk.job()?.survey;
    if (!swap) return [];
    return Object.entries(swap.donor.choices).map(([option, choice]) => ({
      question: OPTIONS[option as OptionId].question,
      words: choiceOf(option as OptionId, choice).words,
      option,
      same: own?.choices[option] === choice,
      choices: (templateOf(swap.donor.layout).options.find((one) => one.option === option)?.choices ?? [choice]).map(
        (value) => ({ value, words: choiceOf(option as OptionId, value).words }),
      ),
    }));
  });
  protected readonly layoutName = computed(
    () => templateOf(this.swap()?.donor.layout ?? TEMPLATES[0]?.layout ?? '').name,
  );

  constructor() {
    void this.fetchSheet();
  }

  /** Asks for the donor, or for what changed about it. */
  protected async name(): Promise<void> {
    const job = this.desk.job();
    if (!job) return;
    const before = this.swap()?.donor;
    const answers = await this.ask.ask({
      title: before ? 'The donor' : 'Which donor?',
      words: 'Its layout gives it a map; what it has in detail is asked after this.',
      questions: [
        {
          field: 'name',
          label: 'Donor',
          as: 'line',
          schema: name().label('Donor'),
          hint: 'Make, model, where it stands',
          ...(before ? { initial: before.name } : {}),
        },
        {
          field: 'layout',
          label: 'Layout',
          as: 'choice',
          schema: string().required().label('Layout'),
          choices: TEMPLATES.map(({ layout, name: words }) => ({ value: layout, words })),
          initial: before?.layout ?? job.survey?.layout ?? job.plan.map.layout,
        },
        ...priceQuestions(before ?? {}),
        {
          field: 'note',
          label: 'Note',
          as: 'lines',
          schema: optionalText().label('Note'),
          ...(before?.note === undefined ? {} : { initial: before.note }),
        },
      ],
      action: 'That one',
    });
    if (!answers) return;
    const layout = String(answers['layout']);
    const powerpacks = usualMap(layout).powerpacks.map(({ id }) => id);
    const wanted = before?.layout === layout ? before.powerpack : job.plan.powerpack;
    const note = answers['note'];
    await this.swapDesk.setDonor({
      name: String(answers['name']),
      layout,
      choices: before?.layout === layout ? before.choices : {},
      powerpack: powerpacks.includes(wanted) ? wanted : (powerpacks[0] ?? ''),
      ...(typeof note === 'string' ? { note } : {}),
      ...pricesIn(answers),
    });
  }

  protected async choose(option: string, choice: string): Promise<void> {
    const swap = this.swap();
    if (!swap) return;
    try {
      await this.swapDesk.setDonor({ ...swap.donor, choices: { ...swap.donor.choices, [option]: choice } });
      this.trouble.set(this.swapDesk.trouble());
    } catch (error) {
      this.trouble.set(error instanceof Error ? error.message : 'That cannot be.');
    }
  }

  protected findings({ findings }: InspectionSheet['inspections'][number]): readonly Choice<string>[] {
    return findings.map(({ id, words }) => ({ value: id, words }));
  }

  /** Keeps what was found; where that fails, the sheet shows again what is kept. */
  protected async look(inspection: string, finding: string): Promise<void> {
    this.shownFinding.update((before) => ({ ...before, [inspection]: finding }));
    await this.swapDesk.find(inspection, finding);
    this.shownFinding.update(({ [inspection]: _kept, ...rest }) => rest);
  }

  protected async weigh(inspection: string, finding: string, typed: string): Promise<void> {
    const weight = figureIn(typed) ?? NaN;
    if (!Number.isInteger(weight) || weight < -200 || weight > 200) {
      this.trouble.set('A weight is a whole number from −200 to 200.');
      return;
    }
    const { revision, document } = this.sheet();
    const changed: InspectionSheet = {
      ...document,
      inspections: document.inspections.map((one) =>
        one.id === inspection
          ? { ...one, findings: one.findings.map((each) => (each.id === finding ? { ...each, weight } : each)) }
          : one,
      ),
    };
    try {
      this.sheet.set(await firstValueFrom(this.api.keepInspectionSheet({ revision, document: changed })));
      this.trouble.set('');
    } catch (error) {
      this.trouble.set(problemWords(error));
      await this.fetchSheet();
    }
  }

  private async fetchSheet(): Promise<void> {
    try {
      this.sheet.set(await firstValueFrom(this.api.inspectionSheet()));
    } catch (error) {
      this.trouble.set(`${problemWords(error)} Weighed as shipped meanwhile.`);
    }
  }
}
