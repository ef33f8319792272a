import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatSlideToggle } from '@angular/material/slide-toggle';
import { oneOf, optionalName, optionalText } from '@brisk/contracts/fields';
import {
  PART_CONDITION_WORDS,
  PART_CONDITIONS,
  PLACE_WORDS,
  PLACES,
  type PartCondition,
  type Place,
} from '@brisk/core/ledger';
import { partCards, type PartCard } from '@brisk/core/parts';
import { answersAll, wordsAsked } from '@brisk/core/find';
import { sentence } from '@brisk/core/words';
import { PagesFor } from '../../literature/pages-for';
import { PhotoKey } from '../../photos/photo-key';
import { PhotoStrip } from '../../photos/photo-strip';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { Ask } from '../../ui/ask';
import { choicesOf } from '../../ui/choice';
import { EntryField } from '../../ui/entry-field';
import { BenchTabs } from './bench-tabs';
import { Written } from '../../ui/written';

const OWNER_WORDS: Readonly<Record<PartCard['owner'], string>> = {
  host: 'of this machine',
  donor: 'came with the other one',
  bought: 'bought',
};
const ORDER: readonly PartCard['place'][] = ['bench', 'shelf', 'machine-shop', 'old-unit', 'to-come', 'machine', 'bin'];

/** Where every part is that is not simply on the machine: by name, number or box. */
@Component({
  selector: 'bl-where',
  imports: [BenchTabs, EntryField, MatButton, MatSlideToggle, PagesFor, PhotoKey, PhotoStrip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './where.html',
  styleUrl: './where.scss',
})
export class Where {
  private readonly written = inject(Written);
  private readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);
  protected readonly state = this.desk.state;
  protected readonly sentence = sentence;
  protected readonly owners = OWNER_WORDS;
  protected readonly query = signal('');
  /** Only what is not to be thrown away yet. */
  protected readonly kept = signal(false);

  protected readonly groups = computed(() => {
    const state = this.desk.state();
    if (!state) return [];
    const asked = wordsAsked(this.query());
    const cards = partCards(state).filter(
      (card) => (!this.kept() || card.keep) && (asked.length === 0 || answersAll(textOf(card), asked)),
    );
    return ORDER.map((place) => ({
      place,
      words: place === 'to-come' ? 'Not here yet' : PLACE_WORDS[place],
      cards: cards.filter((card) => card.place === place),
    })).filter((group) => group.cards.length > 0);
  });

  protected about({ where, condition, number, waitsFor, comesOn }: PartCard): string {
    return [
      where,
      condition === undefined ? undefined : PART_CONDITION_WORDS[condition],
      number === undefined ? undefined : `no. ${number}`,
      waitsFor === undefined
        ? undefined
        : `waits for ${waitsFor}${comesOn === undefined ? '' : ` on ${this.written.day(comesOn)}`}`,
    ]
      .filter((words) => words !== undefined)
      .join(' · ');
  }

  /** Puts a part somewhere, with what is known of it. */
  protected async put(card: PartCard): Promise<void> {
    const line = (field: string, label: string, initial: string | undefined, hint?: string) => ({
      field,
      label,
      as: 'line' as const,
      schema: optionalName().label(label),
      ...(initial === undefined ? {} : { initial }),
      ...(hint === undefined ? {} : { hint }),
    });
    const answers = await this.asker.ask({
      title: sentence(card.name),
      questions: [
        {
          field: 'place',
          label: 'Where is it?',
          as: 'choice',
          schema: oneOf(PLACES).label('The place'),
          choices: choicesOf(PLACE_WORDS, PLACES),
          initial: card.place === 'to-come' ? 'bench' : card.place,
        },
        line('where', 'Which shelf, box or shop', card.where, 'box 4'),
        {
          field: 'condition',
          label: 'How is it?',
          as: 'choice',
          schema: oneOf(PART_CONDITIONS).label('The condition'),
          choices: choicesOf(PART_CONDITION_WORDS, PART_CONDITIONS),
          initial: card.condition ?? 'as-it-came',
        },
        line('number', 'Number read off it', card.number),
        line('waitsFor', 'What it waits for', card.waitsFor),
        { field: 'reason', label: 'Why, where it is thrown away', as: 'line', schema: optionalText().label('Why') },
      ],
      action: 'It is there',
    });
    if (!answers) return;
    const said = (field: string) => String(answers[field] ?? '').trim();
    this.recorder.record(`${sentence(card.name)}: ${PLACE_WORDS[said('place') as Place].toLowerCase()}`, {
      kind: 'part-placed',
      part: card.part,
      owner: card.owner === 'donor' ? 'donor' : 'host',
      place: said('place') as Place,
      condition: said('condition') as PartCondition,
      ...(said('where') ? { where: said('where') } : {}),
      ...(said('number') ? { number: said('number') } : {}),
      ...(said('waitsFor') ? { waitsFor: said('waitsFor') } : {}),
      ...(said('reason') ? { reason: said('reason') } : {}),
    });
  }
}

function textOf({ name, where, number, waitsFor, owner }: PartCard): string {
  return [name, where, number, waitsFor, OWNER_WORDS[owner]].filter((words) => words !== undefined).join(' ');
}
