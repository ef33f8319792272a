import { HttpClient, provideHttpClient, withInterceptors } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { hearsTime, ShedClock } from './shed-clock';

const HOUR_MS = 3_600_000;
const httpDate = (ms: number) => new Date(ms).toUTCString();

describe('the clock of the shed', () => {
  it.each([
    ['agrees within two minutes', 90_000, undefined],
    ['is an hour ahead', -HOUR_MS, 60],
    ['is a year behind', 365 * 24 * HOUR_MS, -525_600],
  ])('a device whose clock %s', (_what, behindMs, offMin) => {
    const clock = new ShedClock();
    clock.heard(httpDate(Date.now() + behindMs));
    expect(clock.offMin()).toBe(offMin);
    const asRecorded = clock.now().getTime() - Date.now();
    expect(Math.abs(asRecorded - (offMin === undefined ? 0 : behindMs))).toBeLessThan(2_000);
  });

  it('does not listen to what is no time', () => {
    const clock = new ShedClock();
    clock.heard(null);
    clock.heard('half past nine');
    expect(clock.offMin()).toBeUndefined();
  });

  it('is heard from the server, not from what was kept of it', () => {
    TestBed.configureTestingModule({
      providers: [provideHttpClient(withInterceptors([hearsTime])), provideHttpClientTesting()],
    });
    const http = TestBed.inject(HttpClient);
    const server = TestBed.inject(HttpTestingController);
    const answers = { headers: { date: httpDate(Date.now() + HOUR_MS) } };
    http.get('/api/tools').subscribe();
    server.expectOne('/api/tools').flush({}, answers);
    expect(TestBed.inject(ShedClock).offMin()).toBeUndefined();
    http.post('/api/jobs', {}).subscribe();
    server.expectOne('/api/jobs').flush({}, answers);
    expect(TestBed.inject(ShedClock).offMin()).toBe(-60);
  });
});
