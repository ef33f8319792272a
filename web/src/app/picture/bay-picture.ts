import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Connection, Station } from '@brisk/core/connection-map';
import type { JobState } from '@brisk/core/ledger';
import { STATION_WORDS, ZONE_WORDS } from '../words/trade-words';
import { STATION_PLACES, ZONE_PLACES, type Place } from './bay-places';

/** The machine from above with the connections that matter marked in their places, and where to stand. */
@Component({
  selector: 'bl-bay-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bay-picture.html',
  styleUrl: './bay-picture.scss',
})
export class BayPicture {
  readonly state = input.required<JobState>();
  readonly connections = input.required<readonly Connection[]>();
  readonly station = input<Station>();

  /** One mark for each place, with how many connections are there. */
  protected readonly marks = computed(() => {
    const { parts } = this.state().work.plan.map;
    const lump = this.state().work.lump;
    const zoneOf = new Map(parts.map(({ id, zone }) => [id, zone]));
    const byZone = new Map<string, { place: Place; words: string; names: string[] }>();
    for (const { between, name } of this.connections()) {
      // A connection is found at its end on the powerpack; one that is not on it, at the part that stays.
      const end = between.find((part) => lump.has(part)) ?? between[0];
      const zone = zoneOf.get(end) ?? 'outside';
      const mark = byZone.get(zone) ?? { place: ZONE_PLACES[zone], words: ZONE_WORDS[zone], names: [] };
      mark.names.push(name);
      byZone.set(zone, mark);
    }
    return [...byZone.values()];
  });

  protected readonly standing = computed(() => {
    const station = this.station();
    return station && { place: STATION_PLACES[station], words: STATION_WORDS[station] };
  });

  protected readonly description = computed(() => {
    const marks = this.marks().map(({ words, names }) => `${names.length} at the ${words}`);
    const standing = this.standing();
    return `The machine from above. ${marks.join(', ')}${standing ? `. Stand: ${standing.words}` : ''}.`;
  });
}
