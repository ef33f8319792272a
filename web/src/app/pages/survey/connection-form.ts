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
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatExpansionModule } from '@angular/material/expansion';
import { name } from '@brisk/contracts/fields';
import type { Connection } from '@brisk/core/connection-map';
import { firstValues, freshId, kindIn, oddPair } from '@brisk/core/map-edit';
import { duration, HEIGHT_WORDS, SYSTEM_WORDS } from '@brisk/core/words';
import { merge } from 'rxjs';
import { Ask } from '../../ui/ask';
import { EntryField } from '../../ui/entry-field';
import { LongListPick } from '../../ui/long-list-pick';
import { NamesField } from '../../ui/names-field';
import { PickOne } from '../../ui/pick-one';
import { TickList } from '../../ui/tick-list';
import type { Picked } from '../../map/map-picture';
import { MapDraft } from '../../planning/map-draft';
import {
  besides,
  connectionFields,
  connectionFrom,
  expect,
  fastenerGroup,
  fill,
  MAY_BE_EMPTY,
  type Besides,
} from './connection-fields';
import { partChoices, toolsOn } from './fields';
import {
  CAUTION_CHOICES,
  HANDS_CHOICES,
  HEIGHT_CHOICES,
  KIND_CHOICES,
  STATION_CHOICES,
  SYSTEM_CHOICES,
} from './map-choices';
import { MinutesFields } from './minutes-fields';
import { ADJUSTED_CHOICES, THREAD_CHOICES } from './together-fields';
import { WhatComesFirst } from './what-comes-first';

/**
 * One connection: what it is, what it ties, what holds it and where one stands for it; the rest is folded away, with what
 * such a connection is ordinarily like until somebody says otherwise.
 */
@Component({
  selector: 'bl-connection-form',
  imports: [
    EntryField,
    LongListPick,
    MatButton,
    MatCheckbox,
    MatExpansionModule,
    MinutesFields,
    NamesField,
    PickOne,
    ReactiveFormsModule,
    TickList,
    WhatComesFirst,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './connection-form.html',
  styleUrl: './edit-form.scss',
})
export class ConnectionForm {
  private readonly draft = inject(MapDraft);
  private readonly ask = inject(Ask);

  /** The connection to change; absent: a new one. */
  readonly id = input<string>();
  /** The part that a new one begins at. */
  readonly from = input<string>();
  /** Where the next tap on the map is asked for. */
  readonly pickNext = input.required<WritableSignal<((picked: Picked) => void) | undefined>>();
  readonly done = output<Picked | undefined>();

  protected readonly kinds = KIND_CHOICES;
  protected readonly systems = SYSTEM_CHOICES;
  protected readonly stations = STATION_CHOICES;
  protected readonly heights = HEIGHT_CHOICES;
  protected readonly hands = HANDS_CHOICES;
  protected readonly cautions = CAUTION_CHOICES;
  protected readonly threads = THREAD_CHOICES;
  protected readonly adjusted = ADJUSTED_CHOICES;
  protected readonly sent = signal(false);
  protected readonly besides = signal(besides(undefined));
  protected readonly map = this.draft.map;
  protected readonly known = computed(() => this.map()?.connections.find(({ id }) => id === this.id()));
  protected readonly parts = computed(() => partChoices(this.map()));
  protected readonly tools = computed(() => toolsOn(this.map()));
  protected readonly conditions = computed(() =>
    (this.map()?.conditions ?? []).map(({ id, name: words }) => ({ value: id, words })),
  );
  protected readonly circuits = computed(() => [
    { value: '', words: 'nothing' },
    ...(this.map()?.circuits ?? []).map(({ id, name: words }) => ({ value: id, words })),
  ]);

  protected readonly form = connectionFields();
  private readonly written = toSignal(this.form.valueChanges, { initialValue: undefined });
  protected readonly unfolded = signal(false);
  /** What the folded fields come to, in a line. */
  protected readonly restWords = computed(() => {
    this.written();
    const { system, height, minutes, tools } = this.form.getRawValue();
    return [
      SYSTEM_WORDS[system as Connection['system']],
      HEIGHT_WORDS[height as Connection['height']],
      duration(minutes.likely ?? 0),
      ...tools.slice(0, 2),
    ].join(', ');
  });

  constructor() {
    effect(() => {
      this.id();
      const from = this.from();
      untracked(() => this.fill(this.known(), from));
    });
    const { name: called, kind, from, to, station } = this.form.controls;
    called.valueChanges.pipe(takeUntilDestroyed()).subscribe((words) => {
      const says = kindIn(words);
      if (says !== undefined && !this.known() && kind.pristine) kind.setValue(says);
    });
    merge(kind.valueChanges, from.valueChanges, to.valueChanges, station.valueChanges)
      .pipe(takeUntilDestroyed())
      .subscribe(() => this.expectTheRest());
  }

  /** The folded fields of a new one follow what is said of it. */
  private expectTheRest(): void {
    const map = this.map();
    if (!map || this.known()) return;
    const { kind, from, to, station } = this.form.getRawValue();
    expect(
      this.form,
      firstValues(map, {
        kind: kind as Connection['kind'],
        between: [from, to],
        station: station as Connection['station'],
      }),
    );
  }

  protected readonly accessWords = computed(() =>
    this.besides().access.map((need) => ({
      what: 'open' in need ? `${this.nameOf(need.open)} open` : `the ${this.partName(need.removed)} off`,
      why: need.why,
    })),
  );
  protected readonly torqueAfterWords = computed(() =>
    this.besides().torqueAfter.map(({ connection, why }) => ({ what: this.nameOf(connection), why })),
  );

  protected tell(more: Partial<Besides>): void {
    this.besides.update((before) => ({ ...before, ...more }));
  }

  protected without<Item>(list: readonly Item[], index: number): readonly Item[] {
    return list.filter((_item, at) => at !== index);
  }

  protected pickTorqueAfter(): void {
    this.pickNext().set((picked) => void this.addTorqueAfter(picked));
  }

  protected pickAccess(): void {
    this.pickNext().set((picked) => void this.addAccess(picked));
  }

  protected addSet(): void {
    this.form.controls.sets.push(fastenerGroup({ count: 1, what: '' }));
  }

  protected dropSet(index: number): void {
    this.form.controls.sets.removeAt(index);
  }

  protected async apply(): Promise<void> {
    this.sent.set(true);
    const map = this.map();
    if (!map) return;
    if (this.form.invalid) {
      const { name: called, kind, from, to, station, held } = this.form.controls;
      if ([called, kind, from, to, station, held].every(({ valid }) => valid)) this.unfolded.set(true);
      return;
    }
    if (!(await this.isMeant())) return;
    const known = this.known();
    const id = known?.id ?? freshId(map, this.form.getRawValue().name);
    const connection = connectionFrom(this.form, this.besides(), id);
    const { id: _id, ...change } = connection;
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

  /** Asks about a pair that can hardly be meant, where it is not what was on the map before. */
  private async isMeant(): Promise<boolean> {
    const map = this.map();
    const known = this.known();
    const { kind, from, to } = this.form.getRawValue();
    if (!map || (known?.kind === kind && known.between[0] === from && known.between[1] === to)) return true;
    const odd = oddPair(map, kind as Connection['kind'], [from, to]);
    if (odd === undefined) return true;
    const answers = await this.ask.ask({ title: 'Is that meant?', words: odd, questions: [], action: 'Yes, so it is' });
    return answers !== undefined;
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
    const target: { readonly open: string } | { readonly removed: string } | undefined =
      picked.what === 'part'
        ? { removed: picked.id }
        : picked.ids[0] === undefined
          ? undefined
          : { open: picked.ids[0] };
    if (!target || ('open' in target && target.open === this.id())) return;
    const called =
      'removed' in target ? `the ${this.partName(target.removed)} is off` : `${this.nameOf(target.open)} is open`;
    const answers = await this.ask.ask({
      title: 'What has to be first',
      words: `Only once ${called}.`,
      questions: [
        { field: 'why', label: 'Why', as: 'line', schema: name().label('Why'), hint: 'As one tells it at the machine' },
      ],
      action: 'So it is',
    });
    const why = answers?.['why'];
    if (typeof why === 'string') this.tell({ access: [...this.besides().access, { ...target, why }] });
  }

  private async addTorqueAfter(picked: Picked): Promise<void> {
    const other = picked.what === 'connections' ? picked.ids[0] : undefined;
    if (other === undefined || other === this.id()) return;
    const called = this.nameOf(other);
    const answers = await this.ask.ask({
      title: 'What is tightened first',
      words: `${called} before this one.`,
      questions: [{ field: 'why', label: 'Why', as: 'line', schema: name().label('Why') }],
      action: 'So it is',
    });
    const why = answers?.['why'];
    if (typeof why === 'string')
      this.tell({ torqueAfter: [...this.besides().torqueAfter, { connection: other, why }] });
  }

  private fill(known: Connection | undefined, from: string | undefined): void {
    this.sent.set(false);
    this.unfolded.set(false);
    this.besides.set(besides(known));
    fill(this.form, known);
    if (!known && from !== undefined) this.form.patchValue({ from, to: this.map()?.body ?? '' });
  }

  private nameOf(connection: string): string {
    return this.map()?.connections.find(({ id }) => id === connection)?.name ?? connection;
  }

  private partName(part: string): string {
    return this.map()?.parts.find(({ id }) => id === part)?.name ?? part;
  }
}
