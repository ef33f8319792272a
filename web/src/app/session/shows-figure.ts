import { Injectable, signal } from '@angular/core';

const KEY = 'brisk-wrench-shows';

/** Whether the wrench at this device shows a figure, or another is taken than the proposed: then the fields for it stand open. */
@Injectable({ providedIn: 'root' })
export class ShowsFigure {
  readonly on = signal(localStorage.getItem(KEY) === 'true');

  toggle(): void {
    this.on.update((on) => !on);
    localStorage.setItem(KEY, String(this.on()));
  }
}
