import { TestBed } from '@angular/core/testing';
import { MatSelectHarness } from '@angular/material/select/testing';
import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { provideRouter } from '@angular/router';
import { FakeServer } from '../../../testing/fake-server';
import { stillAndPlain } from '../../../testing/still-and-plain';
import { Api } from '../../api/api';
import { Door } from '../../session/door';
import { Written } from '../../ui/written';
import { WritingCard } from './writing-card';

async function open(leads: boolean) {
  const server = new FakeServer();
  TestBed.configureTestingModule({
    imports: [WritingCard],
    providers: [
      stillAndPlain,
      provideRouter([]),
      { provide: Api, useValue: server },
      { provide: Door, useValue: { open: () => false, leads: () => leads } },
    ],
  });
  const fixture = TestBed.createComponent(WritingCard);
  await fixture.whenStable();
  return { fixture, server, element: fixture.nativeElement as HTMLElement };
}

describe('how the shop writes days and times', () => {
  it('is chosen by who leads, and holds on every view from then on, and on this device', async () => {
    const { fixture, server } = await open(true);
    const [days, times] = await TestbedHarnessEnvironment.loader(fixture).getAllHarnesses(MatSelectHarness);
    await days?.clickOptions({ text: '30.11.2026' });
    await times?.clickOptions({ text: '2:05 PM' });
    await fixture.whenStable();
    expect(server.shopWriting.document).toMatchObject({ days: 'dd.MM.yyyy', clock: 'h:mm a' });
    const written = TestBed.inject(Written);
    expect(written.longMoment('2026-03-04T14:05:00')).toBe('04.03.2026, 2:05 PM');
    expect(JSON.parse(localStorage.getItem('brisk-ledger writing') ?? '')).toEqual({
      days: 'dd.MM.yyyy',
      clock: 'h:mm a',
    });
  });

  it('is only told to the crew', async () => {
    const { element } = await open(false);
    expect(element.textContent).toContain('30 Nov 2026, 14:05');
    expect(element.querySelector('mat-select')).toBeNull();
  });
});
