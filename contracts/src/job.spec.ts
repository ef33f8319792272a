import { TEMPLATES, usualMap } from '@brisk/core/layouts';
import { BUNDLE_FORMAT, notOurBundle } from './bundle';
import { check } from './check';
import { newJobSchema } from './job';
import { connectionMapSchema } from './map';
import { EXAMPLE_ID } from './testing/entry-examples';
import { wordsOf } from './testing/words-of';

describe('jobs and maps', () => {
  const job = {
    id: EXAMPLE_ID,
    title: 'Minibus',
    machine: 'No. 7',
    reason: 'swap',
    crew: ['Ines'],
    layout: 'a',
    powerpack: 'b',
    route: 'c',
  };

  it('takes a job with and without what may be left out', () => {
    expect(wordsOf(newJobSchema, job)).toBe('');
    expect(wordsOf(newJobSchema, { ...job, dueOn: '2026-12-01', note: 'Slips' })).toBe('');
  });

  it.each([
    [{ title: ' Minibus' }, /begin or end with a space/],
    [{ crew: Array.from({ length: 21 }, () => 'Ines') }, /too many: 20/],
    [{ crew: [7] }, /has to be text/],
    [{ dueOn: '1.12.2026' }, /such as 2026/],
    [{ layout: '../secret' }, /signs in it/],
  ])('refuses %j', (change, words) => expect(wordsOf(newJobSchema, { ...job, ...change })).toMatch(words));

  it.each(TEMPLATES.map(({ layout }) => [layout, usualMap(layout)] as const))(
    'takes the layout %s as it is',
    (_name, map) => {
      expect(check(connectionMapSchema, map)).toEqual({ value: map });
    },
  );

  it('refuses access that names neither or both of a connection and a part', () => {
    const map = usualMap('longitudinal-automatic');
    const [first] = map.connections;
    const spoiled = (access: unknown) => ({ ...map, connections: [{ ...first, access: [access] }] });
    expect(wordsOf(connectionMapSchema, spoiled({ why: 'So' }))).toContain('either a connection to open or a part');
    expect(wordsOf(connectionMapSchema, spoiled({ open: 'a', removed: 'b', why: 'So' }))).toContain(
      'either a connection',
    );
  });

  it('tells our bundles from other files', () => {
    expect(notOurBundle({ format: BUNDLE_FORMAT, version: 1 })).toBeUndefined();
    expect(notOurBundle({ format: BUNDLE_FORMAT, version: 5 })).toMatch(/reads up to version 4/);
    for (const other of [null, 7, 'text', [], {}, { format: 'else' }])
      expect(notOurBundle(other)).toMatch(/not a job bundle/);
  });
});
