import { usualMap } from '../layouts/index.js';
import { foldLedger, nextUp, type JobState } from '../ledger/index.js';
import { brokenBy, orderOf, planned, usualSettings, whatIfNow } from './index.js';

const fresh = foldLedger(
  { map: usualMap('longitudinal-automatic'), powerpack: 'engine-with-gearbox', route: 'top' },
  [],
);
const two = usualSettings(['Ines', 'Tobias']);
const operation = (state: JobState, id: string) => {
  const found = state.work.operations.get(id);
  if (!found) throw new Error(`There is no ${id}.`);
  return found;
};

describe('what if it were done now', () => {
  it('names each broken reason and the harm', () => {
    const words = whatIfNow(fresh, operation(fresh, 'open:gearbox-mount')).map(({ harm }) => harm);
    expect(words.some((harm) => /has nothing under it/.test(harm))).toBe(true);
    const lead = whatIfNow(fresh, operation(fresh, 'open:starter-cable'));
    expect(lead.some(({ harm }) => harm.includes('live lead'))).toBe(true);
    expect(lead[0]?.grave).toBe(true);
  });

  it('speaks of litres, and of how the machine stands', () => {
    const breaches = whatIfNow(fresh, operation(fresh, 'open:lower-hose'));
    expect(breaches.some(({ harm }) => /l of coolant run out/.test(harm))).toBe(true);
    const below = whatIfNow(fresh, operation(fresh, 'open:prop-front'));
    expect(below.some(({ harm }) => harm.includes('on a jack alone'))).toBe(true);
  });

  it('says nothing where nothing speaks against it', () => {
    expect(whatIfNow(fresh, operation(fresh, 'open:battery-negative')).every(({ step }) => step !== undefined)).toBe(
      true,
    );
    const next = nextUp(fresh)?.operation;
    expect(next && whatIfNow(fresh, next)).toEqual([]);
  });

  it('says what an order of the crew’s own would break', () => {
    const { schedule, problem } = planned(fresh, 'out', two, undefined);
    const order = [...orderOf(schedule)];
    expect(brokenBy(fresh, order, problem.precedence)).toEqual([]);
    const first = order.indexOf('open:starter-cable');
    order.splice(first, 1);
    order.unshift('open:starter-cable');
    const broken = brokenBy(fresh, order, problem.precedence);
    expect(broken.every(({ early }) => early.id === 'open:starter-cable')).toBe(true);
    expect(broken.some(({ step }) => step?.id === 'hold:made-safe')).toBe(true);
  });
});
