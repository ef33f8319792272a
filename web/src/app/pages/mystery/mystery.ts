import { sentence, several, figureIn } from '@brisk/core/words';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatChipListbox, MatChipOption } from '@angular/material/chips';
import { MatListModule } from '@angular/material/list';
import { MatSliderModule } from '@angular/material/slider';
import {
  DRIVES,
  FORMS,
  hasMeasured,
  lookalikesOf,
  placeAll,
  rankHomes,
  specWords,
  THREADS,
  type Drive,
  type FastenerForm,
  type FastenerSpec,
  type MeasuredBolt,
} from '@brisk/core/fasteners';
import { looseBolts, openHomes, setsOf, type LooseBolt } from '@brisk/core/ledger';
import { v4 as uuid } from 'uuid';
import { EntryField } from '../../ui/entry-field';
import { Desk } from '../../session/desk';
import { Ask } from '../../ui/ask';
import { text } from '@brisk/contracts/fields';
import { Recorder } from '../../session/recorder';
import { DRIVE_WORDS, FORM_WORDS } from '../../words/trade-words';
import { DrawnBolt } from './drawn-bolt';
import { ScreenScale } from './screen-scale';

/** Fields somebody types measurements into. */
const MEASURES = [
  { field: 'diameterMm', words: 'Across the thread', hint: 'calliper, over the crests', most: 60 },
  { field: 'pitchMm', words: 'Pitch', hint: 'thread gauge; 25.4 ÷ turns for inch', most: 10 },
  { field: 'lengthMm', words: 'Length', hint: 'under the head', most: 400 },
  { field: 'driveSize', words: 'Head', hint: 'across flats, or the number of a star', most: 60 },
] as const;
type Measure = (typeof MEASURES)[number]['field'];

/** So sure it is said plainly. */
const SURE = 0.8;
const SHOWN = 5;

/** The bolt nobody can place: measured or picked by eye, ranked against the open homes, alone or by the handful. */
@Component({
  selector: 'bl-mystery',
  imports: [
    DrawnBolt,
    EntryField,
    MatButton,
    MatChipListbox,
    MatChipOption,
    MatListModule,
    MatSliderModule,
    RouterLink,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './mystery.html',
  styleUrl: './mystery.scss',
})
export class Mystery {
  protected readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);
  protected readonly scale = inject(ScreenScale);
  protected readonly measures = MEASURES;
  protected readonly forms = FORMS.filter((form) => form !== 'other');
  protected readonly drives = DRIVES;
  protected readonly formWords = FORM_WORDS;
  protected readonly driveWords = DRIVE_WORDS;
  protected readonly several = several;

  protected readonly loose = computed(() => {
    const state = this.desk.state();
    return state ? looseBolts(state) : [];
  });
  protected readonly homes = computed(() => {
    const state = this.desk.state();
    return state ? openHomes(state) : [];
  });

  /** The loose one that is looked at; absent: a new one is being measured. */
  protected readonly picked = linkedSignal<readonly LooseBolt[], string | undefined>({
    source: this.loose,
    computation: (loose, before) => (loose.some(({ bolt }) => bolt === before?.value) ? before?.value : loose[0]?.bolt),
  });
  private readonly noneLoose = computed(() => this.loose().length === 0);
  protected readonly measuring = linkedSignal(() => this.noneLoose());
  protected readonly draft = signal<MeasuredBolt>({});
  protected readonly where = signal('');
  protected readonly byEye = signal(false);
  protected readonly calibrating = signal(false);

  protected readonly shown = computed<MeasuredBolt>(() =>
    this.measuring() ? this.draft() : (this.loose().find(({ bolt }) => bolt === this.picked())?.measured ?? {}),
  );
  protected readonly hasMeasured = hasMeasured;

  protected readonly ranked = computed(() => {
    const bolt = this.shown();
    const homes = this.homes();
    const { candidates, none } = rankHomes(bolt, homes);
    const state = this.desk.state();
    return {
      none: percent(none),
      noneSure: none,
      candidates: candidates.slice(0, SHOWN).map(({ home, sure, fit }, index) => {
        const place = homes.find(({ id }) => id === home.id);
        return {
          id: home.id,
          connection: place?.connection ?? '',
          set: place?.set ?? 0,
          name: sentence(state?.work.connections.get(place?.connection ?? '')?.name ?? home.id),
          what: (state && place && setsOf(state, place.connection)[place.set]?.what) ?? specWords(home.spec),
          spec: home.spec,
          sure: percent(sure),
          plain: index === 0 && sure >= SURE,
          agrees: fit.agrees.join('; '),
          differs: fit.differs.join('; '),
          missing: home.weight === 1,
        };
      }),
    };
  });

  /** Threads the reading may be taken for. */
  protected readonly alike = computed(() => {
    const { diameterMm, pitchMm } = this.shown();
    if (diameterMm === undefined) return '';
    const near = THREADS.filter(
      (thread) =>
        Math.abs(thread.diameterMm * 0.986 - diameterMm) < 0.2 &&
        (pitchMm === undefined || Math.abs(thread.pitchMm - pitchMm) < 0.08),
    );
    const pairs = near.flatMap((thread) =>
      lookalikesOf(thread)
        .filter((other) => other.system !== thread.system)
        .map((other) => `${thread.name} and ${other.name}`),
    );
    const [pair] = pairs;
    return pair === undefined ? '' : `${pair} are easily taken for each other: try a nut of each, by hand.`;
  });

  /** Distinct fasteners of the open homes, to be held against the screen. */
  protected readonly drawn = computed(() => {
    const specs = new Map<string, FastenerSpec>();
    for (const { spec } of this.homes()) if (spec.thread) specs.set(specWords(spec), spec);
    return [...specs]
      .map(([words, spec]) => ({ words, spec }))
      .sort(
        (one, other) =>
          (one.spec.thread?.diameterMm ?? 0) - (other.spec.thread?.diameterMm ?? 0) ||
          (one.spec.lengthMm ?? 0) - (other.spec.lengthMm ?? 0),
      );
  });

  /** All loose ones placed at once. */
  protected readonly together = computed(() => {
    const loose = this.loose();
    const homes = this.homes();
    const state = this.desk.state();
    if (loose.length < 2 || !state) return [];
    return placeAll(
      loose.map(({ measured }) => measured),
      homes,
    ).map(({ home, sure, orElse }, index) => {
      const place = homes.find(({ id }) => id === home?.id);
      const other = homes.find(({ id }) => id === orElse?.id);
      const name = (id: string | undefined) => (id === undefined ? undefined : state.work.connections.get(id)?.name);
      return {
        loose: loose[index] as LooseBolt,
        home: place,
        name: sentence(name(place?.connection) ?? 'none of these'),
        sure: percent(sure),
        orElse: name(other?.connection) ?? 'none of these',
      };
    });
  });

  protected type(typed: string, field: Measure): void {
    const value = figureIn(typed) ?? NaN;
    this.draft.update((before) => withField(before, field, value > 0 ? value : undefined));
  }

  protected pickForm(form: FastenerForm): void {
    this.draft.update((before) => withField(before, 'form', before.form === form ? undefined : form));
  }

  protected pickDrive(drive: Drive): void {
    this.draft.update((before) => withField(before, 'drive', before.drive === drive ? undefined : drive));
  }

  protected pickFlange(flanged: boolean): void {
    this.draft.update((before) => withField(before, 'flanged', before.flanged === flanged ? undefined : flanged));
  }

  /** Taken for the drawn one: its sizes stand for the measurements. */
  protected likeDrawn({ thread, lengthMm, drive, driveSize, form, flanged }: FastenerSpec): void {
    this.draft.set({
      ...(thread ? { diameterMm: Number((thread.diameterMm * 0.986).toFixed(2)), pitchMm: thread.pitchMm } : {}),
      ...(lengthMm === undefined ? {} : { lengthMm }),
      ...(drive ? { drive } : {}),
      ...(driveSize === undefined ? {} : { driveSize }),
      form,
      ...(flanged ? { flanged } : {}),
    });
    this.byEye.set(false);
  }

  protected measureAnother(): void {
    this.draft.set({});
    this.where.set('');
    this.measuring.set(true);
  }

  protected look(bolt: string): void {
    this.measuring.set(false);
    this.picked.set(bolt);
  }

  /** Writes the measured one down, loose as it is; returns its id. */
  protected writeDown(): string | undefined {
    const bolt = uuid();
    const where = this.where().trim().slice(0, 120);
    const recorded = this.recorder.record('Written down', {
      kind: 'bolt-found',
      bolt,
      measured: this.draft(),
      ...(where ? { where } : {}),
    });
    if (!recorded) return undefined;
    this.draft.set({});
    this.where.set('');
    this.look(bolt);
    return bolt;
  }

  protected sendHome(connection: string, set: number, name: string, bolt = this.picked()): void {
    const id = this.measuring() ? this.writeDown() : bolt;
    if (id !== undefined)
      this.recorder.record(`It belongs to ${name}`, { kind: 'bolt-homed', bolt: id, connection, set });
  }

  protected async setAside(): Promise<void> {
    const bolt = this.picked();
    if (bolt === undefined || this.measuring()) return;
    const answers = await this.asker.ask({
      title: 'None of these',
      words: 'It is set aside and no longer asked for.',
      questions: [
        { field: 'reason', label: 'Where is it from, as far as you know', as: 'lines', schema: text().label('This') },
      ],
      action: 'Set it aside',
    });
    if (answers) this.recorder.record('Set aside', { kind: 'bolt-set-aside', bolt, reason: String(answers['reason']) });
  }

  protected inWords({ measured, where }: LooseBolt): string {
    const { form, diameterMm, lengthMm, drive, driveSize } = measured;
    const sizes = [
      diameterMm === undefined ? '' : `${diameterMm} across`,
      lengthMm === undefined ? '' : `${lengthMm} long`,
      driveSize === undefined ? '' : `${drive === 'star' ? 'T' : 'head '}${driveSize}`,
    ].filter((word) => word !== '');
    const shape = form === undefined || form === 'other' ? 'Fastener' : FORM_WORDS[form];
    return [shape, ...sizes].join(', ') + (where ? `; ${where}` : '');
  }
}

function percent(share: number): string {
  if (share > 0.995) return '> 99 %';
  return share < 0.01 ? '< 1 %' : `${Math.round(share * 100)} %`;
}

/** `bolt` with one reading, or without it. */
function withField<Field extends keyof MeasuredBolt>(
  bolt: MeasuredBolt,
  field: Field,
  value: MeasuredBolt[Field],
): MeasuredBolt {
  const { [field]: _before, ...rest } = bolt;
  return value === undefined ? (rest as MeasuredBolt) : { ...rest, [field]: value };
}
