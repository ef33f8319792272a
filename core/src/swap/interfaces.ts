import { crossing, lumpOf, type Connection, type ConnectionMap } from '../connection-map/index.js';

/** Where a powerpack meets the machine. */
export const INTERFACE_GROUPS = [
  'mounts',
  'exhaust',
  'harness',
  'sensors',
  'fuel',
  'coolant',
  'air',
  'linkage',
  'drive',
  'controls',
  'other',
] as const;
export type InterfaceGroup = (typeof INTERFACE_GROUPS)[number];

/** What is done at an interface. */
export const DECISIONS = ['as-it-is', 'from-donor', 'from-host', 'adapt', 'make', 'buy', 'not-needed'] as const;
export type Decision = (typeof DECISIONS)[number];

/** A powerpack on its machine. */
export interface Side {
  readonly map: ConnectionMap;
  readonly powerpack: string;
}

/** One joint of the powerpack, on the host, on the donor, or on both. */
export interface SwapInterface {
  readonly id: string;
  readonly group: InterfaceGroup;
  readonly name: string;
  readonly host?: Connection;
  readonly donor?: Connection;
  /** How the two differ, in words; empty where they are the same. */
  readonly differences: readonly string[];
  readonly proposal: Decision;
  readonly why: string;
}

/**
 * Every joint between powerpack and machine, host against donor, with what is proposed for each. What both have alike
 * stays as it is; what both have differently is adapted; what only one has is made, brought along or left off.
 */
export function interfacesOf(host: Side, donor: Side): readonly SwapInterface[] {
  const ofHost = new Map(boundaryOf(host).map((connection) => [connection.id, connection]));
  const ofDonor = new Map(boundaryOf(donor).map((connection) => [connection.id, connection]));
  const ids = [...ofHost.keys(), ...[...ofDonor.keys()].filter((id) => !ofHost.has(id))];
  return ids
    .map((id) => interfaceOf(id, ofHost.get(id), ofDonor.get(id)))
    .sort((one, other) => INTERFACE_GROUPS.indexOf(one.group) - INTERFACE_GROUPS.indexOf(other.group));
}

function boundaryOf({ map, powerpack }: Side): readonly Connection[] {
  const roots = map.powerpacks.find(({ id }) => id === powerpack)?.roots ?? map.powerpacks[0]?.roots ?? [];
  return crossing(map.connections, lumpOf(map, roots));
}

function interfaceOf(id: string, host: Connection | undefined, donor: Connection | undefined): SwapInterface {
  const either = host ?? donor;
  if (!either) throw new RangeError(`“${id}” is on neither machine.`);
  const group = groupOf(either);
  const differences = host && donor ? differencesOf(host, donor) : [];
  return {
    id,
    group,
    name: either.name,
    ...(host ? { host } : {}),
    ...(donor ? { donor } : {}),
    differences,
    ...proposalFor(group, host, donor, differences),
  };
}

function groupOf({ carriesLoad, kind, system, circuit }: Connection): InterfaceGroup {
  if (carriesLoad) return 'mounts';
  if (system === 'exhaust') return kind === 'plug' ? 'sensors' : 'exhaust';
  if (kind === 'plug') return 'sensors';
  if (system === 'electrics') return 'harness';
  if (system === 'fuel') return kind === 'cable' ? 'controls' : 'fuel';
  if (circuit === 'coolant' || system === 'cooling' || system === 'heating') return 'coolant';
  if (kind === 'linkage' && system === 'driveline') return 'linkage';
  if (kind === 'linkage' || kind === 'cable') return 'controls';
  if (kind === 'shaft' && system === 'driveline') return 'drive';
  if (system === 'air') return 'air';
  return 'other';
}

function differencesOf(host: Connection, donor: Connection): readonly string[] {
  const differences: string[] = [];
  if (host.kind !== donor.kind) differences.push(`${host.kind} on the host, ${donor.kind} on the donor`);
  const fastenersOf = ({ fasteners }: Connection) =>
    fasteners.map(({ count, what }) => `${count} × ${what}`).join(' and ') || 'none';
  if (fastenersOf(host) !== fastenersOf(donor))
    differences.push(`${fastenersOf(host)} on the host, ${fastenersOf(donor)} on the donor`);
  const torqueOf = ({ refit }: Connection) => refit.torque?.targetNm;
  if (fastenersOf(host) === fastenersOf(donor) && torqueOf(host) !== torqueOf(donor))
    differences.push(`${torqueOf(host) ?? 'no'} N·m on the host, ${torqueOf(donor) ?? 'no'} N·m on the donor`);
  if (host.name !== donor.name) differences.push(`the host has it as ${host.name}, the donor as ${donor.name}`);
  return differences;
}

function proposalFor(
  group: InterfaceGroup,
  host: Connection | undefined,
  donor: Connection | undefined,
  differences: readonly string[],
): { readonly proposal: Decision; readonly why: string } {
  if (host && donor)
    return differences.length === 0
      ? { proposal: 'as-it-is', why: 'Both have it alike. Hold them side by side all the same.' }
      : { proposal: 'adapt', why: `They differ: ${differences.join('; ')}.` };
  if (donor)
    return group === 'mounts' || group === 'exhaust' || group === 'drive'
      ? { proposal: 'make', why: 'Only the donor has it: the host has nothing to fix it to.' }
      : { proposal: 'from-donor', why: 'Only the donor has it: bring what it goes to.' };
  if (group === 'sensors' || group === 'controls')
    return { proposal: 'not-needed', why: 'The donor’s powerpack has no place for it: tied up and marked.' };
  if (group === 'mounts' || group === 'drive' || group === 'linkage')
    return { proposal: 'make', why: 'Only the host has it: the new powerpack has nothing that meets it.' };
  return { proposal: 'adapt', why: 'Only the host has it: find where it goes, or close it off.' };
}
