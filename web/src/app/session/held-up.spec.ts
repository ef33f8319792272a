import { TestBed } from '@angular/core/testing';
import type { EntryBody } from '@brisk/core/ledger';
import { applyEdit } from '@brisk/core/map-edit';
import { first, kinds, note, openDesk, settled } from '../../testing/open-desk';
import { tick } from '../../testing/open-job';
import { problemAnswer } from '../../testing/problem-answer';
import { testJob, theirEntry } from '../../testing/test-job';
import { Outbox } from './outbox';

describe('what is held up', () => {
  it('holds up what the server refuses for good, keeps it over a reload, and does not send it for ever', async () => {
    const { desk, server } = await openDesk();
    server.nextAppend = problemAnswer('bad-input', 422, 'Text is too long.');
    desk.record(note('x'));
    await settled(desk, server);
    expect(desk.kept()).toBe(0);
    expect(desk.heldUp()[0]?.words).toBe('Text is too long.');
    await tick(30);
    expect(server.appends).toHaveLength(1);
    TestBed.resetTestingModule();
    const again = await openDesk(server);
    expect(again.desk.heldUp().map(({ words }) => words)).toEqual(['Text is too long.']);
    expect(server.appends).toHaveLength(1);
  });

  it('holds each up by itself where one of many is refused, and sends the rest', async () => {
    const { desk, server } = await openDesk();
    server.reachable = false;
    for (const text of ['one', 'two', 'three', 'four']) desk.record(note(text));
    await tick();
    const [, two] = TestBed.inject(Outbox).read(testJob.id);
    server.refuse = (entry) => entry.id === two?.id && problemAnswer('bad-input', 422, 'Not that one.');
    server.reachable = true;
    desk.reload();
    await settled(desk, server);
    expect(desk.kept()).toBe(0);
    expect(desk.heldUp().map(({ entry, words }) => [entry.id, words])).toEqual([[two?.id, 'Not that one.']]);
    expect(server.entries.map((entry) => (entry.kind === 'noted' ? entry.text : ''))).toEqual(['one', 'three', 'four']);
  });

  it('loses nothing where the map lost what some entries name meanwhile', async () => {
    const { desk, server } = await openDesk();
    server.reachable = false;
    const tag = (connection: string, number: number): EntryBody => ({ kind: 'tagged', connection, tag: number });
    desk.record(note('before'), tag('upper-hose', 1), note('between'), tag('breather-hose', 2), note('after'));
    await tick();
    const { plan } = server.opened;
    const map = applyEdit(plan.map, { kind: 'remove-connection', id: 'upper-hose' });
    server.opened = { ...server.opened, revision: 2, plan: { ...plan, map } };
    server.reachable = true;
    desk.reload();
    await settled(desk, server);
    expect(kinds(server)).toEqual(['noted', 'noted', 'tagged', 'noted']);
    expect(desk.heldUp().map(({ entry }) => entry.kind)).toEqual(['tagged']);
    expect(desk.kept()).toBe(0);
  });

  it('takes an id that stands for something else as no sign that its own was written', async () => {
    const { desk, server } = await openDesk();
    server.reachable = false;
    desk.record(note('mine'));
    await tick();
    const [mine] = TestBed.inject(Outbox).read(testJob.id);
    server.entries.push({ ...theirEntry(note('theirs')), id: mine?.id ?? '' });
    server.reachable = true;
    desk.reload();
    await settled(desk, server);
    const [held] = desk.heldUp();
    expect(held).toMatchObject({ entry: { id: mine?.id }, idUsed: true });
    if (held) desk.tryAgain(held);
    await settled(desk, server);
    expect(desk.heldUp()).toEqual([]);
    expect(server.entries.map((entry) => (entry.kind === 'noted' ? entry.text : ''))).toEqual(['theirs', 'mine']);
    expect(new Set(server.entries.map(({ id }) => id)).size).toBe(2);
  });

  it('makes a note of what is held up, or drops it, when told to', async () => {
    const { desk, server } = await openDesk();
    server.reachable = false;
    desk.record(first);
    desk.record(note('Still true'));
    await tick();
    server.entries.push(theirEntry(first), theirEntry(note('Theirs')));
    server.reachable = true;
    desk.reload();
    await settled(desk, server);
    const [held] = desk.heldUp();
    expect(held && desk.makeNote(held, 'Done: the lead, twice')).toBeUndefined();
    expect(desk.heldUp()).toEqual([]);
    await settled(desk, server);
    expect(server.entries.at(-1)).toMatchObject({ text: 'Done: the lead, twice', operation: 'do:codes-before' });
    server.nextAppend = problemAnswer('bad-input', 422, 'No.');
    desk.record(note('x'));
    await settled(desk, server);
    desk.letGo(desk.heldUp()[0]?.entry.id ?? '');
    expect(desk.heldUp()).toEqual([]);
    expect(Object.keys(localStorage).filter((key) => key.startsWith('brisk-held-up'))).toEqual([]);
  });

  it('is told again where it still may not be written, and stays where the device has no room', async () => {
    const { desk, server } = await openDesk();
    server.reachable = false;
    desk.record(first);
    await tick();
    server.entries.push(theirEntry(first));
    server.reachable = true;
    desk.reload();
    await settled(desk, server);
    const [held] = desk.heldUp();
    expect(held && desk.tryAgain(held)).toMatch(/finished already/);
    expect(desk.heldUp()).toHaveLength(1);
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    expect(held && desk.tryAgain(held)).toMatch(/no room left/);
    full.mockRestore();
    expect(desk.heldUp()).toHaveLength(1);
    expect(desk.kept()).toBe(0);
  });

  it('opens the job whatever a spoiled list holds', async () => {
    localStorage.setItem(`brisk-held-up:${testJob.id}:x`, '[null, {}, {"entry":7}, {"entry":{"id":1}}]');
    const { desk } = await openDesk();
    expect(desk.heldUp()).toEqual([]);
    expect(desk.line()).toBe('up');
  });
});
