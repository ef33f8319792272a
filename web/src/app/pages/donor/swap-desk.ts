import { computed, inject, Injectable, signal } from '@angular/core';
import type { Swap } from '@brisk/contracts/swap';
import { completed, templateOf, type Choices } from '@brisk/core/layouts';
import { interfacesOf, type Decided, type Pulled, type Side } from '@brisk/core/swap';
import { Desk } from '../../session/desk';
import { donorSide, withSwap } from '../../planning/swap-plan';

/** The swap of the open job: its donor, both maps, and every change of it kept with the job as it is made. */
@Injectable()
export class SwapDesk {
  private readonly desk = inject(Desk);
  private inTurn = Promise.resolve();
  readonly trouble = signal('');
  readonly keeping = signal(false);

  readonly swap = computed(() => this.desk.job()?.swap);
  readonly host = computed<Side | undefined>(() => {
    const plan = this.desk.job()?.plan;
    return plan && { map: plan.map, powerpack: plan.powerpack };
  });
  readonly donor = computed<Side | undefined>(() => {
    const swap = this.swap();
    return swap && donorSide(swap);
  });
  readonly interfaces = computed(() => {
    const host = this.host();
    const donor = this.donor();
    return host && donor ? interfacesOf(host, donor) : [];
  });

  /** Names the donor, or another one; what was found and decided goes with the donor it was about. */
  async setDonor(donor: Swap['donor']): Promise<void> {
    const before = this.swap();
    const choices = completed(templateOf(donor.layout), donor.choices as Choices) as Swap['donor']['choices'];
    const same = before?.donor.name === donor.name && before.donor.layout === donor.layout;
    await this.keep({
      donor: { ...donor, choices },
      found: same ? before.found : {},
      decisions: same ? before.decisions : {},
      pulled: same ? before.pulled : {},
    });
  }

  async find(inspection: string, finding: string | undefined): Promise<void> {
    await this.change(({ found, ...swap }) => {
      const { [inspection]: _before, ...rest } = found;
      return { ...swap, found: finding === undefined ? rest : { ...rest, [inspection]: finding } };
    });
  }

  async decide(joint: string, decided: Decided | undefined): Promise<void> {
    await this.change(({ decisions, ...swap }) => {
      const { [joint]: _before, ...rest } = decisions;
      return { ...swap, decisions: decided === undefined ? rest : { ...rest, [joint]: decided } };
    });
  }

  async pull(item: string, pulled: Pulled): Promise<void> {
    await this.change((swap) => ({ ...swap, pulled: { ...swap.pulled, [item]: pulled } }));
  }

  /** One change after the other, each on top of what the one before it made. */
  private change(make: (swap: Swap) => Swap): Promise<void> {
    this.inTurn = this.inTurn.then(async () => {
      const swap = this.swap();
      if (swap) await this.keep(make(swap));
    });
    return this.inTurn;
  }

  /** Keeps `swap` with the job, and lets the plan follow from it. */
  private async keep(swap: Swap): Promise<void> {
    const job = this.desk.job();
    if (!job) return;
    this.keeping.set(true);
    const wrong = await this.desk.replan({ ...job, plan: withSwap(job.plan, swap), swap });
    this.keeping.set(false);
    this.trouble.set(wrong === undefined ? '' : `${wrong} It was not kept.`);
  }
}
