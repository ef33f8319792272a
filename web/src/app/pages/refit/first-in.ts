import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatExpansionModule } from '@angular/material/expansion';
import { Router } from '@angular/router';
import { photosAt } from '@brisk/core/find';
import { firstIn, type FirstInStep, type Side } from '@brisk/core/first-in';
import { allLifted, gateOf, possibleNow } from '@brisk/core/ledger';
import { type Operation } from '@brisk/core/teardown';
import { several, sentence, STATION_WORDS } from '@brisk/core/words';
import { PhotoStrip } from '../../photos/photo-strip';
import { Desk } from '../../session/desk';
import { Selection } from '../../session/selection';
import { RefitTabs } from './refit-tabs';

const SIDE_WORDS: Readonly<Record<Side, string>> = {
  above: 'above',
  left: 'the left',
  right: 'the right',
  below: 'below',
};

/** What must be in, off or aside before the powerpack goes down, each with its photo from the way out. */
@Component({
  selector: 'bl-first-in',
  imports: [MatButton, MatExpansionModule, PhotoStrip, RefitTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './first-in.html',
  styleUrl: './first-in.scss',
})
export class FirstInBoard {
  protected readonly desk = inject(Desk);
  private readonly selection = inject(Selection);
  private readonly router = inject(Router);
  protected readonly several = several;
  protected readonly sentence = sentence;

  protected readonly board = computed(() => {
    const state = this.desk.state();
    return state && firstIn(state);
  });
  protected readonly out = computed(() => {
    const state = this.desk.state();
    return state !== undefined && allLifted(state);
  });
  protected readonly signed = computed(() => {
    const state = this.desk.state();
    return state && gateOf(state, 'pre-lower').signed;
  });
  protected readonly groups = computed(() => {
    const board = this.board();
    return board
      ? [
          { words: 'On the powerpack', steps: board.onIt },
          { words: 'In the machine', steps: board.inMachine },
        ].map(({ words, steps }) => ({
          words,
          open: steps.filter((step) => !isSettled(step)),
          done: steps.filter(isSettled),
        }))
      : [];
  });
  protected readonly left = computed(() => this.groups().reduce((sum, { open }) => sum + open.length, 0));
  /** Loose ends by where one stands to tie them. */
  protected readonly tied = computed(() => {
    const ends = this.board()?.tiedBack ?? [];
    return [...new Set(ends.map(({ station }) => station))].map((station) => ({
      station: STATION_WORDS[station],
      ends: ends.filter((end) => end.station === station),
    }));
  });
  protected readonly lastLook = computed(() =>
    (this.board()?.lastLook ?? []).map(({ name, by, from }) => ({
      name,
      by,
      from: from.length === 0 ? 'from nowhere' : `from ${from.map((side) => SIDE_WORDS[side]).join(' or ')} only`,
    })),
  );

  protected photos(operation: string | undefined): number {
    const state = this.desk.state();
    return state && operation ? photosAt(state, operation).length : 0;
  }

  /** Steps that can be taken in hand now. */
  protected readonly possible = computed(() => {
    const state = this.desk.state();
    return new Set(state ? possibleNow(state, ['bench', 'refit']).map(({ id }) => id) : []);
  });

  protected async take({ id, phase }: Operation): Promise<void> {
    this.selection.take(id);
    await this.router.navigate(['/jobs', this.desk.job()?.id, phase]);
  }
}

const isSettled = ({ done, left }: FirstInStep) => done || left !== undefined;
