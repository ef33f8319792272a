import { Injectable } from '@angular/core';
import type { Pull, WrenchReading } from '@brisk/core/torque';
import type { Observable } from 'rxjs';
import { readingsFrom, recordIn } from './reading-line';

const WORDS = {
  silent: 'The wrench sends nothing any more. Type what it showed.',
  rubbish: 'The wrench sends something that is no reading. Type what it showed.',
};

/** The line to the simulated torque wrench that ships with the server. */
@Injectable({ providedIn: 'root' })
export class WrenchLine {
  /** Readings as they come, until nobody listens. Fails with `LineTrouble` when the wrench stops or sends rubbish. */
  readings(setNm: number, pull: Pull): Observable<WrenchReading> {
    return readingsFrom(`/api/simulated-torque-wrench?nm=${setNm}&pull=${pull}`, wrenchReadingIn, WORDS);
  }
}

/** The reading in what a torque wrench sent, or nothing where there is none. */
export function wrenchReadingIn(text: string): WrenchReading | undefined {
  const { nm, atMs, click } = recordIn(text) ?? {};
  if (typeof nm !== 'number' || typeof atMs !== 'number' || !(nm >= 0 && nm <= 100_000)) return undefined;
  return { nm, atMs, ...(click === true ? { click } : {}) };
}
