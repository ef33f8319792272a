import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { PULLS, type Pull } from '@brisk/core/torque';
import type { Subscription } from 'rxjs';
import { LineTrouble } from '../planning/reading-line';
import { WrenchLine } from '../planning/wrench-line';
import { PickOne } from '../ui/pick-one';

const PULL_WORDS: Readonly<Record<Pull, string>> = {
  even: 'Pulled to its click',
  short: 'Let go too soon',
  past: 'Pulled past it',
};

/** The simulated torque wrench: taken up it pulls bolt after bolt, and each click is told. It says that it is simulated. */
@Component({
  selector: 'bl-live-wrench',
  imports: [MatButton, PickOne],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (on()) {
      <span role="status">
        Simulated wrench: <strong class="figure">{{ shown() }}</strong> N·m
      </span>
      <bl-pick label="How it is pulled" field="pull" [choices]="pulls" [value]="pull()" (picked)="change($event)" />
      <button matButton type="button" (click)="putDown()">Put it down</button>
    } @else {
      <button matButton type="button" [disabled]="settingNm() === undefined" (click)="takeUp()">
        Take the simulated wrench
      </button>
    }
    @if (trouble()) {
      <span class="marker" role="alert">{{ trouble() }}</span>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.5rem;
    }
  `,
})
export class LiveWrench {
  readonly settingNm = input.required<number | undefined>();
  /** What a pull came to, in N·m. */
  readonly clicked = output<number>();
  private readonly line = inject(WrenchLine);
  protected readonly pulls = PULLS.map((value) => ({ value, words: PULL_WORDS[value] }));
  protected readonly pull = signal<Pull>('even');
  protected readonly on = signal(false);
  protected readonly nm = signal(0);
  protected readonly trouble = signal('');
  protected readonly shown = computed(() => this.nm().toFixed(1));
  private running: Subscription | undefined;
  private setTo = 0;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.putDown());
  }

  protected takeUp(): void {
    const setNm = this.settingNm();
    if (setNm === undefined) return;
    this.running?.unsubscribe();
    this.trouble.set('');
    this.on.set(true);
    this.setTo = setNm;
    this.running = this.line.readings(setNm, this.pull()).subscribe({
      next: ({ nm, click }) => {
        this.nm.set(nm);
        if (!click) return;
        this.clicked.emit(nm);
        // Another stage has another setting: it is set anew between two pulls, or put down where none is left.
        queueMicrotask(() => this.setAnew());
      },
      error: (error: unknown) => {
        this.putDown();
        this.trouble.set(error instanceof LineTrouble ? error.message : 'The wrench cannot be read.');
      },
    });
  }

  private setAnew(): void {
    const setNm = this.settingNm();
    if (setNm === undefined) this.putDown();
    else if (this.on() && setNm !== this.setTo) this.takeUp();
  }

  protected change(pull: Pull): void {
    this.pull.set(pull);
    this.takeUp();
  }

  protected putDown(): void {
    this.running?.unsubscribe();
    this.running = undefined;
    this.on.set(false);
  }
}
