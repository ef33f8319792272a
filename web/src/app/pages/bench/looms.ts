import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatIcon } from '@angular/material/icon';
import { MatProgressBar } from '@angular/material/progress-bar';
import { isDone, LOOM_WORDS, LOOMS, type JobState, type Loom } from '@brisk/core/ledger';
import {
  spliceStepId,
  spliceSteps,
  type Pin,
  type PinTable,
  type Splice,
  type SpliceLine,
} from '@brisk/core/pin-tables';
import { operationId } from '@brisk/core/teardown';
import { duration, sentence, several } from '@brisk/core/words';
import equal from 'fast-deep-equal/es6';
import { finalize } from 'rxjs';
import { Reckoning } from '../../planning/reckoning';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { bytesOf, readSheet, SheetError, writeSheet } from '../../ui/csv';
import { FileKey } from '../../ui/file-key';
import { saveFile } from '../../ui/save-file';
import { BenchTabs } from './bench-tabs';
import { pinsIn } from './pin-headings';

const SPLICE_WORDS: Readonly<Record<Splice, string>> = {
  conflict: 'Does not go together: measure first',
  missing: 'Missing on the engine’s loom',
  lengthen: 'Lengthen',
  're-pin': 'Move to another pin',
  join: 'Join',
  'left-over': 'Left over',
};
/** Of the lines that cannot be taken, so many are named. */
const MOST_BAD = 8;
const MOST_PINS = 400;
/** So many pins are never longer. */
const MOST_TABLE_BYTES = 1024 * 1024;

/** Two looms pin by pin: their tables read in, matched, and made into a list of splices to be ticked. */
@Component({
  selector: 'bl-looms',
  imports: [BenchTabs, FileKey, MatButton, MatCheckbox, MatIcon, MatProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './looms.html',
  styleUrl: './looms.scss',
})
export class Looms {
  private readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  private readonly reckoning = inject(Reckoning);
  protected readonly sentence = sentence;
  protected readonly several = several;
  protected readonly trouble = signal('');
  protected readonly bad = signal<readonly { readonly line: number; readonly words: string }[]>([]);
  protected readonly mostBad = MOST_BAD;

  protected readonly looms = computed(() =>
    LOOMS.map((loom) => ({ loom, words: LOOM_WORDS[loom], pins: this.desk.state()?.pins.get(loom)?.length ?? 0 })),
  );
  private readonly tables = computed(
    () => {
      const pins = this.desk.state()?.pins;
      return { host: pins?.get('host') ?? [], engine: pins?.get('engine') ?? [] };
    },
    { equal },
  );
  private readonly lines = signal<readonly SpliceLine[]>([]);
  /** Both are read, and are being matched. */
  protected readonly matching = signal(false);
  protected readonly groups = computed(() => {
    const state = this.desk.state();
    const lines = this.lines().map((line) => ({ ...line, made: state && madeBy(state, line.id) }));
    return [...new Set(lines.map(({ does }) => does))].map((does) => ({
      does,
      words: SPLICE_WORDS[does],
      lines: lines.filter((line) => line.does === does),
    }));
  });
  protected readonly left = computed(
    () =>
      this.groups()
        .filter(({ does }) => does !== 'left-over')
        .flatMap(({ lines }) => lines)
        .filter(({ made }) => !made).length,
  );

  /** Steps for what is still to be made, where they are not in the plan as they are now. */
  protected readonly toPlan = computed(
    () => {
      const [state, lines] = [this.desk.state(), this.lines()];
      if (!state || isDone(state, operationId.hold('pre-start'))) return [];
      const planned = new Map(state.spliceSteps.map((step) => [step.id, step]));
      // What was ticked on the list is made; what was made as a step keeps it.
      const steps = spliceSteps(lines.filter(({ id }) => planned.has(spliceStepId(id)) || !state.splices.has(id)));
      return equal(steps, [...planned.values()]) ? [] : steps;
    },
    { equal },
  );
  protected readonly planHours = computed(() =>
    duration(this.toPlan().reduce((sum, { minutes }) => sum + minutes.likely, 0)),
  );

  constructor() {
    effect((onCleanup) => {
      const { host, engine } = this.tables();
      this.lines.set([]);
      if (host.length === 0 || engine.length === 0) return;
      this.matching.set(true);
      const running = this.reckoning
        .splices(host, engine)
        .pipe(finalize(() => this.matching.set(false)))
        .subscribe({
          next: (lines) => this.lines.set(lines),
          error: (error: Error) => this.trouble.set(error.message),
        });
      onCleanup(() => running.unsubscribe());
    });
  }

  protected at(pin: Pin | undefined): string {
    if (!pin) return '—';
    return [
      `${pin.plug} ${pin.pin}`,
      pin.signal,
      [pin.colour, pin.sizeMm2 === undefined ? undefined : `${pin.sizeMm2} mm²`].filter(Boolean).join(' '),
    ]
      .filter((words) => words !== '')
      .join(', ');
  }

  /** Reads the pin table of one loom; what cannot be taken is named, and the table before stays until another is read. */
  protected async read(loom: Loom, [file]: readonly File[]): Promise<void> {
    if (!file) return;
    this.trouble.set('');
    this.bad.set([]);
    let table: PinTable;
    try {
      table = pinsIn(readSheet(await bytesOf(file, MOST_TABLE_BYTES), MOST_PINS));
    } catch (error) {
      if (!(error instanceof SheetError)) throw error;
      this.trouble.set(error.message);
      return;
    }
    this.bad.set(table.bad);
    if (table.pins.length === 0) {
      this.trouble.set(`No pin could be read from ${file.name}. It wants a line of headings: plug, pin, signal.`);
      return;
    }
    this.recorder.record(`Read: ${several(table.pins.length, 'pin')} of ${LOOM_WORDS[loom]}`, {
      kind: 'pins-read',
      loom,
      pins: table.pins,
    });
  }

  /** What is a step of the plan is done as one. */
  protected make(splice: string): void {
    const operation = operationId.adapt(spliceStepId(splice));
    const planned = this.desk.state()?.work.operations.has(operation);
    this.recorder.record('Spliced', planned ? { kind: 'operation-done', operation } : { kind: 'splice-done', splice });
  }

  protected plan(): void {
    const steps = this.toPlan();
    this.recorder.record(`${several(steps.length, 'splice')} in the plan`, { kind: 'splices-planned', steps });
  }

  protected save(): void {
    const columns = ['what', 'host', 'engine', 'how', 'mm2', 'more m', 'made'];
    const rows = this.groups().flatMap(({ words, lines }) =>
      lines.map(({ host, engine, words: how, wireMm2, moreM, made }) => ({
        what: words,
        host: this.at(host),
        engine: this.at(engine),
        how,
        mm2: wireMm2 === undefined ? '' : String(wireMm2),
        'more m': moreM === undefined ? '' : String(moreM),
        made: made?.by ?? '',
      })),
    );
    saveFile(
      'splices.csv',
      writeSheet(
        columns.map((id) => ({ id, heading: id })),
        rows,
      ),
    );
  }

  protected print(): void {
    window.print();
  }
}

/** Who made a splice and when, ticked on the list or done as a step; undefined while nobody has. */
function madeBy({ splices, progress }: JobState, splice: string): { readonly by: string } | undefined {
  const step = progress.get(operationId.adapt(spliceStepId(splice)));
  return splices.get(splice) ?? (step?.is === 'done' ? step : undefined);
}
