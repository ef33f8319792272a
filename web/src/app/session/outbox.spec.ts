import { theirEntry } from '../../testing/test-job';
import { Outbox } from './outbox';

describe('the outbox', () => {
  const entry = (id: string, at: string) => ({ ...theirEntry({ kind: 'noted', text: id }), id, at });

  it('counts a spoiled list as empty', () => {
    localStorage.setItem('brisk-outbox:a:x', '{broken');
    localStorage.setItem('brisk-outbox:a:y', '{"not":"a list"}');
    localStorage.setItem('brisk-outbox:a:z', '[null, 7, {}, {"id":"x"}, {"entry":{}}]');
    expect(new Outbox().read('a')).toEqual([]);
  });

  it('keeps two open pages from writing over each other, and hands on what a closed one left', () => {
    const [one, other] = [new Outbox(), new Outbox()];
    const [early, late] = [entry('early', '2026-03-02T07:00:00.000Z'), entry('late', '2026-03-02T08:00:00.000Z')];
    other.keep('a', [late]);
    one.keep('a', [early]);
    expect(new Outbox().read('a')).toEqual([early, late]);
    expect(new Outbox().read('a')).toEqual([early, late]);
    expect(Object.keys(localStorage)).toHaveLength(1);
  });

  it('does not mix jobs, and leaves nothing behind when all is sent', () => {
    const outbox = new Outbox();
    outbox.keep('a', [entry('mine', '2026-03-02T07:00:00.000Z')]);
    expect(outbox.read('b')).toEqual([]);
    outbox.keep('a', []);
    expect(Object.keys(localStorage)).toEqual([]);
  });
});
