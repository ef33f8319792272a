import type { Station } from '../connection-map/index.js';
import type { JobState, Photo } from '../ledger/index.js';
import { halfOf, type Operation, type OperationId } from '../teardown/index.js';
import { answersAll, wordsAsked } from './words.js';

/** What is asked of the photos of a job; whatever is absent does not matter. */
export interface PhotoQuery {
  readonly part?: string;
  readonly station?: Station;
  /** A day such as `2026-11-18`, as the clock of whoever looks has it. */
  readonly day?: string;
  readonly by?: string;
  readonly words?: string;
}

/** A photo with what it shows, in words. */
export interface ShownPhoto {
  readonly photo: Photo;
  readonly title: string;
  readonly station?: Station;
  readonly parts: readonly string[];
  readonly day: string;
  /** From before it was taken apart, or from the way back. */
  readonly when: 'out' | 'back' | 'other';
}

/**
 * The photos of a job, newest first, as far as they answer `query`. `dayOf` says which day an ISO time is on.
 */
export function findPhotos(state: JobState, query: PhotoQuery, dayOf: (at: string) => string): readonly ShownPhoto[] {
  const words = wordsAsked(query.words ?? '');
  return [...state.photos.values()]
    .reverse()
    .map((photo) => shown(state, photo, dayOf))
    .filter(
      (one) =>
        (query.part === undefined || one.parts.includes(query.part)) &&
        (query.station === undefined || one.station === query.station) &&
        (query.day === undefined || one.day === query.day) &&
        (query.by === undefined || one.photo.by === query.by) &&
        (words.length === 0 || answersAll(textOf(one), words)),
    );
}

/** Photos of one joint, the way out and the way back, each in the order they were taken. */
export function photosOf(
  state: JobState,
  connection: string,
): { readonly before: readonly Photo[]; readonly after: readonly Photo[] } {
  const of = [...state.photos.values()].filter((photo) => connectionOf(state, photo) === connection);
  return {
    before: of.filter((photo) => whenOf(state, photo) !== 'back'),
    after: of.filter((photo) => whenOf(state, photo) === 'back'),
  };
}

/** Photos of a part by its card (`host:alternator`): taken of it, or at the steps of the part that was on the machine. */
export function photosOfPart(state: JobState, card: string): readonly Photo[] {
  return [...state.photos.values()].filter(({ pinnedTo }) => {
    const step = pinnedTo.operation === undefined ? undefined : state.work.operations.get(pinnedTo.operation);
    return pinnedTo.card === card || (step?.part !== undefined && `host:${step.part}` === card);
  });
}

/** Photos taken at one step, in the order they were taken. */
export function photosAt(state: JobState, operation: OperationId): readonly Photo[] {
  return [...state.photos.values()].filter(({ pinnedTo }) => pinnedTo.operation === operation);
}

function shown(state: JobState, photo: Photo, dayOf: (at: string) => string): ShownPhoto {
  const id = connectionOf(state, photo);
  const connection = id === undefined ? undefined : state.work.connections.get(id);
  const operation =
    photo.pinnedTo.operation === undefined ? undefined : state.work.operations.get(photo.pinnedTo.operation);
  const station = operation?.station ?? connection?.station;
  const parts = connection
    ? state.work.plan.map.parts.filter(({ id: part }) => connection.between.includes(part)).map(({ name }) => name)
    : [];
  return {
    photo,
    title: photo.words ?? connection?.name ?? operation?.title ?? 'Photo',
    ...(station ? { station } : {}),
    parts,
    day: dayOf(photo.at),
    when: whenOf(state, photo),
  };
}

/** The joint a photo shows: the one it is pinned to, or that of its step, tag or bag. */
function connectionOf(state: JobState, { pinnedTo }: Photo): string | undefined {
  const { connection, operation, tag, bag } = pinnedTo;
  if (connection !== undefined) return connection;
  if (operation !== undefined) return state.work.operations.get(operation)?.connection;
  if (tag !== undefined) return [...state.tags].find(([, number]) => number === tag)?.[0];
  if (bag !== undefined) return [...state.bags].find(([, { out }]) => out?.bag === bag)?.[0];
  return undefined;
}

/** Kinds of steps that put together again what was taken apart at the bench. */
const TOGETHER: readonly Operation['kind'][] = ['fit', 'start-by-hand', 'connect', 'torque'];

function whenOf(state: JobState, { pinnedTo }: Photo): ShownPhoto['when'] {
  const operation = pinnedTo.operation === undefined ? undefined : state.work.operations.get(pinnedTo.operation);
  if (operation === undefined) return 'other';
  const half = halfOf(operation.phase);
  if (half !== 'bench') return half;
  if (TOGETHER.includes(operation.kind)) return 'back';
  return operation.kind === 'disconnect' || operation.kind === 'remove' ? 'out' : 'other';
}

function textOf({ title, parts, photo }: ShownPhoto): string {
  return [title, ...parts, photo.by, ...photo.marks.map(({ words }) => words ?? '')].join(' ');
}
