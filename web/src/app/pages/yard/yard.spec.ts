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
  const element = fixture.nativeElement as HTMLElement;
  const text = () => wordsOf(element);
  /** Lets time go by until `is` holds, as long as a slow machine may take. */
  const until = async (is: () => boolean) => {
    fixture.detectChanges();
    for (let tries = 0; tries < 1_000 && !is(); tries += 1) {
      await tick(2);
      fixture.detectChanges();
    }
  };
  const says = async (words: RegExp) => {
    await until(() => words.test(text()));
    expect(text()).toMatch(words);
  };
  await until(() => element.querySelector('mat-progress-bar') === null || text().includes('does not answer'));
  return { element, text, says, until };
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
    const { element, says } = await open([]);
    const chooser = element.querySelector('input[type=file]') as HTMLInputElement;
    Object.defineProperty(chooser, 'files', { value: [new File(['PK'], 'minibus.brisk.zip')] });
    chooser.dispatchEvent(new Event('change'));
    await says(/5 entries taken in\./);
  });

  it('refuses a file that breaks off, in words', async () => {
    const { element, says } = await open([]);
    const chooser = element.querySelector('input[type=file]') as HTMLInputElement;
    const file = { name: 'short.json', text: () => Promise.resolve('{"format":') };
    Object.defineProperty(chooser, 'files', { value: [file] });
    chooser.dispatchEvent(new Event('change'));
    await says(/short\.json breaks off or is not a job bundle\. Nothing was taken in\./);
  });

  it('shows a time that is none as it was written, and a job that cannot be read as a line that says so', async () => {
    const { element, text, says } = await open([
      job({ id: '1', title: 'Odd days', dueOn: '2026-99-99', lastEntryAt: '2026-13-45T99:99:99.000Z' }),
      job({ id: '2', title: 'Damaged', unreadable: 'What is stored of this job is damaged.' }),
    ]);
    expect(text()).toContain('due 2026-99-99');
    expect(text()).toContain('Damaged');
    expect(text()).toContain('▲ What is stored of this job is damaged. Nothing of it is thrown away.');
    expect(element.querySelector('a[download]')?.getAttribute('href')).toBe('/api/jobs/2/as-stored');
    pressable(element, 'Put it right from a backup').click();
    await says(/Damaged can be read again, from the backup of 2 Mar \d\d:00/);
    expect(text()).toContain('2 entries could not be read, 1 of them lost and noted as such.');
    expect(text()).not.toContain('Nothing of it is thrown away');
  });

  it('sets a finished job aside and takes it back', async () => {
    const { element, text, says, until } = await open([
      job({ id: '1', title: 'Tug', handedOver: true }),
      job({ id: '2' }),
    ]);
    const titles = () => [...element.querySelectorAll('h2')].map((one) => one.textContent);
    pressable(element, 'Set aside: Tug').click();
    await says(/Tug: set aside\..*1 job set aside/);
    expect(titles()).toEqual(['Minibus']);
    pressable(element, 'Take back: Tug').click();
    await until(() => titles().length > 1);
    expect(titles()).toEqual(['Minibus', 'Tug']);
    expect(text()).not.toContain('set aside');
  });

  it('says how the backups go under the jobs, and nothing before they are there: they would push it away', async () => {
    expect((await open([], false)).element.querySelector('bl-backup-line')).toBeNull();
    TestBed.resetTestingModule();
    expect((await open([job({})])).element.querySelector('ul ~ bl-backup-line')).not.toBeNull();
  });

  it.each<readonly [BackupStatus, RegExp]>([
    [{}, /No backup is made\. Whoever looks after the server/],
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
    const { says } = await open([job({})], true, backedUp);
    await says(words);
  });
});
