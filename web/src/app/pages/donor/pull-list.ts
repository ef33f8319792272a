import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { MatCheckbox, type MatCheckboxChange } from '@angular/material/checkbox';
import { optionalText } from '@brisk/contracts/fields';
import { FITS, pullListOf, sumOf, type Fit, type PullItem } from '@brisk/core/swap';
import { STATION_WORDS, sentence, several } from '@brisk/core/words';
import { string } from 'yup';
import { Desk } from '../../session/desk';
import { Ask } from '../../ui/ask';
import { money } from '../../words/money';
import { priceQuestions, pricesIn } from './price-questions';
import { SwapDesk } from './swap-desk';

const FIT_WORDS: Readonly<Record<Fit, string>> = {
  same: 'Take it',
  adapt: 'Take it, adapt it',
  'from-host': 'Ours stays',
  buy: 'Buy it new',
};

/** What to bring from the yard, by where one stands there; to be ticked on a phone or printed. */
@Component({
  selector: 'bl-pull-list',
  imports: [MatButton, MatCheckbox, RouterLink],
  providers: [SwapDesk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './pull-list.html',
  styleUrl: './pull-list.scss',
})
export class PullList {
  private readonly ask = inject(Ask);
  protected readonly desk = inject(Desk);
  protected readonly swapDesk = inject(SwapDesk);
  protected readonly stations = STATION_WORDS;
  protected readonly fits = FITS;
  protected readonly fitWords = FIT_WORDS;
  protected readonly sentence = sentence;
  protected readonly several = several;
  protected readonly money = money;

  protected readonly groups = computed(() => {
    const host = this.swapDesk.host();
    const donor = this.swapDesk.donor();
    const swap = this.swapDesk.swap();
    if (!host || !donor || !swap) return [];
    return pullListOf(host, donor, swap.decisions).map(({ station, items }) => ({
      station,
      rows: items.map((item) => {
        const pulled = swap.pulled[item.id] ?? {};
        const fit = pulled.fit ?? item.fit;
        return { item, pulled, fit, wanted: fit === 'same' || fit === 'adapt' };
      }),
    }));
  });
  protected readonly left = computed(
    () =>
      this.groups()
        .flatMap(({ rows }) => rows)
        .filter(({ wanted, pulled }) => wanted && !pulled.got).length,
  );
  protected readonly sum = computed(() => sumOf(Object.values(this.swapDesk.swap()?.pulled ?? {})));

  /** Keeps what was ticked; where that fails, the box shows again what is kept. */
  protected async tick(item: PullItem, { checked: got, source: box }: MatCheckboxChange): Promise<void> {
    await this.swapDesk.pull(item.id, { ...this.swapDesk.swap()?.pulled[item.id], got });
    box.checked = this.swapDesk.swap()?.pulled[item.id]?.got ?? false;
  }

  protected async note(item: PullItem): Promise<void> {
    const before = this.swapDesk.swap()?.pulled[item.id] ?? {};
    const answers = await this.ask.ask({
      title: sentence(item.name),
      words: item.why,
      questions: [
        {
          field: 'fit',
          label: 'Does it fit?',
          as: 'choice',
          schema: string().oneOf(FITS).required().label('Fit'),
          choices: FITS.map((value) => ({ value, words: FIT_WORDS[value] })),
          initial: before.fit ?? item.fit,
        },
        {
          field: 'note',
          label: 'Note',
          as: 'line',
          schema: optionalText().label('Note'),
          ...(before.note ? { initial: before.note } : {}),
        },
        ...priceQuestions(before),
      ],
      action: 'Keep it',
    });
    if (!answers) return;
    const said = answers['note'];
    await this.swapDesk.pull(item.id, {
      ...(before.got === undefined ? {} : { got: before.got }),
      fit: answers['fit'] as Fit,
      ...(typeof said === 'string' ? { note: said } : {}),
      ...pricesIn(answers),
    });
  }

  protected print(): void {
    window.print();
  }
}
