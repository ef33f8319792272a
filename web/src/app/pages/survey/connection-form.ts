import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
  type WritableSignal,
} from '@angular/core';
import { FormArray, FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { amount, count, name, oneOf, optionalText } from '@brisk/contracts/fields';
import {
  CAUTIONS,
  CONNECTION_KINDS,
  STATIONS,
  STEP_HEIGHTS,
  SYSTEMS,
  type Access,
  type Caution,
  type Connection,
  type FastenerSet,
  type TorqueSpec,
} from '@brisk/core/connection-map';
import { readWashers } from '@brisk/core/fasteners';
import { freshId } from '@brisk/core/map-edit';
import { HEIGHT_WORDS, STATION_WORDS } from '@brisk/core/words';
import { number, string } from 'yup';
import { Ask } from '../../ui/ask';
import { wrongWith, yupRule } from '../../ui/yup-rule';
import type { Picked } from '../../map/map-picture';
import { CAUTION_NAMES, KIND_WORDS, SYSTEM_WORDS } from '../../words/trade-words';
import { MapDraft } from '../../planning/map-draft';

/** What a connection need not have, and what the form may empty. */
const MAY_BE_EMPTY = ['circuit', 'carriesLoad', 'tip'] as const;

const text = (rule: Parameters<typeof yupRule>[0], initial = '') =>
  new FormControl(initial, { nonNullable: true, validators: yupRule(rule) });
const figure = (rule: Parameters<typeof yupRule>[0], initial: number | null) =>
  new FormControl<number | null>(initial, yupRule(rule));

/** One connection, every field of it: what it ties, how it is reached, what it needs, how it goes back. */
@Component({
  selector: 'bl-connection-form',
  imports: [MatButton, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './connection-form.html',
  styleUrl: './edit-form.scss',
})
export class ConnectionForm {
  private readonly draft = inject(MapDraft);
  private readonly ask = inject(Ask);

  /** The connection to change; absent: a new one. */
  readonly id = input<string>();
  /** Where the next tap on the map is asked for. */
  readonly pickNext = input.required<WritableSignal<((picked: Picked) => void) | undefined>>();
  readonly done = output<Picked | undefined>();

  protected readonly wrongWith = wrongWith;
  protected readonly kinds = CONNECTION_KINDS.map((value) => ({ value, words: KIND_WORDS[value] }));
  protected readonly systems = SYSTEMS.map((value) => ({ value, words: SYSTEM_WORDS[value] }));
  protected readonly stations = STATIONS.map((value) => ({ value, words: STATION_WORDS[value] }));
  protected readonly heights = STEP_HEIGHTS.map((value) => ({ value, words: HEIGHT_WORDS[value] }));
  protected readonly sent = signal(false);
  protected readonly access = signal<readonly Access[]>([]);
  protected readonly cautions = signal<ReadonlySet<Caution>>(new Set());
  protected readonly cautionNames = CAUTIONS.map((value) => ({ value, words: CAUTION_NAMES[value] }));
  /** Connections whose final torque comes before this one’s. */
  protected readonly torqueAfter = signal<NonNullable<TorqueSpec['after']>>([]);
  protected readonly needs = signal<ReadonlySet<string>>(new Set());
  protected readonly map = this.draft.map;
  protected readonly known = computed(() => this.map()?.connections.find(({ id }) => id === this.id()));

  protected readonly form = new FormGroup({
    name: text(name().label('Name')),
    kind: text(oneOf(CONNECTION_KINDS).label('Kind'), 'bolted'),
    from: text(string().required().label('From')),
    to: text(
      string()
        .required()
        .test(
          'other',
          'Both ends are at the same part.',
          (to, { parent }) => to !== (parent as { from?: string } | undefined)?.from,
        )
        .label('To'),
    ),
    system: text(oneOf(SYSTEMS).label('System'), 'body'),
    station: text(oneOf(STATIONS).label('Where one stands'), 'bay-top'),
    height: text(oneOf(STEP_HEIGHTS).label('Machine'), 'either'),
    hands: new FormControl<1 | 2>(1, { nonNullable: true }),
    low: figure(amount(100_000, 0.1).label('When it goes well'), 1),
    likely: figure(amount(100_000, 0.1).label('As a rule'), 3),
    high: figure(amount(100_000, 0.1).label('When it fights back'), 9),
    tools: text(string().max(1_000).label('Tools')),
    circuit: text(string().max(80).label('Fluid')),
    carriesLoad: new FormControl(false, { nonNullable: true }),
    tip: text(optionalText().label('Mind')),
    nm: figure(number().moreThan(0).max(10_000).nullable().label('Torque'), null),
    backLow: figure(amount(100_000, 0.1).label('Back, when it goes well'), 1),
    backLikely: figure(amount(100_000, 0.1).label('Back, as a rule'), 3),
    backHigh: figure(amount(100_000, 0.1).label('Back, when it fights back'), 9),
    deg: figure(number().min(0).max(720).nullable().label('Angle'), null),
    back: text(optionalText().label('On the way back')),
    beforeLowering: text(optionalText().label('Before the powerpack goes down')),
    sets: new FormArray<ReturnType<typeof setGroup>>([]),
  });

  constructor() {
    effect(() => {
      this.id();
      untracked(() => this.fill(this.known()));
    });
  }

  protected readonly accessWords = computed(() => {
    const map = this.map();
    return this.access().map((need) => ({
      need,
      what:
        'open' in need
          ? `${map?.connections.find(({ id }) => id === need.open)?.name ?? need.open} open`
          : `the ${map?.parts.find(({ id }) => id === need.removed)?.name ?? need.removed} off`,
    }));
  });

  protected toggleNeed(condition: string): void {
    this.needs.update((before) => {
      const after = new Set(before);
      if (!after.delete(condition)) after.add(condition);
      return after;
    });
  }

  protected toggleCaution(caution: Caution): void {
    this.cautions.update((before) => {
      const after = new Set(before);
      if (!after.delete(caution)) after.add(caution);
      return after;
    });
  }

  protected pickTorqueAfter(): void {
    this.pickNext().set((picked) => void this.addTorqueAfter(picked));
  }

  protected dropTorqueAfter(connection: string): void {
    this.torqueAfter.update((before) => before.filter((one) => one.connection !== connection));
  }

  protected pickAccess(): void {
    this.pickNext().set((picked) => void this.addAccess(picked));
  }

  protected dropAccess(need: Access): void {
    this.access.update((before) => before.filter((one) => one !== need));
  }

  protected addSet(): void {
    this.form.controls.sets.push(setGroup({ count: 1, what: '' }));
  }

  protected dropSet(index: number): void {
    this.form.controls.sets.removeAt(index);
  }

  protected apply(): void {
    this.sent.set(true);
    const map = this.map();
    if (!map || this.form.invalid) return;
    const known = this.known();
    const connection = this.connection(known?.id ?? freshId(map, this.form.getRawValue().name));
    const { id, ...change } = connection;
    const wrong = known
      ? this.draft.edit(
          {
            kind: 'change-connection',
            id,
            change,
            emptied: MAY_BE_EMPTY.filter((field) => change[field] === undefined),
          },
          `Change ${connection.name}`,
        )
      : this.draft.edit({ kind: 'add-connection', connection }, `Add ${connection.name}`);
    if (wrong === undefined) this.done.emit({ what: 'connections', ids: [id] });
  }

  protected remove(): void {
    const known = this.known();
    if (!known) return;
    const wrong = this.draft.edit({ kind: 'remove-connection', id: known.id }, `Delete ${known.name}`);
    if (wrong === undefined) this.done.emit(undefined);
  }

  /** One connection turns out to be two. */
  protected async split(): Promise<void> {
    const map = this.map();
    const known = this.known();
    if (!map || !known) return;
    const answers = await this.ask.ask({
      title: `Split ${known.name}`,
      words: 'The second one begins as a copy without fasteners. Change what differs.',
      questions: [{ field: 'name', label: 'Name of the second', as: 'line', schema: name().label('Name') }],
      action: 'Split it',
    });
    const called = answers?.['name'];
    if (typeof called !== 'string') return;
    const second: Connection = { ...known, id: freshId(map, called), name: called, fasteners: [] };
    const wrong = this.draft.edit(
      { kind: 'split-connection', id: known.id, second, fasteners: known.fasteners },
      `Split ${known.name}`,
    );
    if (wrong === undefined) this.done.emit({ what: 'connections', ids: [second.id] });
  }

  protected cancel(): void {
    const known = this.known();
    this.done.emit(known && { what: 'connections', ids: [known.id] });
  }

  private async addAccess(picked: Picked): Promise<void> {
    const map = this.map();
    if (!map) return;
    const target: { readonly open: string } | { readonly removed: string } | undefined =
      picked.what === 'part'
        ? { removed: picked.id }
        : picked.ids[0] === undefined
          ? undefined
          : { open: picked.ids[0] };
    if (!target || ('open' in target && target.open === this.id())) return;
    const called =
      'removed' in target
        ? `the ${map.parts.find(({ id }) => id === target.removed)?.name ?? ''} is off`
        : `${map.connections.find(({ id }) => id === target.open)?.name ?? ''} is open`;
    const answers = await this.ask.ask({
      title: 'What has to be first',
      words: `Only once ${called}.`,
      questions: [
        { field: 'why', label: 'Why', as: 'line', schema: name().label('Why'), hint: 'As one tells it at the machine' },
      ],
      action: 'So it is',
    });
    const why = answers?.['why'];
    if (typeof why === 'string') this.access.update((before) => [...before, { ...target, why }]);
  }

  private async addTorqueAfter(picked: Picked): Promise<void> {
    const other = picked.what === 'connections' ? picked.ids[0] : undefined;
    if (other === undefined || other === this.id()) return;
    const called = this.map()?.connections.find(({ id }) => id === other)?.name ?? other;
    const answers = await this.ask.ask({
      title: 'What is tightened first',
      words: `${called} before this one.`,
      questions: [{ field: 'why', label: 'Why', as: 'line', schema: name().label('Why') }],
      action: 'So it is',
    });
    const why = answers?.['why'];
    if (typeof why === 'string') this.torqueAfter.update((before) => [...before, { connection: other, why }]);
  }

  private fill(known: Connection | undefined): void {
    this.sent.set(false);
    this.access.set(known?.access ?? []);
    this.needs.set(new Set(known?.needs));
    this.cautions.set(new Set(known?.cautions));
    this.torqueAfter.set(known?.refit.torque?.after ?? []);
    this.form.controls.sets.clear();
    for (const set of known?.fasteners ?? []) this.form.controls.sets.push(setGroup(set));
    if (!known) return;
    const { kind, between, system, station, height, hands, minutes, tools, circuit, carriesLoad, tip, refit } = known;
    this.form.patchValue({
      name: known.name,
      kind,
      from: between[0],
      to: between[1],
      system,
      station,
      height,
      hands,
      ...minutes,
      backLow: refit.minutes.low,
      backLikely: refit.minutes.likely,
      backHigh: refit.minutes.high,
      tools: tools.join(', '),
      circuit: circuit ?? '',
      carriesLoad: carriesLoad ?? false,
      tip: tip ?? '',
      nm: refit.torque?.targetNm ?? null,
      deg: refit.torque?.angleDeg ?? null,
      back: refit.note ?? '',
      beforeLowering: refit.beforeLowering ?? '',
    });
  }

  private connection(id: string): Connection {
    const { low, likely, high, backLow, backLikely, backHigh, from, to, tools, nm, deg, back, sets, ...value } =
      this.form.getRawValue();
    const minutes = { low: low ?? 1, likely: likely ?? 3, high: high ?? 9 };
    const after = this.torqueAfter();
    return {
      id,
      name: value.name.trim(),
      kind: value.kind as Connection['kind'],
      between: [from, to],
      system: value.system as Connection['system'],
      station: value.station as Connection['station'],
      height: value.height as Connection['height'],
      hands: value.hands,
      tools: tools
        .split(',')
        .map((tool) => tool.trim())
        .filter((tool) => tool !== ''),
      minutes,
      cautions: cautionsFor([...this.cautions()], value.height),
      fasteners: sets.map(({ count: pieces, what, note, singleUse, washers }): FastenerSet => ({
        count: pieces ?? 1,
        what: what.trim(),
        ...(note.trim() === '' ? {} : { note: note.trim() }),
        ...(singleUse ? { singleUse: true } : {}),
        ...(washers.trim() === '' ? {} : { washers: readWashers(washers).slice(0, 10) }),
      })),
      needs: [...this.needs()],
      access: this.access(),
      ...(value.circuit === '' ? {} : { circuit: value.circuit }),
      ...(value.carriesLoad ? { carriesLoad: true } : {}),
      ...(value.tip.trim() === '' ? {} : { tip: value.tip.trim() }),
      refit: {
        minutes: { low: backLow ?? minutes.low, likely: backLikely ?? minutes.likely, high: backHigh ?? minutes.high },
        ...(nm === null
          ? {}
          : {
              torque: {
                targetNm: nm,
                ...(deg ? { angleDeg: deg } : {}),
                ...(after.length > 0 ? { after } : {}),
              },
            }),
        ...(back.trim() === '' ? {} : { note: back.trim() }),
        ...(value.beforeLowering.trim() === '' ? {} : { beforeLowering: value.beforeLowering.trim() }),
      },
    };
  }
}

function setGroup({ count: pieces, what, note, singleUse, washers = [] }: FastenerSet) {
  return new FormGroup({
    count: figure(count(1_000, 1).label('How many'), pieces),
    what: text(name().label('Fastener'), what),
    note: text(optionalText().label('Note'), note ?? ''),
    singleUse: new FormControl(singleUse ?? false, { nonNullable: true }),
    washers: text(optionalText().label('Washers'), washers.join(', ')),
  });
}

/** Whoever works under a raised machine is told of the stands. */
function cautionsFor(before: Connection['cautions'], height: string): Connection['cautions'] {
  if (height === 'raised') return before.includes('stands') ? before : ['stands', ...before];
  return before.filter((caution) => caution !== 'stands');
}
