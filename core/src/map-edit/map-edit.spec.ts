import fc from 'fast-check';
import { problemsOf, type Connection } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { connection, minutes } from '../layouts/author.js';
import { smallMap, smallPlan } from '../testing/small-map.js';
import { applyEdit, effectOf, freshId, withFound, type MapEdit } from './index.js';

const idsOf = (map: typeof smallMap) => map.connections.map(({ id }) => id);
const bracket: Connection = connection({
  id: 'bracket',
  name: 'the bracket',
  kind: 'bolted',
  between: ['pump', 'body'],
  system: 'body',
  station: 'bay-top',
  minutes: minutes(1, 2, 3),
});
const edited = (...edits: readonly MapEdit[]) => edits.reduce(applyEdit, smallMap);

describe('an edit', () => {
  it('adds, changes and removes, and leaves the map it came from alone', () => {
    const before = JSON.stringify(smallMap);
    expect(idsOf(edited({ kind: 'add-connection', connection: bracket }))).toContain('bracket');
    expect(
      edited({ kind: 'change-part', id: 'pump', change: { name: 'old pump' } }).parts.find(({ id }) => id === 'pump')
        ?.name,
    ).toBe('old pump');
    expect(idsOf(edited({ kind: 'remove-connection', id: 'hose' }))).not.toContain('hose');
    expect(JSON.stringify(smallMap)).toBe(before);
  });

  it('takes a field away when it is set to nothing', () => {
    const changed = edited({ kind: 'change-connection', id: 'hose', change: { circuit: undefined } });
    expect(changed.connections.find(({ id }) => id === 'hose')).not.toHaveProperty('circuit');
  });

  it('takes fields away that are emptied, after a change was written to a file and read back too', () => {
    const edit: MapEdit = {
      kind: 'change-connection',
      id: 'hose',
      change: { name: 'long hose' },
      emptied: ['circuit'],
    };
    const changed = edited(JSON.parse(JSON.stringify(edit)) as MapEdit).connections.find(({ id }) => id === 'hose');
    expect(changed?.name).toBe('long hose');
    expect(changed).not.toHaveProperty('circuit');
  });

  it('forgets what is deleted wherever it was named', () => {
    const map = usualMap('transverse-cradle');
    const without = applyEdit(map, { kind: 'remove-part', id: 'airbox' });
    expect(problemsOf(without)).toEqual([]);
    expect(JSON.stringify(without)).not.toContain('"airbox"');
  });

  it('makes two parts of one, with a joint between them', () => {
    const map = edited({
      kind: 'split-part',
      id: 'pump',
      part: { id: 'bracket-plate', name: 'bracket plate', zone: 'bay-left', system: 'body' },
      connections: ['hose'],
      joint: { ...bracket, id: 'plate-screws', between: ['pump', 'bracket-plate'] },
    });
    expect(map.connections.find(({ id }) => id === 'hose')?.between).toContain('bracket-plate');
    expect(problemsOf(map)).toEqual([]);
  });

  it('makes two connections of one, side by side', () => {
    const map = edited({
      kind: 'split-connection',
      id: 'hose',
      second: { ...bracket, id: 'hose-2', between: ['pump', 'radiator'] },
      fasteners: [{ count: 1, what: 'clip' }],
    });
    expect(idsOf(map).indexOf('hose-2')).toBe(idsOf(map).indexOf('hose') + 1);
  });

  it.each<[string, MapEdit, RegExp]>([
    ['a part that is not there', { kind: 'remove-part', id: 'ghost' }, /no part “ghost”/],
    ['a connection that is not there', { kind: 'remove-connection', id: 'ghost' }, /no connection “ghost”/],
    ['a name taken', { kind: 'add-connection', connection: { ...bracket, id: 'hose' } }, /on the map already/],
    ['the body', { kind: 'remove-part', id: 'body' }, /everything hangs on/],
    ['what comes out', { kind: 'remove-part', id: 'engine' }, /it stays/],
    ['what isolates the battery', { kind: 'remove-connection', id: 'negative' }, /comes about by opening it/],
  ])('refuses %s, with the reason', (_what, edit, words) => expect(() => edited(edit)).toThrow(words));

  it('never leaves a name behind that is gone, whatever is deleted in whatever order', () => {
    const map = usualMap('longitudinal-automatic');
    fc.assert(
      fc.property(fc.array(fc.nat(200), { maxLength: 25 }), (picks) => {
        let reached = map;
        for (const pick of picks) {
          const things = [...reached.parts, ...reached.connections];
          const thing = things[pick % things.length];
          if (!thing) continue;
          try {
            reached = applyEdit(
              reached,
              'between' in thing ? { kind: 'remove-connection', id: thing.id } : { kind: 'remove-part', id: thing.id },
            );
          } catch (error) {
            expect(String(error)).toMatch(/stays/);
          }
        }
        const broken = problemsOf(reached).filter(({ words }) => /not on the map|nothing says how/.test(words));
        expect(broken).toEqual([]);
      }),
      { numRuns: 60, seed: 5 },
    );
  });
});

describe('what an edit means for the work', () => {
  it('is told as steps and minutes more or less', () => {
    const effect = effectOf(smallPlan, {
      ...smallPlan,
      map: edited({ kind: 'add-connection', connection: { ...bracket, between: ['engine', 'body'] } }),
    });
    expect(effect).toMatchObject({ workable: true, holding: 1, less: [] });
    expect(effect.workable && effect.more).toEqual(['Unbolt the bracket', 'Bolt up the bracket']);
    expect(effect.workable && effect.minutes).toBe(4);
    expect(effectOf(smallPlan, smallPlan)).toMatchObject({ workable: true, minutes: 0, more: [], less: [] });
  });

  it('names what is wrong where it is, instead', () => {
    const loop = edited(
      { kind: 'change-connection', id: 'hose', change: { access: [{ open: 'sensor', why: 'a' }] } },
      { kind: 'change-connection', id: 'sensor', change: { access: [{ open: 'hose', why: 'b' }] } },
    );
    expect(effectOf(smallPlan, { ...smallPlan, map: loop })).toMatchObject({
      workable: false,
      problems: [{ words: expect.stringContaining('wait for each other') as string }],
    });
    const loose = edited({
      kind: 'add-part',
      part: { id: 'loose', name: 'loose thing', zone: 'cabin', system: 'body' },
    });
    expect(effectOf(smallPlan, { ...smallPlan, map: loose })).toMatchObject({
      workable: false,
      problems: [{ at: 'loose' }],
    });
  });
});

describe('beside editing', () => {
  it('makes ids that nothing has yet', () => {
    expect(freshId(smallMap, 'The Öl-Rohr (left)')).toBe('o-l-rohr-left');
    expect(freshId(smallMap, 'hose')).toBe('hose-2');
    expect(freshId(smallMap, '???')).toBe('thing');
  });

  it('takes what a crew found into a map once, where its parts are', () => {
    const once = withFound(smallMap, [bracket, { ...bracket, id: 'elsewhere', between: ['ghost', 'body'] }]);
    expect(idsOf(once)).toEqual([...idsOf(smallMap), 'bracket']);
    expect(withFound(once, [bracket])).toEqual(once);
  });
});
