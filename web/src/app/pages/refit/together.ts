import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import { looseGroups, type GroupJoint, type LooseGroup } from '@brisk/core/ledger';
import { operationId } from '@brisk/core/teardown';
import { sentence } from '@brisk/core/words';
import { Desk } from '../../session/desk';
import { Selection } from '../../session/selection';
import { RefitTabs } from './refit-tabs';

const GROUP_WORDS: Readonly<Record<string, string>> = { mounts: 'Mounts and crossmembers', exhaust: 'Exhaust' };
/** How far a joint is, as a mark and a word. */
const STAGES = {
  out: { mark: '○', words: 'not in' },
  byHand: { mark: '◔', words: 'by fingers' },
  in: { mark: '◑', words: 'in, loose' },
  tight: { mark: '●', words: 'tight' },
} as const;

/** Joints that stay loose until all of their group are in, and are tightened in an order of their own. */
@Component({
  selector: 'bl-together',
  imports: [MatButton, RefitTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './together.html',
  styleUrl: './together.scss',
})
export class Together {
  protected readonly desk = inject(Desk);
  private readonly selection = inject(Selection);
  private readonly router = inject(Router);
  protected readonly sentence = sentence;

  protected readonly groups = computed(() => {
    const state = this.desk.state();
    return (state ? looseGroups(state) : []).map((group) => ({
      ...group,
      words: GROUP_WORDS[group.name] ?? sentence(group.name),
      stage: stageOf(group),
      rows: group.joints.map((joint, at) => ({
        ...joint,
        number: at + 1,
        stage: STAGES[joint.tight ? 'tight' : joint.in ? 'in' : joint.byHand ? 'byHand' : 'out'],
        isNext: joint === group.next,
      })),
    }));
  });

  /** What is done next at a joint, as it is called on its key. */
  protected nextWords({ byHand, in: closed }: GroupJoint): string {
    return byHand === false ? 'Start by hand' : closed ? 'Tighten' : 'Close';
  }

  protected async take({ connection: { id }, byHand, in: closed }: GroupJoint): Promise<void> {
    this.selection.take(
      byHand === false ? operationId.start(id) : closed ? operationId.torque(id) : operationId.close(id),
    );
    await this.router.navigate(['/jobs', this.desk.job()?.id, 'refit']);
  }
}

/** Where a group stands, in words. */
function stageOf({ joints, startedByHand, in: closed, tight, allIn, final }: LooseGroup): string {
  const { length } = joints;
  if (final) return 'All at final torque';
  if (allIn) return `All in: tighten in this order, ${tight} of ${length} tight`;
  if (joints.some(({ byHand }) => byHand === false))
    return `Start every one by fingers first: ${startedByHand} of ${length}`;
  return `Still loose: ${closed} of ${length} in. None is tightened before all are`;
}
