import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { gateOf, possibleNow } from '@brisk/core/ledger';
import { HARM_WORDS, PURPOSE_WORDS, readiness } from '@brisk/core/readiness';
import type { Operation } from '@brisk/core/teardown';
import { several } from '@brisk/core/words';
import { Desk } from '../../session/desk';
import { Selection } from '../../session/selection';
import { StartTabs } from './start-tabs';

/** So much of what speaks against a purpose stands beside it; all of it stands below, by its harm. */
const MOST_NAMED = 2;

/** What the key would do if it were turned now, and what speaks against each purpose. */
@Component({
  selector: 'bl-ready',
  imports: [MatButton, RouterLink, StartTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ready.html',
  styleUrl: './ready.scss',
})
export class Ready {
  private readonly desk = inject(Desk);
  private readonly selection = inject(Selection);
  private readonly router = inject(Router);
  protected readonly several = several;
  protected readonly mostNamed = MOST_NAMED;

  private readonly now = computed(() => {
    const state = this.desk.state();
    return state && readiness(state);
  });
  protected readonly purposes = computed(() =>
    (this.now()?.purposes ?? []).map(({ purpose, against }) => ({ purpose, ...PURPOSE_WORDS[purpose], against })),
  );
  /** What it would do, harm by harm, gravest first. */
  protected readonly harms = computed(() => {
    const warned = this.now()?.warned ?? [];
    return [...new Set(warned.map(({ harm }) => harm))].map((harm) => ({
      harm,
      words: HARM_WORDS[harm],
      warned: warned.filter((one) => one.harm === harm),
    }));
  });
  protected readonly signed = computed(() => {
    const state = this.desk.state();
    return state !== undefined && gateOf(state, 'pre-start').signed !== undefined;
  });
  protected readonly possible = computed(() => {
    const state = this.desk.state();
    return new Set(state ? possibleNow(state, ['bench', 'refit']).map(({ id }) => id) : []);
  });

  protected async take({ id, phase }: Operation): Promise<void> {
    this.selection.take(id);
    await this.router.navigate(['/jobs', this.desk.job()?.id, phase]);
  }
}
