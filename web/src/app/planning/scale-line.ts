import { Injectable } from '@angular/core';
import type { ScaleMode, ScaleReading } from '@brisk/core/rigging';
import { Observable } from 'rxjs';

/** A scale is taken as silent when nothing came for so long, in ms. */
const SILENT_MS = 3_000;

/** Something a scale did that is no reading; `message` is for the crew. */
export class ScaleTrouble extends Error {
  override readonly name = 'ScaleTrouble';
}

/** The line to the simulated crane scale that ships with the server. */
@Injectable({ providedIn: 'root' })
export class ScaleLine {
  /** Readings as they come, until nobody listens. Fails with {@link ScaleTrouble} when the scale stops or sends rubbish. */
  readings(massKg: number, mode: ScaleMode): Observable<ScaleReading> {
    return new Observable((listener) => {
      const source = new EventSource(`/api/simulated-crane-scale?kg=${massKg}&mode=${mode}`);
      const silent = () =>
        listener.error(new ScaleTrouble('The scale sends nothing any more. Stop until it reads again.'));
      let timer = setTimeout(silent, SILENT_MS);
      source.onmessage = ({ data }) => {
        clearTimeout(timer);
        timer = setTimeout(silent, SILENT_MS);
        const reading = readingIn(String(data));
        if (reading) listener.next(reading);
        else listener.error(new ScaleTrouble('The scale sends something that is no reading. Read it by eye.'));
      };
      source.onerror = silent;
      return () => {
        clearTimeout(timer);
        source.close();
      };
    });
  }
}

/** The reading in what a scale sent, or nothing where there is none. */
export function readingIn(text: string): ScaleReading | undefined {
  try {
    const sent: unknown = JSON.parse(text);
    if (typeof sent !== 'object' || sent === null || !('kg' in sent) || !('atMs' in sent)) return undefined;
    const { kg, atMs } = sent;
    return typeof kg === 'number' && typeof atMs === 'number' && kg >= 0 && kg <= 100_000 ? { kg, atMs } : undefined;
  } catch {
    return undefined;
  }
}
