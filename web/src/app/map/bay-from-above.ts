import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Connection, Station, Zone } from '@brisk/core/connection-map';
import type { JobState } from '@brisk/core/ledger';
import { STATION_WORDS } from '@brisk/core/words';
import { ZONE_WORDS } from '../words/trade-words';
import { BAY_TURNS, STATION_PLACES, ZONE_PLACES, type Place } from './bay-places';

/** The machine from above with the connections that matter marked in their places, and where to stand. */
@Component({
  selector: 'bl-bay-from-above',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bay-from-above.html',
  styleUrl: './bay-from-above.scss',
})
export class BayFromAbove {
  readonly state = input.required<JobState>();
  readonly connections = input.required<readonly Connection[]>();
  readonly station = input<Station>();

  /** How the powerpack lies: along with a shaft behind it, or across over its axle; at the front, in the middle, behind. */
  protected readonly shape = computed(() => {
    const { parts, bay = 'front' } = this.state().work.plan.map;
    const has = (id: string) => parts.some((part) => part.id === id);
    return {
      lengthwise: has('propshaft'),
      radiator: bay === 'front' && has('radiator'),
      turn: BAY_TURNS[bay].svg,
    };
  });

  /** One mark for each place, with how many connections are there. */
  protected readonly marks = computed(() => {
    const { turn } = BAY_TURNS[this.state().work.plan.map.bay ?? 'front'];
    const zoneOf = new Map(this.state().work.plan.map.parts.map(({ id, zone }) => [id, zone]));
    const byPlace = new Map<string, { key: string; place: Place; words: string; names: string[] }>();
    for (const { between, station, name } of this.connections()) {
      const zones = between.map((part) => zoneOf.get(part) ?? 'outside').filter((zone) => zone !== 'outside');
      const place = turn(placeBetween(zones, station));
      const key = `${place.x} ${place.y}`;
      const words = zones.map((zone) => ZONE_WORDS[zone]).join(' and ');
      const mark = byPlace.get(key) ?? { key, place, words: words || STATION_WORDS[station], names: [] };
      mark.names.push(name);
      byPlace.set(key, mark);
    }
    return [...byPlace.values()];
  });

  protected readonly standing = computed(() => {
    const station = this.station();
    const { turn } = BAY_TURNS[this.state().work.plan.map.bay ?? 'front'];
    return station && { place: turn(STATION_PLACES[station]), words: STATION_WORDS[station] };
  });

  protected readonly description = computed(() => {
    const marks = this.marks().map(({ words, names }) => `${names.length} at the ${words}`);
    const standing = this.standing();
    return `The machine from above. ${marks.join(', ')}${standing ? `. Stand: ${standing.words}` : ''}.`;
  });
}

/** Marks closer than this share one place. */
const GRID = 26;

/**
 * Where a connection is drawn: half-way between its two parts. One that ends at the body is drawn from its part towards
 * whoever stands there, which tells left from right.
 */
function placeBetween(zones: readonly Zone[], station: Station): Place {
  const [one, other] = zones.map((zone) => ZONE_PLACES[zone]);
  if (!one) return STATION_PLACES[station];
  const towards = other ?? STATION_PLACES[station];
  const share = other ? 0.5 : 0.35;
  const snap = (value: number) => Math.round(value / GRID) * GRID;
  return { x: snap(one.x + share * (towards.x - one.x)), y: snap(one.y + share * (towards.y - one.y)) };
}
