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
} from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { name, oneOf, optionalText } from '@brisk/contracts/fields';
import { STATIONS, SYSTEMS, ZONES, type Connection, type Part } from '@brisk/core/connection-map';
import { freshId } from '@brisk/core/map-edit';
import { STATION_WORDS } from '@brisk/core/words';
import { number, string } from 'yup';
import { wrongWith, yupRule } from '../../ui/yup-rule';
import type { Picked } from '../../map/map-picture';
import { SYSTEM_WORDS, ZONE_WORDS } from '../../words/trade-words';
import { MapDraft } from '../../planning/map-draft';

/** One part: what it is, where it sits, what it comes away with, and how it is lifted off by itself. */
@Component({
  selector: 'bl-part-form',
  imports: [MatButton, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './part-form.html',
  styleUrl: './edit-form.scss',
})
export class PartForm {
  private readonly draft = inject(MapDraft);
  /** The part to change; absent: a new one. */
  readonly id = input<string>();
  readonly done = output<Picked | undefined>();

  protected readonly wrongWith = wrongWith;
  protected readonly zones = ZONES.map((value) => ({ value, words: ZONE_WORDS[value] }));
  protected readonly systems = SYSTEMS.map((value) => ({ value, words: SYSTEM_WORDS[value] }));
  protected readonly stations = STATIONS.map((value) => ({ value, words: STATION_WORDS[value] }));
  protected readonly map = this.draft.map;
  protected readonly sent = signal(false);
  protected readonly splitting = signal(false);
  protected readonly moving = signal<ReadonlySet<string>>(new Set());
  protected readonly known = computed(() => this.map()?.parts.find(({ id }) => id === this.id()));
  protected readonly ties = computed(
    () => this.map()?.connections.filter(({ between }) => between.includes(this.id() ?? '')) ?? [],
  );

  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: yupRule(name().label('Name')) }),
    zone: new FormControl('bay-top', { nonNullable: true, validators: yupRule(oneOf(ZONES).label('Place')) }),
    system: new FormControl('body', { nonNullable: true, validators: yupRule(oneOf(SYSTEMS).label('System')) }),
    massKg: new FormControl<number | null>(null, yupRule(number().min(0).max(100_000).nullable().label('Mass'))),
    ridesWith: new FormControl('', { nonNullable: true }),
    comesOff: new FormControl(false, { nonNullable: true }),
    station: new FormControl('bay-top', { nonNullable: true, validators: yupRule(oneOf(STATIONS).label('Where')) }),
    likely: new FormControl<number | null>(2, yupRule(number().moreThan(0).max(100_000).required().label('Minutes'))),
    offTitle: new FormControl('', { nonNullable: true, validators: yupRule(optionalText().label('The step')) }),
    offHands: new FormControl<1 | 2>(1, { nonNullable: true }),
    offTools: new FormControl('', { nonNullable: true, validators: yupRule(string().max(1_000).label('Tools')) }),
    offTip: new FormControl('', { nonNullable: true, validators: yupRule(optionalText().label('Mind')) }),
    second: new FormControl('', {
      nonNullable: true,
      validators: yupRule(string().max(120).label('Name of the second')),
    }),
  });

  constructor() {
    effect(() => {
      this.id();
      untracked(() => this.fill(this.known()));
    });
  }

  protected toggle(connection: string): void {
    this.moving.update((before) => {
      const after = new Set(before);
      if (!after.delete(connection)) after.add(connection);
      return after;
    });
  }

  protected apply(): void {
    this.sent.set(true);
    const map = this.map();
    if (!map || this.form.invalid) return;
    const known = this.known();
    const part = this.part(known, known?.id ?? freshId(map, this.form.getRawValue().name));
    const { id, ...change } = part;
    const wrong = known
      ? this.draft.edit(
          {
            kind: 'change-part',
            id,
            change,
            emptied: (['massKg', 'ridesWith', 'removal'] as const).filter((field) => change[field] === undefined),
          },
          `Change the ${part.name}`,
        )
      : this.draft.edit({ kind: 'add-part', part }, `Add the ${part.name}`);
    if (wrong === undefined) this.done.emit({ what: 'part', id });
  }

  protected remove(): void {
    const known = this.known();
    if (!known) return;
    if (this.draft.edit({ kind: 'remove-part', id: known.id }, `Delete the ${known.name}`) === undefined)
      this.done.emit(undefined);
  }

  /** Part of a part becomes a part of its own, bolted to what stays. */
  protected split(): void {
    const map = this.map();
    const known = this.known();
    const called = this.form.getRawValue().second.trim();
    if (!map || !known || called === '') return;
    const id = freshId(map, called);
    const minutes = { low: 1, likely: 3, high: 9 };
    const joint: Connection = {
      id: `${id}-joint`,
      name: `the ${called} on the ${known.name}`,
      kind: 'bolted',
      between: [id, known.id],
      system: known.system,
      station: this.ties()[0]?.station ?? 'bay-top',
      height: 'either',
      hands: 1,
      tools: [],
      minutes,
      cautions: [],
      fasteners: [],
      needs: [],
      access: [],
      refit: { minutes },
    };
    const { removal: _removal, massKg: _mass, ...alike } = known;
    const wrong = this.draft.edit(
      {
        kind: 'split-part',
        id: known.id,
        part: { ...alike, id, name: called },
        connections: [...this.moving()],
        joint,
      },
      `Split the ${known.name}`,
    );
    if (wrong === undefined) this.done.emit({ what: 'part', id });
  }

  protected cancel(): void {
    const known = this.known();
    this.done.emit(known && { what: 'part', id: known.id });
  }

  private fill(known: Part | undefined): void {
    this.sent.set(false);
    this.splitting.set(false);
    this.moving.set(new Set());
    if (!known) return;
    const { zone, system, massKg, ridesWith, removal } = known;
    this.form.patchValue({
      name: known.name,
      zone,
      system,
      massKg: massKg ?? null,
      ridesWith: ridesWith ?? '',
      comesOff: removal !== undefined,
      station: removal?.station ?? 'bay-top',
      likely: removal?.minutes.likely ?? 2,
      offTitle: removal?.title ?? '',
      offHands: removal?.hands ?? 1,
      offTools: removal?.tools.join(', ') ?? '',
      offTip: removal?.tip ?? '',
      second: '',
    });
  }

  private part(known: Part | undefined, id: string): Part {
    const {
      zone,
      system,
      massKg,
      ridesWith,
      comesOff,
      station,
      likely,
      offTitle,
      offHands,
      offTools,
      offTip,
      ...value
    } = this.form.getRawValue();
    const called = value.name.trim();
    const middle = likely ?? 2;
    const raised = station === 'underside' || station === 'wheel-left' || station === 'wheel-right';
    return {
      id,
      name: called,
      zone: zone as Part['zone'],
      system: system as Part['system'],
      ...(massKg === null ? {} : { massKg }),
      ...(ridesWith === '' ? {} : { ridesWith }),
      ...(comesOff
        ? {
            removal: {
              title: offTitle.trim() === '' ? `Take the ${called} off` : offTitle.trim(),
              station: station as Connection['station'],
              height: known?.removal?.station === station ? known.removal.height : raised ? 'raised' : 'either',
              hands: offHands,
              tools: offTools
                .split(',')
                .map((tool) => tool.trim())
                .filter((tool) => tool !== ''),
              minutes: {
                low: Math.min(middle, known?.removal?.minutes.low ?? middle / 2),
                likely: middle,
                high: Math.max(middle, known?.removal?.minutes.high ?? middle * 3),
              },
              cautions: known?.removal?.cautions ?? (raised ? ['stands'] : []),
              ...(offTip.trim() === '' ? {} : { tip: offTip.trim() }),
            },
          }
        : {}),
    };
  }
}
