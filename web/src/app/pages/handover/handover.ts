import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { MatIcon } from '@angular/material/icon';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatSortModule, type Sort } from '@angular/material/sort';
import { MatTableModule } from '@angular/material/table';
import { optionalText } from '@brisk/contracts/fields';
import {
  hasRun,
  LONGEST_STRETCH_MIN,
  minutesByStop,
  openItems,
  TORQUE_COLUMNS,
  torqueSheet,
  unsettled,
} from '@brisk/core/ledger';
import { STOP_WORDS } from '@brisk/core/stops';
import type { WorkPhase } from '@brisk/core/teardown';
import { FIRST_WRENCHES } from '@brisk/core/torque';
import { duration, sentence, several } from '@brisk/core/words';
import { Desk } from '../../session/desk';
import { Written } from '../../ui/written';
import { Ask } from '../../ui/ask';
import { Api } from '../../api/api';
import { Recorder } from '../../session/recorder';
import { LooksProposed } from '../../working-step/looks-proposed';
import { StepInHand } from '../../working-step/step-in-hand';
import { writeSheet } from '../../ui/csv';
import { saveFile } from '../../ui/save-file';
import { SealCard } from './seal-card';
import { VERDICT_WORDS } from '../../words/trade-words';

/** What is open, what was torqued, where the time went, and the job in one file. */
@Component({
  selector: 'bl-handover',
  imports: [
    LooksProposed,
    MatButton,
    MatExpansionModule,
    MatIcon,
    MatSortModule,
    MatTableModule,
    RouterLink,
    SealCard,
    StepInHand,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './handover.html',
  styleUrl: './handover.scss',
})
export class Handover {
  private readonly written = inject(Written);
  protected readonly desk = inject(Desk);
  private readonly asker = inject(Ask);
  private readonly recorder = inject(Recorder);
  private readonly api = inject(Api);
  protected readonly phases: readonly WorkPhase[] = ['handover'];
  protected readonly several = several;
  protected readonly longest = LONGEST_STRETCH_MIN;

  protected readonly items = computed(() => {
    const state = this.desk.state();
    return state ? openItems(state, this.written.day) : [];
  });
  /** Open items a person has to know; the long list of steps not done yet is told as one number. */
  protected readonly named = computed(() => this.items().filter(({ is }) => is !== 'step' && is !== 'still-open'));
  protected readonly notDone = computed(() => this.items().filter(({ is }) => is === 'step' || is === 'still-open'));

  protected readonly torques = computed(() => {
    const state = this.desk.state();
    if (!state) return [];
    return [...state.torques].flatMap(([connection, readings]) => {
      const last = readings.at(-1);
      if (!last) return [];
      return [
        {
          connection,
          name: sentence(state.work.connections.get(connection)?.name ?? connection),
          target: String(last.targetNm),
          read: last.read.value.toFixed(1),
          unit: last.read.unit,
          wrench: FIRST_WRENCHES.find(({ id }) => id === last.wrench)?.name ?? last.wrench,
          verdict: VERDICT_WORDS[last.verdict],
          missed: last.verdict !== 'within',
          accepted: last.accepted,
          tries: readings.length,
          by: `${last.by}, ${this.written.moment(last.at)}`,
        },
      ];
    });
  });

  protected saveTorques(): void {
    const state = this.desk.state();
    if (state) saveFile('torque.csv', writeSheet(TORQUE_COLUMNS, torqueSheet(state)));
  }

  protected readonly columns = ['name', 'target', 'read', 'verdict'];
  protected readonly sorted = signal<Sort>({ active: '', direction: '' });
  protected readonly sortedTorques = computed(() => {
    const { active, direction } = this.sorted();
    if (direction === '') return this.torques();
    const sign = direction === 'asc' ? 1 : -1;
    return [...this.torques()].sort((one, other) =>
      active === 'target'
        ? sign * (Number(one.target) - Number(other.target))
        : active === 'verdict'
          ? sign * (Number(one.missed) - Number(other.missed))
          : sign * one.name.localeCompare(other.name),
    );
  });

  protected readonly times = computed(() => {
    const state = this.desk.state();
    if (!state) return [];
    const minutes = [...minutesByStop(state)].filter(([, spent]) => spent > 0);
    const most = Math.max(1, ...minutes.map(([, spent]) => spent));
    return minutes.map(([stop, spent]) => ({ name: STOP_WORDS[stop], words: duration(spent), share: spent / most }));
  });
  protected readonly total = computed(() => {
    const state = this.desk.state();
    return state ? duration([...minutesByStop(state).values()].reduce((sum, spent) => sum + spent, 0)) : '';
  });

  protected readonly looksLeft = computed(() => {
    const state = this.desk.state();
    return (
      state !== undefined && unsettled(state, 'first-start').length === 0 && unsettled(state, 'handover').length > 0
    );
  });
  protected readonly ran = computed(() => {
    const state = this.desk.state();
    return state !== undefined && hasRun(state);
  });

  protected readonly photos = computed(() => this.desk.state()?.photos.size ?? 0);

  protected bundle(): string {
    const job = this.desk.job();
    if (!job) return '';
    return this.photos() > 0 ? this.api.zipAddress(job.id) : this.api.bundleAddress(job.id);
  }

  protected async handOver(): Promise<void> {
    const open = this.items().length;
    const answers = await this.asker.ask({
      title: 'Hand the machine over',
      words:
        open === 0
          ? 'Nothing is open.'
          : `You have read ${several(open, 'open item')}. They stay in the job for whoever takes it over.`,
      questions: [
        {
          field: 'note',
          label: 'A word for whoever takes it, if any',
          as: 'lines',
          schema: optionalText().label('Note'),
        },
      ],
      action: 'Hand it over',
    });
    if (!answers) return;
    this.recorder.record('Handed over', {
      kind: 'handed-over',
      openItems: open,
      ...(answers['note'] ? { note: String(answers['note']) } : {}),
    });
  }

  protected takeBack(entry: string): void {
    void this.recorder.correct(entry, 'the handover');
  }
}
