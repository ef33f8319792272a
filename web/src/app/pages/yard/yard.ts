import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { Router, RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatIcon } from '@angular/material/icon';
import { MatListModule } from '@angular/material/list';
import { MatProgressBar } from '@angular/material/progress-bar';
import { MatSlideToggle } from '@angular/material/slide-toggle';
import type { Bundle } from '@brisk/contracts/bundle';
import type { JobSummary } from '@brisk/contracts/job';
import { lookDue } from '@brisk/core/second-looks';
import { STOPS, STOP_WORDS } from '@brisk/core/stops';
import { duration, several } from '@brisk/core/words';
import {
  catchError,
  EMPTY,
  exhaustMap,
  filter,
  firstValueFrom,
  fromEvent,
  merge,
  Subject,
  throttleTime,
  timer,
} from 'rxjs';
import { format } from 'date-fns';
import { v4 as uuid } from 'uuid';
import { BackupLine } from './backup-line';
import { FileKey } from '../../ui/file-key';
import { Keys } from '../../ui/keys';
import { Api } from '../../api/api';
import { problemWords } from '../../api/problem-words';
import { Door } from '../../session/door';
import { Night } from '../../session/night';
import { OpenShop } from '../../shell/open-shop';
import { WritingShed } from '../../planning/writing-shed';
import { Written } from '../../ui/written';

/** What is written rings; the clock is for what changes without a word, and for a bell that is not heard. */
const LOOK_EVERY_MS = 10_000;
const LOOK_AT_MOST_MS = 1_000;

/** A machine that is none, to try things on. */
const PRACTICE = {
  title: 'Practice: engine and gearbox out',
  machine: 'Made-up van, to practise on',
  reason: 'same-back',
  layout: 'longitudinal-manual',
  powerpack: 'engine-with-gearbox',
  route: 'top',
  note: 'For practice only: there is no such machine.',
} as const;

/** Every job with its place on the journey, its next step and what blocks it. */
@Component({
  selector: 'bl-yard',
  imports: [
    BackupLine,
    FileKey,
    MatButton,
    MatExpansionModule,
    MatIcon,
    MatListModule,
    MatProgressBar,
    MatSlideToggle,
    OpenShop,
    RouterLink,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './yard.html',
  styleUrl: './yard.scss',
})
export class Yard {
  private readonly written = inject(Written);
  private readonly api = inject(Api);
  private readonly router = inject(Router);
  protected readonly night = inject(Night);
  protected readonly door = inject(Door);
  protected readonly several = several;
  protected readonly duration = duration;

  protected readonly jobs = signal<readonly JobSummary[] | undefined>(undefined);
  protected readonly trouble = signal('');
  protected readonly taking = signal('');
  private readonly again = new Subject<void>();

  private readonly sorted = computed(() => [...(this.jobs() ?? [])].sort(byUrgency));
  /** Where the demo is served: what is worth a look, each with its way into the very view. */
  protected readonly looks = computed(() =>
    (this.door.stands().demo?.looks ?? []).flatMap(({ words, title, at }) => {
      const job = this.jobs()?.find((one) => one.title.startsWith(title));
      return job ? [{ words, path: ['/jobs', job.id, ...at.split('/')] }] : [];
    }),
  );

  protected readonly aside = computed(() => this.sorted().filter(({ aside }) => aside));

  protected readonly rows = computed(() =>
    this.sorted()
      .filter(({ aside }) => !aside)
      .map((job) => ({
        ...job,
        stored: this.api.asStoredAddress(job.id),
        stopWords: STOP_WORDS[job.stop],
        line: STOPS.map((stop, index) => ({
          stop,
          is: job.handedOver || index < STOPS.indexOf(job.stop) ? 'past' : stop === job.stop ? 'here' : 'ahead',
        })),
        due: job.dueOn ? this.written.shortDay(job.dueOn) : '',
        overdue: !job.handedOver && job.dueOn !== undefined && job.dueOn < format(new Date(), 'yyyy-MM-dd'),
        looks: (job.secondLooks ?? []).filter((look) => lookDue(look, format(new Date(), 'yyyy-MM-dd'))),
        last: job.lastEntryAt ? this.written.moment(job.lastEntryAt) : '',
      })),
  );

  constructor() {
    inject(WritingShed);
    const visible = () => document.visibilityState === 'visible';
    const written = this.api.shopBell.pipe(
      filter((ring) => ring !== 'beat' && ring !== 'lost'),
      throttleTime(LOOK_AT_MOST_MS, undefined, { leading: true, trailing: true }),
    );
    merge(
      this.again,
      written,
      timer(0, LOOK_EVERY_MS).pipe(filter(visible)),
      fromEvent(document, 'visibilitychange').pipe(filter(visible)),
    )
      .pipe(
        exhaustMap(() =>
          this.api.jobs().pipe(
            catchError((error: unknown) => {
              this.trouble.set(problemWords(error));
              return EMPTY;
            }),
          ),
        ),
        takeUntilDestroyed(),
      )
      .subscribe((jobs) => {
        this.jobs.set(jobs);
        this.trouble.set('');
      });
    inject(Keys).use(
      { key: '/', words: 'Find', act: () => void this.router.navigateByUrl('/find') },
      { key: 'c', words: 'New job', act: () => void this.router.navigateByUrl('/survey') },
    );
  }

  /** Sets a job aside, or takes it back. */
  protected async setAside({ id, title }: JobSummary, aside: boolean): Promise<void> {
    try {
      await firstValueFrom(this.api.setAside(id, aside));
      this.taking.set(`${title}: ${aside ? 'set aside' : 'taken back'}.`);
      this.again.next();
    } catch (error) {
      this.taking.set(problemWords(error));
    }
  }

  /** Puts a job that cannot be read right from the backups. */
  protected async putRight({ id, title }: JobSummary): Promise<void> {
    try {
      const { madeAt, entries, lost } = await firstValueFrom(this.api.putRight(id));
      const what = `${title} can be read again, from the backup of ${this.written.moment(madeAt)}`;
      const instead = entries > 0 ? `: ${several(entries, 'entry', 'entries')} could not be read` : '';
      this.taking.set(`${what}${instead}${lost > 0 ? `, ${lost} of them lost and noted as such` : ''}.`);
      this.again.next();
    } catch (error) {
      this.taking.set(problemWords(error));
    }
  }

  /** Begins a job on a machine there is not, as it usually is. */
  protected async practise(): Promise<void> {
    try {
      const me = this.door.me()?.name ?? 'Me';
      const { id } = await firstValueFrom(this.api.begin({ id: uuid(), ...PRACTICE, crew: [me] }));
      await this.router.navigate(['/jobs', id, 'strip']);
    } catch (error) {
      this.taking.set(problemWords(error));
    }
  }

  protected async takeIn([file]: readonly File[]): Promise<void> {
    if (!file) return;
    this.taking.set(`Taking in ${file.name}…`);
    try {
      const taken = await firstValueFrom(
        /\.zip$/i.test(file.name) ? this.api.takeInZip(file) : this.api.takeIn(JSON.parse(await file.text()) as Bundle),
      );
      this.taking.set(`${taken.title}: ${several(taken.written, 'entry', 'entries')} taken in.`);
      this.again.next();
    } catch (error) {
      this.taking.set(
        error instanceof SyntaxError
          ? `${file.name} breaks off or is not a job bundle. Nothing was taken in.`
          : problemWords(error),
      );
    }
  }
}

/** Jobs in hand before finished ones, then by the day they are due. */
function byUrgency(one: JobSummary, other: JobSummary): number {
  return (
    Number(one.handedOver) - Number(other.handedOver) || (one.dueOn ?? '9999').localeCompare(other.dueOn ?? '9999')
  );
}
