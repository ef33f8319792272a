import type { ConnectionId } from '../connection-map/index.js';
import { isOpen, keptWhere, PART_CONDITION_WORDS, PLACE_WORDS, setsOf, type JobState } from '../ledger/index.js';
import { pinnedToWords } from '../literature/index.js';
import { partCards } from '../parts/index.js';
import { answersAll } from './words.js';

/** Something that answers a search, and where it is. */
export interface Hit {
  readonly is: 'joint' | 'note' | 'part' | 'photo' | 'page';
  readonly words: string;
  /** Where it is, or what became of it. */
  readonly where: string;
  readonly connection?: ConnectionId;
  readonly operation?: string;
  readonly photo?: string;
  /** The card of a part. */
  readonly card?: string;
  /** A file of the literature and a page of it. */
  readonly file?: string;
  readonly page?: number;
  readonly bag?: number;
  readonly tag?: number;
}

/** At most this many of one job; whoever looks for “M8” wants a narrower word. */
const MOST = 40;

/** Something of a job that can be found, with all that it is found by. */
export interface Findable {
  readonly hit: Hit;
  readonly text: string;
}

/** Everything on a job that can be found. */
export function findableIn(state: JobState): readonly Findable[] {
  return [...joints(state), ...notes(state), ...parts(state), ...photos(state), ...pages(state)].map(
    ({ more, ...hit }) => ({
      hit,
      text: `${hit.words} ${hit.where} ${more}`,
    }),
  );
}

/**
 * What of one job’s `findable` answers `words`: each of them has to begin a word of it. `bag 31`, `tag 12` and `#31` find
 * numbers. The closest come first.
 */
export function hitsAmong(findable: readonly Findable[], words: readonly string[]): readonly Hit[] {
  if (words.length === 0) return [];
  return findable
    .filter(({ text }) => answersAll(text, words))
    .map(({ hit }) => ({ hit, closeness: closenessOf(hit, words) }))
    .sort((one, other) => other.closeness - one.closeness)
    .slice(0, MOST)
    .map(({ hit }) => hit);
}

/** What on a job answers `words`. */
export function findIn(state: JobState, words: readonly string[]): readonly Hit[] {
  return hitsAmong(findableIn(state), words);
}

/** Joints before all else, then by how many of the words it is called by; of equals what lies in a bag is looked for. */
function closenessOf(hit: Hit, words: readonly string[]): number {
  const called = words.filter((word) => answersAll(hit.words, [word])).length;
  return (hit.is === 'joint' ? 1_000 : 0) + 2 * called + (hit.bag === undefined ? 0 : 1);
}

type Found = Hit & { readonly more: string };

function* joints(state: JobState): Iterable<Found> {
  for (const connection of state.work.connections.values()) {
    const { id, name, kind, between } = connection;
    const sets = setsOf(state, id);
    const bag = state.bags.get(id);
    const tag = state.tags.get(id);
    const numbers = [
      ...(bag?.out?.bag === undefined ? [] : [`bag ${bag.out.bag} #${bag.out.bag}`]),
      ...(tag === undefined ? [] : [`tag ${tag} #${tag}`]),
    ];
    const part = state.work.plan.map.parts.filter(({ id: partId }) => between.includes(partId)).map((one) => one.name);
    yield {
      is: 'joint',
      words: name,
      where: whereabouts(state, id),
      connection: id,
      ...(bag?.out?.bag === undefined ? {} : { bag: bag.out.bag }),
      ...(tag === undefined ? {} : { tag }),
      more: [
        kind,
        ...part,
        ...sets.map(({ what, note }) => `bolt ${what} ${note ?? ''}`),
        bag?.out?.note,
        ...numbers,
      ].join(' '),
    };
  }
}

/** Where the fasteners of a joint are now, in words. */
export function whereabouts(state: JobState, id: ConnectionId): string {
  const out = state.bags.get(id)?.out;
  const counted = state.bags.get(id)?.in;
  if (!isOpen(state, id)) return counted ? `back in place, ${counted.count} in` : 'in place';
  if (!out) return 'open, nobody counted';
  switch (keptWhere(out.kept, out.bag)) {
    case 'bag':
      return out.bag === undefined ? `${out.count} in a bag without a number` : `bag ${out.bag}, ${out.count} in it`;
    case 'hole':
      return `${out.count} back in their holes`;
    case 'row':
      return `${out.count} in the row`;
    case 'card':
      return `${out.count} on the bolt card`;
  }
}

function* notes(state: JobState): Iterable<Found> {
  for (const { text, operation, by } of state.notes)
    yield {
      is: 'note',
      words: text,
      where: `note by ${by}`,
      ...(operation ? { operation } : {}),
      more: operation ? (state.work.operations.get(operation)?.title ?? '') : '',
    };
}

function* parts(state: JobState): Iterable<Found> {
  for (const { name, quantity, reason, arrived, number, supplier } of state.needs.values())
    yield {
      is: 'part',
      words: name,
      where: `${quantity} ${arrived ? 'arrived' : 'on order'}`,
      more: [reason, number, supplier].filter((words) => words !== undefined).join(' '),
    };
  for (const { key, name, owner, place, where, condition, number, waitsFor } of partCards(state)) {
    if (owner === 'bought' || place === 'to-come') continue;
    yield {
      is: 'part',
      words: name,
      where: [
        PLACE_WORDS[place].toLowerCase(),
        where,
        condition === undefined ? undefined : PART_CONDITION_WORDS[condition],
        waitsFor === undefined ? undefined : `waits for ${waitsFor}`,
      ]
        .filter((words) => words !== undefined)
        .join(', '),
      card: key,
      more: number ?? '',
    };
  }
}

function* photos(state: JobState): Iterable<Found> {
  for (const { photo, words, pinnedTo, by, marks } of state.photos.values()) {
    const connection = pinnedTo.connection === undefined ? undefined : state.work.connections.get(pinnedTo.connection);
    const step = pinnedTo.operation === undefined ? undefined : state.work.operations.get(pinnedTo.operation);
    yield {
      is: 'photo',
      words: words ?? connection?.name ?? step?.title ?? 'Photo',
      where: `photo by ${by}`,
      photo,
      ...(connection ? { connection: connection.id } : {}),
      more: [
        connection?.name,
        step?.title,
        ...marks.map((mark) => mark.words),
        ...(pinnedTo.bag === undefined ? [] : [`bag ${pinnedTo.bag} #${pinnedTo.bag}`]),
        ...(pinnedTo.tag === undefined ? [] : [`tag ${pinnedTo.tag} #${pinnedTo.tag}`]),
      ].join(' '),
    };
  }
}

function* pages(state: JobState): Iterable<Found> {
  for (const { file, title, pins, marks } of state.literature.values()) {
    yield { is: 'page', words: title, where: 'literature', file, page: 1, more: '' };
    for (const { page, to, words } of pins)
      yield {
        is: 'page',
        words: words ?? pinnedToWords(state, to) ?? title,
        where: `page ${page} of “${title}”`,
        file,
        page,
        more: pinnedToWords(state, to) ?? '',
      };
    for (const [page, drawn] of marks)
      for (const { words } of drawn)
        if (words) yield { is: 'page', words, where: `page ${page} of “${title}”`, file, page, more: '' };
  }
}
