import { effect, Injectable, signal } from '@angular/core';

const KEY = 'brisk-night';

/** Day or night colours: the device's own wish until somebody chooses. */
@Injectable({ providedIn: 'root' })
export class Night {
  readonly on = signal(
    (localStorage.getItem(KEY) ?? String(matchMedia('(prefers-color-scheme: dark)').matches)) === 'true',
  );

  constructor() {
    effect(() => document.documentElement.classList.toggle('night', this.on()));
  }

  toggle(): void {
    this.on.update((on) => !on);
    localStorage.setItem(KEY, String(this.on()));
  }
}
