import { CdkDrag, CdkDragHandle, CdkDropList, type CdkDragDrop } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { CAUTION_WORDS } from '@brisk/core/connection-map';
import type { JobState } from '@brisk/core/ledger';
import { RAISING, sheetSetups, type Planned, type SheetSetup, USUAL_DAY, whenWords } from '@brisk/core/planning';
import type { OperationId } from '@brisk/core/teardown';
import { duration, HEIGHT_WORDS, STATION_WORDS } from '@brisk/core/words';
import { Selection } from '../../session/selection';
import { PlanDraft } from '../../planning/plan-draft';
import { Written } from '../../ui/written';

/** The run sheet: setups with what to carry there, and steps that can be dragged, moved by key, and pinned. */
@Component({
  selector: 'bl-setup-list',
  imports: [CdkDrag, CdkDragHandle, CdkDropList, MatButton, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './setup-list.html',
  styleUrl: './setup-list.scss',
})
export class SetupList {
  private readonly written = inject(Written);
  readonly state = input.required<JobState>();
  readonly plan = input.required<Planned>();
  protected readonly draft = inject(PlanDraft);
  protected readonly selection = inject(Selection);
  protected readonly stations = STATION_WORDS;
  protected readonly heights = HEIGHT_WORDS;
  protected readonly duration = duration;

  protected readonly setups = computed(() => sheetSetups(this.state(), this.plan()));
  protected readonly raising = computed(() => RAISING[this.plan().problem.crew.raisedOn ?? 'stands']);
  protected readonly crowd = computed(() => this.plan().problem.crew.hands.length > 1);
  protected readonly lists = computed(() => this.setups().map((_, index) => `setup-${index}`));

  /** When work on a setup begins, as a clock shows it. */
  protected when(startMin: number): string {
    return whenWords(startMin, new Date(), this.plan().problem.crew.day ?? USUAL_DAY, this.written.as());
  }

  protected cautionsOf(setup: SheetSetup): string {
    return setup.cautions.map((caution) => CAUTION_WORDS[caution].split('. ')[0]).join('. ');
  }

  protected idsOf({ operations }: SheetSetup): readonly OperationId[] {
    return operations.map(({ id }) => id);
  }

  protected isPinned(setup: SheetSetup): boolean {
    return setup.operations.some(({ id }) => this.draft.pinned().has(id));
  }

  /** A step was let go over a place of a setup. */
  protected dropStep({
    item,
    container,
    currentIndex,
    previousContainer,
    previousIndex,
  }: CdkDragDrop<number, number, OperationId>): void {
    const setup = this.setups()[container.data];
    if (!setup) return;
    const rest = this.idsOf(setup).filter((id) => id !== item.data);
    const target = rest[currentIndex] ?? this.firstBehind(container.data);
    if (container === previousContainer && currentIndex === previousIndex) return;
    this.draft.move([item.data], target, `Moved: ${item.data === target ? '' : this.titleOf(item.data)}`);
  }

  /** A whole setup was let go. */
  protected dropSetup({ previousIndex, currentIndex }: CdkDragDrop<unknown>): void {
    const setup = this.setups()[previousIndex];
    if (!setup || previousIndex === currentIndex) return;
    const others = this.setups().filter((_, index) => index !== previousIndex);
    const target = others[currentIndex]?.operations[0]?.id;
    this.draft.move(this.idsOf(setup), target, `Moved: setup ${previousIndex + 1}`);
  }

  /** Moves a setup one place on by button or key. */
  protected shiftSetup(index: number, by: -1 | 1): void {
    const setup = this.setups()[index];
    if (!setup) return;
    const target = by < 0 ? this.setups()[index - 1]?.operations[0]?.id : this.firstBehind(index + 1);
    if (by > 0 || target !== undefined) this.draft.move(this.idsOf(setup), target, `Moved: setup ${index + 1}`);
  }

  private firstBehind(index: number): OperationId | undefined {
    return this.setups()[index + 1]?.operations[0]?.id;
  }

  private titleOf(id: OperationId): string {
    return this.state().work.operations.get(id)?.title ?? id;
  }
}
