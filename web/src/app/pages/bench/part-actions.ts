import { inject, Injectable } from '@angular/core';
import {
  count,
  name,
  oneOf,
  optionalAmount,
  optionalDay,
  optionalName,
  optionalText,
  positive,
  text,
} from '@brisk/contracts/fields';
import {
  COST_SORTS,
  COST_WORDS,
  STAGE_WORDS,
  type CostSort,
  type PartStage,
  type PartToOrder,
} from '@brisk/core/ledger';
import { comparisonsFor } from '@brisk/core/parts';
import { sentence } from '@brisk/core/words';
import { v4 as uuid } from 'uuid';
import { Recorder } from '../../session/recorder';
import { Ask } from '../../ui/ask';
import type { Answers, Question } from '../../ui/asking';
import { choicesOf } from '../../ui/choice';

const MOST_MONEY = 1_000_000;
const given = (answer: string | number | undefined) => answer !== undefined && answer !== '';
const cents = (answer: string | number | undefined) => Math.round(Number(answer) * 100);

/** What is done with a line of the list, with what has to be asked. */
@Injectable()
export class PartActions {
  private readonly asker = inject(Ask);
  private readonly recorder = inject(Recorder);

  async need(): Promise<void> {
    const answers = await this.asker.ask({
      title: 'Something to buy',
      questions: [
        { field: 'name', label: 'Part', as: 'line', schema: name().label('Part') },
        { field: 'quantity', label: 'How many', as: 'amount', schema: count(10_000, 1).label('How many'), initial: 1 },
        { field: 'reason', label: 'Why', as: 'line', schema: text().label('Why') },
      ],
      action: 'Put it on the list',
    });
    if (!answers) return;
    const part = String(answers['name']).trim();
    this.recorder.record(`On the list: ${part}`, {
      kind: 'part-needed',
      need: uuid(),
      name: part,
      quantity: Number(answers['quantity']),
      reason: String(answers['reason']).trim(),
    });
  }

  async cost(currency: string): Promise<void> {
    const answers = await this.asker.ask({
      title: 'Another cost',
      questions: [
        {
          field: 'sort',
          label: 'What for?',
          as: 'choice',
          schema: oneOf(COST_SORTS).label('What for'),
          choices: choicesOf(COST_WORDS, COST_SORTS),
          initial: 'tool-hire',
        },
        { field: 'name', label: 'In a few words', as: 'line', schema: name().label('In a few words') },
        {
          field: 'amount',
          label: 'How much',
          as: 'amount',
          schema: positive(MOST_MONEY).label('How much'),
          suffix: currency,
        },
      ],
      action: 'Write it down',
    });
    if (!answers) return;
    this.recorder.record(`Paid: ${String(answers['name'])}`, {
      kind: 'cost-noted',
      cost: uuid(),
      sort: String(answers['sort']) as CostSort,
      name: String(answers['name']).trim(),
      cents: cents(answers['amount']),
    });
  }

  async price(part: PartToOrder, currency: string): Promise<void> {
    const money = (field: string, label: string, initial: number | undefined): Question => ({
      field,
      label,
      as: 'amount',
      schema: optionalAmount(MOST_MONEY).label(label),
      suffix: currency,
      ...(initial === undefined ? {} : { initial: initial / 100 }),
    });
    const line = (field: string, label: string, initial: string | undefined): Question => ({
      field,
      label,
      as: 'line',
      schema: optionalName().label(label),
      ...(initial === undefined ? {} : { initial }),
    });
    const answers = await this.asker.ask({
      title: part.name,
      questions: [
        line('supplier', 'Supplier', part.supplier),
        line('number', 'Part number', part.number),
        money('price', 'Price each', part.priceCents),
        money('core', 'Core charge each, back when the old part is', part.coreChargeCents),
        {
          field: 'due',
          label: 'Old part has to be back by',
          as: 'line',
          schema: optionalDay().label('The day'),
          hint: 'A day such as 2026-03-02',
          ...(part.coreDueOn === undefined ? {} : { initial: part.coreDueOn }),
        },
        {
          field: 'days',
          label: 'Days until it comes',
          as: 'amount',
          schema: optionalAmount(3_650).label('Days'),
          ...(part.leadDays === undefined ? {} : { initial: part.leadDays }),
        },
      ],
      action: 'Write it down',
    });
    if (!answers) return;
    this.recorder.record(`Written down: ${part.name}`, { kind: 'part-priced', need: part.need, ...priced(answers) });
  }

  /** Moves a line on: ordered asks for the day, wrong for what is wrong; what arrives is compared at once. */
  async move(part: PartToOrder, to: PartStage): Promise<void> {
    const question: Question | undefined =
      to === 'ordered'
        ? {
            field: 'day',
            label: 'Expected on, if anybody knows',
            as: 'line',
            schema: optionalDay().label('The day'),
            hint: 'A day such as 2026-03-02. Steps that need it are planned from then on.',
          }
        : to === 'wrong'
          ? { field: 'note', label: 'What is wrong with it?', as: 'lines', schema: text().label('What is wrong') }
          : undefined;
    const answers = question
      ? await this.asker.ask({
          title: `${part.name}: ${STAGE_WORDS[to]}`,
          questions: [question],
          action: to === 'ordered' ? 'It is ordered' : 'It goes back',
        })
      : {};
    if (!answers) return;
    const recorded = this.recorder.record(`${part.name}: ${STAGE_WORDS[to]}`, {
      kind: 'part-moved-on',
      need: part.need,
      to,
      ...(given(answers['day']) ? { expectedOn: String(answers['day']) } : {}),
      ...(given(answers['note']) ? { note: String(answers['note']) } : {}),
    });
    if (recorded && to === 'arrived') await this.compare(part);
  }

  /** Holds what came against the old part, in the two or three things that go wrong with its kind. */
  async compare(part: PartToOrder): Promise<void> {
    const asks = comparisonsFor(part.name);
    const answers = await this.asker.ask({
      title: `${part.name}: like the old one?`,
      words: 'Side by side on the bench, before anybody needs it.',
      questions: [
        ...asks.map((what, index): Question => ({
          field: `same-${index}`,
          label: sentence(what),
          as: 'choice',
          schema: oneOf(['same', 'other'] as const).label(sentence(what)),
          choices: [
            { value: 'same', words: 'The same' },
            { value: 'other', words: 'Not the same' },
          ],
          initial: 'same',
        })),
        { field: 'note', label: 'What is different', as: 'line', schema: optionalText().label('What is different') },
      ],
      action: 'Compared',
    });
    if (!answers) return;
    const note = String(answers['note'] ?? '').trim();
    const compared = asks.map((what, index) => {
      const same = answers[`same-${index}`] !== 'other';
      return { what, same, ...(same || note === '' ? {} : { note }) };
    });
    const wrong = compared.some(({ same }) => !same);
    this.recorder.record(wrong ? `Wrong: ${part.name} goes back` : `Like the old one: ${part.name}`, {
      kind: 'part-compared',
      need: part.need,
      compared,
    });
  }
}

function priced({ supplier, number, price, core, due, days }: Answers) {
  return {
    ...(given(supplier) ? { supplier: String(supplier) } : {}),
    ...(given(number) ? { number: String(number) } : {}),
    ...(given(price) ? { priceCents: cents(price) } : {}),
    ...(given(core) ? { coreChargeCents: cents(core) } : {}),
    ...(given(due) ? { coreDueOn: String(due) } : {}),
    ...(given(days) ? { leadDays: Number(days) } : {}),
  };
}
