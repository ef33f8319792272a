import { usualMap } from '../layouts/index.js';
import type { Stop } from '../stops/index.js';
import { EVERY_BODY } from '../testing/every-entry.js';
import { rulesOf } from './entries/registry.js';
import { startOf, type EntryKind } from './index.js';

/** What is known of an entry of each kind: whose time it is, what it holds on the map and in what words, whose place it takes. */
interface Known {
  readonly stop: Stop;
  readonly holds?: readonly [thing: string, been?: string];
  readonly takes?: readonly string[];
}
const HOSE = 'upper-hose';
const STEP = `open:${HOSE}`;
const KNOWN: Readonly<Record<EntryKind, Known>> = {
  'operation-done': { stop: 'strip', holds: [STEP] },
  'operation-skipped': { stop: 'strip', holds: [STEP] },
  'operation-stuck': { stop: 'strip', holds: [STEP] },
  'height-set': { stop: 'strip' },
  'fasteners-counted': { stop: 'strip', holds: [HOSE, 'counted'], takes: [`${HOSE} out`] },
  'keeping-chosen': { stop: 'strip', takes: ['keeping'] },
  'set-described': { stop: 'strip', holds: [HOSE, 'described'], takes: [HOSE] },
  'count-accepted': { stop: 'strip' },
  'fasteners-judged': { stop: 'strip', holds: [HOSE, 'judged'], takes: [`${HOSE} 0 galled`] },
  'pattern-drawn': { stop: 'strip', holds: [HOSE, 'drawn'], takes: [HOSE] },
  'bolt-found': { stop: 'strip' },
  'bolt-homed': { stop: 'strip' },
  'bolt-set-aside': { stop: 'strip' },
  'ground-checked': { stop: 'first-start', holds: ['engine-ground', 'looked at'], takes: ['engine-ground'] },
  'photo-taken': { stop: 'strip' },
  'photo-marked': { stop: 'strip', takes: ['a'] },
  'work-paused': { stop: 'strip' },
  'work-resumed': { stop: 'strip' },
  tagged: { stop: 'strip', holds: [HOSE, 'tagged'], takes: [HOSE] },
  'connection-found': { stop: 'strip' },
  'found-still-on': { stop: 'lift', holds: [HOSE, 'found still on'] },
  'left-on-purpose': { stop: 'strip', holds: [HOSE, 'left as it is'] },
  'hold-point-signed': { stop: 'strip', holds: ['hold:made-safe'] },
  'bolts-tightened': { stop: 'refit', holds: ['bell-housing', 'torqued'] },
  'torque-read': { stop: 'refit', holds: [HOSE, 'torqued'] },
  'torque-accepted': { stop: 'refit' },
  'moves-taken': { stop: 'lift', takes: ['moves'] },
  'load-read': { stop: 'lift' },
  'machine-measured': { stop: 'plan', takes: ['bulkhead'] },
  'trouble-test-done': { stop: 'first-start' },
  'leak-looked': { stop: 'first-start', holds: ['hose', 'looked at for leaks'], takes: ['hose'] },
  'shift-handed-over': { stop: 'strip' },
  'help-called': { stop: 'strip' },
  'help-answered': { stop: 'strip' },
  'second-signer-asked': { stop: 'lift', takes: ['pre-lift'] },
  'shift-read': { stop: 'strip' },
  'warm-up-noted': { stop: 'first-start' },
  'second-look-planned': { stop: 'handover', takes: ['l'] },
  'second-look-done': { stop: 'handover' },
  'codes-read': { stop: 'survey' },
  'cause-found': { stop: 'first-start' },
  'fluid-measured': { stop: 'strip', holds: ['coolant', 'measured'], takes: ['coolant out'] },
  'fill-planned': { stop: 'refit', holds: ['coolant', 'planned to be filled'], takes: ['coolant'] },
  'level-set': { stop: 'refit', holds: ['coolant', 'set to its level'], takes: ['coolant'] },
  'joint-looked-at': { stop: 'refit', holds: [HOSE, 'looked at'], takes: [`${HOSE} way`] },
  'adjustment-tried': { stop: 'refit', holds: [HOSE, 'tried'] },
  'seat-measured': { stop: 'strip', holds: [STEP], takes: [STEP] },
  noted: { stop: 'strip' },
  'part-needed': { stop: 'bench' },
  'part-arrived': { stop: 'bench' },
  'part-priced': { stop: 'bench', takes: ['n'] },
  'part-moved-on': { stop: 'bench' },
  'part-compared': { stop: 'bench' },
  'core-returned': { stop: 'bench' },
  'cost-noted': { stop: 'bench' },
  'unit-decided': { stop: 'bench', takes: ['engine'] },
  'renewal-decided': { stop: 'bench', takes: ['rear-crank-seal', 'core-plugs'] },
  'renewal-written': { stop: 'bench', takes: ['own-1'] },
  'part-placed': { stop: 'bench', takes: ['host alternator'] },
  'looked-at': { stop: 'bench', takes: ['filter-metal'] },
  'unit-measured': { stop: 'bench' },
  'literature-added': { stop: 'survey' },
  'page-marked': { stop: 'survey', takes: [`${'a'.repeat(64)}.pdf 2`] },
  'page-pinned': { stop: 'survey' },
  'pins-read': { stop: 'bench', takes: ['host'] },
  'splices-planned': { stop: 'bench', takes: ['steps'] },
  'splice-done': { stop: 'bench' },
  'life-guessed': { stop: 'bench', takes: ['rear-crank-seal'] },
  'terms-set': { stop: 'bench', takes: ['terms'] },
  'start-attempted': { stop: 'first-start' },
  'issue-opened': { stop: 'first-start' },
  'issue-sorted': { stop: 'first-start' },
  'issue-closed': { stop: 'first-start' },
  'handed-over': { stop: 'handover' },
  'plan-followed': { stop: 'plan', takes: ['out'] },
  corrected: { stop: 'strip' },
};

const before = startOf({
  map: usualMap('longitudinal-automatic'),
  powerpack: 'engine-with-gearbox',
  route: 'top',
});

describe('an entry of every kind', () => {
  it.each(EVERY_BODY)(
    '$kind is of its stop, holds what it speaks of, and takes the place of what it renews',
    (body) => {
      const { stop, holds: [thing, been] = [], takes } = KNOWN[body.kind];
      const rules = rulesOf(body.kind);
      expect(rules.stop(before, body)).toBe(stop);
      expect(rules.fills?.(body)).toEqual(takes);
      const { operations = [], connections = [], circuits = [], been: said } = rules.binds?.(body) ?? {};
      const all = [...operations, ...connections, ...circuits];
      if (thing === undefined) expect(all).toEqual([]);
      else expect(all).toContain(thing);
      expect(said).toBe(been);
    },
  );

  it('may be written of a machine that was handed over only where it is seen afterwards', () => {
    const afterwards = EVERY_BODY.filter(({ kind }) => rulesOf(kind).afterHandover).map(({ kind }) => kind);
    expect(new Set(afterwards)).toEqual(
      new Set([
        'leak-looked',
        'warm-up-noted',
        'second-look-planned',
        'second-look-done',
        'noted',
        'core-returned',
        'cost-noted',
        'corrected',
      ]),
    );
  });

  it.each([
    ['codes-read', { when: 'since' }, 'first-start'],
    ['fluid-measured', { direction: 'in' }, 'refit'],
    ['help-called', { operation: undefined }, 'strip'],
    ['help-called', { operation: 'close:upper-hose' }, 'refit'],
    ['operation-skipped', { operation: 'close:upper-hose' }, 'refit'],
    ['operation-skipped', { operation: 'off the map' }, 'strip'],
    ['second-signer-asked', { holdPoint: 'pre-start' }, 'first-start'],
  ] as const)('%s with %j is of the stop %s', (kind, more, stop) => {
    const body = EVERY_BODY.find((one) => one.kind === kind);
    if (!body) throw new Error(`There is no ${kind}.`);
    expect(rulesOf(kind).stop(before, { ...body, ...more } as typeof body)).toBe(stop);
  });
});
