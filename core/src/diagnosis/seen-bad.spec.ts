import { startOf, type EntryBody } from '../ledger/index.js';
import { RULES_NOW } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { recorder, workOn } from '../testing/crew.js';
import { then } from '../testing/small-job.js';
import { isDone } from '../ledger/index.js';
import { CAUSES, raisesOf, seenBad } from './index.js';

const plan = { map: usualMap('longitudinal-manual'), powerpack: 'engine-with-gearbox', route: 'top', rules: RULES_NOW };
const apart = workOn(startOf(plan), recorder(), (state) => isDone(state, 'open:engine-ground')).state;
const photo = (words: string, at: object = { connection: 'engine-ground' }): EntryBody => ({
  kind: 'photo-taken',
  photo: 'a'.repeat(64),
  widthPx: 4,
  heightPx: 3,
  pinnedTo: at,
  words,
});

describe('what was seen of a joint', () => {
  it('is taken from photos, drawn marks and notes that say it is dirty or broken', () => {
    expect(seenBad(then(apart, photo('Green under the lug'))).get('engine-ground')).toBe(
      'photographed: “Green under the lug”',
    );
    const marked = then(apart, photo('The strap'), {
      kind: 'photo-marked',
      photo: 'a'.repeat(64),
      marks: [{ kind: 'ring', from: { x: 0, y: 0 }, to: { x: 1, y: 1 }, words: 'frayed here' }],
    });
    expect(seenBad(marked).get('engine-ground')).toBe('photographed: “frayed here”');
    const noted = then(apart, { kind: 'noted', text: 'Lug is corroded', operation: 'open:engine-ground' });
    expect(seenBad(noted).get('engine-ground')).toBe('noted: “Lug is corroded”');
  });

  it('does not count where it says the contrary, or hangs on no joint', () => {
    for (const words of [
      'Not corroded',
      'Cleaned of dirty grease',
      'Plug with the green tape',
      'Leave it loose until all are in',
      'The strap as it sits',
    ])
      expect(seenBad(then(apart, photo(words))).size).toBe(0);
    expect(seenBad(then(apart, photo('Dirty bay', {}))).size).toBe(0);
  });

  it('makes what the joint has to do with likelier, and is named', () => {
    // Closed again and looked at, it would only have been touched.
    const back = workOn(apart, recorder(), (state) => isDone(state, 'hold:pre-start')).state;
    const looked = then(
      { ...back, looks: new Map() },
      { kind: 'ground-checked', connection: 'engine-ground', good: true },
      photo('Green under the lug'),
    );
    expect(raisesOf(looked, CAUSES).get('engine-ground')).toMatchObject({
      factor: 12,
      because: [expect.stringContaining('was photographed: “Green under the lug”')],
    });
  });
});
