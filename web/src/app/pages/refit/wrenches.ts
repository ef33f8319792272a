import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { optionalDay } from '@brisk/contracts/fields';
import { wrenchRackSchema } from '@brisk/contracts/torque-wrenches';
import {
  calibrationDue,
  CALIBRATED_FOR_USES,
  type Adapter,
  type ShopWrench,
  type WrenchRack,
} from '@brisk/core/torque';
import { several } from '@brisk/core/words';
import { v4 as uuid } from 'uuid';
import { WrenchShed } from '../../planning/wrench-shed';
import { Ask } from '../../ui/ask';
import type { Answers } from '../../ui/asking';
import { figureQuestions, figuresIn, figureWords, nameQuestion, type Figure } from '../../ui/figures';
import { KeptItem } from '../../ui/kept-item';
import { RefitTabs } from './refit-tabs';

const nm = (field: string, label: string): Figure => ({ field, label, unit: 'N·m', most: 10_000 });
/** What is printed on a wrench, and the handle from the square to the middle of the grip. */
const WRENCH_FIGURES: readonly Figure[] = [
  nm('lowestNm', 'Lowest it reads'),
  nm('highestNm', 'Highest it reads'),
  { field: 'handleMm', label: 'Handle, for adapters', unit: 'mm', most: 3_000, optional: true },
];
const ADAPTER_FIGURES: readonly Figure[] = [{ field: 'lengthMm', label: 'Length', unit: 'mm', most: 2_000 }];

/** The torque wrenches and adapters of the shop: every setting is reckoned with these. */
@Component({
  selector: 'bl-wrenches',
  imports: [KeptItem, MatButton, MatIcon, RefitTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './wrenches.html',
  styleUrl: './wrenches.scss',
})
export class Wrenches {
  protected readonly shed = inject(WrenchShed);
  private readonly asker = inject(Ask);
  protected readonly mostUses = CALIBRATED_FOR_USES;

  protected readonly adapterWords = (adapter: Adapter) => figureWords(ADAPTER_FIGURES, adapter);
  protected readonly wrenches = computed(() => {
    const at = new Date().toISOString();
    return this.shed.rack().wrenches.map((wrench) => {
      const uses = this.shed.uses()[wrench.id] ?? 0;
      const { lowestNm, highestNm, handleMm, calibratedOn } = wrench;
      return {
        wrench,
        words: [
          `${lowestNm} to ${highestNm} N·m`,
          handleMm === undefined ? 'handle not measured' : `handle ${handleMm} mm`,
          calibratedOn === undefined
            ? 'nobody wrote down when it was calibrated'
            : `calibrated on ${calibratedOn}, ${several(uses, 'use')} since`,
        ].join(' · '),
        due: calibrationDue({ ...(calibratedOn === undefined ? {} : { calibratedOn }), uses }, at),
      };
    });
  });

  constructor() {
    void this.shed.load();
  }

  protected async write(before?: ShopWrench): Promise<void> {
    const answers = await this.asker.ask({
      title: before ? before.name : 'Another torque wrench',
      words: 'As it is printed on it; the handle from the square to the middle of the grip.',
      questions: [
        nameQuestion(before?.name),
        ...figureQuestions(WRENCH_FIGURES, before),
        {
          field: 'calibratedOn',
          label: 'Last calibrated on, such as 2026-03-01',
          as: 'line',
          schema: optionalDay().label('The day'),
          ...(before?.calibratedOn === undefined ? {} : { initial: before.calibratedOn }),
        },
      ],
      action: 'Write it down',
    });
    if (!answers) return;
    const made = wrenchIn(before?.id ?? uuid(), answers);
    await this.put((rack) => ({
      ...rack,
      wrenches: before ? rack.wrenches.map((one) => (one.id === before.id ? made : one)) : [...rack.wrenches, made],
    }));
  }

  protected async writeAdapter(before?: Adapter): Promise<void> {
    const answers = await this.asker.ask({
      title: before ? before.name : 'Another adapter',
      words: 'A crow’s foot or an extension across: from the square of the wrench to the middle of the bolt.',
      questions: [nameQuestion(before?.name), ...figureQuestions(ADAPTER_FIGURES, before)],
      action: 'Write it down',
    });
    if (!answers) return;
    const made = { id: before?.id ?? uuid(), name: String(answers['name']), lengthMm: Number(answers['lengthMm']) };
    await this.put((rack) => ({
      ...rack,
      adapters: before ? rack.adapters.map((one) => (one.id === before.id ? made : one)) : [...rack.adapters, made],
    }));
  }

  protected wrenchAway({ id }: ShopWrench): Promise<void> {
    return this.put((rack) => ({ ...rack, wrenches: rack.wrenches.filter((one) => one.id !== id) }));
  }

  protected adapterAway({ id }: Adapter): Promise<void> {
    return this.put((rack) => ({ ...rack, adapters: rack.adapters.filter((one) => one.id !== id) }));
  }

  /** Writes what passes for a rack; what does not is told in words, and nothing is written. */
  private put(change: (rack: WrenchRack) => WrenchRack): Promise<void> {
    return this.shed.change((rack) => wrenchRackSchema.validateSync(change(rack)));
  }
}

function wrenchIn(id: string, answers: Answers): ShopWrench {
  const day = String(answers['calibratedOn'] ?? '').trim();
  const { lowestNm = 0, highestNm = 0, handleMm } = figuresIn(WRENCH_FIGURES, answers);
  return {
    id,
    name: String(answers['name']),
    lowestNm,
    highestNm,
    ...(handleMm === undefined ? {} : { handleMm }),
    ...(day === '' ? {} : { calibratedOn: day }),
  };
}
