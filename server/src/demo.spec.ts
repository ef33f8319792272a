import { check } from '@brisk/contracts/check';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { bundleSchema, type Bundle } from '@brisk/contracts/bundle';
import { toolListSchema, type ToolList } from '@brisk/contracts/shop';
import type { JobPlan } from '@brisk/core/connection-map';
import { foldLedger, openItems, replay, startOf, stopOf, type JobState } from '@brisk/core/ledger';
import { compose, templateOf } from '@brisk/core/layouts';
import { toolsNeeded } from '@brisk/core/planning';

const folder = join(process.cwd(), 'demo/larkmoor');
const bundles = readdirSync(folder).map(
  (file) => [file, JSON.parse(readFileSync(join(folder, file), 'utf8')) as Bundle] as const,
);

describe.each(bundles)('the demo bundle %s', (_file, bundle) => {
  it('is in our own format, on the layout we ship, and could have been recorded', () => {
    expect(check(bundleSchema, bundle)).toEqual({ value: bundle });
    const { layout, choices } = bundle.job.survey ?? { layout: '', choices: {} };
    expect(bundle.job.plan.map).toEqual(compose(templateOf(layout), choices));
    expect(replay(startOf(bundle.job.plan), bundle.ledger).refused).toBeUndefined();
    expect(bundle.ledger).toHaveLength(bundle.ledgerLength);
  });
});

describe('the demo’s tools', () => {
  it('can be kept as a shop’s list, and the sweeper’s plan names the one that is missing', () => {
    const document = JSON.parse(readFileSync(join(process.cwd(), 'demo/tools.json'), 'utf8')) as ToolList;
    expect(check(toolListSchema, { revision: 0, document })).toEqual({ value: { revision: 0, document } });
    const sweeper = bundles.find(([file]) => file.startsWith('sweeper'))?.[1];
    const state = foldLedger(sweeper?.job.plan as JobPlan, sweeper?.ledger ?? []);
    expect(state.plans.get('out')).toMatchObject({ version: 2, by: 'Tobias' });
    const lacking = toolsNeeded([...state.work.operations.values()], document.tools).filter(
      ({ stands }) => stands === 'lacking',
    );
    expect(lacking.map(({ tool }) => tool)).toEqual(['ball joint puller']);
  });
});

describe('the demo scenario', () => {
  const stateOf = (name: string): JobState => {
    const bundle = bundles.find(([file]) => file.startsWith(name))?.[1];
    if (!bundle) throw new Error(`No ${name}`);
    return foldLedger(bundle.job.plan, bundle.ledger);
  };

  it('has one half stripped with a stuck step, one at first start with real trouble, one finished', () => {
    const minibus = stateOf('minibus');
    expect(stopOf(minibus)).toBe('strip');
    expect([...minibus.progress.values()].some(({ is }) => is === 'stuck')).toBe(true);
    const deicer = stateOf('de-icer');
    expect(stopOf(deicer)).toBe('first-start');
    expect(
      openItems(deicer)
        .filter(({ grave }) => grave)
        .map(({ is }) => is),
    ).toEqual(expect.arrayContaining(['left-on-purpose', 'count', 'issue']));
    expect(stateOf('tender').handedOver).toBeDefined();
    expect(stopOf(stateOf('sweeper'))).toBe('plan');
  });

  it('is on five layouts, by four routes', () => {
    const plans = bundles.map(([, { job }]) => job.plan);
    expect(new Set(plans.map(({ map }) => map.layout)).size).toBeGreaterThanOrEqual(5);
    expect(new Set(plans.map(({ map, route }) => map.routes.find(({ id }) => id === route)?.name)).size).toBe(4);
  });
});
