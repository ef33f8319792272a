import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { optionalText } from '@brisk/contracts/fields';
import { effectOf } from '@brisk/core/map-edit';
import {
  DECISIONS,
  decisionAt,
  INTERFACE_GROUPS,
  sumOf,
  swapWork,
  type Decision,
  type InterfaceGroup,
  type SwapInterface,
} from '@brisk/core/swap';
import { duration, sentence } from '@brisk/core/words';
import { number } from 'yup';
import type { Choice } from '../../ui/choice';
import { PickOne } from '../../ui/pick-one';
import { Desk } from '../../session/desk';
import { Ask } from '../../ui/ask';
import { money } from '../../words/money';
import { priceQuestions, pricesIn } from './price-questions';
import { SwapDesk } from './swap-desk';

export const DECISION_WORDS: Readonly<Record<Decision, string>> = {
  'as-it-is': 'As it is',
  'from-donor': 'From the donor',
  'from-host': 'From the host',
  adapt: 'Adapt',
  make: 'Make',
  buy: 'Buy',
  'not-needed': 'Not needed',
};
const GROUP_WORDS: Readonly<Record<InterfaceGroup, string>> = {
  mounts: 'Mounts',
  exhaust: 'Exhaust',
  harness: 'Harness',
  sensors: 'Sensors and plugs',
  fuel: 'Fuel',
  coolant: 'Coolant and heater',
  air: 'Air',
  linkage: 'Gear linkage',
  drive: 'Drive',
  controls: 'Cables and controls',
  other: 'The rest',
};

/** Where the new powerpack meets the machine: joint by joint, host against donor, and what is done about it. */
@Component({
  selector: 'bl-joints',
  imports: [MatButton, PickOne, RouterLink],
  providers: [SwapDesk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './joints.html',
  styleUrl: './joints.scss',
})
export class Joints {
  private readonly ask = inject(Ask);
  private readonly desk = inject(Desk);
  protected readonly swapDesk = inject(SwapDesk);
  /** What was picked and is not kept yet, by joint. */
  protected readonly shown = signal<Readonly<Record<string, Decision>>>({});
  protected readonly sentence = sentence;
  protected readonly duration = duration;
  protected readonly money = money;
  /** Joints that are the same on both are many and need nobody; they are shown when asked for. */
  protected readonly all = signal(false);

  protected readonly groups = computed(() => {
    const made = this.swapDesk.swap()?.decisions ?? {};
    const work = swapWork(this.swapDesk.interfaces(), made);
    const minutes = new Map(work.adaptations.map(({ id, minutes: some }) => [id, some.likely]));
    const rows = this.swapDesk.interfaces().map((joint) => ({
      joint,
      decided: decisionAt(joint, made),
      own: made[joint.id] !== undefined,
      minutes: minutes.get(joint.id) ?? 0,
      sides: joint.host && joint.donor ? 'both' : joint.host ? 'host only' : 'donor only',
    }));
    return INTERFACE_GROUPS.map((group) => ({
      group,
      words: GROUP_WORDS[group],
      rows: rows.filter(
        ({ joint, decided }) =>
          joint.group === group && (this.all() || decided.decision !== 'as-it-is' || joint.differences.length > 0),
      ),
    })).filter(({ rows: some }) => some.length > 0);
  });
  protected readonly alike = computed(
    () => this.swapDesk.interfaces().filter(({ proposal }) => proposal === 'as-it-is').length,
  );
  /** What the swap does to the refit, against the same one going back. */
  protected readonly effect = computed(() => {
    const plan = this.desk.job()?.plan;
    const made = this.swapDesk.swap()?.decisions;
    if (!plan || !made) return undefined;
    const { adaptations: _adaptations, leftOff: _leftOff, ...plain } = plan;
    const effect = effectOf(plain, { ...plain, ...swapWork(this.swapDesk.interfaces(), made) });
    return effect.workable ? { ...effect, ...sumOf(Object.values(made)) } : undefined;
  });

  /** What can be done at a joint, the proposal marked. */
  protected decisions({
    joint,
    own,
  }: {
    readonly joint: SwapInterface;
    readonly own: boolean;
  }): readonly Choice<Decision>[] {
    return DECISIONS.map((value) => ({
      value,
      words: `${DECISION_WORDS[value]}${value === joint.proposal && !own ? ' (proposed)' : ''}`,
    }));
  }

  protected async decide(joint: SwapInterface, decision: Decision): Promise<void> {
    this.shown.update((before) => ({ ...before, [joint.id]: decision }));
    const before = this.swapDesk.swap()?.decisions[joint.id];
    await this.swapDesk.decide(joint.id, { ...before, decision });
    this.shown.update(({ [joint.id]: _kept, ...rest }) => rest);
  }

  protected async note(joint: SwapInterface): Promise<void> {
    const before = decisionAt(joint, this.swapDesk.swap()?.decisions ?? {});
    const answers = await this.ask.ask({
      title: sentence(joint.name),
      words: joint.why,
      questions: [
        {
          field: 'note',
          label: 'How',
          as: 'lines',
          schema: optionalText().label('How'),
          ...(before.note ? { initial: before.note } : {}),
        },
        {
          field: 'minutes',
          label: 'Minutes',
          as: 'amount',
          schema: number().min(0).max(100_000).nullable().label('Minutes'),
          ...(before.minutes === undefined ? {} : { initial: before.minutes }),
        },
        ...priceQuestions(before),
      ],
      action: 'Keep it',
    });
    if (!answers) return;
    const minutes = answers['minutes'];
    const how = answers['note'];
    await this.swapDesk.decide(joint.id, {
      decision: before.decision,
      ...(typeof how === 'string' ? { note: how } : {}),
      ...(typeof minutes === 'number' ? { minutes } : {}),
      ...pricesIn(answers),
    });
  }
}
