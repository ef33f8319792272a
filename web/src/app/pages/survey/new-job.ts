import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import type { ShopTemplate, ShopTemplateSummary } from '@brisk/contracts/shop';
import type { View } from '@brisk/core/bay';
import { lumpOf, type ConnectionMap, type PartId } from '@brisk/core/connection-map';
import { compose, TEMPLATES, type OptionId } from '@brisk/core/layouts';
import { DONT_KNOW, questionsFor, surveyed, type Answers, type Question } from '@brisk/core/survey';
import { waysCompared } from '@brisk/core/ways';
import { duration } from '@brisk/core/words';
import { catchError, firstValueFrom, of } from 'rxjs';
import { v4 as uuid } from 'uuid';
import { format } from 'date-fns';
import { ChoiceKeys } from '../../ui/choice-keys';
import { DayField } from '../../ui/day-field';
import { EntryField } from '../../ui/entry-field';
import { Keys } from '../../ui/keys';
import { NamesField } from '../../ui/names-field';
import { MapPicture } from '../../map/map-picture';
import { Api } from '../../api/api';
import { problemWords } from '../../api/problem-words';
import { jobFields, REASON_CHOICES } from './job-fields';
import { ANSWER_SKETCHES } from './answer-sketches';
import { leastAnswers } from './least-answers';
import { LayoutSketch } from './layout-sketch';
import { keepDraft, readDraft } from './survey-draft';
import { OpenShop } from '../../shell/open-shop';

/** Where the survey stands: at the layout, at a question, at the way out, at the job itself. */
const LAYOUT = 'layout';
const WAY = 'way';
const JOB = 'job';

/** The survey of a new machine: one question at a time, the map growing beside it, then what comes out and whose job it is. */
@Component({
  selector: 'bl-new-job',
  imports: [
    ChoiceKeys,
    DayField,
    EntryField,
    LayoutSketch,
    MapPicture,
    MatButton,
    MatProgressBar,
    NamesField,
    ReactiveFormsModule,
    RouterLink,
    OpenShop,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './new-job.html',
  styleUrl: './new-job.scss',
})
export class NewJobView {
  private readonly api = inject(Api);
  private readonly router = inject(Router);
  /** Made once, so that sending twice begins one job. */
  private readonly id = uuid();
  private readonly draft = readDraft();

  protected readonly reasons = REASON_CHOICES;
  protected readonly templates = TEMPLATES;
  protected readonly sketches = ANSWER_SKETCHES;
  protected readonly dontKnow = DONT_KNOW;
  protected readonly duration = duration;
  protected readonly stops = { layout: LAYOUT, way: WAY, job: JOB } as const;

  protected readonly trouble = signal('');
  protected readonly sending = signal(false);
  protected readonly sent = signal(false);
  protected readonly view = signal<View>('above');
  protected readonly layout = signal(this.draft?.layout ?? '');
  protected readonly answers = signal<Answers>(this.draft?.answers ?? {});
  protected readonly at = signal(this.draft?.template ? LAYOUT : (this.draft?.at ?? LAYOUT));
  protected readonly way = signal<{ readonly powerpack: string; readonly route: string } | undefined>(undefined);
  /** The shop’s own template the job begins from, instead of questions. */
  protected readonly own = signal<ShopTemplate | undefined>(undefined);

  protected readonly ownTemplates = signal<readonly ShopTemplateSummary[]>([]);
  /** Whoever is on any job of the shop. */
  protected readonly people = signal<readonly string[]>([]);
  /** One that was forgotten just now, to be brought back. */
  protected readonly forgotten = signal<ShopTemplate | undefined>(undefined);

  private readonly template = computed(() => this.templates.find(({ layout }) => layout === this.layout()));
  protected readonly questions = computed<readonly Question[]>(() => {
    const template = this.template();
    return template && !this.own() ? questionsFor(template, this.answers()) : [];
  });
  protected readonly question = computed(() => this.questions().find(({ option }) => option === this.at()));
  protected readonly steps = computed(() => [LAYOUT, ...this.questions().map(({ option }) => option), WAY, JOB]);
  protected readonly place = computed(() => Math.max(0, this.steps().indexOf(this.at())));

  private readonly result = computed(() => {
    const template = this.template();
    return template && surveyed(template, this.answers());
  });
  private readonly least = computed(() => {
    const template = this.template();
    return template ? leastAnswers(template) : {};
  });
  /** The map as far as it is answered: it grows with every answer. */
  protected readonly map = computed<ConnectionMap | undefined>(() => {
    const own = this.own();
    if (own) return own.map;
    const template = this.template();
    if (!template) return undefined;
    return compose(template, surveyed(template, { ...this.least(), ...this.answers() }).choices);
  });
  /** The map the job would begin with. */
  private readonly whole = computed<ConnectionMap | undefined>(() => {
    const template = this.template();
    const result = this.result();
    return this.own()?.map ?? (template && result ? compose(template, result.choices) : undefined);
  });
  protected readonly lump = computed<ReadonlySet<PartId>>(() => {
    const map = this.map();
    if (!map) return new Set();
    const chosen = map.powerpacks.find(({ id }) => id === this.way()?.powerpack) ?? map.powerpacks[0];
    return lumpOf(map, chosen?.roots ?? []);
  });
  protected readonly ways = computed(() => {
    const map = this.whole();
    if (!map || (this.at() !== WAY && this.at() !== JOB)) return [];
    return waysCompared(map);
  });
  protected readonly unsure = computed(() => this.result()?.unsure ?? []);

  protected readonly form = jobFields();

  constructor() {
    void this.fetchOwn();
    void this.fetchPeople();
    effect(() =>
      keepDraft(
        this.layout() === ''
          ? undefined
          : { layout: this.layout(), template: this.own()?.id ?? '', answers: this.answers(), at: this.at() },
      ),
    );
    inject(Keys).use(
      ...[1, 2, 3, 4, 5, 6].map((number) => ({
        key: String(number),
        words: `Survey: answer ${number}`,
        act: () => this.answerNumber(number),
      })),
      { key: '0', words: 'Survey: don’t know', act: () => this.answer(DONT_KNOW) },
      { key: 'b', words: 'Survey: one question back', act: () => this.back() },
    );
  }

  protected begin(layout: string): void {
    if (layout !== this.layout() || this.own()) {
      this.answers.set({});
      this.way.set(undefined);
    }
    this.own.set(undefined);
    this.layout.set(layout);
    this.next();
  }

  protected async beginFrom(id: string): Promise<void> {
    this.trouble.set('');
    try {
      const { document } = await firstValueFrom(this.api.template(id));
      this.own.set(document);
      this.layout.set(document.layout);
      this.way.set(undefined);
      this.at.set(WAY);
    } catch (error) {
      this.trouble.set(problemWords(error));
    }
  }

  /** Forgets one of the shop’s own maps; jobs begun from it keep theirs, and it can be brought back at once. */
  protected async forget(id: string): Promise<void> {
    this.trouble.set('');
    try {
      const { document } = await firstValueFrom(this.api.template(id));
      await firstValueFrom(this.api.forgetTemplate(id));
      this.forgotten.set(document);
    } catch (error) {
      this.trouble.set(problemWords(error));
    }
    await this.fetchOwn();
  }

  protected async bringBack(): Promise<void> {
    const document = this.forgotten();
    if (!document) return;
    try {
      await firstValueFrom(this.api.keepTemplate({ revision: 0, document }));
      this.forgotten.set(undefined);
    } catch (error) {
      this.trouble.set(problemWords(error));
    }
    await this.fetchOwn();
  }

  private async fetchPeople(): Promise<void> {
    const jobs = await firstValueFrom(this.api.jobs().pipe(catchError(() => of([]))));
    this.people.set([...new Set(jobs.flatMap(({ crew }) => crew))].sort((one, other) => one.localeCompare(other)));
  }

  private async fetchOwn(): Promise<void> {
    this.ownTemplates.set(await firstValueFrom(this.api.templates().pipe(catchError(() => of([])))));
  }

  protected answer(choice: string): void {
    const question = this.question();
    if (!question) return;
    const offered = question.answers.find((one) => one.choice === choice);
    if (choice !== DONT_KNOW && (!offered || offered.excluded !== undefined)) return;
    this.answers.update((before) => ({ ...before, [question.option]: choice }));
    this.next();
  }

  protected take(powerpack: string, route: string): void {
    this.way.set({ powerpack, route });
    this.at.set(JOB);
  }

  protected back(): void {
    const before = this.steps()[this.place() - 1];
    if (before !== undefined) this.at.set(before);
  }

  protected next(): void {
    const following = this.steps()[this.place() + 1];
    if (following !== undefined) this.at.set(following);
  }

  protected answerOf(option: OptionId): string | undefined {
    return this.answers()[option];
  }

  private answerNumber(number: number): void {
    const question = this.question();
    if (question) this.answer(question.answers[number - 1]?.choice ?? '');
    else if (this.at() === LAYOUT) {
      const template = this.templates[number - 1];
      if (template) this.begin(template.layout);
    } else if (this.at() === WAY) {
      const way = this.ways()[number - 1];
      if (way) this.take(way.powerpack.id, way.route.id);
    }
  }

  protected async send(): Promise<void> {
    this.sent.set(true);
    const way = this.way();
    if (!way) {
      this.at.set(WAY);
      return;
    }
    if (this.form.invalid || this.sending()) {
      this.trouble.set(this.form.invalid ? 'Something is missing or not right; it is marked above.' : '');
      return;
    }
    const { crew, dueOn, note, machine, title, reason } = this.form.getRawValue();
    const own = this.own();
    const result = this.result();
    this.sending.set(true);
    this.trouble.set('');
    try {
      const job = await firstValueFrom(
        this.api.begin({
          id: this.id,
          machine: machine.trim(),
          title: title.trim(),
          reason,
          crew,
          layout: this.layout(),
          ...(own ? { template: own.id } : { choices: { ...result?.choices }, unsure: result?.unsure ?? [] }),
          ...way,
          ...(dueOn ? { dueOn: format(dueOn, 'yyyy-MM-dd') } : {}),
          ...(note.trim() ? { note: note.trim() } : {}),
        }),
      );
      keepDraft(undefined);
      await this.router.navigate(['/jobs', job.id, reason === 'swap' ? 'survey' : 'plan']);
    } catch (error) {
      this.trouble.set(`${problemWords(error)} What you typed is still here.`);
    } finally {
      this.sending.set(false);
    }
  }
}
