import type { JobPlan } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { foldLedger, type EntryBody, type JobState, type PlanSettings } from '../ledger/index.js';
import { recorder, write } from '../testing/crew.js';
import {
  agedBy,
  clockWords,
  orderOf,
  planned,
  settingsNow,
  usualSettings,
  waitsNow,
  whenWords,
  workUntil,
} from './index.js';

const plan: JobPlan = { map: usualMap('longitudinal-automatic'), powerpack: 'engine-with-gearbox', route: 'top' };
const begun = Date.parse('2026-03-02T07:00:00.000Z');
const after = (minutes: number) => begun + minutes * 60_000;
/** Entry number n is written n minutes after the beginning. */
const job = (...bodies: readonly EntryBody[]): JobState => {
  const record = recorder('Ines', '2026-03-02T07:00:00.000Z');
  return bodies.reduce((state, body) => write(state, record(body)), foldLedger(plan, []));
};
const stuck = (more: object = {}): EntryBody =>
  ({
    kind: 'operation-stuck',
    operation: 'open:downpipe-turbo',
    trouble: 'seized',
    tried: 'Penetrant',
    minutesLost: 5,
    ...more,
  }) as EntryBody;
const followed = (settings: PlanSettings): EntryBody => {
  const { schedule } = planned(foldLedger(plan, []), 'out', settings, undefined);
  const { finishMin, heightChanges } = schedule.costs;
  return { kind: 'plan-followed', half: 'out', order: orderOf(schedule), ...settings, finishMin, heightChanges };
};

describe('what has to wait', () => {
  it('is a stuck step, for as long as it was left to soak, less what is over of it', () => {
    const soaking = job(stuck({ soakMin: 40 }));
    expect(waitsNow(soaking)).toMatchObject([{ operation: 'open:downpipe-turbo', min: 40 }]);
    expect(waitsNow(soaking, after(11))).toMatchObject([{ min: 30 }]);
    expect(waitsNow(soaking, after(500))).toMatchObject([{ min: 0 }]);
    expect(waitsNow(job(stuck()))).toMatchObject([{ min: 30 }]);
  });

  it('is nobody knows how long where a part is missing', () => {
    const [wait] = waitsNow(job(stuck({ trouble: 'part-missing' })), after(20));
    expect(wait).toEqual({ operation: 'open:downpipe-turbo', why: 'A part is missing' });
  });

  it('is a little while for what was put off, and nothing for what is not on this machine', () => {
    const skipped = (mode: 'later' | 'not-here'): EntryBody => ({
      kind: 'operation-skipped',
      operation: 'open:airbox-bolts',
      mode,
      reason: 'Fetching a socket',
    });
    expect(waitsNow(job(skipped('later')))).toEqual([{ operation: 'open:airbox-bolts', min: 15, why: 'Put off' }]);
    expect(waitsNow(job(skipped('not-here')))).toEqual([]);
  });
});

describe('a step whose part is on its way', () => {
  const seal: EntryBody = { kind: 'renewal-decided', renewals: ['converter-seal'], doIt: 'now' };
  const ordered: EntryBody = {
    kind: 'part-moved-on',
    need: 'converter-seal-1',
    to: 'ordered',
    expectedOn: '2026-03-04',
  };

  it('waits until the shop opens on the day it is expected, and no longer once it is here', () => {
    const [wait] = waitsNow(job(seal, ordered), new Date(2026, 2, 2, 14).getTime());
    expect(wait).toEqual({
      operation: 'renew:converter-seal',
      min: 120 + 510,
      why: 'Waiting for: converter seal',
    });
    const here: EntryBody = { kind: 'part-moved-on', need: 'converter-seal-1', to: 'arrived' };
    expect(waitsNow(job(seal, ordered, here), after(60))).toEqual([]);
  });

  it('does not wait where nobody knows the day: the step comes up, and is stuck if it has to be', () => {
    const { expectedOn: _day, ...sometime } = ordered as EntryBody & { readonly expectedOn?: string };
    expect(waitsNow(job(seal, sometime), after(60))).toEqual([]);
  });

  it('keeps what can be done meanwhile in the plan before it', () => {
    const state = job(seal, ordered);
    const settings = settingsNow(state, 'bench', ['Ines', 'Tobias'], new Date(2026, 2, 2, 14).getTime());
    const { steps } = planned(state, 'bench', settings, undefined).schedule;
    const startOf = (id: string) => steps.find(({ operation }) => operation.id === id)?.startMin ?? NaN;
    expect(startOf('renew:converter-seal')).toBeGreaterThanOrEqual(630);
    expect(startOf('open:bell-housing')).toBeLessThan(120);
  });
});

describe('what the rest is planned with', () => {
  const crew = usualSettings(['Ines', 'Tobias']);

  it('is the usual for the crew of the job where no plan is followed', () => {
    const settings = settingsNow(job(stuck()), 'out', ['Ines', 'Tobias', 'Ruth', 'Marit'], after(1));
    expect(settings.crew.hands.map(({ name }) => name)).toEqual(['Ines', 'Tobias', 'Ruth']);
    expect(settings.waits).toHaveLength(1);
  });

  it('is what the plan was made with, so much nearer as time has passed since', () => {
    const settings: PlanSettings = {
      ...crew,
      crew: { ...crew.crew, hands: [{ name: 'Ines' }, { name: 'Tobias', away: [{ fromMin: 120 }] }] },
      waits: [{ operation: 'open:upper-hose', min: 30, why: 'Hot' }],
      pins: [{ of: 'open:oil-pressure', before: 'open:oil-pressure', after: 'open:airbox-bolts' }],
    };
    const now = settingsNow(job(followed(settings)), 'out', ['Nobody'], after(21));
    expect(now.crew.hands).toEqual([{ name: 'Ines' }, { name: 'Tobias', away: [{ fromMin: 100 }] }]);
    expect(now.waits).toEqual([{ operation: 'open:upper-hose', min: 10, why: 'Hot' }]);
    expect(now.pins).toEqual(settings.pins);
  });

  it('takes in what got stuck since, once, and drops what is settled', () => {
    const waits = [
      { operation: 'open:downpipe-turbo', min: 200, why: 'Two days in oil' },
      { operation: 'do:codes-before', min: 60, why: 'Tester is out' },
    ];
    const state = job(followed({ ...crew, waits }), stuck({ soakMin: 40 }), {
      kind: 'operation-done',
      operation: 'do:codes-before',
    });
    const now = settingsNow(state, 'out', [], after(4));
    expect(now.waits).toEqual([{ operation: 'open:downpipe-turbo', min: 197, why: 'Two days in oil' }]);
    expect(settingsNow(state, 'back', ['Ruth'], after(4)).crew.hands).toEqual([{ name: 'Ruth' }]);
  });
});

describe('what a plan is made with', () => {
  const crew = usualSettings(['Ines', 'Tobias']);

  it('come nearer as time goes by', () => {
    const settings: PlanSettings = {
      ...crew,
      crew: {
        ...crew.crew,
        hands: [
          { name: 'Ines', away: [{ fromMin: 60, untilMin: 90 }] },
          { name: 'Tobias', away: [{ fromMin: 10 }] },
        ],
      },
      waits: [{ operation: 'open:downpipe-turbo', min: 45, why: 'Stuck' }],
    };
    const later = agedBy(settings, 0, 40 * 60_000);
    expect(later.crew.hands).toEqual([
      { name: 'Ines', away: [{ fromMin: 20, untilMin: 50 }] },
      { name: 'Tobias', away: [{ fromMin: 0 }] },
    ]);
    expect(later.waits[0]?.min).toBe(5);
    expect(agedBy(settings, 0, 100 * 60_000).crew.hands[0]).toEqual({ name: 'Ines' });
  });

  it('keep the time of day at which somebody leaves, whenever they are reckoned anew', () => {
    const day = { begins: '07:30', ends: '16:00' };
    const made = new Date(2026, 2, 3, 10, 12, 37);
    const leaves = new Date(2026, 2, 3, 15, 0);
    const settings: PlanSettings = {
      ...crew,
      crew: {
        ...crew.crew,
        day,
        hands: [
          {
            name: 'Ines',
            away: [
              {
                fromMin: workUntil('15:00', made, day) ?? 0,
                untilMin: 400,
                leavesAt: leaves.toISOString(),
                backAt: new Date(2026, 2, 3, 16, 0).toISOString(),
              },
            ],
          },
          { name: 'Tobias' },
        ],
      },
    };
    for (const later of [0, 41_000, 3 * 3_600_000 + 11_000]) {
      const now = new Date(made.getTime() + later);
      const [away] = agedBy(settings, made.getTime(), now.getTime()).crew.hands[0]?.away ?? [];
      expect(clockWords(away?.fromMin ?? 0, now, day)).toBe('15:00');
    }
    const evening = new Date(2026, 2, 3, 16, 0).getTime();
    expect(agedBy(settings, made.getTime(), evening).crew.hands[0]).toEqual({ name: 'Ines' });
    expect(whenWords(60, new Date(2026, 2, 3, 15, 30), day)).toBe('Wed 08:00');
    expect(whenWords(20, new Date(2026, 2, 3, 15, 30), day)).toBe('15:50');
  });

  it('begin with no more people than find room', () => {
    expect(usualSettings(['A', 'B', 'C', 'D', 'E']).crew.hands).toHaveLength(3);
  });
});
