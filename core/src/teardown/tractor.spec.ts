import { RULES_NOW, type ConnectionMap, type JobPlan } from '../connection-map/index.js';
import { chore, minutes, step } from '../layouts/author.js';
import { tractorMap, tractorPlan } from '../testing/tractor-map.js';
import { teardownOf, type Precedence } from './index.js';

const { operations, precedence, because, hanging } = teardownOf(tractorPlan);
const line = ({ before, after, reason, told, firstBackToo }: Precedence) =>
  `${before} > ${after}: ${reason.words}${told ? ' (told)' : ''}${firstBackToo ? ' (first back too)' : ''}`;
const linesOf = (edges: readonly Precedence[], ...kinds: readonly string[]) =>
  edges.filter(({ reason }) => kinds.includes(reason.kind)).map(line);
const beforesOf = (after: string, kind: string) =>
  precedence.filter((edge) => edge.after === after && edge.reason.kind === kind).map(({ before }) => before);
const withMap = (changes: Partial<ConnectionMap>): JobPlan => ({
  ...tractorPlan,
  map: { ...tractorMap, ...changes },
});

/** All that is undone on it without hanging on the mounts. */
const ORDINARY = [
  'make:fuel-down',
  'drain:coolant',
  'open:negative',
  'open:cover-bolts',
  'open:sensor',
  'open:hose',
  'open:radiator-bolts',
  'open:filler',
  'open:tank-strap',
  'open:loom-clips',
  'remove:radiator',
  'remove:tank',
  'remove:cover',
];
const BEFORE_SIGNED = ['make:fuel-down', 'open:negative', 'open:cover-bolts', 'open:loom-clips', 'remove:cover'];

describe('the way out of a small machine, step by step', () => {
  it('is these steps, each what it is, where it is, and for this', () => {
    expect(
      operations.map(({ id, kind, phase, station, height }) => [
        `${id}, ${kind}, ${phase}, ${station}, ${height}`,
        because.get(id) ?? '',
      ]),
    ).toEqual([
      ['make:hoisted, support, strip, front, either', 'Lifting needs it.'],
      ['make:fuel-down, make-safe, strip, rear, either', 'The filler hose needs it.'],
      ['hold:made-safe, hold-point, strip, bay-top, ground', ''],
      ['drain:coolant, drain, strip, underside, raised', 'Opening the lower hose lets the coolant out.'],
      ['open:negative, make-safe, strip, bay-top, either', 'Draining the coolant needs it.'],
      ['open:cover-bolts, disconnect, strip, bay-top, either', 'It holds the cover, which has to come off.'],
      ['open:sensor, disconnect, strip, bay-top, either', 'It ties the powerpack to what stays.'],
      ['open:hose, disconnect, strip, underside, raised', 'It ties the powerpack to what stays.'],
      ['open:radiator-bolts, disconnect, strip, front, either', 'It holds the radiator, which has to come off.'],
      ['open:mount-left, disconnect, strip, wheel-left, either', 'It ties the powerpack to what stays.'],
      ['open:mount-right, disconnect, strip, wheel-right, either', 'It ties the powerpack to what stays.'],
      ['open:filler, disconnect, strip, rear, either', 'It holds the tank, which has to come off.'],
      ['open:tank-strap, disconnect, strip, underside, raised', 'It holds the tank, which has to come off.'],
      ['open:loom-clips, disconnect, strip, bay-top, either', 'The loom is tied to it.'],
      ['remove:radiator, remove, strip, front, either', 'It stands in the way.'],
      ['remove:tank, remove, strip, underside, raised', 'It hangs in the way.'],
      ['remove:cover, remove, strip, bay-top, either', 'The cap is under the cover.'],
      ['hold:pre-lift, hold-point, lift, front, either', ''],
      ['lift:inch, lift, lift, front, either', ''],
      ['lift:clear, lift, lift, front, either', ''],
    ]);
  });

  it('tells at a step what the map tells of it', () => {
    expect(operations.find(({ id }) => id === 'open:sensor')).toMatchObject({
      tip: 'Press the catch.',
      moves: ['steering'],
    });
    const hose = operations.find(({ id }) => id === 'open:hose');
    expect(hose).not.toHaveProperty('tip');
    expect(hose).not.toHaveProperty('moves');
  });

  it('reaches what it undoes in this order, and so far as what is first is done at all', () => {
    expect(linesOf(precedence.slice(0, precedence.indexOf(firstSafety())), 'access', 'safety')).toEqual([
      'remove:cover > open:sensor: The cover lies over it. (told)',
      'open:filler > open:sensor: The filler goes first where it goes at all. (told)',
      'remove:tank > open:sensor: The tank goes first where it goes at all. (told)',
      'open:loom-clips > open:filler: The loom is tied to it. (told) (first back too)',
      'open:loom-clips > make:fuel-down: The valve is under the loom. (told)',
      'remove:cover > drain:coolant: The cap is under the cover. (told)',
    ]);
    expect(linesOf(precedence, 'part')).toEqual([
      'open:hose > remove:radiator: The radiator hangs on the lower hose until that is open.',
      'open:radiator-bolts > remove:radiator: The radiator hangs on the radiator brackets until that is open.',
      'open:filler > remove:tank: The tank hangs on the filler hose until that is open.',
      'open:tank-strap > remove:tank: The tank hangs on the tank strap until that is open.',
      'open:cover-bolts > remove:cover: The cover hangs on the cover until that is open.',
    ]);
    expect(linesOf(precedence, 'condition')).toEqual([
      'open:negative > open:sensor: Battery isolated comes first.',
      'drain:coolant > open:hose: Coolant drained first, or the coolant runs over you.',
      'make:hoisted > open:mount-left: On the hoist comes first.',
      'make:hoisted > open:mount-right: On the hoist comes first.',
      'make:fuel-down > open:filler: Fuel pressure down comes first.',
      'open:negative > drain:coolant: Battery isolated comes first.',
    ]);
  });

  it('lets heavy parts down from their last fastener', () => {
    expect(hanging.map(({ part, last }) => [part.id, last.id])).toEqual([
      ['radiator', 'radiator-bolts'],
      ['tank', 'tank-strap'],
    ]);
    expect(linesOf(precedence, 'sequence')).toEqual([
      'open:hose > open:radiator-bolts: With the radiator brackets undone the radiator is in somebody’s hands, so all else is off it before.',
      'open:filler > open:tank-strap: With the tank strap undone the tank is in somebody’s hands, so all else is off it before.',
      'lift:inch > lift:clear: Small steps, and a look all round after each.',
    ]);
  });

  it('has the bonnet off before anybody works under it, but for what makes safe and what comes before the bonnet', () => {
    expect(linesOf(precedence, 'safety').filter((one) => one.includes('under it'))).toEqual([
      'remove:cover > open:sensor: The cover is off before anybody works under it. (told)',
      'remove:cover > open:loom-clips: The cover is off before anybody works under it. (told)',
    ]);
  });

  it('leaves what only waits, and who signs, where a bonnet is still on', () => {
    const inTheBay = (id: string, wait: boolean) =>
      chore(
        id,
        'out',
        { ...step({ title: id, station: 'bay-top', minutes: minutes(1, 1, 1) }), wait },
        { why: 'So.', after: [], before: [{ holdPoint: 'pre-lift' }] },
      );
    const work = teardownOf(withMap({ chores: [inTheBay('soak', true), inTheBay('wipe', false)] }));
    const under = linesOf(work.precedence, 'safety').filter((one) => one.includes('under it'));
    expect(under.map((one) => one.split(':').slice(0, 3).join(':'))).toEqual([
      'remove:cover > do:wipe',
      'remove:cover > open:sensor',
      'remove:cover > open:loom-clips',
    ]);
  });

  it('takes the weight once nothing else holds it, and undoes the mounts last', () => {
    expect(beforesOf('make:hoisted', 'safety')).toEqual(ORDINARY);
    expect(beforesOf('open:mount-left', 'load path')).toEqual(ORDINARY);
    expect(beforesOf('open:mount-right', 'load path')).toEqual(ORDINARY);
  });

  it('signs made safe after what makes safe, and before all that does not lead to it', () => {
    expect(beforesOf('hold:made-safe', 'safety')).toEqual(['open:negative', 'make:fuel-down']);
    const signedFirst = precedence.filter(({ before }) => before === 'hold:made-safe');
    expect(new Set(signedFirst.map(({ reason }) => reason.words))).toEqual(
      new Set(['Made safe and signed before other work begins.']),
    );
    expect(signedFirst.map(({ after }) => after)).toEqual([
      'make:hoisted',
      ...ORDINARY.filter((id) => !BEFORE_SIGNED.includes(id)).slice(0, 4),
      'open:mount-left',
      'open:mount-right',
      ...ORDINARY.filter((id) => !BEFORE_SIGNED.includes(id)).slice(4),
    ]);
  });

  it('signs for the lift once all is off, says which of it still held the powerpack, and lifts step by step', () => {
    const holds = precedence
      .filter(({ after, reason }) => after === 'hold:pre-lift' && reason.words === 'It still holds the powerpack.')
      .map(({ before }) => before);
    expect(holds).toEqual(['open:sensor', 'open:hose', 'open:mount-left', 'open:mount-right']);
    expect(
      precedence
        .filter(
          ({ after, reason }) =>
            after === 'hold:pre-lift' && reason.words === 'The strip has to be finished before the lift.',
        )
        .map(({ before }) => before)
        .sort(),
    ).toEqual([...ORDINARY.filter((id) => !holds.includes(id)), 'make:hoisted'].sort());
    expect(precedence.slice(-2).map(line)).toEqual([
      'hold:pre-lift > lift:inch: Nothing is lifted before the pre-lift hold point is signed.',
      'lift:inch > lift:clear: Small steps, and a look all round after each.',
    ]);
  });

  it('waits for nothing that the map asks of itself', () => {
    const connections = tractorMap.connections.map((one) =>
      one.id === 'negative' ? { ...one, needs: ['isolated'] } : one,
    );
    const work = teardownOf(withMap({ connections }));
    expect(work.precedence.filter(({ before, after }) => before === after)).toEqual([]);
    expect(work.operations.map(({ id }) => id)).toEqual(operations.map(({ id }) => id));
  });

  it('has the bonnet off before the weight is taken from above, and calls only that making safe which does', () => {
    const conditions = tractorMap.conditions.map((one) =>
      one.id === 'hoisted' && one.established.by === 'step'
        ? {
            ...one,
            established: { ...one.established, step: { ...one.established.step, station: 'bay-top' as const } },
          }
        : one,
    );
    const plugged = { id: 'plugged', name: 'Plugged', established: { by: 'connection', connection: 'hose' } } as const;
    const connections = tractorMap.connections.map((one) =>
      one.id === 'filler' ? { ...one, needs: ['fuel-down', 'plugged'] } : one,
    );
    const work = teardownOf(withMap({ conditions: [...conditions, plugged], connections }));
    expect(linesOf(work.precedence, 'safety')).toContain(
      'remove:cover > make:hoisted: The cover is off before anybody works under it. (told)',
    );
    expect(work.operations.find(({ id }) => id === 'open:hose')?.kind).toBe('disconnect');
    expect(linesOf(work.precedence, 'condition')).toContain('open:hose > open:filler: Plugged comes first.');
    expect(work.operations.find(({ id }) => id === 'hold:made-safe')?.tools).toEqual([]);
  });

  it('is drained for the joint that was first found to need it', () => {
    const connections = tractorMap.connections.map((one) =>
      one.id === 'filler' ? { ...one, circuit: 'coolant' } : one,
    );
    // It is come by before the lower hose is.
    expect(teardownOf(withMap({ connections })).because.get('drain:coolant')).toBe(
      'Opening the filler hose lets the coolant out.',
    );
  });

  it('comes to the same under the rules of today and of the edition that brought them', () => {
    expect(teardownOf({ ...tractorPlan, rules: RULES_NOW }).precedence).toEqual(precedence);
    const old = teardownOf({ ...tractorPlan, rules: 2 });
    expect(old.hanging).toEqual([]);
    expect(linesOf(old.precedence, 'sequence')).toEqual([
      'lift:inch > lift:clear: Small steps, and a look all round after each.',
    ]);
  });
});

/** Where the reasons of the map end and those of the weight begin. */
function firstSafety(): Precedence {
  const found = precedence.find(({ reason }) => reason.words.startsWith('The cover is off'));
  if (!found) throw new Error('Nothing waits for the bonnet.');
  return found;
}
