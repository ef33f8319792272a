import { refused, running, refitted, then } from '../testing/small-job.js';
import { openItems, type EntryBody } from './index.js';

const noted = (point: string, more: object = {}): EntryBody => ({
  kind: 'warm-up-noted',
  point,
  words: `Looked at: ${point}`,
  is: 'seen',
  ...more,
});
const words = (bodies: readonly EntryBody[]) => openItems(then(running, ...bodies)).map((item) => item.words);

describe('a point of the warm-up', () => {
  it('is seen once it has run, and the cap comes off when it was said to be cold', () => {
    expect(refused(refitted, noted('oil'))).toMatch(/once it has run/);
    expect(refused(running, noted('oil'))).toBe('');
    expect(refused(running, noted('topped-up'))).toMatch(/The cap comes off cold/);
    expect(refused(then(running, noted('cooled', { is: 'not-yet' })), noted('topped-up'))).toMatch(/comes off cold/);
    expect(refused(then(running, noted('cooled')), noted('topped-up'))).toBe('');
    expect(refused(running, noted('topped-up', { is: 'not-yet' }))).toBe('');
  });

  it('keeps its reading and its note, and the last word on it', () => {
    const state = then(running, noted('charging', { reading: 12.4, note: 'Belt off' }), noted('oil'));
    expect(state.warmUp.get('charging')).toMatchObject({ is: 'seen', reading: 12.4, note: 'Belt off', by: 'Ines' });
    expect(Object.keys(state.warmUp.get('oil') ?? {})).not.toEqual(expect.arrayContaining(['reading']));
    expect(Object.keys(state.warmUp.get('oil') ?? {})).not.toEqual(expect.arrayContaining(['note']));
    expect(then(state, noted('charging', { is: 'not-yet' })).warmUp.get('charging')?.is).toBe('not-yet');
  });

  it('is open until it is seen', () => {
    const not = noted('fan', { is: 'not-yet', note: 'Fuse is out' });
    expect(words([not])).toContain('Not yet: Looked at: fan. Fuse is out');
    expect(words([not, noted('fan')]).join()).not.toMatch(/fan/);
  });
});
