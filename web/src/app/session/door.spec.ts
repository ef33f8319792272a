import { HttpErrorResponse, provideHttpClient, withInterceptors } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { ChangeDetectionStrategy, Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { RouterTestingHarness } from '@angular/router/testing';
import type { PersonHere, Session } from '@brisk/contracts/people';
import { firstValueFrom, of } from 'rxjs';
import { Api } from '../api/api';
import { problemAnswer } from '../../testing/problem-answer';
import { Door } from './door';
import { Person } from './person';
import { askedWho, signedIn } from './signed-in';

@Component({ template: 'a view', changeDetection: ChangeDetectionStrategy.OnPush })
class View {}

const ines: PersonHere = { id: 'i', name: 'Ines', role: 'crew', asksPin: false };
const tobias: PersonHere = { id: 't', name: 'Tobias', role: 'crew', asksPin: true };
const atWork: Session = { open: false, needsFirst: false, me: ines, here: [ines, tobias] };
const open: Session = { open: true, needsFirst: false, here: [] };

let http: HttpTestingController;
beforeEach(() => {
  localStorage.clear();
  TestBed.configureTestingModule({
    providers: [
      provideHttpClient(withInterceptors([askedWho])),
      provideHttpClientTesting(),
      provideRouter([
        { path: 'sign-in', component: View },
        { path: 'yard', component: View, canActivate: [signedIn] },
      ]),
    ],
  });
  http = TestBed.inject(HttpTestingController);
});
afterEach(() => localStorage.clear());

/** Goes to the yard while the server answers how this device stands. */
async function toTheYard(answer: Session | HttpErrorResponse): Promise<string> {
  const harness = await RouterTestingHarness.create();
  const going = harness.navigateByUrl('/yard');
  await new Promise((done) => setTimeout(done));
  const asked = http.expectOne('/api/session');
  if (answer instanceof HttpErrorResponse) asked.error(new ProgressEvent('error'));
  else asked.flush(answer);
  await going;
  return TestBed.inject(Router).url;
}

it('lets in where nobody has to sign in, and who has', async () => {
  expect(await toTheYard(open)).toBe('/yard');
});

it('lets in who has signed in, and records under that name, whatever was chosen before', async () => {
  localStorage.setItem('brisk-person', 'Tobias');
  expect(await toTheYard(atWork)).toBe('/yard');
  expect(TestBed.inject(Person).in(['Tobias', 'Ruth'])).toBe('Ines');
});

it('asks who it is where nobody is at the device, and knows the way back', async () => {
  expect(await toTheYard({ open: false, needsFirst: false, here: [tobias] })).toBe('/sign-in?back=%2Fyard');
});

it('holds to what was so last where the server does not answer', async () => {
  localStorage.setItem('brisk-session', JSON.stringify(atWork));
  expect(await toTheYard(new HttpErrorResponse({ status: 0 }))).toBe('/yard');
  expect(TestBed.inject(Door).me()?.name).toBe('Ines');
});

it('does not trip over what is kept and cannot be read', () => {
  localStorage.setItem('brisk-session', '{"open');
  expect(TestBed.inject(Door).stands()).toEqual(open);
});

it('is shut in the middle of the work where the server asks who it is', async () => {
  await toTheYard(atWork);
  const jobs = firstValueFrom(TestBed.inject(Api).jobs());
  const problem = problemAnswer('sign-in', 401, 'Who is it?');
  http.expectOne('/api/jobs').flush(problem.error, { status: 401, statusText: 'Unauthorized' });
  await expect(jobs).rejects.toBeInstanceOf(HttpErrorResponse);
  await new Promise((done) => setTimeout(done));
  expect(TestBed.inject(Router).url).toBe('/sign-in?back=%2Fyard');
  expect(TestBed.inject(Door).letsIn()).toBe(false);
});

it('knows who takes over in one touch', async () => {
  const door = TestBed.inject(Door);
  await door.take(of(atWork));
  expect([door.inOneTouch(ines), door.inOneTouch(tobias)]).toEqual([true, false]);
  expect([door.leads(), door.open(), door.letsIn()]).toEqual([false, false, true]);
});
