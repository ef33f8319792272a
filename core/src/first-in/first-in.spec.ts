import { RULES_NOW } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { shapeOf } from '../layouts/shapes/index.js';
import { allLifted, gateOf, nextUp, startOf, type JobState } from '../ledger/index.js';
import { recorder, workOn } from '../testing/crew.js';
import { then } from '../testing/small-job.js';
import { coveredBy, firstIn } from './index.js';

const plan = {
  map: usualMap('longitudinal-automatic'),
  powerpack: 'engine-with-gearbox',
  route: 'top',
  rules: RULES_NOW,
};
const out = workOn(startOf(plan), recorder(), allLifted).state;
const titles = (steps: readonly { readonly operation: { readonly title: string } }[]) =>
  steps.map(({ operation }) => operation.title);

describe('what must be in first', () => {
  const board = firstIn(out);

  it('is what the gate waits for, each with why', () => {
    const asked = new Set([...board.onIt, ...board.inMachine].map(({ operation }) => operation.id));
    for (const { operation } of gateOf(out, 'pre-lower').blockers) expect(asked).toContain(operation);
    for (const { why } of [...board.onIt, ...board.inMachine]) expect(why).not.toBe('');
    expect(titles(board.inMachine)).toContain('Torque the bulkhead heat shield');
    expect(
      board.inMachine.find(({ operation }) => operation.id === 'torque:bulkhead-shield-screws')?.why ?? '',
    ).not.toBe('x');
  });

  it('is settled as the work goes on, and nothing of it is left where the gate opens', () => {
    const atTheGate = workOn(out, recorder(), (state) => nextUp(state)?.operation.holdPoint === 'pre-lower').state;
    const then = firstIn(atTheGate);
    expect([...then.onIt, ...then.inMachine].every(({ done }) => done)).toBe(true);
    expect(gateOf(atTheGate, 'pre-lower').blockers).toEqual([]);
  });

  it('shows how it was by the step that undid it', () => {
    const shield = board.inMachine.find(({ operation }) => operation.kind === 'connect');
    expect(shield?.undoneAt).toBe(`open:${shield?.operation.connection}`);
  });

  it('keeps the reason where a step was left', () => {
    const bay = board.inMachine.find(({ operation }) => operation.kind === 'prepare');
    const left = then(out, {
      kind: 'operation-skipped',
      operation: bay?.operation.id ?? '',
      mode: 'later',
      reason: 'Paint is drying',
    });
    expect(firstIn(left).inMachine.find(({ operation }) => operation.id === bay?.operation.id)?.left).toBe(
      'Paint is drying',
    );
    // A reason on the board opens no gate: what is put off is still to come.
    expect(gateOf(left, 'pre-lower').blockers.map(({ operation }) => operation)).toContain(bay?.operation.id);
  });

  it('says what stays out until it is down, and why', () => {
    expect(titles(board.leftOut)).toContain('Set the radiator in place');
    expect(
      board.leftOut.every(({ operation }) => !board.inMachine.some((step) => step.operation.id === operation.id)),
    ).toBe(true);
  });

  it('names the loose ends that hang in its way, and none once they are on again', () => {
    expect(board.tiedBack.map(({ id }) => id)).toEqual(expect.arrayContaining(['upper-hose', 'engine-ground']));
    const back = workOn(out, recorder(), (state) => nextUp(state)?.operation.holdPoint === 'pre-start').state;
    expect(firstIn(back).tiedBack).toEqual([]);
  });
});

describe('clutch, bearings and dowels of a parted pair', () => {
  const split = { ...plan, map: usualMap('longitudinal-manual'), powerpack: 'engine', route: 'top-engine' };

  it('are on the board with what was measured', () => {
    const atTheGate = workOn(
      startOf(split),
      recorder(),
      (state) => nextUp(state)?.operation.holdPoint === 'pre-lower',
    ).state;
    const { onIt } = firstIn(atTheGate);
    expect(titles(onIt).join()).toMatch(/Set the disc by its side mark.*release bearing.*both dowels/);
    expect(onIt.find(({ operation }) => operation.id === 'do:clutch-on')?.measured).toMatchObject({ good: true });
  });
});

describe('what it will cover', () => {
  const shape = shapeOf(plan.map);
  if (!shape) throw new Error('It has a shape.');

  it('lies under it, as straight lines go: a pump below the alternator', () => {
    const covered = coveredBy(shape, out.work.lump, new Set(['steering-pump', 'radiator']));
    expect(covered).toMatchObject([
      { id: 'steering-pump', by: 'alternator', from: expect.not.arrayContaining(['above']) },
    ]);
  });

  it('is nothing while nothing goes down', () =>
    expect(coveredBy(shape, new Set(), new Set(['steering-pump']))).toEqual([]));
});

it.each(['transverse-cradle', 'transverse-mid', 'rear-flat-air-cooled', 'heavy-tilt-cab', 'frame-four-wheel-drive'])(
  'has a board on %s',
  (layout) => {
    const map = usualMap(layout);
    const [powerpack, route] = [map.powerpacks[0]?.id ?? '', map.routes[0]?.id ?? ''];
    const state: JobState = workOn(startOf({ map, powerpack, route, rules: RULES_NOW }), recorder(), allLifted).state;
    const { onIt, inMachine, leftOut } = firstIn(state);
    expect(onIt.length + inMachine.length).toBeGreaterThan(0);
    expect(leftOut.every(({ why }) => why !== '')).toBe(true);
  },
);
