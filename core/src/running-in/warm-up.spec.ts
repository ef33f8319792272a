import { RULES_NOW, waysOut } from '../connection-map/index.js';
import { TEMPLATES, usualMap } from '../layouts/index.js';
import { isDone, openItems, startOf, type EntryBody } from '../ledger/index.js';
import { readiness } from '../readiness/index.js';
import { recorder, workOn } from '../testing/crew.js';
import { sentence } from '../words/index.js';
import { refused, then } from '../testing/small-job.js';
import { goEasyOn, oddReading, warmUpOf, wetJoints, type WarmUpPoint } from './index.js';

const plan = { map: usualMap('transverse-cradle'), powerpack: 'cradle', route: 'under', rules: RULES_NOW };
const signed = workOn(startOf(plan), recorder(), (state) => isDone(state, 'hold:pre-start')).state;
const ran = then(signed, {
  kind: 'start-attempted',
  voltsBefore: 12.7,
  voltsLowest: 10.6,
  crankSeconds: 3,
  result: 'runs',
});
const point = (id: string) => warmUpOf(ran).find((one) => one.id === id) as WarmUpPoint;
const said = (id: string, is: 'seen' | 'not-yet' = 'seen', reading?: number): EntryBody => ({
  kind: 'warm-up-noted',
  point: id,
  words: point(id).words,
  is,
  ...(reading === undefined ? {} : { reading }),
});

describe('the warm-up', () => {
  it('has its points in their order: it is cold before the cap comes off, and levels follow that', () => {
    const ids = warmUpOf(ran).map(({ id }) => id);
    const inOrder = [
      'oil',
      'idle',
      'bleed',
      'fan',
      'no-bubbles',
      'cooled',
      'topped-up',
      'levels',
      'gears',
      'underneath',
    ];
    expect(ids.filter((id) => inOrder.includes(id))).toEqual(inOrder);
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('has nothing of coolant where air cools it, and what moves or scalds is told at its point on every layout', () => {
    for (const { layout } of TEMPLATES) {
      const map = usualMap(layout);
      const [way] = waysOut(map);
      const points = warmUpOf(
        startOf({ ...plan, map, powerpack: way?.powerpack.id ?? '', route: way?.route.id ?? '' }),
      );
      const ids = points.map(({ id }) => id);
      const coolant = map.circuits.some(({ id }) => id === 'coolant');
      expect(ids.includes('bleed')).toBe(coolant);
      for (const { id, caution } of points)
        if (['idle', 'bleed', 'topped-up', 'underneath'].includes(id)) expect(caution).toBeTruthy();
    }
  });

  it('is not written before it ran, nor the cap off before it has cooled', () => {
    expect(refused(signed, said('idle'))).toMatch(/once it has run/);
    expect(refused(ran, said('topped-up', 'seen', 0.4))).toMatch(/The cap comes off cold/);
    expect(refused(then(ran, said('cooled', 'not-yet')), said('topped-up'))).toMatch(/The cap comes off cold/);
    expect(refused(then(ran, said('cooled')), said('topped-up', 'seen', 0.4))).toBe('');
  });

  it('keeps what was read, and what is not yet so stands open and is gone easy on', () => {
    const state = then(ran, said('charging', 'seen', 14.2), said('gears', 'not-yet'));
    expect(warmUpOf(state).find(({ id }) => id === 'charging')?.said).toMatchObject({ is: 'seen', reading: 14.2 });
    expect(openItems(state).map(({ words }) => words)).toContain(`Not yet: ${point('gears').words}`);
    expect(goEasyOn(state)).toContain(`Not yet: ${point('gears').words.toLowerCase()}`);
    const later = then(state, said('gears'));
    expect(
      openItems(later)
        .map(({ words }) => words)
        .join(),
    ).not.toContain('Not yet');
  });

  it('says what is odd about a reading', () => {
    expect(oddReading(point('charging'), 14.1)).toBe('');
    expect(oddReading(point('charging'), 12.6)).toBe('12.6 V is under 13.5 V.');
    expect(oddReading(point('charging'), 15.9)).toBe('15.9 V is over 14.8 V.');
    expect(oddReading(point('fan'), 118)).toMatch(/over 112/);
    expect(oddReading(point('oil'), 3)).toBe('');
    const two = then(signed, {
      kind: 'start-attempted',
      voltsBefore: 25.4,
      voltsLowest: 21,
      crankSeconds: 3,
      result: 'runs',
    });
    expect(warmUpOf(two).find(({ id }) => id === 'charging')?.reading).toMatchObject({ from: 27 });
  });
});

describe('leaks by place', () => {
  const wet = wetJoints(ran).map(({ connection }) => connection);
  const hose = wet.find(({ circuit }) => circuit === 'coolant') ?? wet[0];
  const looked = (is: 'dry' | 'weeps' | 'drips', note?: string): EntryBody => ({
    kind: 'leak-looked',
    connection: hose?.id ?? '',
    is,
    ...(note ? { note } : {}),
  });

  it('are looked for where something that was open holds fluid in, and nowhere else', () => {
    expect(wet.length).toBeGreaterThan(5);
    expect(wet.every(({ system }) => !['electrics', 'exhaust'].includes(system))).toBe(true);
    expect(wetJoints(startOf(plan))).toEqual([]);
  });

  it('are not looked for before it ran', () => expect(refused(signed, looked('dry'))).toMatch(/once it has run/));

  it('stand open until the joint is dry, and speak against running where they drip', () => {
    const dripping = then(ran, looked('drips', 'At the clamp'));
    expect(openItems(dripping)).toContainEqual({
      is: 'issue',
      grave: true,
      words: `${sentence(hose?.name ?? '')} drips`,
    });
    const against = readiness(dripping).purposes.find(({ purpose }) => purpose === 'run')?.against ?? [];
    expect(against.map(({ words }) => words).join()).toMatch(/drips\. At the clamp/);
    const weeping = then(dripping, looked('weeps'));
    expect(openItems(weeping).find(({ words }) => words === `${sentence(hose?.name ?? '')} weeps`)?.grave).toBe(false);
    const dry = then(weeping, looked('dry'));
    expect(
      openItems(dry)
        .map(({ words }) => words)
        .join(),
    ).not.toMatch(/weeps|drips/);
    expect(wetJoints(dry).find(({ connection }) => connection.id === hose?.id)?.seen?.is).toBe('dry');
  });

  it('are refused on what was not open', () => {
    expect(refused(ran, { kind: 'leak-looked', connection: 'nowhere', is: 'dry' })).toMatch(/nowhere/);
  });
});
