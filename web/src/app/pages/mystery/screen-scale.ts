import { Injectable, signal } from '@angular/core';

const KEY = 'brisk-px-per-mm';
/** What a browser takes a millimetre for until somebody has held a rule to the screen. */
const UNMEASURED = 96 / 25.4;

/** How many pixels this screen has to the millimetre, as somebody measured it. */
@Injectable({ providedIn: 'root' })
export class ScreenScale {
  private readonly kept = Number(localStorage.getItem(KEY) ?? NaN);
  readonly pxPerMm = signal(this.kept > 1 && this.kept < 20 ? this.kept : UNMEASURED);
  readonly measured = signal(this.kept > 1 && this.kept < 20);

  set(pxPerMm: number): void {
    this.pxPerMm.set(pxPerMm);
    this.measured.set(true);
    localStorage.setItem(KEY, String(pxPerMm));
  }
}
