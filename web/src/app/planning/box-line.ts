import { Injectable } from '@angular/core';
import { readingOf, type BoxFault, type BoxReading } from '@brisk/core/instrument';
import type { Observable } from 'rxjs';
import { readingsFrom, recordIn } from './reading-line';

const WORDS = {
  silent: 'The box sends nothing any more. Type what was read by hand.',
  rubbish: 'The box sends something that is no reading. Type what was read by hand.',
};

/** The line to the simulated bench box that ships with the server. */
@Injectable({ providedIn: 'root' })
export class BoxLine {
  /** Readings as they come, until nobody listens. Fails with `LineTrouble` when the box stops or sends rubbish. */
  readings(fault: BoxFault): Observable<BoxReading> {
    return readingsFrom(`/api/simulated-bench-box?fault=${fault}`, boxReadingIn, WORDS);
  }
}

/** The reading in what a bench box sent, or nothing where there is none. */
export function boxReadingIn(text: string): BoxReading | undefined {
  const sent = recordIn(text);
  return sent && readingOf(sent);
}
