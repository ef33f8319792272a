import { INSPECTION_SHEET, verdictOf, type Found, type InspectionSheet } from './index.js';

const best: Found = Object.fromEntries(
  INSPECTION_SHEET.inspections.map(({ id, findings }) => [
    id,
    findings.reduce((one, other) => (other.weight > one.weight ? other : one)).id,
  ]),
);
const verdict = (changes: Found = {}) => verdictOf(INSPECTION_SHEET, { ...best, ...changes });

describe('the verdict on a donor', () => {
  it('is the sum of the sheet, and says what it is made of', () => {
    const { points, bet, against, inFavour } = verdict({ oil: 'black', distance: 'high' });
    const sum = (id: string, finding: string) =>
      INSPECTION_SHEET.inspections.find((one) => one.id === id)?.findings.find((one) => one.id === finding)?.weight ??
      0;
    expect(points).toBe(
      verdict().points + sum('oil', 'black') - sum('oil', 'clean') + sum('distance', 'high') - sum('distance', 'low'),
    );
    expect(bet).toBe('good-bet');
    expect(against.map(({ words }) => words)).toEqual(['It has gone far.', 'Overdue, no more.']);
    expect(inFavour[0]?.words).toBe('A wrecked runner is a better bet than a retired one.');
  });

  it.each([
    [{ turns: 'not' }, /does not turn/],
    [{ filter: 'flakes' }, /Flakes of bearing/],
    [{ intake: 'swallowed' }, /swallowed broken pieces/],
  ])('is to leave it, whatever else is right, with %j', (found, words) => {
    const { bet, stops } = verdict(found);
    expect(bet).toBe('leave-it');
    expect(stops.join()).toMatch(words);
  });

  it('falls from good bet over a closer look to leaving it as things add up', () => {
    expect(verdict({ impact: 'front-hard', underside: 'dented' }).bet).toBe('good-bet');
    expect(verdict({ impact: 'front-hard', underside: 'dented', ran: 'stopped' }).bet).toBe('look-closer');
    expect(verdict({ impact: 'front-hard', underside: 'holed', ran: 'stopped', oil: 'milky' }).bet).toBe('leave-it');
  });

  it('is never a good bet when a third has not been looked at, and says what to look at next, gravest first', () => {
    const { bet, next, unseen } = verdictOf(INSPECTION_SHEET, { ran: 'ran', turns: 'even' });
    expect(bet).not.toBe('good-bet');
    expect(unseen).toHaveLength(INSPECTION_SHEET.inspections.length - 2);
    expect(next[0]).toBe('What is in the intake?');
  });

  it('says what to check because of what was found, before what was not looked at', () => {
    const { complete: _complete, ...rest } = best;
    expect(verdictOf(INSPECTION_SHEET, { ...rest, turns: 'tight' }).next).toEqual([
      'Plugs out, turn again, lamp in the cylinders',
      'Is everything still on it?',
    ]);
  });

  it('follows the shop’s own weights', () => {
    const strict: InspectionSheet = { ...INSPECTION_SHEET, goodFrom: 200 };
    expect(verdictOf(strict, best).bet).toBe('look-closer');
  });
});
