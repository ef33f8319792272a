import { STATIONS, type Station } from '../connection-map/index.js';

/** A stretch somebody is not there, in minutes of working time from now; without an end, for good. */
export interface Absence {
  readonly fromMin: number;
  readonly untilMin?: number;
  /** The very moments, ISO 8601 in UTC, where somebody gave a time of day; the minutes follow from them. */
  readonly leavesAt?: string;
  readonly backAt?: string;
}

/** One pair of hands. */
export interface Hand {
  readonly name: string;
  readonly away?: readonly Absence[];
}

/** What a crew counts against an order besides the clock, each in minutes it would give to be spared one. */
export interface Weights {
  /** Raising or lowering the machine, over and above the minutes that takes. */
  readonly heightChangeMin: number;
  /** One person walking from one station to another. */
  readonly stationMoveMin: number;
  /** Fetching one tool that is not at hand. */
  readonly toolFetchMin: number;
  /** Going on with something that lies apart from what one was at. Absent: as in plans made before it was counted. */
  readonly jumpMin?: number;
  /** Every minute for which a cover is off or a pipe stands open to dirt. Absent: as in plans made before it was counted. */
  readonly openMin?: number;
}

/** From when to when a shop works, as times of day such as "07:30". */
export interface WorkingDay {
  readonly begins: string;
  readonly ends: string;
}

/** What a shop raises machines on. */
export const RAISED_ON = ['stands', 'lift'] as const;
export type RaisedOn = (typeof RAISED_ON)[number];

/** Who does the work, and how they like it. */
export interface Crew {
  readonly hands: readonly Hand[];
  readonly weights: Weights;
  /** What it takes to raise the machine onto stands or to let it down, in minutes; everybody waits. */
  readonly moveMachineMin: number;
  /** What it is raised on; absent: on stands. */
  readonly raisedOn?: RaisedOn;
  /** Absent: as most shops. The search knows minutes of work only; this says which times of day they are. */
  readonly day?: WorkingDay;
  /** Stations with room for one job at a time. Elsewhere two people find room. */
  readonly cramped: readonly Station[];
}

export const USUAL_WEIGHTS: Weights = {
  heightChangeMin: 5,
  stationMoveMin: 1,
  toolFetchMin: 0.25,
  jumpMin: 0.5,
  openMin: 0.25,
};

/** How many people find room at a station that is not cramped. */
export const ROOM = 2;

const CRAMPED: readonly Station[] = ['wheel-left', 'wheel-right', 'cabin'];

/**
 * What follows from what a machine is raised on: the minutes it takes, and the room underneath. Between stands one job
 * at a time is done; under a lift two people find room.
 */
export function raisedOn(on: RaisedOn): Pick<Crew, 'raisedOn' | 'moveMachineMin' | 'cramped'> {
  const cramped = STATIONS.filter((station) =>
    [...CRAMPED, ...(on === 'stands' ? ['underside'] : [])].includes(station),
  );
  return { raisedOn: on, moveMachineMin: on === 'stands' ? 15 : 8, cramped };
}

/** A crew of `names` with the usual weights, by what machines are raised `on`; wheels and cabin are cramped. */
export function crewOf(names: readonly string[], on: RaisedOn = 'lift'): Crew {
  return { hands: names.map((name) => ({ name })), weights: USUAL_WEIGHTS, ...raisedOn(on) };
}
