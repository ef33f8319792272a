import { several } from '@brisk/core/words';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { unsettled } from '@brisk/core/ledger';
import { toolsNeeded, type ToolNeed } from '@brisk/core/planning';
import { EntryField } from '../../ui/entry-field';
import { Desk } from '../../session/desk';
import { PlanTabs } from './plan-tabs';
import { ToolShed } from '../../planning/tool-shed';

const STANDS: Readonly<Record<ToolNeed['stands'], string>> = {
  lacking: 'Not in this shop',
  unknown: 'Does the shop have it?',
  hired: 'Comes from elsewhere',
  here: 'In the shop',
};

/** What the rest of the job wants in tools, and what the shop has of it. */
@Component({
  selector: 'bl-tools',
  imports: [EntryField, MatButton, PlanTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './tools.html',
  styleUrl: './tools.scss',
})
export class Tools {
  private readonly desk = inject(Desk);
  protected readonly shed = inject(ToolShed);
  protected readonly several = several;
  /** The tool whose hire is being written down. */
  protected readonly hiring = signal('');
  protected readonly from = signal('');

  protected readonly groups = computed(() => {
    const state = this.desk.state();
    if (!state) return [];
    const needs = toolsNeeded(unsettled(state), this.shed.tools());
    return (['lacking', 'unknown', 'hired', 'here'] as const)
      .map((stands) => ({ stands, words: STANDS[stands], needs: needs.filter((need) => need.stands === stands) }))
      .filter(({ needs: some }) => some.length > 0);
  });

  protected has(tool: string, here: boolean): void {
    void this.shed.put({ tool, here });
  }

  protected beginHire({ tool, hire = '' }: ToolNeed): void {
    this.hiring.set(tool);
    this.from.set(hire);
  }

  protected hire(tool: string, words: string): void {
    this.hiring.set('');
    const hire = words.trim();
    void this.shed.put({ tool, here: false, ...(hire === '' ? {} : { hire }) });
  }
}
