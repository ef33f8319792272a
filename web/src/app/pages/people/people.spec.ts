import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { Ask } from '../../ui/ask';
import type { Asking } from '../../ui/asking';
import type { Device, Person, Session } from '@brisk/contracts/people';
import { of, throwError } from 'rxjs';
import { problemAnswer } from '../../../testing/problem-answer';
import { JobsInMemory } from '../../../testing/jobs-in-memory';
import { pressable, tick } from '../../../testing/open-job';
import { stillAndPlain } from '../../../testing/still-and-plain';
import { FakeServer } from '../../../testing/fake-server';
import { Api } from '../../api/api';
import { PeopleApi } from '../../api/people-api';
import { Door } from '../../session/door';
import { JobsHere } from '../../session/jobs-here';
import { PeopleView } from './people';

const since = '2026-03-02T07:00:00.000Z';
const people: readonly Person[] = [
  { id: 'i', name: 'Ines', role: 'crew', since, out: false },
  { id: 'k', name: 'Kamal', role: 'crew', since, out: true },
  { id: 'r', name: 'Ruth', role: 'lead', since, out: false },
];
const devices: readonly Device[] = [
  { id: 'd', name: 'Tablet', since, lastSeen: since, people: ['Ines'], thisOne: false },
];
const at = (role: 'crew' | 'lead'): Session => ({
  open: false,
  needsFirst: false,
  me: { id: 'x', name: role === 'lead' ? 'Ruth' : 'Ines', role, asksPin: false },
  here: [],
});

async function open(session: Session) {
  const api = {
    people: jest.fn(() => of(people)),
    devices: jest.fn(() => of(devices)),
    change: jest.fn((_id: string, _change: object) => of(people[0])),
    putOut: jest.fn((_id: string) => of(undefined)),
    invite: jest.fn(() => of({ code: 'ABCD2345', until: since })),
  };
  TestBed.configureTestingModule({
    imports: [PeopleView],
    providers: [
      stillAndPlain,
      provideRouter([]),
      { provide: PeopleApi, useValue: api },
      { provide: Api, useValue: new FakeServer() },
      // Putting out asks first; here it is always meant.
      { provide: Ask, useValue: { ask: sure } },
      { provide: JobsHere, useClass: JobsInMemory },
    ],
  });
  await TestBed.inject(Door).take(of(session));
  const fixture = TestBed.createComponent(PeopleView);
  const element = fixture.nativeElement as HTMLElement;
  const settle = async () => {
    await tick();
    fixture.detectChanges();
    await fixture.whenStable();
  };
  await settle();
  await settle();
  const press = async (words: string | RegExp) => {
    pressable(element, words).click();
    await settle();
  };
  return { api, element, press, text: () => element.textContent ?? '' };
}

const sure = jest.fn((_asking: Asking) => Promise.resolve({}));

describe('people and devices', () => {
  it('are put out and let in again by who leads, who is told what the server says against it', async () => {
    const { api, press, text } = await open(at('lead'));
    expect(text()).toMatch(/Tablet.*Ines\./s);
    await press('Put out: Ines');
    expect(sure.mock.lastCall?.[0].title).toBe('Put Ines out?');
    expect(api.change).toHaveBeenLastCalledWith('i', { out: true });
    await press('Let in again');
    expect(api.change).toHaveBeenLastCalledWith('k', { out: false });
    api.change.mockReturnValueOnce(throwError(() => problemAnswer('refused', 422, 'Nobody would be left.')) as never);
    await press('Put out: Ruth');
    expect(text()).toContain('Nobody would be left.');
    await press('Put out: Tablet');
    expect(api.putOut).toHaveBeenCalledWith('d');
  });

  it('show a code that lets another device in, to be scanned or typed', async () => {
    const { element, press, text } = await open(at('lead'));
    await press('Let a device in');
    expect(text()).toContain('ABCD2345');
    const picture = element.querySelector('bl-code-picture svg');
    expect(picture?.getAttribute('aria-label')).toMatch(/\/join\/ABCD2345$/);
    expect(picture?.querySelector('path')?.getAttribute('d')?.length).toBeGreaterThan(500);
  });

  it('are only looked at by the crew', async () => {
    const { api, element, text } = await open(at('crew'));
    expect(text()).toMatch(/Ines.*Crew: works on jobs/s);
    expect(element.querySelectorAll('button')).toHaveLength(0);
    expect(api.devices).not.toHaveBeenCalled();
  });

  it('say that nobody signs in, where that is so', async () => {
    const { text } = await open({ open: true, needsFirst: false, here: [] });
    expect(text()).toMatch(/Nobody signs in here\..*Make the first person/s);
  });
});
