import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RESULT_WORDS } from '@brisk/core/first-start';
import {
  BOX_FAULTS,
  burstOf,
  doesNow,
  stopWords,
  type BoxFault,
  type BoxReading,
  type BurstTrace,
  type Does,
} from '@brisk/core/instrument';
import type { Subscription } from 'rxjs';
import { BoxLine } from '../../planning/box-line';
import { LineTrouble } from '../../planning/reading-line';
import { PickOne } from '../../ui/pick-one';
import { BoxTrace } from './box-trace';

const FAULT_WORDS: Readonly<Record<BoxFault, string>> = {
  none: 'Nothing wrong with it',
  'flat-battery': 'Flat battery',
  'bad-ground': 'Bad ground',
  'air-in-fuel': 'Air in the fuel',
  'dead-injector': 'Dead injector',
  'weak-cylinder': 'A weak cylinder',
  'no-oil-pressure': 'No oil pressure',
  'stuck-thermostat': 'Thermostat stuck',
};
const DOES_WORDS: Readonly<Record<Does, string>> = { stands: 'It stands', cranks: 'It cranks', runs: 'It runs' };
/** Readings that are kept: a minute of them. */
const KEPT = 600;

/** The simulated bench box, live: its figures, its trace, what says stop, and what each burst came to. It says that it is simulated. */
@Component({
  selector: 'bl-bench-box',
  imports: [BoxTrace, MatButton, PickOne],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench-box.html',
  styleUrl: './bench-box.scss',
})
export class BenchBox {
  /** A burst is over: what it came to. */
  readonly burst = output<BurstTrace>();
  private readonly line = inject(BoxLine);
  protected readonly faults = BOX_FAULTS.map((value) => ({ value, words: FAULT_WORDS[value] }));
  protected readonly fault = signal<BoxFault>('none');
  protected readonly on = signal(false);
  protected readonly trouble = signal('');
  protected readonly readings = signal<readonly BoxReading[]>([]);
  protected readonly last = computed(() => this.readings().at(-1));
  protected readonly stops = computed(() => stopWords(this.readings()));
  protected readonly does = computed(() => {
    const last = this.last();
    return last ? DOES_WORDS[doesNow(last)] : '';
  });
  protected readonly figures = computed(() => {
    const last = this.last();
    return last
      ? [
          { words: last.volts.toFixed(1), unit: 'V' },
          { words: String(Math.round(last.amps)), unit: 'A' },
          { words: String(Math.round(last.rpm)), unit: 'rpm' },
          { words: last.oilBar.toFixed(1), unit: 'bar oil' },
          { words: String(Math.round(last.coolantC)), unit: '°C' },
          { words: last.fuelBar.toFixed(1), unit: 'bar fuel' },
        ]
      : [];
  });
  protected readonly said = signal('');
  private running: Subscription | undefined;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.off());
  }

  protected switchOn(): void {
    this.running?.unsubscribe();
    this.trouble.set('');
    this.said.set('');
    this.readings.set([]);
    this.on.set(true);
    this.running = this.line.readings(this.fault()).subscribe({
      next: (reading) => this.take(reading),
      error: (error: unknown) => {
        this.off();
        this.trouble.set(error instanceof LineTrouble ? error.message : 'The box cannot be read.');
      },
    });
  }

  protected change(fault: BoxFault): void {
    this.fault.set(fault);
    if (this.on()) this.switchOn();
  }

  protected off(): void {
    this.running?.unsubscribe();
    this.running = undefined;
    this.on.set(false);
  }

  /** A reading that is no later than the last is none: two boxes, or one that was set back. */
  private take(reading: BoxReading): void {
    const before = this.last();
    if (before && reading.atMs <= before.atMs) {
      this.off();
      this.trouble.set('Its readings run backwards: two boxes at once, or one that was set back. Switch one on anew.');
      return;
    }
    this.readings.update((readings) => [...readings.slice(1 - KEPT), reading]);
    const stood = before !== undefined && doesNow(before) !== 'stands';
    if (stood && doesNow(reading) === 'stands') this.ended();
  }

  private ended(): void {
    const trace = burstOf(this.readings());
    if (!trace) return;
    const { voltsBefore, voltsLowest, crankSeconds, crankRpm, result, pressureAfterS, weak } = trace;
    this.said.set(
      [
        `${RESULT_WORDS[result]}: ${voltsBefore.toFixed(1)} to ${voltsLowest.toFixed(1)} V in ${crankSeconds} s at ${crankRpm} rpm`,
        pressureAfterS === undefined ? 'no oil pressure' : `oil pressure after ${pressureAfterS.toFixed(1)} s`,
        ...(weak === undefined ? [] : [`cylinder ${weak} in firing order weak by the current`]),
      ].join(', '),
    );
    this.burst.emit(trace);
  }
}
