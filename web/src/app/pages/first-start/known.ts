import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { ownKnowledgeSchema } from '@brisk/contracts/trouble-knowledge';
import { check } from '@brisk/contracts/check';
import { CAUSES, TESTS, type Cause, type OwnKnowledge, type TroubleTest } from '@brisk/core/diagnosis';
import { duration, several } from '@brisk/core/words';
import { v4 as uuid } from 'uuid';
import { TroubleShed } from '../../planning/trouble-shed';
import { House } from '../../session/house';
import { Ask } from '../../ui/ask';
import { EntryField } from '../../ui/entry-field';
import { FileKey } from '../../ui/file-key';
import { KeptItem } from '../../ui/kept-item';
import { saveFile } from '../../ui/save-file';
import { CauseForm } from './cause-form';
import { StartTabs } from './start-tabs';
import { answersIn, answersWords, testQuestions } from './test-questions';

const MOST_SHOWN = 40;
const LARGEST_BYTES = 1_000_000;
const OTHER = 'other';

/** What is known of what goes wrong, to be read and changed: causes, the tests that tell them apart, and what was found here. */
@Component({
  selector: 'bl-known',
  imports: [CauseForm, EntryField, FileKey, KeptItem, MatButton, StartTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './known.html',
  styleUrl: './known.scss',
})
export class Known {
  protected readonly shed = inject(TroubleShed);
  private readonly house = inject(House);
  private readonly asker = inject(Ask);
  protected readonly sought = signal('');
  protected readonly trouble = signal('');
  /** The cause that is written; `true`: a new one. */
  protected readonly writing = signal<Cause | true | undefined>(undefined);

  private readonly pieces = computed(() => this.sought().toLowerCase().split(/\s+/).filter(Boolean));
  private readonly foundCauses = computed(() =>
    this.shed
      .known()
      .causes.filter(({ name, mend }) => this.fits(`${name} ${mend}`))
      .map((cause) => ({
        cause,
        words: this.causeWords(cause),
        mark: this.markOf(cause.id, this.shed.own().causes, CAUSES),
      })),
  );
  protected readonly causes = computed(() => this.foundCauses().slice(0, MOST_SHOWN));
  protected readonly moreCauses = computed(() => this.foundCauses().length - this.causes().length);
  private readonly foundTests = computed(() =>
    this.shed
      .known()
      .tests.filter(({ asked, how }) => this.fits(`${asked} ${how}`))
      .map((test) => ({
        test,
        words: `${test.how} ${duration(test.minutes)}.`,
        mark: this.markOf(test.id, this.shed.own().tests, TESTS),
      })),
  );
  protected readonly tests = computed(() => this.foundTests().slice(0, MOST_SHOWN));
  protected readonly moreTests = computed(() => this.foundTests().length - this.tests().length);
  protected readonly without = computed(() =>
    CAUSES.filter(({ id, name }) => this.shed.own().without.includes(id) && this.fits(name)),
  );
  /** What was found on machines of this kind and is on no list. */
  protected readonly elsewhere = computed(() =>
    this.house.knowledge().causes.filter(({ cause, name }) => cause === OTHER && this.fits(name)),
  );

  protected save(cause: Cause): Promise<void> {
    return this.put((own) => ({
      ...own,
      causes: [...own.causes.filter(({ id }) => id !== cause.id), cause],
    })).then((kept) => {
      if (kept) this.writing.set(undefined);
    });
  }

  /** A cause that ships is left out, one of the shop’s own goes; a changed one is as it was. */
  protected away({ id }: Cause): Promise<boolean> {
    return this.put((own) => ({
      ...own,
      causes: own.causes.filter((one) => one.id !== id),
      without: own.causes.some((one) => one.id === id) ? own.without : [...own.without, id],
    }));
  }

  protected back({ id }: Cause): Promise<boolean> {
    return this.put((own) => ({ ...own, without: own.without.filter((one) => one !== id) }));
  }

  protected async writeTest(before?: TroubleTest): Promise<void> {
    const answers = await this.asker.ask({
      title: before ? before.asked : 'Another test',
      words: 'The first answer is the usual one. How usual each is comes to 100.',
      questions: testQuestions(before),
      action: 'Write it down',
    });
    if (!answers) return;
    const read = answersIn(String(answers['answers'] ?? ''), before?.answers ?? []);
    if (typeof read === 'string') {
      this.trouble.set(read);
      return;
    }
    const { for: only, cranks, looksAt } = before ?? {};
    const caution = String(answers['caution'] ?? '').trim();
    const state = answers['state'] as TroubleTest['state'];
    const test: TroubleTest = {
      id: before?.id ?? uuid(),
      asked: String(answers['asked']).trim(),
      how: String(answers['how']).trim(),
      minutes: Number(answers['minutes']),
      state,
      answers: read,
      ...(cranks || state !== 'standing' ? { cranks: true as const } : {}),
      ...(caution === '' ? {} : { caution }),
      ...(only ? { for: only } : {}),
      ...(looksAt ? { looksAt } : {}),
    };
    await this.put((own) => ({ ...own, tests: [...own.tests.filter(({ id }) => id !== test.id), test] }));
  }

  /** A test that was changed is as it was; one of the shop’s own goes. */
  protected testAway({ id }: TroubleTest): Promise<boolean> {
    return this.put((own) => ({ ...own, tests: own.tests.filter((one) => one.id !== id) }));
  }

  protected isOwn({ id }: TroubleTest): boolean {
    return this.shed.own().tests.some((one) => one.id === id);
  }

  /** What the shop knows otherwise, as a file for another shop. */
  protected toFile(): void {
    saveFile('what-goes-wrong.json', `${JSON.stringify(this.shed.own(), null, 2)}\n`, 'application/json');
  }

  protected async fromFile([file]: readonly File[]): Promise<void> {
    if (!file) return;
    this.trouble.set('');
    const own = file.size > LARGEST_BYTES ? undefined : await jsonIn(file);
    const checked = check(ownKnowledgeSchema, own);
    if ('errors' in checked) {
      this.trouble.set(
        `${file.name}: ${own === undefined ? 'this is no such file.' : (checked.errors[0]?.words ?? '')} Nothing was changed.`,
      );
      return;
    }
    await this.put(() => checked.value, `${file.name}: `);
  }

  /** Writes what holds together; what does not is told, and nothing is written. Gives whether it was. */
  private async put(change: (own: OwnKnowledge) => OwnKnowledge, before = ''): Promise<boolean> {
    const wrong = this.shed.wrongWith(change(this.shed.own()));
    this.trouble.set(wrong === '' ? '' : `${before}${wrong} Nothing was changed.`);
    if (wrong !== '') return false;
    await this.shed.change(change);
    return this.shed.trouble() === '';
  }

  private fits(text: string): boolean {
    const all = text.toLowerCase();
    return this.pieces().every((piece) => all.includes(piece));
  }

  private causeWords({ id, mend, signs }: Cause): string {
    const times = this.house.knowledge().causes.filter(({ cause }) => cause === id).length;
    return [
      mend,
      ...(times > 0 ? [`Found ${several(times, 'time')} on machines of this kind.`] : []),
      `Told by ${several(Object.keys(signs).length, 'test')}.`,
    ].join(' ');
  }

  private markOf(
    id: string,
    own: readonly { readonly id: string }[],
    shipped: readonly { readonly id: string }[],
  ): string {
    if (!own.some((one) => one.id === id)) return '';
    return shipped.some((one) => one.id === id) ? 'Changed here' : 'Our own';
  }

  protected readonly answersWords = answersWords;
}

async function jsonIn(file: File): Promise<unknown> {
  try {
    return JSON.parse(await file.text()) as unknown;
  } catch {
    return undefined;
  }
}
