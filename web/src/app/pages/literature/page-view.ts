import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { FormControl } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatIcon } from '@angular/material/icon';
import { MatProgressBar } from '@angular/material/progress-bar';
import type { BelongsTo } from '@brisk/core/ledger';
import { pinnedToWords } from '@brisk/core/literature';
import type { PhotoMark } from '@brisk/core/photos';
import { sentence } from '@brisk/core/words';
import { cleanCopyAddress, openLiterature, type OpenLiterature } from '../../literature/open-literature';
import { MarkedPicture } from '../../photos/marked-picture';
import type { Pictured } from '../../photos/pictured';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { EntryField } from '../../ui/entry-field';
import { Keys } from '../../ui/keys';
import { LongListPick } from '../../ui/long-list-pick';
import { belongsTo, placesOn, placeOf } from './places';
import { PageSearch } from './page-search';

/** How large a page is shown; the height it may take is in windows. */
const SIZES = [
  { size: 'whole', words: 'Whole page', zoom: 1, mostHigh: 0.75 },
  { size: 'wide', words: 'Wide', zoom: 1, mostHigh: 4 },
  { size: 'large', words: 'Twice as wide', zoom: 2, mostHigh: 8 },
] as const;
type Size = (typeof SIZES)[number]['size'];

/** One page of a file: drawn on in the working copy, as it came in the clean one, and pinned to where it belongs. */
@Component({
  selector: 'bl-page-view',
  imports: [
    EntryField,
    LongListPick,
    MarkedPicture,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatIcon,
    MatProgressBar,
    RouterLink,
  ],
  providers: [PageSearch],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './page-view.html',
  styleUrl: './page-view.scss',
})
export class PageView {
  readonly file = input.required<string>();
  readonly page = input.required<string>();
  /** Where somebody came from to pin a page, as `step:open:bell-bolts`. */
  readonly for = input<string>();
  protected readonly desk = inject(Desk);
  protected readonly search = inject(PageSearch);
  private readonly recorder = inject(Recorder);
  private readonly router = inject(Router);
  protected readonly cleanCopy = cleanCopyAddress;
  protected readonly sizes = SIZES;

  protected readonly size = signal<Size>('wide');
  protected readonly shown = computed(() => SIZES.find(({ size }) => size === this.size()) ?? SIZES[1]);
  protected readonly clean = signal(false);
  protected readonly missing = signal(false);
  protected readonly picture = signal<Pictured | undefined>(undefined);
  private readonly opened = signal<OpenLiterature | undefined>(undefined);
  /** Where the page is to be pinned, and what it is for. */
  protected readonly place = new FormControl('', { nonNullable: true });
  protected readonly why = signal('');

  protected readonly literature = computed(() => this.desk.state()?.literature.get(this.file()));
  protected readonly number = computed(() => {
    const pages = this.literature()?.pages ?? 1;
    const asked = Number(this.page());
    return Number.isInteger(asked) ? Math.min(pages, Math.max(1, asked)) : 1;
  });
  protected readonly marks = computed<readonly PhotoMark[]>(() => this.literature()?.marks.get(this.number()) ?? []);
  protected readonly places = computed(() => placesOn(this.desk.state()));
  protected readonly pins = computed(() => {
    const [state, literature] = [this.desk.state(), this.literature()];
    if (!state || !literature) return [];
    return literature.pins
      .filter(({ page }) => page === this.number())
      .map(({ to, words, entry }) => ({
        entry,
        words,
        to: sentence(pinnedToWords(state, to) ?? 'Something that is no longer on the job'),
      }));
  });
  /** The step, joint or part somebody came from, while the page is not pinned there. */
  protected readonly asked = computed(() => {
    const [state, literature, asked] = [this.desk.state(), this.literature(), this.for()];
    const to = asked === undefined ? undefined : belongsTo(asked);
    const words = state && to ? pinnedToWords(state, to) : undefined;
    const there = literature?.pins.some((pin) => pin.page === this.number() && placeOf(pin.to) === asked);
    return to && words && !there ? { to, words: sentence(words) } : undefined;
  });

  constructor() {
    effect(() => {
      const literature = this.literature();
      if (literature) untracked(() => void this.open(literature.file));
    });
    effect(() => {
      const [opened, page] = [this.opened(), this.number()];
      if (opened) untracked(() => void this.draw(opened, page));
    });
    inject(DestroyRef).onDestroy(() => this.opened()?.close());
    inject(Keys).use(
      { key: 'PageDown', words: 'Next page', act: () => this.go(this.number() + 1) },
      { key: 'PageUp', words: 'Page before', act: () => this.go(this.number() - 1) },
    );
  }

  private openFile = '';
  private async open(file: string): Promise<void> {
    const literature = this.literature();
    if (!literature || this.openFile === file) return;
    this.openFile = file;
    this.opened()?.close();
    this.opened.set(undefined);
    this.picture.set(undefined);
    this.missing.set(false);
    try {
      const opened = await openLiterature(file, literature.type);
      if (this.openFile === file) this.opened.set(opened);
      else opened.close();
    } catch {
      this.missing.set(true);
    }
  }

  private async draw(opened: OpenLiterature, page: number): Promise<void> {
    this.picture.set(undefined);
    try {
      const picture = await opened.draw(page);
      if (page === this.number() && opened === this.opened()) this.picture.set(picture);
    } catch {
      this.missing.set(true);
    }
  }

  protected go(page: number): void {
    const pages = this.literature()?.pages ?? 1;
    if (!Number.isInteger(page) || page < 1 || page > pages || page === this.number()) return;
    void this.router.navigate(['/jobs', this.desk.job()?.id, 'literature', this.file(), page], {
      queryParamsHandling: 'preserve',
    });
  }

  protected goTo(typed: string): void {
    this.go(Number(typed));
  }

  protected look(words: string): void {
    const [opened, literature] = [this.opened(), this.literature()];
    if (opened && literature) void this.search.look(opened, literature.pages, words);
  }

  protected keep(marks: readonly PhotoMark[]): void {
    this.recorder.record(`Drawn on page ${this.number()}`, {
      kind: 'page-marked',
      file: this.file(),
      page: this.number(),
      marks,
    });
  }

  protected pin(to: BelongsTo | undefined): void {
    if (!to) return;
    const words = this.why().trim();
    const pinned = this.recorder.record(`Page ${this.number()} is pinned`, {
      kind: 'page-pinned',
      file: this.file(),
      page: this.number(),
      to,
      ...(words ? { words } : {}),
    });
    if (!pinned) return;
    this.place.reset();
    this.why.set('');
  }

  protected pinHere(): void {
    this.pin(belongsTo(this.place.value));
  }

  protected takeOff({ entry, to }: { readonly entry: string; readonly to: string }): void {
    this.recorder.correct(entry, `Page ${this.number()} at ${to}`);
  }
}
