import type { ConnectionId } from '../connection-map/index.js';
import type { JobState } from '../ledger/index.js';
import type { OperationId } from '../teardown/index.js';

/** What somebody writes of a joint that will make trouble. */
const BAD =
  /\b(dirty|filthy|oily|greasy|wet|rust(y|ed)?|corro(ded|sion)|green (under|inside|pins?)|burnt|melted|bent|broken|cracked|torn|split|chafed|frayed|worn|perished|loose|brittle|scored|crushed)\b/i;
/** It says the contrary, or that it was seen to. */
const NOT_SO = /\b(no|not|nor|without|never|until|leave|cleaned|replaced|renewed|mended|new)\b/i;
const LONGEST = 60;

/**
 * Joints whose photos, drawn marks or notes say that they were dirty, broken or the like, each with the words that say so. What
 * says the contrary in the same breath does not count.
 */
export function seenBad(state: JobState): ReadonlyMap<ConnectionId, string> {
  const seen = new Map<ConnectionId, string>();
  const jointOf = (connection: ConnectionId | undefined, operation: OperationId | undefined) =>
    connection ?? (operation === undefined ? undefined : state.work.operations.get(operation)?.connection);
  const look = (joint: ConnectionId | undefined, how: string, words: string | undefined) => {
    if (joint !== undefined && words !== undefined && BAD.test(words) && !NOT_SO.test(words))
      seen.set(joint, `${how}: “${words.length > LONGEST ? `${words.slice(0, LONGEST)}…` : words}”`);
  };
  for (const { operation, text } of state.notes) look(jointOf(undefined, operation), 'noted', text);
  for (const { pinnedTo, words, marks } of state.photos.values()) {
    const joint = jointOf(pinnedTo.connection, pinnedTo.operation);
    look(joint, 'photographed', words);
    for (const mark of marks) look(joint, 'photographed', mark.words);
  }
  return seen;
}
