import { several } from '@brisk/core/words';
import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatExpansionModule } from '@angular/material/expansion';
import { RouterLink } from '@angular/router';
import type { HoldPointId } from '@brisk/core/connection-map';
import { gateOf, groundsOf, type Blocker, type JobState } from '@brisk/core/ledger';
import { Person } from '../session/person';
import { Desk } from '../session/desk';
import { JointActions } from './joint-actions';
import { Recorder } from '../session/recorder';

const GROUPS: readonly { readonly is: Blocker['is']; readonly words: string }[] = [
  { is: 'holds', words: 'still hold it' },
  { is: 'not-off', words: 'not off yet' },
  { is: 'make-safe', words: 'to make safe or support' },
  { is: 'open', words: 'still open' },
  { is: 'torque', words: 'not at final torque' },
  { is: 'unfilled', words: 'to drain or fill' },
  { is: 'ground', words: 'grounds to look at' },
  { is: 'look', words: 'joints nobody looked at' },
  { is: 'adjust', words: 'to be set by trying' },
  { is: 'step', words: 'other steps' },
];

/** Felt in the hand: here somebody stops and looks. */
const HOLD_BUZZ_MS = [120, 80, 120];

/** A gate: what is missing, what a person confirms with their own eyes, and the signature. */
@Component({
  selector: 'bl-hold-point',
  imports: [MatButton, MatCheckbox, MatExpansionModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './hold-point.html',
  styleUrl: './hold-point.scss',
})
export class HoldPoint {
  readonly holdPoint = input.required<HoldPointId>();
  readonly state = input.required<JobState>();
  private readonly joints = inject(JointActions);
  private readonly recorder = inject(Recorder);
  private readonly person = inject(Person);
  private readonly desk = inject(Desk);

  protected readonly gate = computed(() => gateOf(this.state(), this.holdPoint()));
  protected readonly signer = computed(() => this.person.in(this.desk.job()?.crew ?? []));
  private readonly eyes = computed(() => {
    const { firstOfTwo, blockers } = this.gate();
    return `${this.holdPoint()} ${this.signer()} ${firstOfTwo?.by} ${blockers.length > 0}`;
  });
  /**
   * What was confirmed, by the one pair of eyes that signs: whoever takes over looks again, and so does everybody after
   * something stood in the way once more. Other entries that come in take no tick away.
   */
  protected readonly confirmed = linkedSignal<string, ReadonlySet<string>>({
    source: this.eyes,
    computation: () => new Set(),
  });

  constructor() {
    if ('vibrate' in navigator) navigator.vibrate(HOLD_BUZZ_MS);
  }

  /** What is missing, by what it means. */
  protected readonly groups = computed(() =>
    GROUPS.map(({ is, words }) => ({
      words,
      isTried: is === 'look' || is === 'adjust',
      blockers: this.gate().blockers.filter((blocker) => blocker.is === is),
    })).filter(({ blockers }) => blockers.length > 0),
  );
  protected readonly missing = computed(() => {
    const { blockers, holdPoint, firstOfTwo } = this.gate();
    if (blockers.length > 0) return `${several(blockers.length, 'step')} missing`;
    if (firstOfTwo?.by === this.signer()) return `${firstOfTwo.by} has signed: now somebody else`;
    const looks = holdPoint.confirmations.filter(({ id }) => !this.confirmed().has(id)).length;
    return looks > 0 ? `${several(looks, 'look')} to confirm` : '';
  });

  /** Grounds that were off: one look each, on bright metal, tight, the strap whole. */
  protected readonly grounds = computed(() =>
    this.gate().blockers.some(({ is }) => is === 'ground')
      ? groundsOf(this.state()).filter(({ check, closed }) => closed && !check?.good)
      : [],
  );

  protected groundGood(connection: string, name: string): void {
    this.recorder.record(`Ground good: ${name}`, { kind: 'ground-checked', connection, good: true });
  }

  protected async groundBad(connection: string, name: string): Promise<void> {
    await this.joints.groundBad(connection, name);
  }

  protected confirm(id: string, on: boolean): void {
    this.confirmed.update((before) => {
      const next = new Set(before);
      if (on) next.add(id);
      else next.delete(id);
      return next;
    });
  }

  protected askSecond(): void {
    const { id, name } = this.gate().holdPoint;
    this.recorder.record(`Two sign: ${name}`, { kind: 'second-signer-asked', holdPoint: id, asked: true });
  }

  protected sign(): void {
    const { holdPoint } = this.gate();
    this.recorder.record(`Signed: ${holdPoint.name}`, {
      kind: 'hold-point-signed',
      holdPoint: holdPoint.id,
      confirmed: [...this.confirmed()],
    });
  }
}
