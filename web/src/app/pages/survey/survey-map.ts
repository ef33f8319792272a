import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { viewOf, type View } from '@brisk/core/bay';
import {
  crossing,
  lumpOf,
  type Connection,
  type ConnectionKind,
  type Station,
  type System,
} from '@brisk/core/connection-map';
import { isOpen, partsOut } from '@brisk/core/ledger';
import { operationId } from '@brisk/core/teardown';
import { KIND_WORDS, SYSTEM_WORDS, STATION_WORDS, sentence } from '@brisk/core/words';
import equal from 'fast-deep-equal/es6';
import { Desk } from '../../session/desk';
import { Selection } from '../../session/selection';
import type { Choice } from '../../ui/choice';
import { EntryField } from '../../ui/entry-field';
import { Keys } from '../../ui/keys';
import { PickOne } from '../../ui/pick-one';
import { MapPicture, type Picked, type Standing } from '../../map/map-picture';
import { ConnectionForm } from './connection-form';
import { MapDraft } from '../../planning/map-draft';
import { KIND_CHOICES, STATION_CHOICES, SYSTEM_CHOICES } from './map-choices';
import { PartForm } from './part-form';
import { ShopKeep } from './shop-keep';

const STANDING_WORDS: Readonly<Record<Standing, string>> = {
  closed: '● closed',
  open: '○ open',
  found: '◌ found while working',
  left: '✕ left on purpose',
};

const STAND_CHOICES: readonly Choice<Standing | 'holds' | ''>[] = [
  { value: '', words: 'However it stands' },
  { value: 'holds', words: 'Holds the powerpack' },
  { value: 'closed', words: 'Closed' },
  { value: 'open', words: 'Open' },
  { value: 'found', words: 'Found while working' },
  { value: 'left', words: 'Left on purpose' },
];

/** What is being edited beside the picture. */
type Editing =
  | { readonly what: 'connection'; readonly id: string | undefined; readonly from?: string }
  | { readonly what: 'part'; readonly id: string | undefined };

/** The map drawn, the list that says the same, and the card on which a part or a connection is changed. */
@Component({
  selector: 'bl-survey-map',
  imports: [ConnectionForm, EntryField, MapPicture, MatButton, PartForm, PickOne, ShopKeep],
  changeDetection: ChangeDetectionStrategy.OnPush,
  preserveWhitespaces: false,
  templateUrl: './survey-map.html',
  styleUrl: './survey-map.scss',
})
export class SurveyMap {
  protected readonly desk = inject(Desk);
  protected readonly draft = inject(MapDraft);
  private readonly selection = inject(Selection);
  protected readonly systems = SYSTEM_WORDS;
  protected readonly stations = STATION_WORDS;
  protected readonly kinds = KIND_WORDS;
  protected readonly systemChoices: readonly Choice<System | ''>[] = [
    { value: '', words: 'Every system' },
    ...SYSTEM_CHOICES,
  ];
  protected readonly stationChoices: readonly Choice<Station | ''>[] = [
    { value: '', words: 'Everywhere' },
    ...STATION_CHOICES,
  ];
  protected readonly kindChoices: readonly Choice<ConnectionKind | ''>[] = [
    { value: '', words: 'Every kind' },
    ...KIND_CHOICES,
  ];
  protected readonly standChoices = STAND_CHOICES;

  protected readonly search = signal('');
  protected readonly system = signal<System | ''>('');
  protected readonly station = signal<Station | ''>('');
  protected readonly kind = signal<ConnectionKind | ''>('');
  protected readonly stands = signal<Standing | 'holds' | ''>('');
  protected readonly view = signal<View>('above');
  protected readonly picked = signal<Picked | undefined>(undefined);
  protected readonly editing = signal<Editing | undefined>(undefined);
  /** Set while the next tap on the map is for the form: what has to be off first. */
  protected readonly picking = signal<((picked: Picked) => void) | undefined>(undefined);

  protected readonly map = this.draft.map;
  protected readonly lump = computed(() => {
    const map = this.map();
    const roots = map?.powerpacks.find(({ id }) => id === this.desk.job()?.plan.powerpack)?.roots ?? [];
    return map ? lumpOf(map, roots) : new Set<string>();
  });

  protected readonly measured = computed(() => Object.fromEntries(this.desk.state()?.measured ?? []), { equal });
  protected readonly off = computed(
    () => {
      const state = this.desk.state();
      return state ? partsOut(state) : new Set<string>();
    },
    { equal },
  );
  protected readonly standing = computed<ReadonlyMap<string, Standing>>(() => {
    const state = this.desk.state();
    const map = this.map();
    if (!state || !map) return new Map();
    const found = new Set(state.found.map(({ id }) => id));
    return new Map(
      [...map.connections, ...state.found].map(({ id }) => [
        id,
        state.leftAsItIs.has(id) ? 'left' : isOpen(state, id) ? 'open' : found.has(id) ? 'found' : 'closed',
      ]),
    );
  });

  /** The map with what was found while working, as the picture shows it. */
  protected readonly shownMap = computed(() => {
    const map = this.map();
    const found = this.desk.state()?.found ?? [];
    if (!map) return undefined;
    const here = new Set(map.connections.map(({ id }) => id));
    const fresh = found.filter(({ id }) => !here.has(id));
    return fresh.length === 0 ? map : { ...map, connections: [...map.connections, ...fresh] };
  });

  protected readonly rows = computed(() => {
    const map = this.shownMap();
    if (!map) return [];
    const partName = new Map(map.parts.map(({ id, name }) => [id, name]));
    const holds = new Set(crossing(map.connections, this.lump()).map(({ id }) => id));
    const wanted = this.search().trim().toLowerCase();
    return map.connections
      .map((connection) => ({
        connection,
        name: sentence(connection.name),
        between: connection.between.map((part) => partName.get(part) ?? part).join(' – '),
        stands: this.standing().get(connection.id) ?? 'closed',
        is: STANDING_WORDS[this.standing().get(connection.id) ?? 'closed'],
        holds: holds.has(connection.id) && this.standing().get(connection.id) !== 'open',
        wrong: this.draft.problems().find(({ at }) => at === connection.id)?.words,
      }))
      .filter(
        ({ connection: { kind, station, system }, name, between, stands, holds: holding }) =>
          (this.system() === '' || system === this.system()) &&
          (this.station() === '' || station === this.station()) &&
          (this.kind() === '' || kind === this.kind()) &&
          (this.stands() === '' || stands === this.stands() || (this.stands() === 'holds' && holding)) &&
          (wanted === '' ||
            `${name} ${between} ${KIND_WORDS[kind]} ${STATION_WORDS[station]} ${SYSTEM_WORDS[system]}`
              .toLowerCase()
              .includes(wanted)),
      );
  });
  protected readonly filtered = computed(
    () =>
      this.search() !== '' ||
      this.system() !== '' ||
      this.station() !== '' ||
      this.kind() !== '' ||
      this.stands() !== '',
  );
  protected readonly only = computed(() =>
    this.filtered() ? new Set(this.rows().map(({ connection }) => connection.id)) : undefined,
  );

  /** Rows of what is picked come first in the list, or all of them. */
  protected readonly listed = computed(() => {
    const picked = this.picked();
    if (!picked) return this.rows();
    return this.rows().filter(({ connection }) =>
      picked.what === 'part' ? connection.between.includes(picked.id) : picked.ids.includes(connection.id),
    );
  });
  protected readonly one = computed<Connection | undefined>(() => {
    const picked = this.picked();
    if (picked?.what !== 'connections' || picked.ids.length !== 1) return undefined;
    return this.shownMap()?.connections.find(({ id }) => id === picked.ids[0]);
  });
  protected readonly part = computed(() => {
    const picked = this.picked();
    return picked?.what === 'part' ? this.map()?.parts.find(({ id }) => id === picked.id) : undefined;
  });
  protected readonly onMap = computed(() => this.map()?.connections.some(({ id }) => id === this.one()?.id) ?? false);
  protected readonly planned = computed(() => {
    const one = this.one();
    return one !== undefined && this.desk.state()?.work.operations.has(operationId.open(one.id)) === true;
  });

  constructor() {
    inject(Keys).use({ key: 'Escape', words: 'Map: let go of what is picked', act: () => this.letGo() });
  }

  protected pick(picked: Picked): void {
    const picking = this.picking();
    if (picking) {
      this.picking.set(undefined);
      picking(picked);
      return;
    }
    this.editing.set(undefined);
    this.picked.set(picked);
  }

  protected pickRow(connection: Connection): void {
    this.view.set(viewOf(connection));
    this.pick({ what: 'connections', ids: [connection.id] });
  }

  protected letGo(): void {
    this.picking.set(undefined);
    this.editing.set(undefined);
    this.picked.set(undefined);
  }

  protected clear(): void {
    this.search.set('');
    this.system.set('');
    this.station.set('');
    this.kind.set('');
    this.stands.set('');
  }

  protected showStep(connection: string): void {
    this.selection.pick(operationId.open(connection));
  }

  /** After a form has made its change: shows what it made. */
  protected made(picked: Picked | undefined): void {
    const fresh = this.editing()?.what === 'part' && this.editing()?.id === undefined;
    this.picking.set(undefined);
    this.picked.set(picked);
    // A part that nothing holds cannot be planned: what ties it is asked next.
    this.editing.set(
      fresh && picked?.what === 'part' ? { what: 'connection', id: undefined, from: picked.id } : undefined,
    );
  }

  /** Begins a connection more, at the part that is picked. */
  protected addConnection(): void {
    const from = this.part()?.id;
    this.editing.set({ what: 'connection', id: undefined, ...(from === undefined ? {} : { from }) });
  }
}
