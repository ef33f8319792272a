import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal } from '@angular/core';
import { FormControl } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { oneOf, text } from '@brisk/contracts/fields';
import type { Connection } from '@brisk/core/connection-map';
import {
  boltNumbers,
  canApply,
  extend,
  jointNow,
  type EntryBody,
  type JointNow,
  type JobState,
  type LedgerEntry,
} from '@brisk/core/ledger';
import { operationId } from '@brisk/core/teardown';
import {
  nextTurnDeg,
  samePullNm,
  stageWords,
  THREAD_STATE_WORDS,
  torqueWindow,
  turnsLeft,
  wrenchAt,
  type WrenchInHand,
} from '@brisk/core/torque';
import { torqueFromNm, TORQUE_UNITS, type TorqueUnit } from '@brisk/core/units';
import { several, figureIn } from '@brisk/core/words';
import { Desk } from '../session/desk';
import { Recorder } from '../session/recorder';
import { ShowsFigure } from '../session/shows-figure';
import { JointActions } from './joint-actions';
import { WrenchShed } from '../planning/wrench-shed';
import { Ask } from '../ui/ask';
import type { Choice } from '../ui/choice';
import { EntryField } from '../ui/entry-field';
import { PickOne } from '../ui/pick-one';
import { yupRule } from '../ui/yup-rule';
import { BoltDrawing } from './bolt-drawing';
import { LiveWrench } from './live-wrench';
import { acrossFrom, evennessWords, faultWords, nextAt, settingOn, wrenchTrouble } from './tightening';

const SHOWED_WRONG = 'What it showed has to be a number above 0, without its unit.';
const MOST_SHOWN = 100_000;

/** What a thread is met with most, besides as it is meant. */
const THREADS_MET = ['dry', 'oiled', 'paste'] as const;

/** A joint tightened bolt by bolt: the next one large on the drawing, the setting of the wrench, a touch for each. */
@Component({
  selector: 'bl-joint-tightening',
  imports: [BoltDrawing, EntryField, LiveWrench, MatButton, MatCheckbox, PickOne, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './joint-tightening.html',
  styleUrl: './joint-tightening.scss',
})
export class JointTightening {
  readonly connection = input.required<Connection>();
  readonly state = input.required<JobState>();
  readonly helped = input(false);
  readonly recorded = output();
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);
  private readonly joints = inject(JointActions);
  protected readonly desk = inject(Desk);
  protected readonly shed = inject(WrenchShed);
  protected readonly shows = inject(ShowsFigure);
  protected readonly several = several;
  protected readonly unitChoices = TORQUE_UNITS.map((value) => ({ value, words: value }));

  protected readonly unit = signal<TorqueUnit>('N·m');
  protected readonly twoWrenches = signal(false);
  /** The wrench and adapter somebody chose; nothing: what fits the figure. */
  protected readonly chosen = signal<string | undefined>(undefined);
  protected readonly adapter = signal<string | undefined>(undefined);
  protected readonly angle = signal(90);
  /** What the wrench showed, as it was typed: empty, it clicked at its setting. */
  protected readonly showed = signal('');
  protected readonly showedWrong = signal('');
  /** A bolt that was touched and is turned all the way. */
  protected readonly turnedAlready = signal('');
  protected readonly unitControl = new FormControl<TorqueUnit>('N·m', {
    nonNullable: true,
    validators: yupRule(oneOf(TORQUE_UNITS).label('Unit')),
  });

  protected readonly now = computed(() => jointNow(this.state(), this.connection().id));
  protected readonly next = computed(() => {
    const now = this.now();
    const next = now && nextAt(now);
    if (!now || !next) return undefined;
    const stage = now.stages[next.at];
    if (!stage) return undefined;
    const bolts = this.twoWrenches() ? acrossFrom(now, next.bolts) : next.bolts.slice(0, 1);
    const turnDeg = stage.is === 'angle' ? nextTurnDeg(stage.degrees, turnedOf(now, bolts)) : 0;
    return { ...next, stage, all: next.bolts, bolts, turnDeg, numbers: boltNumbers(now, bolts) };
  });
  protected readonly wanted = computed(() => {
    const next = this.next();
    const targetNm = this.now()?.targetNm ?? 0;
    const wantedNm = next?.stage.is === 'torque' ? next.stage.nm : targetNm;
    const { lowNm, highNm } = torqueWindow(targetNm);
    return { targetNm, wantedNm, shown: this.shown(wantedNm), low: this.shown(lowNm), high: this.shown(highNm) };
  });
  protected readonly thread = computed(() => {
    const { thread, targetNm = 0 } = this.connection().refit.torque ?? {};
    if (thread === undefined) return undefined;
    const others = THREADS_MET.filter((other) => other !== thread).map(
      (other) => `${THREAD_STATE_WORDS[other]} ${this.shown(samePullNm(targetNm, thread, other))}`,
    );
    return { words: THREAD_STATE_WORDS[thread], others: `${others.join(', ')} ${this.unit()}` };
  });

  protected readonly wrench = computed((): WrenchInHand | undefined => {
    const { rack } = this.shed;
    const targetNm = this.now()?.targetNm ?? 0;
    const wrench = rack().wrenches.find(({ id }) => id === this.chosen()) ?? wrenchAt(targetNm, rack());
    if (!wrench) return undefined;
    const { id, name, lowestNm, highestNm, handleMm, calibratedOn } = wrench;
    const adapter = rack().adapters.find((one) => one.id === this.adapter());
    return {
      id,
      name,
      range: { lowestNm, highestNm },
      ...(handleMm === undefined ? {} : { handleMm }),
      ...(adapter ? { adapter: { lengthMm: adapter.lengthMm, angleDeg: this.angle() } } : {}),
      ...(calibratedOn === undefined ? {} : { calibratedOn }),
      uses: this.shed.uses()[id] ?? 0,
    };
  });
  protected readonly setting = computed(() => {
    const wrench = this.wrench();
    return wrench && settingOn(wrench, this.wanted().wantedNm);
  });
  protected readonly settingNm = computed(() => {
    const setting = this.setting();
    return setting && 'nm' in setting ? setting.nm : undefined;
  });
  protected readonly settingWrong = computed(() => {
    const setting = this.setting();
    return setting && 'wrong' in setting ? setting.wrong : '';
  });
  protected readonly distrusted = computed(() => {
    const [wrench, setting, next] = [this.wrench(), this.setting(), this.next()];
    if (!wrench) return `No wrench of yours reaches ${this.wanted().targetNm} N·m.`;
    if (next?.stage.is === 'torque' && next.stage.share === 1 && setting && 'trusted' in setting && !setting.trusted)
      return `${wrench.name} is not trusted at this setting.`;
    return wrenchTrouble(wrench, new Date().toISOString()) ?? '';
  });
  protected readonly wrenchChoices = computed((): readonly Choice<string | undefined>[] => {
    const fits = wrenchAt(this.now()?.targetNm ?? 0, this.shed.rack());
    return [
      { value: undefined, words: fits ? `Take: ${fits.name}` : 'None of yours reaches it' },
      ...this.shed.rack().wrenches.map(({ id, name }) => ({ value: id, words: name })),
    ];
  });
  protected readonly adapterChoices = computed((): readonly Choice<string | undefined>[] => [
    { value: undefined, words: 'No adapter' },
    ...this.shed.rack().adapters.map(({ id, name }) => ({ value: id, words: name })),
  ]);
  protected readonly stages = computed(() => {
    const [now, next] = [this.now(), this.next()];
    if (!now) return [];
    return now.stages.map((stage, at) => ({
      words: stageWords(stage),
      here: next?.at === at,
      through: at < now.stageAt,
    }));
  });
  protected readonly faults = computed(() => {
    const now = this.now();
    return now ? faultWords(now) : [];
  });
  /** What comes after the figure. */
  protected readonly thenTurned = computed(() => {
    const angle = this.now()?.stages.find(({ is }) => is === 'angle');
    return angle ? `, ${stageWords(angle)}` : '';
  });
  protected readonly evenness = computed(() => {
    const now = this.now();
    return now ? evennessWords(now) : '';
  });

  constructor() {
    // Another joint begins without what was chosen for the last.
    const joint = computed(() => this.connection().id);
    effect(() => {
      joint();
      this.chosen.set(undefined);
      this.adapter.set(undefined);
      this.showed.set('');
      this.showedWrong.set('');
      this.turnedAlready.set('');
    });
    this.unitControl.valueChanges.subscribe((unit) => this.unit.set(unit));
  }

  /** Opens the fields of a wrench that shows a figure, or puts them away with what was written. */
  protected fold(): void {
    this.shows.toggle();
    this.showed.set('');
    this.showedWrong.set('');
  }

  protected shown(nm: number): string {
    return String(Number(torqueFromNm(nm, this.unit()).toFixed(nm < 10 ? 2 : 1)));
  }

  /** One bolt, touched on the drawing: in the stage that is in hand, whichever comes next. */
  protected touch(bolt: number): void {
    const next = this.next();
    if (next) void this.tighten([bolt], next.at);
  }

  protected theNext(): void {
    const next = this.next();
    if (next) void this.tighten(next.bolts, next.at);
  }

  /** Where the map wants each bolt read by itself, nobody says it of all at once. */
  protected readonly mayAllAtOnce = computed(() => this.connection().refit.torque?.eachRead !== true);

  protected allOfStage(): void {
    const next = this.next();
    if (next) void this.tighten(next.all, next.at, true);
  }

  /** A live wrench clicked: the next bolt was on it. */
  protected clicked(nm: number): void {
    const next = this.next();
    if (next?.stage.is === 'torque') void this.tighten(next.bolts.slice(0, 1), next.at, false, nm);
  }

  private async tighten(bolts: readonly number[], at: number, all = false, readNm?: number): Promise<void> {
    const [now, next, wrench, settingNm] = [this.now(), this.next(), this.wrench(), this.settingNm()];
    const stage = now?.stages[at];
    const shown = readingIn(this.showed());
    const unitShown = this.unit();
    const meant =
      stage?.is === 'torque' && typeof shown === 'number' && !wrench?.adapter
        ? await this.joints.meant(stage.nm, { value: shown, unit: unitShown })
        : undefined;
    if (typeof shown === 'number' && stage?.is === 'torque' && !wrench?.adapter && !meant) return;
    const typed = meant?.value ?? shown;
    this.showedWrong.set(typed === 'wrong' ? SHOWED_WRONG : '');
    this.turnedAlready.set('');
    if (!now || !next || !stage || typed === 'wrong') return;
    const touched = { kind: 'bolts-tightened', connection: this.connection().id, stage: at } as const;
    const words =
      bolts.length === now.bolts ? 'All through this stage' : `Bolt ${boltNumbers(now, bolts).join(' and ')}`;
    if (stage.is === 'angle') {
      const turnDeg = nextTurnDeg(stage.degrees, turnedOf(now, bolts));
      const turns = all ? [...turnsLeft(stage.degrees, now.turnedDeg, bolts)] : [[turnDeg, bolts] as const];
      const bodies = turns.flatMap(([degrees, turned]) =>
        degrees > 0 ? [{ ...touched, bolts: turned, degrees }] : [],
      );
      if (bodies.length > 0) this.write(words, ...bodies);
      else this.turnedAlready.set(`Bolt ${boltNumbers(now, bolts).join(' and ')} has its ${stage.degrees}° already.`);
      return;
    }
    const unit = meant?.unit ?? unitShown;
    this.write(words, {
      ...touched,
      bolts,
      read:
        readNm !== undefined
          ? { value: readNm, unit: 'N·m' }
          : typed !== undefined
            ? { value: typed, unit }
            : { value: Number(torqueFromNm(settingNm ?? stage.nm, unit).toPrecision(6)), unit },
      ...(wrench ? { wrench } : {}),
    });
  }

  /** Records it, and, where the joint is final with it, that its step is done. */
  private write(words: string, ...bodies: readonly EntryBody[]): void {
    const { id } = this.connection();
    const done: EntryBody = {
      kind: 'operation-done',
      operation: operationId.torque(id),
      ...(this.helped() ? { helped: true } : {}),
    };
    const head = { id: 'to-come', at: new Date().toISOString(), by: this.desk.me() };
    const entries = bodies.map((body) => ({ ...head, ...body }) as LedgerEntry);
    const refused = entries.some((entry) => canApply(this.state(), entry).length > 0);
    const after = refused ? this.state() : extend(this.state(), entries);
    const finished = !refused && canApply(after, { ...head, ...done } as LedgerEntry).length === 0;
    if (
      !this.recorder.record(
        finished ? 'Tight. A dab of paint across each head' : words,
        ...bodies,
        ...(finished ? [done] : []),
      )
    )
      return;
    this.showed.set('');
    if (finished) this.recorded.emit();
  }

  protected async accept(): Promise<void> {
    const answers = await this.asker.ask({
      title: `Accept the readings on ${this.connection().name}`,
      caution: 'A joint under its figure works loose, one over it stretches. The maker’s figure wins.',
      questions: [{ field: 'reason', label: 'Reason', as: 'lines', schema: text().label('Reason') }],
      action: 'Accept them',
    });
    if (!answers) return;
    this.write('Accepted', {
      kind: 'torque-accepted',
      connection: this.connection().id,
      reason: String(answers['reason']),
    });
  }
}

/** How far each of `bolts` was turned by now, in degrees. */
function turnedOf({ turnedDeg }: JointNow, bolts: readonly number[]): readonly number[] {
  return bolts.map((bolt) => turnedDeg[bolt] ?? 0);
}

/** The figure in what was typed, with a comma or a point; undefined for nothing. */
function readingIn(typed: string): number | 'wrong' | undefined {
  const read = figureIn(typed);
  if (read === undefined) return undefined;
  return read > 0 && read <= MOST_SHOWN ? read : 'wrong';
}
