import {
  CLOCK_FORMS,
  DAY_FORMS,
  dayWords,
  longMomentWords,
  momentWords,
  shortDayWords,
  timeWords,
  weekdayWords,
  type Writing,
} from './index.js';

const MOMENT = '2026-03-04T14:05:00';

describe('days and times', () => {
  it('are said in one form until the shop chooses another', () => {
    expect(dayWords('2026-03-04')).toBe('4 Mar 2026');
    expect(shortDayWords(MOMENT)).toBe('4 Mar');
    expect(timeWords(MOMENT)).toBe('14:05');
    expect(momentWords(new Date(MOMENT))).toBe('4 Mar 14:05');
    expect(longMomentWords(MOMENT)).toBe('4 Mar 2026, 14:05');
    expect(weekdayWords(MOMENT, false)).toBe('Wed 14:05');
    expect(weekdayWords(MOMENT, true)).toBe('Wed 4 Mar 14:05');
  });

  it.each(
    DAY_FORMS.flatMap((days) => CLOCK_FORMS.map((clock): [Writing, string] => [{ days, clock }, `${days} ${clock}`])),
  )('are written as the shop writes them: %j', (as) => {
    const day = { 'd MMM yyyy': '4 Mar 2026', 'dd.MM.yyyy': '04.03.2026', 'dd/MM/yyyy': '04/03/2026' };
    const other = { 'MM/dd/yyyy': '03/04/2026', 'yyyy-MM-dd': '2026-03-04' };
    expect(dayWords('2026-03-04', as)).toBe({ ...day, ...other }[as.days]);
    expect(timeWords(MOMENT, as)).toBe(as.clock === 'HH:mm' ? '14:05' : '2:05 PM');
    expect(longMomentWords(MOMENT, as)).toBe(`${dayWords('2026-03-04', as)}, ${timeWords(MOMENT, as)}`);
    expect(momentWords(MOMENT, as)).toBe(`${shortDayWords(MOMENT, as)} ${timeWords(MOMENT, as)}`);
  });

  it('stay as they were written where they are none', () => {
    expect(dayWords('soon')).toBe('soon');
    expect(momentWords('')).toBe('');
  });
});
