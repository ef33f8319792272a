import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  BOX_FAULTS,
  burstOf,
  burstsOf,
  CHANNELS,
  doesNow,
  readingsInTable,
  stopWords,
  TraceTableError,
  type BoxReading,
  type BurstFrom,
  type BurstTrace,
  type ChannelId,
  type Does,
} from '@brisk/core/instrument';
import { several } from '@brisk/core/words';
import { firstValueFrom, type Subscription } from 'rxjs';
import { BoxLine, type BoxSource, type HeardBox } from '../../planning/box-line';
import { LineTrouble } from '../../planning/reading-line';
import { FileKey } from '../../ui/file-key';
import { PickOne } from '../../ui/pick-one';
import { BoxChart } from './box-chart';
import { burstWords, FAULT_WORDS } from './box-words';
import { BESIDE } from './trace-look';

const DOES_WORDS: Readonly<Record<Does, string>> = { stands: 'It stands', cranks: 'It cranks', runs: 'It runs' };
/** Readings that are kept: ten minutes of them. */
const KEPT = 6_000;
const SHOWN_S = [30, 120, 600] as const;

/** A burst that was read, and by what. */
export interface ReadBurst {
  readonly burst: BurstTrace;
  readonly from: BurstFrom;
}

/** A bench box, live: its figures, its trace, what says stop, and what each burst came to. The simulated one says that it is. */
@Component({
  selector: 'bl-bench-box',
  imports: [BoxChart, FileKey, MatButton, PickOne],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench-box.html',
  styleUrl: './bench-box.scss',
})
export class BenchBox {
  /** A burst is over: what it came to. */
  readonly burst = output<ReadBurst>();
  private readonly line = inject(BoxLine);
  private readonly heard = signal<readonly HeardBox[]>([]);
  protected readonly sources = computed(() => [
    ...this.heard().map(({ box }) => ({ value: `box:${box}`, words: `Box ${box}` })),
    ...BOX_FAULTS.map((fault) => ({ value: `fault:${fault}`, words: `Simulated: ${FAULT_WORDS[fault]}` })),
  ]);
  protected readonly source = signal('fault:none');
  protected readonly simulated = computed(() => this.source().startsWith('fault:'));
  protected readonly on = signal(false);
  protected readonly trouble = signal('');
  protected readonly readings = signal<readonly BoxReading[]>([]);
  protected readonly beside = signal<ChannelId>('rpm');
  protected readonly besides = BESIDE.map(({ id, name }) => ({ value: id, words: name }));
  protected readonly seconds = signal<number>(SHOWN_S[0]);
  protected readonly spans = SHOWN_S.map((value) => ({
    value,
    words: value < 60 ? `${value} s` : `${value / 60} min`,
  }));
  protected readonly last = computed(() => this.readings().at(-1));
  protected readonly stops = computed(() => stopWords(this.readings()));
  protected readonly does = computed(() => {
    const last = this.last();
    return last ? DOES_WORDS[doesNow(last)] : '';
  });
  protected readonly figures = computed(() => {
    const last = this.last();
    return CHANNELS.flatMap(({ id, unit, digits }) => {
      const figure = last?.[id];
      return figure === undefined ? [] : [{ words: figure.toFixed(digits), unit }];
    });
  });
  /** What each cylinder adds, against the mean of all. */
  protected readonly adds = computed(() => this.last()?.addsPct ?? []);
  protected readonly codes = computed(() => this.last()?.codes ?? []);
  protected readonly said = signal('');
  private running: Subscription | undefined;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.off());
    void this.look();
  }

  /** Which real boxes send now. */
  protected async look(): Promise<void> {
    try {
      this.heard.set(await firstValueFrom(this.line.heard()));
    } catch {
      // Without the server there is no real box; the hand entry is there all the same.
      this.heard.set([]);
    }
  }

  protected switchOn(): void {
    this.running?.unsubscribe();
    this.trouble.set('');
    this.said.set('');
    this.readings.set([]);
    this.on.set(true);
    this.running = this.line.readings(this.sourceNow()).subscribe({
      next: (reading) => this.take(reading),
      error: (error: unknown) => {
        this.brokenOff();
        this.trouble.set(error instanceof LineTrouble ? error.message : 'The box cannot be read.');
      },
    });
  }

  protected change(source: string): void {
    this.source.set(source);
    if (this.on()) this.switchOn();
  }

  protected off(): void {
    this.running?.unsubscribe();
    this.running = undefined;
    this.on.set(false);
  }

  /** A trace out of a spreadsheet: its last burst goes to the attempt. */
  protected async readFile([file]: readonly File[]): Promise<void> {
    if (!file) return;
    this.off();
    this.trouble.set('');
    try {
      const { bytesOf, readSheet, SheetError } = await import('../../ui/csv');
      try {
        const { headings, rows } = readSheet(await bytesOf(file));
        const table = [headings, ...rows.map((row) => headings.map((heading) => String(row[heading] ?? '')))];
        this.showFile(readingsInTable(table));
      } catch (error) {
        if (!(error instanceof SheetError || error instanceof TraceTableError)) throw error;
        this.trouble.set(`${file.name}: ${error.message} Type what was read by hand.`);
      }
    } catch {
      this.trouble.set(`${file.name} cannot be read. Type what was read by hand.`);
    }
  }

  private showFile(readings: readonly BoxReading[]): void {
    this.readings.set(readings.slice(-KEPT));
    const bursts = burstsOf(readings);
    const last = bursts.at(-1);
    if (!last) {
      this.trouble.set('Nobody cranks in it: there is no current on the starter.');
      return;
    }
    this.tell(last, 'file', bursts.length > 1 ? `${several(bursts.length, 'burst')} in it, the last of them: ` : '');
  }

  /** A reading that is no later than the last is none: two boxes, or one that was set back. */
  private take(reading: BoxReading): void {
    const before = this.last();
    if (before && reading.atMs <= before.atMs) {
      this.brokenOff();
      this.trouble.set('Its readings run backwards: two boxes at once, or one that was set back. Switch one on anew.');
      return;
    }
    this.readings.update((readings) => [...readings.slice(1 - KEPT), reading]);
    const stood = before !== undefined && doesNow(before) !== 'stands';
    if (stood && doesNow(reading) === 'stands') this.ended();
  }

  /** A box that stops in a burst: what it read until then is not lost. */
  private brokenOff(): void {
    const last = this.last();
    const cut = this.on() && last !== undefined && doesNow(last) !== 'stands';
    this.off();
    if (cut) this.ended('It stopped in a burst; until then: ');
  }

  private ended(before = ''): void {
    const trace = burstOf(this.readings());
    if (trace) this.tell(trace, this.simulated() ? 'simulated' : 'box', before);
  }

  private tell(burst: BurstTrace, from: BurstFrom, before: string): void {
    this.said.set(`${before}${burstWords(burst)}`);
    this.burst.emit({ burst, from });
  }

  protected signed(share: number): string {
    const whole = Math.round(share);
    return whole > 0 ? `+${whole}` : String(whole === 0 ? 0 : whole);
  }

  private sourceNow(): BoxSource {
    const source = this.source();
    const fault = BOX_FAULTS.find((one) => source === `fault:${one}`);
    return fault ? { fault } : { box: source.slice('box:'.length) };
  }
}
