import { Injectable } from '@angular/core';
import type { ScaleMode, ScaleReading } from '@brisk/core/rigging';
import type { Observable } from 'rxjs';
import { readingsFrom, recordIn } from './reading-line';

const WORDS = {
  silent: 'The scale sends nothing any more. Stop until it reads again.',
  rubbish: 'The scale sends something that is no reading. Read it by eye.',
};

/** The line to the simulated crane scale that ships with the server. */
@Injectable({ providedIn: 'root' })
export class ScaleLine {
  /** Readings as they come, until nobody listens. Fails with `LineTrouble` when the scale stops or sends rubbish. */
  readings(massKg: number, mode: ScaleMode): Observable<ScaleReading> {
    return readingsFrom(`/api/simulated-crane-scale?kg=${massKg}&mode=${mode}`, readingIn, WORDS);
  }
}

/** The reading in what a scale sent, or nothing where there is none. */
export function readingIn(text: string): ScaleReading | undefined {
  const { kg, atMs } = recordIn(text) ?? {};
  return typeof kg === 'number' && typeof atMs === 'number' && kg >= 0 && kg <= 100_000 ? { kg, atMs } : undefined;
}
