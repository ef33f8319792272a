import { crewOf, NO_SCHOOL } from '../schedule/index.js';
import { refused, start, then } from '../testing/small-job.js';
import type { EntryBody } from './index.js';

const follow = (order: readonly string[], more: object = {}): EntryBody => ({
  kind: 'plan-followed',
  half: 'out',
  order,
  crew: crewOf(['Ines']),
  school: NO_SCHOOL,
  pins: [],
  waits: [],
  finishMin: 90,
  heightChanges: 1,
  ...more,
});
const ORDER = ['open:negative', 'open:cover-bolts', 'remove:cover'];

describe('a plan that is followed', () => {
  it('may leave steps out, but puts none before what it waits for', () => {
    expect(refused(start, follow(ORDER))).toBe('');
    expect(refused(start, follow(['open:cover-bolts', 'open:negative']))).toBe('');
    expect(refused(start, follow(['remove:cover', 'open:cover-bolts']))).toMatch(
      /^The plan puts “Lift the cover away” before “.*cover.*”\. /,
    );
    expect(refused(start, follow(['remove:cover', 'open:negative']))).toBe('');
  });

  it('has each step once, of its own half, and of this job', () => {
    expect(refused(start, follow([...ORDER, 'open:negative']))).toBe('The plan has a step twice.');
    expect(refused(start, follow([...ORDER, 'open:ghost']))).toMatch(/no step called “open:ghost”/);
    expect(refused(start, follow([...ORDER, 'close:negative']))).toMatch(/belongs to the other half/);
    expect(refused(start, follow(['close:cover-bolts'], { half: 'back' }))).toBe('');
  });

  it('moves the machine early only for a step it has', () => {
    expect(refused(start, follow(ORDER, { moveFirst: ['remove:cover'] }))).toBe('');
    expect(refused(start, follow(ORDER, { moveFirst: ['open:hose'] }))).toMatch(/a step it does not have/);
  });

  it('is the next version of its half, and leaves the other half alone', () => {
    const first = then(start, follow(ORDER));
    expect(first.plans.get('out')).toMatchObject({ version: 1, order: ORDER, finishMin: 90, heightChanges: 1 });
    expect(first.plans.get('out')).not.toHaveProperty('moveFirst');
    const both = then(
      first,
      follow(['close:cover-bolts'], { half: 'back' }),
      follow(ORDER.slice(0, 2), { moveFirst: ['open:negative'], finishMin: 60 }),
    );
    expect(both.plans.get('out')).toMatchObject({
      version: 2,
      order: ORDER.slice(0, 2),
      moveFirst: ['open:negative'],
      finishMin: 60,
      settings: { crew: crewOf(['Ines']), school: NO_SCHOOL },
    });
    expect(both.plans.get('back')).toMatchObject({ version: 1, order: ['close:cover-bolts'] });
  });
});
