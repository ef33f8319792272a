import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  type ElementRef,
  inject,
  Injector,
  input,
  signal,
  viewChild,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatIcon } from '@angular/material/icon';
import { MatProgressBar } from '@angular/material/progress-bar';
import { powerpackOf, routeOf } from '@brisk/core/connection-map';
import { overtakenBy, toolsNeeded } from '@brisk/core/planning';
import { HALVES, type Half } from '@brisk/core/teardown';
import { duration, HALF_WORDS, several } from '@brisk/core/words';
import { isSameDay } from 'date-fns';
import { Desk } from '../../session/desk';
import { Selection } from '../../session/selection';
import { InTurn } from '../../ui/in-turn';
import { InSight } from '../../ui/in-sight';
import { Keys } from '../../ui/keys';
import { CrewPanel } from './crew-panel';
import { DayPicture } from './day-picture';
import { PlanChanges } from './plan-changes';
import { PlanDraft } from '../../planning/plan-draft';
import { PlanTabs } from './plan-tabs';
import { SetupList } from './setup-list';
import { ToolShed } from '../../planning/tool-shed';
import { clockAt, helpWords, USUAL_DAY, whenWords } from '@brisk/core/planning';
import { Written } from '../../ui/written';

/** How long a search goes on when somebody asks for one, and when they ask for more. */
const LOOK_MS = 4_000;
const LONGER_MS = 20_000;

/** The plan of one half: who is where when, what it costs, what could be better, and the run sheet to change by hand. */
@Component({
  selector: 'bl-plan',
  imports: [
    InSight,
    CrewPanel,
    DayPicture,
    InTurn,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatExpansionModule,
    MatIcon,
    MatProgressBar,
    PlanChanges,
    PlanTabs,
    RouterLink,
    SetupList,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './plan.html',
  styleUrl: './plan.scss',
})
export class Plan {
  private readonly written = inject(Written);
  /** Which half is shown, from the address. */
  readonly way = input<string>();
  protected readonly desk = inject(Desk);
  protected readonly selection = inject(Selection);
  protected readonly draft = inject(PlanDraft);
  private readonly shed = inject(ToolShed);
  private readonly router = inject(Router);
  private readonly injector = inject(Injector);
  private readonly keys = viewChild<ElementRef<HTMLElement>>('keys');
  protected readonly duration = duration;
  protected readonly several = several;
  protected readonly wrong = signal('');

  protected readonly halves = HALF_WORDS;
  protected readonly half = computed<Half>(() => HALVES.find((half) => half === this.way()) ?? 'out');
  protected readonly set = computed(() => {
    const job = this.desk.job();
    return job && { powerpack: powerpackOf(job.plan).name, route: routeOf(job.plan).name, layout: job.plan.map.name };
  });
  protected readonly begun = computed(() => (this.desk.state()?.progress.size ?? 0) > 0);
  /** The sheet says when it was printed by the clock of whoever prints it; asked last, as a browser takes long to tell. */
  private readonly zone = signal('');
  protected readonly sheet = computed(() => {
    const zone = this.zone() && `&zone=${encodeURIComponent(this.zone())}`;
    return `/api/jobs/${encodeURIComponent(this.desk.job()?.id ?? '')}/run-sheet.pdf?half=${this.half()}${zone}`;
  });

  protected readonly day = computed(() => this.draft.settings()?.crew.day ?? USUAL_DAY);
  /** When the crew would be done, by the clock on the wall. */
  protected readonly doneAt = computed(() => {
    const finish = this.draft.now()?.schedule.costs.finishMin ?? 0;
    const now = new Date();
    const done = clockAt(finish, now, this.day());
    return `done ${isSameDay(done, now) ? this.written.time(done) : this.written.weekday(done)}`;
  });
  /** When somebody has to lend a second pair of hands. */
  protected readonly help = computed(() => helpWords(this.draft.now()?.schedule.help ?? [], this.when));
  protected readonly helped = computed(() =>
    (this.draft.now()?.schedule.help ?? []).reduce((sum, { steps }) => sum + steps.length, 0),
  );
  protected readonly when = (minutes: number): string => whenWords(minutes, new Date(), this.day(), this.written.as());
  protected readonly names = computed(() => this.draft.now()?.problem.crew.hands.map(({ name }) => name) ?? []);
  protected readonly minutes = computed(() => {
    const steps = this.draft.now()?.schedule.steps ?? [];
    const sum = (which: 'low' | 'likely' | 'high') =>
      steps.reduce((all, { operation }) => all + operation.minutes[which], 0);
    return { low: sum('low'), likely: sum('likely'), high: sum('high') };
  });

  /** How far the finish is from what nothing can be better than, in words. */
  protected readonly gap = computed(() => {
    const now = this.draft.now();
    if (!now || now.bound.finishMin === 0) return '';
    const over = now.schedule.costs.finishMin / now.bound.finishMin - 1;
    return over < 0.005 ? 'as quick as can be' : `at most ${Math.ceil(over * 100)} % over the quickest there is`;
  });

  protected readonly followedWords = computed(() => {
    const followed = this.draft.followed();
    return followed
      ? `Plan ${followed.version}, followed since ${this.written.moment(followed.at)} (${followed.by})`
      : 'No plan is followed yet: steps are grouped by place';
  });

  /** What happened since the plan was taken on that it does not know. */
  protected readonly overtaken = computed(() => {
    const state = this.desk.state();
    if (!state) return [];
    const lost = this.draft.base()?.problem.lostPins ?? [];
    return [
      ...overtakenBy(state, this.half()).map(({ is, title }) => `${is === 'stuck' ? 'Stuck' : 'New'}: ${title}`),
      ...lost.map(({ of }) => `A pin cannot be kept: ${state.work.operations.get(of)?.title ?? of}`),
    ];
  });

  protected readonly heldUp = computed(() => this.draft.now()?.problem.heldUp ?? []);
  /** The steps nobody knows the time of. */
  protected readonly waitFor = computed(() =>
    (this.draft.settings()?.waits ?? [])
      .filter(({ min }) => min === undefined)
      .map(({ operation }) => this.desk.state()?.work.operations.get(operation)?.title ?? operation),
  );
  protected readonly lacking = computed(() =>
    toolsNeeded(this.draft.now()?.problem.operations ?? [], this.shed.tools()).filter(
      ({ stands }) => stands === 'lacking' || stands === 'unknown',
    ),
  );

  constructor() {
    effect(() => this.draft.half.set(this.half()));
    afterNextRender(() => setTimeout(() => this.zone.set(Intl.DateTimeFormat().resolvedOptions().timeZone)));
    inject(Keys).use(
      { key: '[', words: 'The picked step one place earlier', act: () => this.shift(-1) },
      { key: ']', words: 'The picked step one place later', act: () => this.shift(1) },
      { key: 'p', words: 'Pin the picked step, or let it go', act: () => this.pin() },
      { key: 'z', words: 'Undo in the plan', act: () => this.draft.undo() },
      { key: 'Z', words: 'Redo in the plan', act: () => this.draft.redo() },
    );
  }

  /** Shows the other half; the address says which, so that a reload and a link keep it. */
  protected turn(way: Half): void {
    void this.router.navigate([], { queryParams: { way }, queryParamsHandling: 'merge' });
  }

  protected look(longer: boolean): void {
    this.draft.look(longer ? LONGER_MS : LOOK_MS);
  }

  protected follow(): void {
    const wrong = this.draft.follow();
    this.wrong.set(wrong ?? '');
    // The key that was pressed goes; whoever works by the keyboard stands at the next one.
    if (wrong === undefined) afterNextRender(() => this.toTheFirstKey(), { injector: this.injector });
  }

  private toTheFirstKey(): void {
    this.keys()?.nativeElement.querySelector<HTMLElement>('a, button')?.focus();
  }

  protected show(step: string): void {
    document.getElementById(`at-${step}`)?.scrollIntoView({ block: 'start' });
    if (this.selection.step() !== step) this.selection.pick(step);
  }

  protected shift(by: -1 | 1): void {
    const id = this.selection.step();
    const steps = this.draft.now()?.schedule.steps ?? [];
    const at = steps.findIndex(({ operation }) => operation.id === id);
    if (id === undefined || at < 0) return;
    const title = steps[at]?.operation.title ?? '';
    const target = by < 0 ? steps[at - 1]?.operation.id : steps[at + 2]?.operation.id;
    if (by > 0 || target !== undefined) this.draft.move([id], target, `Moved: ${title}`);
  }

  protected pin(): void {
    const id = this.selection.step();
    if (id !== undefined) this.draft.pin([id]);
  }
}
