import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import type { PersonHere, Session } from '@brisk/contracts/people';
import { of, throwError } from 'rxjs';
import { problemAnswer } from '../../../testing/problem-answer';
import { JobsInMemory } from '../../../testing/jobs-in-memory';
import { pressable, tick, type as typeInto } from '../../../testing/open-job';
import { stillAndPlain } from '../../../testing/still-and-plain';
import { PeopleApi } from '../../api/people-api';
import { JobsHere } from '../../session/jobs-here';
import { SignInView } from './sign-in';

const ines: PersonHere = { id: 'i', name: 'Ines', role: 'crew', asksPin: false };
const ruth: PersonHere = { id: 'r', name: 'Ruth', role: 'lead', asksPin: true };
const shut: Session = { open: false, needsFirst: false, here: [] };

async function open(stands: Session, inputs: Readonly<Record<string, string>> = {}) {
  const api = {
    session: jest.fn(() => of(stands)),
    signIn: jest.fn((_said: object) => of<Session>({ ...stands, me: ines })),
    first: jest.fn((_first: object) => of<Session>({ ...shut, me: ruth, here: [ruth] })),
    join: jest.fn((_join: object) => of<Session>({ ...shut, here: [ines, ruth] })),
    takeOver: jest.fn((_who: object) => of<Session>({ ...stands, me: ines })),
  };
  TestBed.configureTestingModule({
    imports: [SignInView],
    providers: [
      stillAndPlain,
      provideRouter([]),
      { provide: PeopleApi, useValue: api },
      { provide: JobsHere, useClass: JobsInMemory },
    ],
  });
  const gone = jest.spyOn(TestBed.inject(Router), 'navigateByUrl').mockResolvedValue(true);
  const fixture = TestBed.createComponent(SignInView);
  for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
  const element = fixture.nativeElement as HTMLElement;
  const settle = async () => {
    await tick();
    fixture.detectChanges();
    await fixture.whenStable();
  };
  await settle();
  await settle();
  return {
    api,
    gone,
    element,
    settle,
    text: () => element.textContent ?? '',
    press: async (words: string | RegExp) => {
      pressable(element, words).click();
      await settle();
    },
    fill: (field: string, words: string) => typeInto(element, field, words),
  };
}

describe('the door', () => {
  it('asks who it is by name and passphrase, says what is wrong, and goes where somebody wanted to', async () => {
    const { api, gone, press, fill, text } = await open({ ...shut, notice: 'Ask Ruth.' }, { back: '/jobs/a/strip' });
    expect(text()).toContain('Ask Ruth.');
    await press('Sign in');
    expect(api.signIn).not.toHaveBeenCalled();
    fill('name', 'Ines');
    fill('passphrase', 'wrong');
    api.signIn.mockReturnValueOnce(throwError(() => problemAnswer('sign-in', 401, 'That is not right.')) as never);
    await press('Sign in');
    expect(text()).toContain('That is not right.');
    expect(gone).not.toHaveBeenCalled();
    await press('Sign in');
    expect(api.signIn).toHaveBeenLastCalledWith({ name: 'Ines', passphrase: 'wrong' });
    expect(gone).toHaveBeenCalledWith('/jobs/a/strip');
  });

  it('lets one who gave the PIN today take over in one touch, and asks another for it', async () => {
    const { api, press, fill, gone } = await open({ ...shut, here: [ines, ruth] });
    await press(/^Ines/);
    expect(api.takeOver).toHaveBeenLastCalledWith({ person: 'i' });
    expect(gone).toHaveBeenCalledWith('/yard');
    await press(/^Ruth/);
    expect(api.takeOver).toHaveBeenCalledTimes(1);
    await press('It is me');
    expect(api.takeOver).toHaveBeenCalledTimes(1);
    fill('pin', '2468');
    await press('It is me');
    expect(api.takeOver).toHaveBeenLastCalledWith({ person: 'r', pin: '2468' });
  });

  it('lets a device in by the code of its address, and asks who is at it then', async () => {
    const { api, press, fill, text } = await open(shut, { code: 'ABCD2345' });
    fill('device', 'Tablet');
    await press('Let it in');
    expect(api.join).toHaveBeenCalledWith({ code: 'ABCD2345', device: 'Tablet' });
    expect(text()).toMatch(/Who is it\?.*Ines.*Ruth.*PIN/s);
  });

  it('makes the first person, on a network with the code of the server', async () => {
    const { api, press, fill } = await open({ ...shut, needsFirst: true });
    fill('code', 'wxyz');
    fill('name', 'Ruth');
    fill('passphrase', 'too short'.slice(0, 5));
    fill('pin', '2468');
    await press('Make the shop');
    expect(api.first).not.toHaveBeenCalled();
    fill('passphrase', 'three greasy gloves');
    await press('Make the shop');
    expect(api.first).toHaveBeenCalledWith({
      name: 'Ruth',
      passphrase: 'three greasy gloves',
      pin: '2468',
      code: 'wxyz',
    });
  });
});
