import { RULES_NOW, type JobPlan } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { recorder, workOn } from '../testing/crew.js';
import { nextUp, startOf, torqueAlong, type JobState } from './index.js';

const plan: JobPlan = { map: usualMap('transverse-cradle'), powerpack: 'cradle', route: 'under', rules: RULES_NOW };
const closing = new Map<string, JobState>();
workOn(startOf(plan), recorder(), (state) => {
  const operation = nextUp(state)?.operation;
  if (operation?.kind === 'connect') closing.set(operation.connection ?? '', state);
  return false;
});
const offered = [...closing].flatMap(([connection, state]) => {
  const operation = state.work.operations.get(`close:${connection}`);
  const along = operation && torqueAlong(state, operation);
  return along ? [{ connection, state, along }] : [];
});

describe('a torque that goes along with the closing', () => {
  it('is offered where one click stands for all of the joint, at its figure', () => {
    expect(offered.length).toBeGreaterThan(5);
    for (const { connection, state, along } of offered) {
      const torque = state.work.connections.get(connection)?.refit.torque;
      expect(along.operation.id).toBe(`torque:${connection}`);
      expect(along.targetNm).toBe(torque?.targetNm);
      expect([torque?.angleDeg, torque?.eachRead, torque?.looseUntilAllIn]).toEqual([undefined, undefined, undefined]);
    }
  });

  it('is none where the figure has to wait: for others of its group, for more bolts, for another height or pair of hands', () => {
    const there = new Set(offered.map(({ connection }) => connection));
    const apart = [...closing].filter(([connection]) => !there.has(connection));
    const why = apart.flatMap(([connection, state]) => {
      const torque = state.work.operations.get(`torque:${connection}`);
      if (!torque) return [];
      const { refit, fasteners } = state.work.connections.get(connection) ?? {};
      const bolts = (fasteners ?? []).reduce((sum, { count }) => sum + count, 0);
      const waits = (state.work.into.get(torque.id) ?? []).some(
        ({ before }) => before !== `close:${connection}` && state.progress.get(before)?.is !== 'done',
      );
      const close = state.work.operations.get(`close:${connection}`);
      return [
        bolts >= 4 ||
          waits ||
          refit?.torque?.angleDeg !== undefined ||
          refit?.torque?.eachRead === true ||
          refit?.torque?.stages !== undefined ||
          !torque.cautions.every((one) => close?.cautions.includes(one)) ||
          torque.hands > (close?.hands ?? 1) ||
          (torque.height !== 'either' && torque.height !== state.height),
      ];
    });
    expect(why.length).toBeGreaterThan(3);
    expect(why).not.toContain(false);
  });
});
