import { lumpOf, partsById, type ConnectionMap, type Station, type Zone } from '../connection-map/index.js';
import { decisionAt, type Decisions } from './adaptations.js';
import { FORGOTTEN } from './forgotten.js';
import { interfacesOf, type Side } from './interfaces.js';

/** How a donor part stands to the host’s. */
export const FITS = ['same', 'adapt', 'from-host', 'buy'] as const;
export type Fit = (typeof FITS)[number];

/** What a crew noted on one item of the pull list. */
export interface Pulled {
  readonly got?: boolean;
  readonly fit?: Fit;
  readonly note?: string;
  readonly priceCents?: number;
  readonly coreChargeCents?: number;
}
export type PulledItems = Readonly<Record<string, Pulled>>;

/** One thing to bring from the donor. */
export interface PullItem {
  readonly id: string;
  readonly name: string;
  readonly station: Station;
  readonly why: string;
  /** Place in the order of what people forget, from 1; absent: seldom forgotten. */
  readonly forgotten?: number;
  readonly massKg?: number;
  readonly fit: Fit;
}

/** What to bring, grouped by where one stands in the yard. */
export interface PullGroup {
  readonly station: Station;
  readonly items: readonly PullItem[];
}

const STATION_OF: Readonly<Record<Zone, Station>> = {
  'bay-front': 'front',
  'bay-left': 'bay-top',
  'bay-right': 'bay-top',
  'bay-top': 'bay-top',
  'bay-rear': 'bay-top',
  'under-front': 'underside',
  'under-middle': 'underside',
  'under-rear': 'underside',
  cabin: 'cabin',
  outside: 'wheel-left',
};
/** As one walks round a donor: inside first, while it is dry and whole; below last. */
const ROUND: readonly Station[] = ['cabin', 'bay-top', 'front', 'wheel-left', 'wheel-right', 'rear', 'underside'];

/**
 * What this swap needs from the donor: the powerpack and what rides on it, what the interfaces call for, and what
 * people forget. Within a station the most often forgotten comes first.
 */
export function pullListOf(host: Side, donor: Side, decisions: Decisions): readonly PullGroup[] {
  const parts = partsById(donor.map);
  const hostParts = partsById(host.map);
  const roots = donor.map.powerpacks.find(({ id }) => id === donor.powerpack)?.roots ?? [];
  const lump = lumpOf(donor.map, roots);
  const items = new Map<string, PullItem>();
  const add = (item: PullItem) => {
    if (!items.has(item.id)) items.set(item.id, item);
  };
  const addPart = (id: string, why: string, fit: Fit) => {
    const part = parts.get(id);
    if (!part || id === donor.map.body) return;
    add({
      id,
      name: part.name,
      station: STATION_OF[part.zone],
      why,
      fit,
      ...(part.massKg === undefined ? {} : { massKg: part.massKg }),
    });
  };
  for (const id of lump)
    addPart(
      id,
      roots.includes(id) ? 'It is what you came for.' : 'It rides on the powerpack: look that it is still on it.',
      'same',
    );
  for (const one of interfacesOf(host, donor)) {
    const { decision } = decisionAt(one, decisions);
    if (!one.donor || decision === 'as-it-is' || decision === 'not-needed' || decision === 'from-host') continue;
    for (const end of one.donor.between)
      if (!lump.has(end))
        addPart(
          end,
          hostParts.has(end)
            ? `For ${one.name}: theirs may fit where yours does not.`
            : `For ${one.name}: the host has none.`,
          hostParts.has(end) ? 'adapt' : 'same',
        );
  }
  FORGOTTEN.forEach(({ part, where, name, station, why }, index) => {
    if (!appliesTo(donor.map, where)) return;
    const id = part ?? `forgotten-${index + 1}`;
    items.set(id, { fit: 'same', ...items.get(id), id, name, station, why, forgotten: index + 1 });
  });
  const order = ({ forgotten = Infinity }: PullItem) => forgotten;
  return ROUND.map((station) => ({
    station,
    items: [...items.values()]
      .filter((item) => item.station === station)
      .sort((one, other) => (order(one) === order(other) ? 0 : order(one) - order(other))),
  })).filter(({ items: some }) => some.length > 0);
}

function appliesTo(map: ConnectionMap, where: readonly string[] | undefined): boolean {
  return where === undefined || map.connections.some(({ id }) => where.includes(id));
}

/** Prices and core charges noted so far, in cents. */
export function sumOf(notes: readonly { readonly priceCents?: number; readonly coreChargeCents?: number }[]): {
  readonly priceCents: number;
  readonly coreChargeCents: number;
} {
  return {
    priceCents: notes.reduce((sum, { priceCents = 0 }) => sum + priceCents, 0),
    coreChargeCents: notes.reduce((sum, { coreChargeCents = 0 }) => sum + coreChargeCents, 0),
  };
}
