import { TestBed } from '@angular/core/testing';
import { holding } from '@brisk/core/ledger';
import { FakeServer } from '../../testing/fake-server';
import { first, kinds, note, openDesk, second, settled } from '../../testing/open-desk';
import { problemAnswer } from '../../testing/problem-answer';
import { testJob, theirEntry } from '../../testing/test-job';
import { jobProviders, tick } from '../../testing/open-job';
import { Desk } from './desk';
import { JobsHere } from './jobs-here';
import { Outbox } from './outbox';
import { of, throwError } from 'rxjs';
import { Door } from './door';

describe('the desk', () => {
  it('loads a job and folds its ledger', async () => {
    const server = new FakeServer();
    server.entries = [theirEntry(first)];
    const { desk } = await openDesk(server);
    expect(desk.line()).toBe('up');
    expect(desk.state()?.position).toBe(1);
    expect(holding(desk.state() as NonNullable<ReturnType<Desk['state']>>)).toHaveLength(55);
  });

  it('says when there is no such job', async () => {
    const { desk } = await openDesk();
    desk.open('another');
    await tick();
    expect(desk.line()).toBe('missing');
  });

  it('fetches what others wrote as soon as the bell rings, and nothing where it rings for what is known', async () => {
    const { desk, server } = await openDesk();
    server.entries.push(theirEntry(first));
    server.rings.next({ position: 1, revision: 1 });
    await tick();
    expect(desk.state()?.position).toBe(1);
    const asked = jest.spyOn(server, 'entriesAfter');
    server.rings.next({ position: 1, revision: 1 });
    await tick();
    expect(asked).not.toHaveBeenCalled();
  });

  it('looks at once where the line of the bell is lost, and says that the server is away', async () => {
    const { desk, server } = await openDesk();
    server.reachable = false;
    server.rings.next('lost');
    await tick();
    expect(desk.line()).toBe('gone');
    server.reachable = true;
    server.rings.next({ position: 0, revision: 1 });
    await tick();
    expect(desk.line()).toBe('up');
  });

  it('records at once, signed by the one who works, and sends', async () => {
    const { desk, server } = await openDesk();
    const result = desk.record(first);
    expect(desk.state()?.position).toBe(1);
    await tick();
    expect(server.entries).toEqual('entries' in result ? result.entries : []);
    expect(server.entries[0]).toMatchObject({ by: 'Ines', kind: 'operation-done' });
    expect(desk.kept()).toBe(0);
  });

  it('refuses what may not be done, in words, and keeps nothing of it', async () => {
    const { desk, server } = await openDesk();
    const result = desk.record(note('Fine'), { kind: 'operation-done', operation: 'open:mount-left' });
    expect('refused' in result && result.refused).toMatch(/First: /);
    await tick();
    expect(desk.state()?.position).toBe(0);
    expect(server.entries).toEqual([]);
  });

  it('keeps entries while the server is gone, over a reload too, and sends them in order when it is back', async () => {
    const { desk, server } = await openDesk();
    server.reachable = false;
    desk.record(first);
    desk.record(second);
    await tick();
    expect(desk.line()).toBe('gone');
    expect(desk.kept()).toBe(2);

    TestBed.resetTestingModule();
    const again = await openDesk(server);
    expect(again.desk.line()).toBe('gone');
    expect(again.desk.kept()).toBe(2);
    server.reachable = true;
    again.desk.reload();
    await settled(again.desk, server);
    expect(again.desk.kept()).toBe(0);
    expect(server.entries.map((entry) => ('operation' in entry ? entry.operation : ''))).toEqual([
      'do:codes-before',
      'open:battery-negative',
    ]);
  });

  it('goes on top of what somebody else wrote meanwhile', async () => {
    const { desk, server } = await openDesk();
    server.entries.push(theirEntry(first));
    desk.record(note('Mine'));
    await settled(desk, server);
    expect(kinds(server)).toEqual(['operation-done', 'noted']);
    expect(desk.state()?.position).toBe(2);
    expect(desk.heldUp()).toEqual([]);
  });

  it('shows what can no longer stand, and sends the rest', async () => {
    const { desk, server } = await openDesk();
    server.reachable = false;
    desk.record(first);
    desk.record(note('Still true'));
    await tick();
    server.entries.push(theirEntry(first));
    server.reachable = true;
    desk.reload();
    await settled(desk, server);
    expect(desk.heldUp().map(({ words }) => words)).toEqual([expect.stringMatching(/finished already/)]);
    expect(kinds(server)).toEqual(['operation-done', 'noted']);
    expect(desk.kept()).toBe(0);
  });

  it('gives a bag the next number where somebody else took it meanwhile, and loses no count', async () => {
    const { desk, server } = await openDesk();
    const counted = (connection: string) => ({
      kind: 'fasteners-counted' as const,
      connection,
      direction: 'out' as const,
      count: 2,
      bag: 1,
      kept: 'bag' as const,
    });
    server.reachable = false;
    desk.record(counted('upper-hose'));
    desk.record({ kind: 'tagged', connection: 'upper-hose', tag: 1 });
    await tick();
    server.entries.push(
      theirEntry(counted('starter-cable')),
      theirEntry({ kind: 'tagged', connection: 'starter-cable', tag: 1 }),
    );
    server.reachable = true;
    desk.reload();
    await settled(desk, server);
    expect(desk.heldUp()).toEqual([]);
    expect(desk.state()?.bags.get('upper-hose')?.out).toMatchObject({ count: 2, bag: 2 });
    expect(desk.state()?.tags.get('upper-hose')).toBe(2);
    expect(desk.renumbered().map(({ kind }) => kind)).toEqual(['fasteners-counted', 'tagged']);
    expect(server.entries).toHaveLength(4);
  });

  it('asks before what it tags takes the place of a tag it did not know of, over a reload too, and writes it when told to', async () => {
    const { desk, server } = await openDesk();
    server.reachable = false;
    desk.record({ kind: 'tagged', connection: 'upper-hose', tag: 3 });
    await tick();
    const kept = TestBed.inject(JobsHere).read(testJob.id);
    server.entries.push(theirEntry({ kind: 'tagged', connection: 'upper-hose', tag: 1 }));
    server.reachable = true;
    TestBed.resetTestingModule();
    TestBed.configureTestingModule({ providers: jobProviders(server) });
    const told = await kept;
    if (told) await TestBed.inject(JobsHere).keep(told.job, told.entries);
    const again = TestBed.inject(Desk);
    again.open(testJob.id);
    await settled(again, server);
    const [held] = again.heldUp();
    expect(held).toMatchObject({ says: expect.stringMatching(/^Tag 3 on/) as unknown, replaces: true });
    expect(held?.words).toMatch(/^Tobias was there meanwhile: “Tag 1 on .*Yours would take its place/);
    expect(again.state()?.tags.get('upper-hose')).toBe(1);
    if (held) expect(again.tryAgain(held)).toBeUndefined();
    await settled(again, server);
    expect(again.heldUp()).toEqual([]);
    expect(server.entries.map((entry) => entry.kind === 'tagged' && entry.tag)).toEqual([1, 3]);
  });

  it('never writes twice when an answer is lost', async () => {
    const { desk, server } = await openDesk();
    server.reachable = false;
    desk.record(first);
    await tick();
    const [kept] = TestBed.inject(Outbox).read(testJob.id);
    if (kept) server.entries.push(kept);
    server.reachable = true;
    desk.reload();
    await settled(desk, server);
    expect(server.entries).toHaveLength(1);
    expect(desk.kept()).toBe(0);
    expect(desk.heldUp()).toEqual([]);
  });

  it('takes back unsent entries without a trace, and sent ones by a correction', async () => {
    const { desk, server } = await openDesk();
    const sent = desk.record(first);
    await tick();
    if ('entries' in sent) desk.undo(sent.entries);
    await tick();
    expect(kinds(server)).toEqual(['operation-done', 'corrected']);
    expect(desk.state()?.progress.size).toBe(0);

    server.reachable = false;
    const unsent = desk.record(note('Slip'));
    await tick();
    if ('entries' in unsent) desk.undo(unsent.entries);
    expect(desk.kept()).toBe(0);
  });

  it('says so when the device has no room left', async () => {
    const { desk } = await openDesk();
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    const result = desk.record(note('x'));
    full.mockRestore();
    expect('refused' in result && result.refused).toMatch(/no room left/);
    expect(desk.state()?.position).toBe(0);
  });
});

describe('a job that was opened on this device', () => {
  it('is there without the server, as it was confirmed last, and goes on from there when it is back', async () => {
    const { desk, server } = await openDesk();
    desk.record(first);
    await tick();
    const here = TestBed.inject(JobsHere);
    expect((await here.read(testJob.id))?.entries).toEqual(server.entries);

    server.reachable = false;
    const again = TestBed.runInInjectionContext(() => new Desk());
    again.open(testJob.id);
    await tick();
    expect(again.line()).toBe('gone');
    expect(again.state()?.position).toBe(1);
    again.record(second);
    expect([again.state()?.position, again.kept()]).toEqual([2, 1]);

    // Somebody else was at it meanwhile.
    server.entries.push(theirEntry(note('Theirs')));
    server.reachable = true;
    again.reload();
    await tick();
    await tick();
    expect(kinds(server)).toEqual(['operation-done', 'noted', 'operation-done']);
    expect([again.line(), again.kept()]).toEqual(['up', 0]);
  });

  it('is not shown from the device to who may not see it, and one never opened here is not there', async () => {
    const { server } = await openDesk();
    jest.spyOn(server, 'job').mockReturnValue(throwError(() => problemAnswer('sign-in', 401, 'Who is it?')));
    const other = TestBed.runInInjectionContext(() => new Desk());
    other.open(testJob.id);
    await tick();
    expect(other.state()).toBeUndefined();
    await TestBed.inject(JobsHere).forget();
    server.reachable = false;
    jest.restoreAllMocks();
    const never = TestBed.runInInjectionContext(() => new Desk());
    never.open(testJob.id);
    await tick();
    expect([never.line(), never.state()]).toEqual(['gone', undefined]);
  });
});

describe('who may only look', () => {
  it('records nothing, and is told at once', async () => {
    const { desk, server } = await openDesk();
    const gast = { id: 'g', name: 'Gast', role: 'guest', asksPin: false } as const;
    await TestBed.inject(Door).take(of({ open: false, needsFirst: false, me: gast, here: [gast] }));
    const result = desk.record(note('Wet'));
    expect('refused' in result && result.refused).toMatch(/Gast is a guest here/);
    await tick();
    expect([server.entries, desk.kept()]).toEqual([[], 0]);
  });
});
