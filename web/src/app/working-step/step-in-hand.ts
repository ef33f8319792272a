import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  ElementRef,
  inject,
  input,
  linkedSignal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatIcon } from '@angular/material/icon';
import { looksAtClosing, type Look } from '@brisk/core/adjusting';
import { CAUTION_WORDS } from '@brisk/core/connection-map';
import { photosAt } from '@brisk/core/find';
import {
  countingAt,
  fluidAt,
  heldTo,
  mayBePassedOver,
  nextOf,
  nextUp,
  partsAwaitedAt,
  isPossible,
  setCountOf,
  setsOf,
  tagAt,
  unevenWords,
  STAGE_WORDS,
  type EntryBody,
  type JobState,
  type Keeping,
  TROUBLE_WORDS,
  type FluidAtStep,
} from '@brisk/core/ledger';
import { RAISING, raisedOnFor } from '@brisk/core/planning';
import { halfOf, type Operation, type WorkPhase } from '@brisk/core/teardown';
import { HEIGHT_WORDS, STATION_WORDS, several, figureIn } from '@brisk/core/words';
import { EntryField } from '../ui/entry-field';
import { FillsRest } from '../ui/fills-rest';
import { AtTheJob } from '../session/at-the-job';
import { Desk } from '../session/desk';
import { ToolShed } from '../planning/tool-shed';
import { Person } from '../session/person';
import { HouseWords } from './house-words';
import { Selection } from '../session/selection';
import { InTurn } from '../ui/in-turn';
import { Keys } from '../ui/keys';
import { Scanner } from '../labels/scanner';
import { PhotoKey } from '../photos/photo-key';
import { PagesFor } from '../literature/pages-for';
import { PhotoStrip } from '../photos/photo-strip';
import { BesideStep } from './beside-step';
import { FluidWords } from './fluid-words';
import { HoldPoint } from './hold-point';
import { KeepingChoice } from './keeping-choice';
import { LeftList } from './left-list';
import { LookTicks } from './look-ticks';
import { StepNotes } from './step-notes';
import { ShowsFigure } from '../session/shows-figure';
import { StepActions } from './step-actions';
import { Recorder } from '../session/recorder';
import { JointActions } from './joint-actions';
import { StepClock } from './step-clock';
import { moreAtOnce, type MoreAtOnce } from './more-at-once';
import { entriesAtStep, type SetAtStep } from './step-entries';
import { Stepper } from '../ui/stepper';
import { TorqueStep } from './torque-step';
import { turnsBetweenTouches } from './turns';
import { WaitClock } from './wait-clock';
import { Written } from '../ui/written';
import { NotFetched } from '../ui/not-fetched';

/** The step in hand: what, where, how high, with what, what to watch, and one large key to say it is done. */
@Component({
  selector: 'bl-step-in-hand',
  imports: [
    BesideStep,
    EntryField,
    FillsRest,
    FluidWords,
    HoldPoint,
    HouseWords,
    InTurn,
    KeepingChoice,
    LeftList,
    LookTicks,
    MatButton,
    MatCheckbox,
    MatIcon,
    NotFetched,
    PhotoKey,
    PagesFor,
    PhotoStrip,
    StepNotes,
    StepClock,
    Stepper,
    TorqueStep,
    WaitClock,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './step-in-hand.html',
  styleUrl: './step-in-hand.scss',
})
export class StepInHand {
  protected readonly written = inject(Written);
  readonly state = input.required<JobState>();
  readonly phases = input.required<readonly WorkPhase[]>();
  protected readonly actions = inject(StepActions);
  protected readonly recorder = inject(Recorder);
  protected readonly joints = inject(JointActions);
  protected readonly selection = inject(Selection);
  private readonly desk = inject(Desk);
  private readonly person = inject(Person);
  private readonly shed = inject(ToolShed);
  private readonly scanner = inject(Scanner);
  private readonly shows = inject(ShowsFigure);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly stations = STATION_WORDS;
  protected readonly heights = HEIGHT_WORDS;
  protected readonly several = several;

  protected readonly next = computed(() => nextUp(this.state(), this.phases()));

  protected readonly turns = turnsBetweenTouches(this.state, this.phases);
  /** Who holds this device. */
  protected readonly me = computed(() => this.person.in(this.desk.job()?.crew ?? []));

  protected readonly now = computed(() => {
    const chosen = this.chosen();
    if (chosen) return { operation: chosen, moveTo: undefined };
    const mine = this.runsFor(this.me()).map(({ id }) => id);
    const next = mine.length > 0 ? nextOf(this.state(), mine, this.phases()) : this.next();
    return next && { operation: next.operation, moveTo: next.moveTo };
  });

  /** The step somebody took instead of the one proposed, as long as it can be done. */
  private chosen(): Operation | undefined {
    const operation = this.state().work.operations.get(this.selection.hand() ?? '');
    return operation && isPossible(this.state(), operation) && this.phases().includes(operation.phase)
      ? operation
      : undefined;
  }

  /** Who is to do the step in hand by the plan, where it says so. */
  protected readonly planned = computed(
    () =>
      this.turns()
        .get(this.now()?.operation.id ?? '')
        ?.join(' and ') ?? '',
  );

  /** Steps that are somebody’s turn by the plan, in its order. */
  private runsFor(name: string): readonly Operation[] {
    return [...this.turns()].flatMap(([id, people]) => {
      const operation = people.includes(name) ? this.state().work.operations.get(id) : undefined;
      return operation ? [operation] : [];
    });
  }

  protected readonly then = computed(() => {
    const mine = this.runsFor(this.me()).filter(({ id }) => id !== this.now()?.operation.id);
    return mine.length > 0 ? mine.slice(0, 3) : (this.next()?.then ?? []);
  });

  protected readonly connection = computed(() => {
    const id = this.now()?.operation.connection;
    return id === undefined ? undefined : this.state().work.connections.get(id);
  });

  /** How the machine stands for it; at the bench that is of no matter. */
  protected readonly heightWords = computed(() => {
    const now = this.now();
    if (!now) return '';
    const { height, station } = now.operation;
    if (now.moveTo) return HEIGHT_WORDS[now.moveTo];
    if (height !== 'either') return HEIGHT_WORDS[height];
    return station === 'bench' ? '' : HEIGHT_WORDS[this.state().height];
  });

  /** How many photos were taken at the step in hand. */
  protected readonly photosHere = computed(() => photosAt(this.state(), this.now()?.operation.id ?? '').length);

  /** How many there are of the mark it goes by. */
  protected readonly recalled = computed(() => photosAt(this.state(), this.now()?.operation.recalls ?? '').length);

  protected readonly doneWords = computed(() => {
    const now = this.now();
    if (now?.moveTo) return now.moveTo === 'raised' ? 'It is up' : 'It is on its wheels';
    return now?.operation.kind === 'wait' ? 'It has waited' : 'Done';
  });

  /** How the machine is raised or let down, where that comes first. */
  protected readonly raising = computed(() => {
    const moveTo = this.now()?.moveTo;
    const half = halfOf(this.phases()[0] ?? 'strip');
    return moveTo && RAISING[raisedOnFor(this.state(), half, this.shed.raisedOn())][moveTo];
  });

  protected readonly cautions = computed(() => {
    const now = this.now();
    if (!now) return [];
    return (this.raising()?.cautions ?? now.operation.cautions).map((caution) => CAUTION_WORDS[caution]);
  });

  protected readonly title = computed(() => {
    const now = this.now();
    return this.raising()?.title ?? now?.operation.title ?? '';
  });

  /** Said again when a stuck or skipped step comes back. */
  protected readonly before = computed(() => {
    const now = this.now();
    const progress = now && this.state().progress.get(now.operation.id);
    if (progress?.is === 'stuck') return `${TROUBLE_WORDS[progress.trouble]}. Tried: ${progress.tried}`;
    return progress?.is === 'skipped' ? `Put off: ${progress.reason}` : '';
  });

  /** The step in hand, unless the machine has to be moved for it first. */
  private readonly doing = computed(() => {
    const now = this.now();
    return now && !now.moveTo ? now.operation : undefined;
  });
  protected readonly counting = computed(() => {
    const operation = this.doing();
    return operation && countingAt(this.state(), operation);
  });

  /** What holds the joint in hand, as somebody found it or as the map has it. */
  protected readonly sets = computed(() => {
    const connection = this.connection();
    return connection ? setsOf(this.state(), connection.id) : [];
  });

  /** Why the joint in hand cannot be torqued yet: its set does not come out even. */
  protected readonly uneven = computed(() => {
    const now = this.now();
    if (now?.operation.kind !== 'torque' || now.moveTo || !heldTo(this.state(), 2)) return undefined;
    return unevenWords(setCountOf(this.state(), now.operation.connection ?? ''));
  });
  protected readonly pin = computed(() => {
    const operation = this.now()?.operation;
    return operation ? { operation: operation.id } : {};
  });

  /** Changes when another step comes to hand, and only then; what was set for the last one is forgotten. */
  private readonly atHand = computed(() => `${this.now()?.operation.id} ${this.now()?.moveTo}`);
  protected readonly count = linkedSignal({
    source: this.atHand,
    computation: () => untracked(this.counting)?.expected ?? 0,
  });
  protected readonly keeping = linkedSignal<string, Keeping>({
    source: this.atHand,
    computation: () => untracked(this.state).keeping,
  });

  protected readonly tag = computed(() => {
    const operation = this.doing();
    const tag = operation && tagAt(this.state(), operation);
    return tag?.fresh ? { ...tag, number: this.scanned() ?? tag.number } : tag;
  });
  /** The number of a label of the roll that was scanned for this step. */
  protected readonly scanned = linkedSignal<string, number | undefined>({
    source: this.atHand,
    computation: () => undefined,
  });
  protected readonly tagBoth = linkedSignal({ source: this.atHand, computation: () => true });

  /** What is looked at where the joint in hand goes together. */
  protected readonly looks = computed(() => {
    const connection = this.connection();
    return this.doing()?.kind === 'connect' && connection ? looksAtClosing(connection) : [];
  });
  protected readonly looked = linkedSignal<string, ReadonlySet<Look>>({
    source: this.atHand,
    computation: () => new Set(),
  });

  /** The circuit whose fluid is measured at this step. */
  protected readonly circuit = computed(() => {
    const operation = this.doing();
    return operation && fluidAt(this.state(), operation);
  });
  protected readonly litres = linkedSignal({ source: this.atHand, computation: () => '' });
  protected readonly litresWrong = computed(() => {
    const circuit = this.circuit();
    const value = figureIn(this.litres());
    if (!circuit || value === undefined) return '';
    if (!(value >= 0)) return 'Litres have to be a number, nought or more.';
    return value > circuit.circuit.capacityL * 1.5 ? `It holds only ${circuit.circuit.capacityL} l.` : '';
  });

  /** What is renewed at this step and has not come. */
  protected readonly awaited = computed(() => {
    const operation = this.doing();
    return operation ? partsAwaitedAt(this.state(), operation) : [];
  });
  protected readonly stageWords = STAGE_WORDS;

  /** The step in hand wants two, and whoever is at it works alone. */
  protected readonly alone = computed(() => {
    const operation = this.doing();
    if (operation?.hands !== 2) return false;
    const followed = this.state().plans.get(halfOf(operation.phase));
    return (followed?.settings.crew.hands ?? this.desk.job()?.crew ?? []).length === 1;
  });
  protected readonly helped = linkedSignal({ source: this.atHand, computation: () => false });
  /** It is not begun before somebody is with them. */
  protected readonly heldAlone = computed(() => this.alone() && !this.helped());
  /** What was set, typed and ticked at the step in hand. */
  private readonly set = computed((): SetAtStep => ({
    counting: this.counting(),
    count: this.count(),
    keeping: this.keeping(),
    tag: this.tagBoth() ? this.tag() : undefined,
    fluid: this.circuit(),
    litres: this.litres(),
    asked: this.looks(),
    looked: this.looked(),
  }));
  /** What one key may stand for together with the step in hand. */
  protected readonly more = computed(() => {
    const operation = this.doing();
    const clicks = !this.shows.on() && !this.heldAlone() && this.awaited().length === 0;
    return (
      operation &&
      moreAtOnce(this.state(), operation, { set: this.set(), turns: this.turns(), clicks, helped: this.alone() })
    );
  });
  protected readonly wantsTwo = 'It wants two people. Hold until somebody is with you, then say so.';

  protected readonly canSkip = computed(() => {
    const now = this.now();
    return now !== undefined && !now.moveTo && mayBePassedOver(now.operation);
  });

  constructor() {
    const at = inject(AtTheJob);
    effect(() => at.step.set(this.now()?.operation.id));
    inject(DestroyRef).onDestroy(() => at.step.set(undefined));
    inject(Keys).use(
      { key: 'd', words: 'Done', act: () => void this.pressed() },
      { key: 'D', words: 'Done, with what the second key names', act: () => this.doneAtOnce() },
      { key: 'x', words: 'Stuck', act: () => this.with((operation) => void this.actions.stuck(operation)) },
      {
        key: 's',
        words: 'Skip',
        act: () => this.canSkip() && this.with((operation) => void this.actions.skip(operation)),
      },
      { key: 'n', words: 'Note', act: () => this.with((operation) => void this.actions.note(operation)) },
      { key: 'u', words: 'Take back what you recorded last', act: () => this.recorder.undoLast() },
      { key: 'b', words: 'Break, and back to work', act: () => this.recorder.rest() },
      { key: 'p', words: 'Photo', act: () => this.choosePhoto() },
      { key: 'q', words: 'Scan a label for the tag', act: () => void this.scanTag() },
      { key: 'w', words: 'Why this step', act: () => this.with(({ id }) => this.selection.pick(id)) },
      { key: '+', words: 'One fastener more', act: () => this.count.update((count) => count + 1) },
      { key: '-', words: 'One fastener less', act: () => this.count.update((count) => Math.max(0, count - 1)) },
    );
  }

  private choosePhoto(): void {
    this.host.nativeElement.querySelector<HTMLInputElement>('input[name=photos]')?.click();
  }

  /** The label of a roll that is stuck on gives the tag its number. */
  protected async scanTag(): Promise<void> {
    if (!this.tag()?.fresh) return;
    const code = await this.scanner.scan('Scan the label you stick on both halves');
    if (code) this.scanned.set(code.number);
  }

  protected litresHint({ circuit, direction, ranOut, joint }: FluidAtStep): string {
    if (joint !== undefined) return 'what runs out here comes on top';
    return direction === 'out'
      ? `usually ${circuit.drainsL} l`
      : [
          `it holds ${circuit.capacityL} l${ranOut === undefined ? '' : `, ${ranOut} ran out`}`,
          ...(circuit.grade === undefined ? [] : [circuit.grade]),
        ].join('; ');
  }

  /** Done, unless it is a wait that can hardly be over: then it is asked first. */
  protected async pressed(): Promise<void> {
    const operation = this.doing();
    if (this.heldAlone()) {
      this.recorder.refuse(this.wantsTwo);
      return;
    }
    if (operation?.kind === 'wait') {
      // Somebody else may have gone on while it was asked.
      if (!(await this.actions.hasWaited(this.state(), operation)) || this.doing()?.id !== operation.id) return;
    }
    const awaited = this.awaited();
    if (operation && awaited.length > 0) {
      const went = await this.actions.whatWentIn(operation, awaited);
      if (went && this.doing()?.id === operation.id) this.done(went.bodies, went.withOld);
      return;
    }
    this.done();
  }

  /** Done, and with it all that the second key names. */
  protected doneAtOnce(): void {
    const more = this.more();
    if (more) this.done([], false, more);
  }

  private done(first: readonly EntryBody[] = [], withOld = false, more?: MoreAtOnce): void {
    const now = this.now();
    if (!now || this.litresWrong()) return;
    if (now.moveTo) {
      this.recorder.record(now.moveTo === 'raised' ? 'Raised' : 'On its wheels', {
        kind: 'height-set',
        height: now.moveTo,
      });
      return;
    }
    const { operation } = now;
    if (operation.kind === 'hold-point' || operation.kind === 'torque') return;
    const recorded = this.recorder.record(
      `Done: ${[operation.title, ...(more?.titles ?? [])].join(', ')}${withOld ? ', with the old one' : ''}`,
      ...first,
      ...entriesAtStep(operation, this.set()),
      {
        kind: 'operation-done',
        operation: operation.id,
        ...(withOld ? { withOld } : {}),
        ...(this.alone() ? { helped: true } : {}),
      },
      ...(more?.bodies ?? []),
    );
    if (recorded) this.selection.take(undefined);
  }

  private with(act: (operation: Operation) => void): void {
    const now = this.now();
    if (now && !now.moveTo) act(now.operation);
  }
}
