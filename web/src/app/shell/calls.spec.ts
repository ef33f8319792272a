import { TestBed } from '@angular/core/testing';
import { theirEntry } from '../../testing/test-job';
import { openView } from '../../testing/open-job';
import { Person } from '../session/person';
import { Calls } from './calls';

const call = () =>
  theirEntry({ kind: 'help-called', text: 'Bring the 36 spanner', operation: 'open:battery-negative', who: 'Ines' });

describe('a call from another step', () => {
  it('stands with who called, for what and where, until somebody is on it', async () => {
    const { text, press, server } = await openView(Calls, [call()]);
    expect(text()).toMatch(/Tobias calls Ines.*Bring the 36 spanner.*at: Unbolt the battery negative lead/s);
    await press('I am on it: Bring the 36 spanner');
    expect(text()).toBe('');
    expect(server.entries.at(-1)).toMatchObject({ kind: 'help-answered', by: 'Ines' });
  });

  it('is shown to who called as well: that nobody comes yet, who comes, and that it is over', async () => {
    const { desk, text, press, settle, server } = await openView(Calls);
    desk.record({ kind: 'help-called', text: 'Lend a hand' });
    await settle();
    expect(text()).toMatch(/You called.*Lend a hand.*No longer needed/s);
    TestBed.inject(Person).choose('Tobias');
    await settle();
    await press('I am on it: Lend a hand');
    TestBed.inject(Person).choose('Ines');
    await settle();
    expect(text()).toMatch(/Tobias is on it\s+Lend a hand/);
    await press('Seen: Lend a hand');
    expect(text()).toBe('');
    desk.record({ kind: 'help-called', text: 'Bring a tray' });
    await settle();
    await press('No longer needed: Bring a tray');
    expect(text()).toBe('');
    expect(server.entries.at(-1)).toMatchObject({ kind: 'help-answered', by: 'Ines' });
  });

  it('is felt in the hand of who is called, once, and not by who opens the page later', async () => {
    const vibrate = jest.fn();
    Object.defineProperty(navigator, 'vibrate', { value: vibrate, configurable: true });
    const { settle, server, desk } = await openView(Calls, [call()]);
    expect(vibrate).not.toHaveBeenCalled();
    server.entries.push(
      theirEntry({ kind: 'help-called', text: 'Lend a hand' }),
      theirEntry({ kind: 'help-called', text: 'For Ruth', who: 'Ruth' }),
    );
    desk.reload();
    await settle();
    expect(vibrate).toHaveBeenCalledTimes(1);
    Reflect.deleteProperty(navigator, 'vibrate');
  });
});
