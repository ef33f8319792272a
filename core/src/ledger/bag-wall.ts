import type { Connection, Zone } from '../connection-map/index.js';
import { ZONES } from '../connection-map/index.js';
import { setCounts, setsOf, type SetCount } from './counting.js';
import type { JobState } from './state.js';

/** How a set stands, in one word. */
export type SetStanding = 'away' | 'short' | 'uncounted' | 'home' | 'uneven';

/** One tile of the wall. */
export interface BagTile extends SetCount {
  readonly standing: SetStanding;
  readonly zone: Zone;
  readonly tag?: number;
  /** What is in it, in words. */
  readonly contents: readonly string[];
  readonly note?: string;
}

/** The bags, holes, rows and cards of one zone, by number. */
export interface WallSection {
  readonly zone: Zone;
  readonly tiles: readonly BagTile[];
}

/** Everything that is out or was out, by zone of the machine. */
export function bagWall(state: JobState): readonly WallSection[] {
  const tiles = setCounts(state).map((count) => tileOf(state, count));
  return ZONES.flatMap((zone) => {
    const here = tiles.filter((tile) => tile.zone === zone);
    return here.length > 0 ? [{ zone, tiles: [...here].sort(byNumber) }] : [];
  });
}

/** The tile of one joint, whether it was counted or not. */
export function tileOf(state: JobState, count: SetCount): BagTile {
  const { id } = count.connection;
  const tag = state.tags.get(id);
  const note = state.bags.get(id)?.out?.note;
  return {
    ...count,
    standing: standingOf(count),
    zone: zoneOf(state, count.connection),
    contents: setsOf(state, id).map(({ count: many, what }) => `${many} × ${what}`),
    ...(tag === undefined ? {} : { tag }),
    ...(note === undefined ? {} : { note }),
  };
}

function standingOf({ closed, out, held, full, in: counted, accepted }: SetCount): SetStanding {
  if (closed || counted !== undefined)
    return counted === full || (closed && out === undefined) || accepted ? 'home' : 'uneven';
  if (out === undefined) return 'uncounted';
  return held < full ? 'short' : 'away';
}

/** The zone of the part that is not the body. */
function zoneOf({ work }: JobState, { between }: Connection): Zone {
  const { body, parts } = work.plan.map;
  const end = between.find((part) => part !== body) ?? body;
  return parts.find(({ id }) => id === end)?.zone ?? 'outside';
}

function byNumber(one: BagTile, other: BagTile): number {
  return (one.bag ?? Infinity) - (other.bag ?? Infinity) || one.connection.name.localeCompare(other.connection.name);
}

/** Columns of the bag list as a spreadsheet. */
export const BAG_COLUMNS = [
  { id: 'bag', heading: 'bag' },
  { id: 'kept', heading: 'kept' },
  { id: 'joint', heading: 'joint' },
  { id: 'zone', heading: 'zone' },
  { id: 'tag', heading: 'tag' },
  { id: 'fasteners', heading: 'fasteners' },
  { id: 'out', heading: 'out' },
  { id: 'in', heading: 'in' },
  { id: 'belong', heading: 'belong here' },
  { id: 'standing', heading: 'standing' },
  { id: 'note', heading: 'note' },
] as const;

/** The wall as rows of a spreadsheet, under {@link BAG_COLUMNS}. */
export function bagRows(state: JobState): readonly Readonly<Record<(typeof BAG_COLUMNS)[number]['id'], string>>[] {
  const written = (value: string | number | undefined) => (value === undefined ? '' : String(value));
  return bagWall(state).flatMap(({ tiles }) =>
    tiles.map((tile) => ({
      bag: written(tile.bag),
      kept: written(tile.kept),
      joint: tile.connection.name,
      zone: tile.zone,
      tag: written(tile.tag),
      fasteners: tile.contents.join('; '),
      out: written(tile.out),
      in: written(tile.in),
      belong: written(tile.full),
      standing: tile.standing,
      note: written(tile.note),
    })),
  );
}
