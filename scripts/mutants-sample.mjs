/**
 * A share of the changes that mutation testing would try, picked by `MUTANTS_SEED`: what stands together on a few lines is
 * tried or left as one. `MUTANTS_SHARE` is between 0 and 1.
 */
import { createHash } from 'node:crypto';
import { declareValuePlugin, PluginKind } from '@stryker-mutator/api/plugin';

const share = Number(process.env.MUTANTS_SHARE ?? 1);
const seed = process.env.MUTANTS_SEED ?? '1';

/** What is longer is no change of its own, but holds others. */
const MOST_LINES = 8;

const lines = ({ loc }) => (loc ? loc.end.line - loc.start.line + 1 : Infinity);

/** A number from 0 up to 1, the same for the same words. */
const drawn = (words) => createHash('sha256').update(words).digest().readUInt32BE() / 2 ** 32;

const leftOut = {
  shouldIgnore(path) {
    let largest;
    for (let at = path; at; at = at.parentPath) if (lines(at.node) <= MOST_LINES) largest = at;
    if (!largest) return undefined;
    const { file } = path.hub ?? {};
    const { start, end } = largest.node.loc;
    const where = [seed, file?.opts?.filename, start.line, start.column, end.line, end.column, largest.node.type].join(
      ' ',
    );
    return drawn(where) < share ? undefined : 'Not in this sample.';
  },
};

export const strykerPlugins = [declareValuePlugin(PluginKind.Ignore, 'sample', leftOut)];
