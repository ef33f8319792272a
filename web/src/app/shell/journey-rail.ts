import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterLink, RouterLinkActive } from '@angular/router';
import { MatIcon } from '@angular/material/icon';
import { MatMenuModule } from '@angular/material/menu';
import { MatButton } from '@angular/material/button';
import type { Job } from '@brisk/contracts/job';
import { stopOf, type JobState } from '@brisk/core/ledger';
import { STOPS, STOP_WORDS } from '@brisk/core/stops';
import { filter, startWith } from 'rxjs';
import type { IconName } from '../ui/icons';
import { Keys } from '../ui/keys';
import { Gloves } from '../session/gloves';
import { Night } from '../session/night';
import { SheetOpener } from './sheet-opener';
import { OpenShop } from './open-shop';
import { isPast, waitsAt } from '@brisk/core/journey';

/** What is kept beside the journey. */
const STORE = [
  { path: 'bags', words: 'Bags', key: '9', icon: 'bag' },
  { path: 'photos', words: 'Photos', key: '0', icon: 'photos' },
  { path: 'literature', words: 'Literature', key: 't', icon: 'literature' },
  { path: 'record', words: 'Record', key: 'r', icon: 'record' },
] as const;

const STOP_ICONS: Readonly<Record<(typeof STOPS)[number], IconName>> = {
  survey: 'survey',
  plan: 'plan',
  strip: 'strip',
  lift: 'lift',
  bench: 'bench',
  refit: 'refit',
  'first-start': 'key',
  handover: 'handover',
};

/** The journey of one job as a single line with eight stops, the job's place on it, and what each stop waits for. */
@Component({
  selector: 'bl-journey-rail',
  imports: [MatButton, MatIcon, MatMenuModule, OpenShop, RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './journey-rail.html',
  styleUrl: './journey-rail.scss',
})
export class JourneyRail {
  readonly job = input.required<Job>();
  readonly state = input.required<JobState>();
  protected readonly night = inject(Night);
  protected readonly gloves = inject(Gloves);
  protected readonly store = STORE;
  protected readonly keys = inject(Keys);
  protected readonly sheet = inject(SheetOpener);
  private readonly router = inject(Router);
  private readonly address = signal('');
  /** Whether the whole journey is shown where there is room for one line of it. */
  protected readonly opened = signal(false);

  /** The view that is open, for the one line. */
  protected readonly shown = computed(() => {
    const [view = ''] = this.address().split('/').slice(3);
    const name = view.replace(/[?#].*/, '');
    const stop = this.stops().find((one) => one.stop === name);
    if (stop) return stop;
    const kept = STORE.find(({ path }) => path === name);
    return kept && { icon: kept.icon, name: kept.words, waits: '' };
  });

  protected readonly stops = computed(() => {
    const state = this.state();
    const here = stopOf(state);
    return STOPS.map((stop, index) => ({
      stop,
      key: index + 1,
      name: STOP_WORDS[stop],
      icon: STOP_ICONS[stop],
      waits: waitsAt(state, stop),
      here: stop === here,
      past: isPast(state, stop) && stop !== here,
    }));
  });

  constructor() {
    const { router } = this;
    router.events
      .pipe(
        filter((event) => event instanceof NavigationEnd),
        startWith(undefined),
        takeUntilDestroyed(),
      )
      .subscribe(() => {
        this.address.set(router.url);
        this.opened.set(false);
      });
    this.keys.use(
      ...STORE.map(({ path, words, key }) => ({
        key,
        words: `Go to ${words}`,
        act: () => void router.navigate(['/jobs', this.job().id, path]),
      })),
      { key: 'g', words: 'Gloves on or off', act: () => this.gloves.toggle() },
      ...STOPS.map((stop, index) => ({
        key: String(index + 1),
        words: `Go to ${STOP_WORDS[stop]}`,
        act: () => void router.navigate(['/jobs', this.job().id, stop]),
      })),
    );
  }
}
