import { effect, Injectable, signal } from '@angular/core';

const KEY = 'brisk-gloves';

/** Larger keys and type, for hands in gloves. */
@Injectable({ providedIn: 'root' })
export class Gloves {
  readonly on = signal(localStorage.getItem(KEY) === 'true');

  constructor() {
    effect(() => document.documentElement.classList.toggle('gloves', this.on()));
  }

  toggle(): void {
    this.on.update((on) => !on);
    localStorage.setItem(KEY, String(this.on()));
  }
}
