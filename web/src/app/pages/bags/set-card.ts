import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { labelsOf } from '@brisk/core/labels';
import { setCountOf, setsOf, tileOf, unevenWords, KEEPING_WORDS } from '@brisk/core/ledger';
import { STATION_WORDS, sentence } from '@brisk/core/words';
import { Desk } from '../../session/desk';
import { labelPicture } from '../../labels/label-picture';
import { PhotoKey } from '../../photos/photo-key';
import { TorqueCard } from './torque-card';
import { PhotoStrip } from '../../photos/photo-strip';
import { JointActions } from '../../working-step/joint-actions';
import { BoltCard } from './bolt-card';
import { ConditionForm } from './condition-form';
import { SetForm } from './set-form';

/** One joint’s fasteners: what they are, out against in, what they are like, where the holes are, and its photos. */
@Component({
  selector: 'bl-set-card',
  imports: [BoltCard, ConditionForm, MatButton, PhotoKey, PhotoStrip, RouterLink, SetForm, TorqueCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './set-card.html',
  styleUrl: './set-card.scss',
})
export class SetCard {
  readonly connection = input.required<string>();
  protected readonly desk = inject(Desk);
  protected readonly joints = inject(JointActions);
  protected readonly stations = STATION_WORDS;
  protected readonly sentence = sentence;
  protected readonly keepingWords = KEEPING_WORDS;
  protected readonly editing = signal(false);

  protected readonly card = computed(() => {
    const state = this.desk.state();
    const connection = state?.work.connections.get(this.connection());
    if (!state || !connection) return undefined;
    const count = setCountOf(state, connection.id);
    return {
      connection,
      sets: setsOf(state, connection.id),
      described: state.sets.has(connection.id),
      count,
      tile: count && tileOf(state, count),
      uneven: count?.closed || count?.in !== undefined ? unevenWords(count) : undefined,
      tag: state.tags.get(connection.id),
      pinnedTo: {
        connection: connection.id,
        ...(count?.bag === undefined ? {} : { bag: count.bag }),
        ...(state.tags.has(connection.id) ? { tag: state.tags.get(connection.id) } : {}),
      },
    };
  });

  protected async savePicture(is: 'tag' | 'bag'): Promise<void> {
    const state = this.desk.state();
    const job = this.desk.job();
    const card = this.card();
    if (!state || !job || !card) return;
    const number = is === 'bag' ? card.count?.bag : card.tag;
    const label = labelsOf(state, job.id, is).find((one) => one.number === number);
    if (!label) return;
    const address = URL.createObjectURL(await labelPicture(label, location.origin));
    const link = document.createElement('a');
    link.href = address;
    link.download = `${is}-${number}.png`;
    link.click();
    URL.revokeObjectURL(address);
  }

  protected countIn(): void {
    void this.joints.countIn(this.connection());
  }
}
