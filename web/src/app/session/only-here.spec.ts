import { firstValueFrom, Subject } from 'rxjs';
import { note } from '../../testing/open-desk';
import { theirEntry } from '../../testing/test-job';
import { HeldUpList } from './held-up';
import { OnlyHere } from './only-here';
import { Outbox } from './outbox';

describe('what only this device has', () => {
  const kept = () => new Outbox().read('job');
  beforeEach(() => localStorage.clear());

  it('stays on it, although the server has it, until it is written with the job: a reload in between loses nothing', async () => {
    const here = new OnlyHere(new Outbox(), new HeldUpList());
    here.open('job');
    const entry = theirEntry(note('Mine'));
    here.keep([entry]);
    const written = new Subject<undefined>();
    const done = firstValueFrom(written);
    here.confirm([], done);
    expect(here.waiting()).toEqual([]);
    expect(Object.keys(localStorage).filter((key) => key.startsWith('brisk-outbox:job:'))).toHaveLength(1);
    written.next(undefined);
    await done;
    await Promise.resolve();
    expect(kept()).toEqual([]);
  });

  it('is not dropped with what was confirmed when more was recorded meanwhile', async () => {
    const here = new OnlyHere(new Outbox(), new HeldUpList());
    here.open('job');
    const [first, second] = [theirEntry(note('First')), theirEntry(note('Second'))];
    here.keep([first]);
    const written = new Subject<undefined>();
    const done = firstValueFrom(written);
    here.confirm([], done);
    here.keep([second]);
    written.next(undefined);
    await done;
    await Promise.resolve();
    expect(kept()).toEqual([second]);
  });
});
