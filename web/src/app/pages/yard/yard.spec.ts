import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import type { BackupStatus } from '@brisk/contracts/backup';
import type { JobSummary } from '@brisk/contracts/job';
import { FakeServer } from '../../../testing/fake-server';
import { pressable, tick, wordsOf } from '../../../testing/open-job';
import { Api } from '../../api/api';
import { Yard } from './yard';
import { stillAndPlain } from '../../../testing/still-and-plain';

const job = (changes: Partial<JobSummary>): JobSummary => ({
  id: 'a',
  title: 'Minibus',
  machine: 'No. 7',
  reason: 'same-back',
  crew: ['Ines'],
  stop: 'strip',
  handedOver: false,
  nextStep: 'Pull off the upper hose',
  blockedBy: [],
  holding: 11,
  stepsDone: 76,
  steps: 243,
  minutesLeft: 125,
  position: 100,
  ...changes,
});

async function open(summaries: readonly JobSummary[], reachable = true, backedUp: BackupStatus = {}) {
  const server = new FakeServer();
  server.summaries = summaries;
  server.reachable = reachable;
  server.backedUp = backedUp;
  TestBed.configureTestingModule({
    imports: [Yard],
    providers: [stillAndPlain, { provide: Api, useValue: server }, provideRouter([])],
  });
  const fixture = TestBed.createComponent(Yard);
  fixture.detectChanges();
  await tick(10);
  fixture.detectChanges();
  const element = fixture.nativeElement as HTMLElement;
  return { element, fixture, text: () => wordsOf(element) };
}

describe('the yard', () => {
  it('shows each job with its next step, what holds it and what blocks it', async () => {
    const { text } = await open([job({ blockedBy: ['Stuck: the front pipe'] })]);
    for (const part of [
      'Minibus',
      'Pull off the upper hose',
      '11 still hold it',
      '▲ Stuck: the front pipe',
      '2 h 05 left',
      '76/243',
    ])
      expect(text()).toContain(part);
  });

  it('puts what is due first on top and what is handed over last', async () => {
    const { element } = await open([
      job({ id: '1', title: 'Done', handedOver: true, dueOn: '2026-01-01' }),
      job({ id: '2', title: 'Later', dueOn: '2026-12-01' }),
      job({ id: '3', title: 'Sooner', dueOn: '2026-11-30' }),
      job({ id: '4', title: 'Whenever' }),
    ]);
    expect([...element.querySelectorAll('h2')].map((one) => one.textContent)).toEqual([
      'Sooner',
      'Later',
      'Whenever',
      'Done',
    ]);
  });

  it('teaches when it is empty', async () => {
    const { text } = await open([]);
    expect(text()).toContain('No machine in the yard');
    expect(text()).toContain('Survey the first machine');
  });

  it('says when the server is not reached', async () => {
    const { text } = await open([], false);
    expect(text()).toContain('The server does not answer.');
  });

  it('takes a bundle in together with its photos', async () => {
    const { element, fixture, text } = await open([]);
    const chooser = element.querySelector('input[type=file]') as HTMLInputElement;
    Object.defineProperty(chooser, 'files', { value: [new File(['PK'], 'minibus.brisk.zip')] });
    chooser.dispatchEvent(new Event('change'));
    await tick(10);
    fixture.detectChanges();
    expect(text()).toContain('5 entries taken in.');
  });

  it('refuses a file that breaks off, in words', async () => {
    const { element, fixture, text } = await open([]);
    const chooser = element.querySelector('input[type=file]') as HTMLInputElement;
    const file = { name: 'short.json', text: () => Promise.resolve('{"format":') };
    Object.defineProperty(chooser, 'files', { value: [file] });
    chooser.dispatchEvent(new Event('change'));
    await tick(10);
    fixture.detectChanges();
    expect(text()).toContain('short.json breaks off or is not a job bundle. Nothing was taken in.');
  });

  it('shows a time that is none as it was written, and a job that cannot be read as a line that says so', async () => {
    const { element, fixture, text } = await open([
      job({ id: '1', title: 'Odd days', dueOn: '2026-99-99', lastEntryAt: '2026-13-45T99:99:99.000Z' }),
      job({ id: '2', title: 'Damaged', unreadable: 'What is stored of this job is damaged.' }),
    ]);
    expect(text()).toContain('due 2026-99-99');
    expect(text()).toContain('Damaged');
    expect(text()).toContain('▲ What is stored of this job is damaged. Nothing of it is thrown away.');
    expect(element.querySelector('a[download]')?.getAttribute('href')).toBe('/api/jobs/2/as-stored');
    pressable(element, 'Put it right from a backup').click();
    await tick(20);
    fixture.detectChanges();
    expect(text()).toMatch(/Damaged can be read again, from the backup of 2 Mar \d\d:00/);
    expect(text()).toContain('2 entries could not be read, 1 of them lost and noted as such.');
    expect(text()).not.toContain('Nothing of it is thrown away');
  });

  it('sets a finished job aside and takes it back', async () => {
    const { element, fixture, text } = await open([job({ id: '1', title: 'Tug', handedOver: true }), job({ id: '2' })]);
    const press = async (words: string) => {
      pressable(element, words).click();
      await tick(20);
      fixture.detectChanges();
    };
    await press('Set aside: Tug');
    expect(text()).toContain('Tug: set aside.');
    expect([...element.querySelectorAll('h2')].map((one) => one.textContent)).toEqual(['Minibus']);
    expect(text()).toContain('1 job set aside');
    await press('Take back: Tug');
    expect([...element.querySelectorAll('h2')].map((one) => one.textContent)).toEqual(['Minibus', 'Tug']);
  });

  it('says how the backups go under the jobs, and nothing before they are there: they would push it away', async () => {
    expect((await open([], false)).element.querySelector('bl-backup-line')).toBeNull();
    TestBed.resetTestingModule();
    expect((await open([job({})])).element.querySelector('ul ~ bl-backup-line')).not.toBeNull();
  });

  it.each<readonly [BackupStatus, RegExp]>([
    [{}, /No backup is made\. Set BRISK_BACKUP/],
    [{ into: '/mnt/drive', everyHours: 24 }, /first backup to \/mnt\/drive is under way/],
    [
      { into: '/d', everyHours: 24, last: { madeAt: new Date().toISOString(), jobs: 6, photos: 9 } },
      /Backed up .*6 jobs/,
    ],
    [
      { into: '/d', everyHours: 24, last: { madeAt: '2026-01-02T07:00:00Z', jobs: 6, photos: 9 } },
      /▲ The last backup is \d/,
    ],
    [{ into: '/d', trouble: 'Is the drive there?' }, /▲ The backup failed: Is the drive there\? There is none yet/],
  ])('says how the backups go: %j', async (backedUp, words) => {
    const { text } = await open([job({})], true, backedUp);
    expect(text()).toMatch(words);
  });
});
