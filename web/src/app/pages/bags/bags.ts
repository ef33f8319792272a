import { ZONE_WORDS, sentence, several } from '@brisk/core/words';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatBadge } from '@angular/material/badge';
import { MatIcon } from '@angular/material/icon';
import { answersAll, wordsAsked } from '@brisk/core/find';
import { jobCode } from '@brisk/core/labels';
import {
  BAG_COLUMNS,
  bagRows,
  bagWall,
  groundsOf,
  KEEPINGS,
  leftAndMissing,
  type BagTile,
  type Keeping,
  type SetStanding,
  KEEPING_WORDS,
} from '@brisk/core/ledger';
import { PickOne } from '../../ui/pick-one';
import { EntryField } from '../../ui/entry-field';
import { choicesOf } from '../../ui/choice';
import { Desk } from '../../session/desk';
import { writeSheet } from '../../ui/csv';
import { saveFile } from '../../ui/save-file';
import { Keys } from '../../ui/keys';
import { Scanner } from '../../labels/scanner';
import { Recorder } from '../../session/recorder';
import { LabelPanel } from './label-panel';

const STANDINGS: Readonly<Record<SetStanding, { readonly words: string; readonly sign: string }>> = {
  away: { words: 'all there', sign: '●' },
  short: { words: 'one short', sign: '▲' },
  uncounted: { words: 'not counted', sign: '?' },
  home: { words: 'back in', sign: '✓' },
  uneven: { words: 'does not come out even', sign: '▲' },
};

type Filter = 'all' | 'out' | 'odd' | 'home';
const FILTERS: readonly { readonly id: Filter; readonly words: string; readonly of: readonly SetStanding[] }[] = [
  { id: 'all', words: 'All', of: ['away', 'short', 'uncounted', 'home', 'uneven'] },
  { id: 'out', words: 'Out', of: ['away', 'short', 'uncounted'] },
  { id: 'odd', words: 'Odd', of: ['short', 'uncounted', 'uneven'] },
  { id: 'home', words: 'Back in', of: ['home'] },
];

/** The wall of bags: what came out of where, how many, where it is kept, and what does not come out even. */
@Component({
  selector: 'bl-bags',
  imports: [
    EntryField,
    LabelPanel,
    MatBadge,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatIcon,
    PickOne,
    RouterLink,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bags.html',
  styleUrl: './bags.scss',
})
export class Bags {
  protected readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  private readonly scanner = inject(Scanner);
  private readonly router = inject(Router);
  protected readonly filters = FILTERS;
  protected readonly standings = STANDINGS;
  protected readonly keepings = choicesOf(KEEPING_WORDS, KEEPINGS);
  protected readonly keepingWords = KEEPING_WORDS;
  protected readonly zones = ZONE_WORDS;
  protected readonly several = several;
  protected readonly sentence = sentence;

  protected readonly filter = signal<Filter>('all');
  protected readonly query = signal('');
  protected readonly labels = signal(false);
  protected readonly wrong = signal('');

  private readonly wall = computed(() => {
    const state = this.desk.state();
    return state ? bagWall(state) : [];
  });

  protected readonly sections = computed(() => {
    const shown = FILTERS.find(({ id }) => id === this.filter())?.of ?? [];
    const words = wordsAsked(this.query());
    return this.wall()
      .map(({ zone, tiles }) => ({
        zone,
        tiles: tiles.filter(
          (tile) => shown.includes(tile.standing) && (words.length === 0 || answersAll(textOf(tile), words)),
        ),
      }))
      .filter(({ tiles }) => tiles.length > 0);
  });

  protected readonly counts = computed(() => {
    const standings = this.wall().flatMap(({ tiles }) => tiles.map(({ standing }) => standing));
    return new Map(FILTERS.map(({ id, of }) => [id, standings.filter((one) => of.includes(one)).length]));
  });

  protected readonly odd = computed(() => {
    const state = this.desk.state();
    return state ? leftAndMissing(state) : { left: [], missing: [], loose: [] };
  });

  protected readonly grounds = computed(() => {
    const state = this.desk.state();
    return state ? groundsOf(state) : [];
  });

  protected readonly tags = computed(() => {
    const state = this.desk.state();
    if (!state) return [];
    return [...state.tags]
      .map(([id, number]) => ({ id, number, name: state.work.connections.get(id)?.name ?? id }))
      .sort((one, other) => one.number - other.number);
  });

  constructor() {
    inject(Keys).use(
      { key: 'q', words: 'Scan a label', act: () => void this.scan() },
      { key: 'm', words: 'Mystery bolt', act: () => void this.go('mystery') },
    );
  }

  protected keep(keeping: Keeping): void {
    this.recorder.record(`Kept from now on: ${KEEPING_WORDS[keeping].toLowerCase()}`, {
      kind: 'keeping-chosen',
      keeping,
    });
  }

  /** Opens the joint whose label is held up. */
  protected async scan(): Promise<void> {
    const code = await this.scanner.scan('Scan a tag or a bag');
    const state = this.desk.state();
    const job = this.desk.job();
    if (!code || !state || !job) return;
    this.wrong.set('');
    if (code.job !== undefined && code.job !== jobCode(job.id)) {
      void this.router.navigateByUrl(`/${code.is === 'bag' ? 'b' : 't'}/${code.job}/${code.number}`);
      return;
    }
    const found =
      code.is === 'bag'
        ? [...state.bags].find(([, { out }]) => out?.bag === code.number)?.[0]
        : [...state.tags].find(([, number]) => number === code.number)?.[0];
    if (found === undefined) this.wrong.set(`${code.is === 'bag' ? 'Bag' : 'Tag'} ${code.number} is not on this job.`);
    else void this.go('bags', found);
  }

  private go(...path: readonly string[]): Promise<boolean> {
    return this.router.navigate(['/jobs', this.desk.job()?.id, ...path]);
  }

  protected saveList(): void {
    const state = this.desk.state();
    if (state) saveFile('bags.csv', writeSheet(BAG_COLUMNS, bagRows(state)));
  }

  protected print(): void {
    window.print();
  }
}

function textOf({ connection, contents, note, bag, tag }: BagTile): string {
  const numbers = [bag === undefined ? '' : `bag ${bag} #${bag}`, tag === undefined ? '' : `tag ${tag} #${tag}`];
  return [connection.name, ...contents, note ?? '', ...numbers].join(' ');
}
