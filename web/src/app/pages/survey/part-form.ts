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
import { MatCheckbox } from '@angular/material/checkbox';
import { name, oneOf, optionalText } from '@brisk/contracts/fields';
import { STATIONS, SYSTEMS, ZONES, type Connection, type Part } from '@brisk/core/connection-map';
import { freshId } from '@brisk/core/map-edit';
import { number, string } from 'yup';
import { EntryField } from '../../ui/entry-field';
import { LongListPick } from '../../ui/long-list-pick';
import { NamesField } from '../../ui/names-field';
import { PickOne } from '../../ui/pick-one';
import { TickList } from '../../ui/tick-list';
import type { Picked } from '../../map/map-picture';
import { MapDraft } from '../../planning/map-draft';
import { figure, given, partChoices, text, toolNames, toolsOn } from './fields';
import { HANDS_CHOICES, STATION_CHOICES, SYSTEM_CHOICES, ZONE_CHOICES } from './map-choices';

/** One part: what it is, where it sits, what it comes away with, and how it is lifted off by itself. */
@Component({
  selector: 'bl-part-form',
  imports: [EntryField, LongListPick, MatButton, MatCheckbox, NamesField, PickOne, ReactiveFormsModule, TickList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './part-form.html',
  styleUrl: './edit-form.scss',
})
export class PartForm {
  private readonly draft = inject(MapDraft);
  /** The part to change; absent: a new one. */
  readonly id = input<string>();
  readonly done = output<Picked | undefined>();

  protected readonly zones = ZONE_CHOICES;
  protected readonly systems = SYSTEM_CHOICES;
  protected readonly stations = STATION_CHOICES;
  protected readonly hands = HANDS_CHOICES;
  protected readonly map = this.draft.map;
  protected readonly sent = signal(false);
  protected readonly splitting = signal(false);
  protected readonly moving = signal<ReadonlySet<string>>(new Set());
  protected readonly known = computed(() => this.map()?.parts.find(({ id }) => id === this.id()));
  protected readonly ties = computed(
    () => this.map()?.connections.filter(({ between }) => between.includes(this.id() ?? '')) ?? [],
  );

  protected readonly tools = computed(() => toolsOn(this.map()));
  protected readonly tieChoices = computed(() => this.ties().map(({ id, name: words }) => ({ value: id, words })));
  /** What it may come away with: any other part but the machine itself. */
  protected readonly carriers = computed(() => {
    const not = [this.id(), this.map()?.body];
    return [
      { value: '', words: 'nothing: by itself' },
      ...partChoices(this.map()).filter(({ value }) => !not.includes(value)),
    ];
  });

  protected readonly form = new FormGroup({
    name: text(name().label('Name')),
    zone: text(oneOf(ZONES).label('Place'), 'bay-top'),
    system: text(oneOf(SYSTEMS).label('System'), 'body'),
    massKg: figure(number().min(0).max(100_000).nullable().label('Mass'), null),
    ridesWith: text(string()),
    comesOff: new FormControl(false, { nonNullable: true }),
    station: text(oneOf(STATIONS).label('Where'), 'bay-top'),
    likely: figure(number().moreThan(0).max(100_000).required().label('Minutes'), 2),
    offTitle: text(optionalText().label('The step')),
    offHands: new FormControl<1 | 2>(1, { nonNullable: true }),
    offTools: toolNames(),
    offTip: text(optionalText().label('Mind')),
    second: text(string().max(120).label('Name of the second')),
  });

  constructor() {
    effect(() => {
      this.id();
      untracked(() => this.fill(this.known()));
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
      offTools: removal?.tools ?? [],
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
      ...given('ridesWith', ridesWith),
      ...(comesOff
        ? {
            removal: {
              title: offTitle.trim() === '' ? `Take the ${called} off` : offTitle.trim(),
              station: station as Connection['station'],
              height: known?.removal?.station === station ? known.removal.height : raised ? 'raised' : 'either',
              hands: offHands,
              tools: offTools,
              minutes: {
                low: Math.min(middle, known?.removal?.minutes.low ?? middle / 2),
                likely: middle,
                high: Math.max(middle, known?.removal?.minutes.high ?? middle * 3),
              },
              cautions: known?.removal?.cautions ?? (raised ? ['stands'] : []),
              ...given('tip', offTip),
            },
          }
        : {}),
    };
  }
}
