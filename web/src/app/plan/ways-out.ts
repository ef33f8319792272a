import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { lostBy } from '@brisk/core/ledger';
import { waysCompared, type WayOut } from '@brisk/core/ways';
import { duration } from '@brisk/core/words';
import { Desk } from '../desk/desk';
import { withSwap } from '../donor/swap-plan';

/** Every powerpack by every route it can leave by, with what each costs, to choose from until something is recorded that another way would not have. */
@Component({
  selector: 'bl-ways-out',
  imports: [MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ways-out.html',
  styleUrl: './ways-out.scss',
})
export class WaysOut {
  private readonly desk = inject(Desk);
  private readonly router = inject(Router);
  protected readonly duration = duration;
  protected readonly trouble = signal('');
  protected readonly taking = signal(false);

  protected readonly ways = computed(() => {
    const job = this.desk.job();
    const state = this.desk.state();
    if (!job || !state) return [];
    const { map, powerpack, route } = job.plan;
    const all = waysCompared(map);
    const fewest = Math.min(...all.map(({ opened }) => opened));
    return all.map((way, index) => {
      const taken = way.powerpack.id === powerpack && way.route.id === route;
      const plan = withSwap({ ...job.plan, powerpack: way.powerpack.id, route: way.route.id }, job.swap);
      return {
        way,
        taken,
        quickest: index === 0,
        fewest: way.opened === fewest,
        lost: taken || state.position === 0 ? [] : lostBy(state, plan),
      };
    });
  });

  protected async take({ powerpack, route }: WayOut): Promise<void> {
    const job = this.desk.job();
    if (!job || this.taking()) return;
    this.taking.set(true);
    const wrong = await this.desk.replan({
      ...job,
      plan: withSwap({ ...job.plan, powerpack: powerpack.id, route: route.id }, job.swap),
    });
    this.taking.set(false);
    this.trouble.set(wrong ?? '');
    if (wrong === undefined) await this.router.navigate(['/jobs', job.id, 'plan']);
  }
}
