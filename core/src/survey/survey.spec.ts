import fc from 'fast-check';
import { problemsOf } from '../connection-map/index.js';
import { foldLedger, openItems } from '../ledger/index.js';
import { compose, lintMap, TEMPLATES, templateOf, usualMap, type Template } from '../layouts/index.js';
import { connection, minutes } from '../layouts/author.js';
import { applyEdit } from '../map-edit/index.js';
import { DONT_KNOW, lookAtOf, questionsFor, reanswered, surveyed, type Answers } from './index.js';

const cradle = templateOf('transverse-cradle');
const asked = (template: Template, answers: Answers) => questionsFor(template, answers).map(({ option }) => option);

describe('the questions', () => {
  it('are few enough for an ordinary machine: a dozen and a half, one tap each', () => {
    for (const template of TEMPLATES) expect(asked(template, {}).length).toBeLessThanOrEqual(18);
  });

  it('are not asked where only one answer can stand', () => {
    expect(asked(cradle, { fuel: 'petrol-port' })).toEqual(expect.arrayContaining(['throttle', 'canister']));
    const diesel = asked(cradle, { fuel: 'diesel-rail' });
    expect(diesel).not.toContain('throttle');
    expect(diesel).not.toContain('canister');
  });

  it('say why an answer cannot be', () => {
    const hybrid = questionsFor(cradle, { fuel: 'petrol-direct', steering: 'hydraulic' }).find(
      ({ option }) => option === 'hybrid',
    );
    expect(hybrid).toBeUndefined();
    const boost = questionsFor(templateOf('longitudinal-manual'), { fuel: 'petrol-direct' }).find(
      ({ option }) => option === 'fuel',
    );
    expect(boost?.answers.every(({ excluded }) => excluded === undefined)).toBe(true);
  });

  it('take the answer that leaves nothing attached unseen when nobody knows, and leave it to be looked at', () => {
    const { choices, unsure } = surveyed(cradle, { fuel: 'petrol-port', oilCooler: DONT_KNOW, boost: DONT_KNOW });
    expect(choices).toMatchObject({ oilCooler: 'yes', boost: 'turbo' });
    expect(unsure).toEqual(['boost', 'oilCooler']);
    const lookAt = lookAtOf(unsure, choices);
    expect(lookAt[1]).toEqual({ about: 'oilCooler', question: 'Is there an oil cooler?', taken: 'Yes' });

    const plan = { map: compose(cradle, choices), powerpack: 'cradle', route: 'under', lookAt };
    expect(openItems(foldLedger(plan, [])).map(({ words }) => words)).toContain(
      'Nobody has looked yet: Is there an oil cooler? Taken for now: Yes',
    );
  });

  it('lead to a map with nothing wrong with it, whatever is answered and whatever nobody knows', () => {
    fc.assert(
      fc.property(fc.constantFrom(...TEMPLATES), fc.infiniteStream(fc.nat(20)), (template, picks) => {
        let answers: Answers = {};
        for (const { option } of template.options) {
          const question = questionsFor(template, answers).find((one) => one.option === option);
          if (!question) continue;
          const open = question.answers.filter(({ excluded }) => excluded === undefined).map(({ choice }) => choice);
          const pick = picks.next().value ?? 0;
          answers = { ...answers, [option]: [...open, DONT_KNOW][pick % (open.length + 1)] };
        }
        expect(problemsOf(compose(template, surveyed(template, answers).choices))).toEqual([]);
      }),
      { numRuns: 200, seed: 11 },
    );
  });
});

describe('an answer changed later', () => {
  const before = surveyed(cradle, {}).choices;

  it('brings and takes what it brings and takes', () => {
    const map = compose(cradle, { ...before, oilCooler: 'yes' });
    const without = reanswered(map, cradle, { ...before, oilCooler: 'yes' }, { ...before, oilCooler: 'no' });
    expect(without).toEqual(compose(cradle, { ...before, oilCooler: 'no' }));
    expect(
      reanswered(without, cradle, { ...before, oilCooler: 'no' }, { ...before, oilCooler: 'yes' }).connections,
    ).toHaveLength(map.connections.length);
  });

  it('has its coils, plugs, oil and weight follow when the cylinders are counted again', () => {
    const [five, six] = (['5', 'v6'] as const).map((cylinders) => ({ ...before, cylinders }));
    if (!five || !six) throw new Error('Two machines are held against each other.');
    expect(reanswered(compose(cradle, five), cradle, five, six)).toEqual({
      ...compose(cradle, six),
      parts: expect.arrayContaining([...compose(cradle, six).parts]),
      connections: expect.arrayContaining([...compose(cradle, six).connections]),
      renewals: expect.arrayContaining([...(compose(cradle, six).renewals ?? [])]),
    });
  });

  it('keeps what somebody edited meanwhile', () => {
    const with1 = { ...before, oilCooler: 'yes' } as const;
    const edited = applyEdit(compose(cradle, with1), {
      kind: 'change-connection',
      id: 'upper-hose',
      change: { name: 'the short upper hose' },
    });
    const after = reanswered(edited, cradle, with1, { ...before, oilCooler: 'no', refrigerant: 'none' });
    expect(after.connections.find(({ id }) => id === 'upper-hose')?.name).toBe('the short upper hose');
    expect(lintMap(after)).toEqual([]);
  });

  it('takes along what hung on a part that is gone', () => {
    const map = applyEdit(usualMap('transverse-cradle'), {
      kind: 'add-connection',
      connection: connection({
        id: 'extra-bracket',
        name: 'an extra bracket',
        kind: 'bolted',
        between: ['undertray', 'engine'],
        system: 'body',
        station: 'underside',
        minutes: minutes(1, 2, 3),
      }),
    });
    const usual = surveyed(cradle, {}).choices;
    const after = reanswered(map, cradle, { ...usual, undertray: 'yes' }, { ...usual, undertray: 'no' });
    expect(after.connections.map(({ id }) => id)).not.toContain('extra-bracket');
  });
});
