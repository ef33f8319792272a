import { recorder } from '../testing/crew.js';
import { refused, start, stripped, then, until } from '../testing/small-job.js';
import { canApply, extend, gateOf, isDone, nextUp, openCalls, type EntryBody, type JobState } from './index.js';

const ines = recorder('Ines', '2026-03-03T07:00:00.000Z');
const tobias = recorder('Tobias', '2026-03-03T07:00:00.000Z');
const writtenBy = (who: typeof ines, state: JobState, body: EntryBody): JobState => {
  const entry = { ...who(body), id: `${state.position}-${body.kind}` };
  const words = canApply(state, entry).map((refusal) => refusal.words);
  if (words.length > 0) throw new Error(words.join(' '));
  return extend(state, [entry]);
};
const two = (asked: boolean): EntryBody => ({ kind: 'second-signer-asked', holdPoint: 'pre-lift', asked });
const sign = (state: JobState): EntryBody => ({
  kind: 'hold-point-signed',
  holdPoint: 'pre-lift',
  confirmed: gateOf(state, 'pre-lift').holdPoint.confirmations.map(({ id }) => id),
});

describe('a hold point that two sign', () => {
  const asked = then(stripped, two(true));

  it('is passed by the second of them, who is somebody else', () => {
    const half = writtenBy(ines, asked, sign(asked));
    expect(gateOf(half, 'pre-lift')).toMatchObject({ twoSign: true, firstOfTwo: { by: 'Ines' } });
    expect(gateOf(half, 'pre-lift').signed).toBeUndefined();
    expect(isDone(half, 'hold:pre-lift')).toBe(false);
    expect(nextUp(half)?.operation.id).toBe('hold:pre-lift');
    expect(() => writtenBy(ines, half, sign(half))).toThrow('Ines has signed as the first of two. Somebody else');
    const whole = writtenBy(tobias, half, sign(half));
    expect(gateOf(whole, 'pre-lift').signed).toMatchObject({ by: 'Tobias' });
    expect(nextUp(whole)?.operation.id).not.toBe('hold:pre-lift');
    expect(() => writtenBy(tobias, whole, sign(whole))).toThrow('signed already');
  });

  it('asks the second for every look again', () => {
    const half = writtenBy(ines, asked, sign(asked));
    expect(() => writtenBy(tobias, half, { kind: 'hold-point-signed', holdPoint: 'pre-lift', confirmed: [] })).toThrow(
      'Not confirmed',
    );
  });

  it('needs only one again where that is said before anybody signed, and not between the two', () => {
    const one = then(asked, two(false));
    expect(isDone(writtenBy(ines, one, sign(one)), 'hold:pre-lift')).toBe(true);
    const half = writtenBy(ines, asked, sign(asked));
    expect(refused(half, two(false))).toMatch(/Ines has signed .* as the first of two\. Take that back first/);
  });

  it('is asked for once, and not where it is signed', () => {
    expect(refused(asked, two(true))).toMatch(/signed by two already/);
    expect(refused(stripped, two(false))).toMatch(/signed by one already/);
    expect(
      refused(
        until((state) => isDone(state, 'hold:pre-lift')),
        two(true),
      ),
    ).toMatch(/signed already/);
  });

  it('is looked at by both again when one more is found between the two', () => {
    const half = writtenBy(ines, asked, sign(asked));
    const found = writtenBy(ines, half, {
      kind: 'connection-found',
      connection: {
        id: 'strap',
        name: 'the strap behind the head',
        kind: 'ground',
        between: ['engine', 'body'],
        station: 'bay-top',
        height: 'either',
      },
      alreadyOpen: true,
    });
    expect(gateOf(found, 'pre-lift')).toMatchObject({ twoSign: true });
    expect(gateOf(found, 'pre-lift').firstOfTwo).toBeUndefined();
  });

  it('comes back to its first signature when the second is taken back', () => {
    const half = writtenBy(ines, asked, sign(asked));
    const whole = writtenBy(tobias, half, sign(half));
    const last = whole.entries.at(-1)?.id ?? '';
    const back = writtenBy(ines, whole, { kind: 'corrected', corrects: last, reason: 'Looked at the wrong side' });
    expect(gateOf(back, 'pre-lift').firstOfTwo).toMatchObject({ by: 'Ines' });
    expect(gateOf(back, 'pre-lift').signed).toBeUndefined();
  });
});

describe('a call', () => {
  const call: EntryBody = { kind: 'help-called', text: 'Bring the 36 spanner', operation: 'open:hose' };
  const called = writtenBy(ines, start, call);
  const [open] = openCalls(called);
  const answer: EntryBody = { kind: 'help-answered', call: open?.entry ?? '' };

  it('is open until somebody is on it, and answered once', () => {
    expect(open).toMatchObject({ by: 'Ines', text: 'Bring the 36 spanner', operation: 'open:hose' });
    const answered = writtenBy(tobias, called, answer);
    expect(openCalls(answered)).toEqual([]);
    expect(answered.calls.get(open?.entry ?? '')?.answered).toMatchObject({ by: 'Tobias' });
    expect(refused(answered, answer)).toBe('Tobias is on it already.');
  });

  it('is refused where so many are open that they would cover the work', () => {
    let full = start;
    for (let calls = 0; calls < 6; calls += 1) full = writtenBy(ines, full, call);
    expect(refused(full, call)).toMatch(/^6 calls are open\. See to one of them first/);
    expect(
      refused(writtenBy(tobias, full, { kind: 'help-answered', call: openCalls(full)[0]?.entry ?? '' }), call),
    ).toBe('');
  });

  it('is ended by who called', () => {
    expect(refused(writtenBy(ines, called, answer), answer)).toBe('Ines needs it no more.');
  });

  it('names a step there is, and is answered only where it was made', () => {
    expect(refused(start, { ...call, operation: 'open:nothing' })).toMatch(/step/);
    expect(refused(start, answer)).toBe('Nobody called so in this ledger.');
  });
});
