import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { readingOf, type BoxFault, type BoxReading } from '@brisk/core/instrument';
import type { Observable } from 'rxjs';
import { readingsFrom, recordIn } from './reading-line';

const WORDS = {
  silent: 'The box sends nothing any more. Type what was read by hand.',
  rubbish: 'The box sends something that is no reading. Type what was read by hand.',
};

/** A box to listen to: the simulated one with a fault, or a real one by its name. */
export type BoxSource = { readonly fault: BoxFault } | { readonly box: string };

/** A real box that sends to this server now. */
export interface HeardBox {
  readonly box: string;
  readonly readings: number;
}

/** The line to bench boxes: the simulated one that ships with the server, and real ones that send their readings to it. */
@Injectable({ providedIn: 'root' })
export class BoxLine {
  private readonly http = inject(HttpClient);

  /** Real boxes that send now. */
  heard(): Observable<readonly HeardBox[]> {
    return this.http.get<readonly HeardBox[]>('/api/bench-boxes');
  }

  /** Readings as they come, until nobody listens. Fails with `LineTrouble` when the box stops or sends rubbish. */
  readings(source: BoxSource): Observable<BoxReading> {
    const address =
      'fault' in source
        ? `/api/simulated-bench-box?fault=${source.fault}`
        : `/api/bench-boxes/${encodeURIComponent(source.box)}/readings`;
    return readingsFrom(address, boxReadingIn, WORDS);
  }
}

/** The reading in what a bench box sent, or nothing where there is none. */
export function boxReadingIn(text: string): BoxReading | undefined {
  const sent = recordIn(text);
  return sent && readingOf(sent);
}
