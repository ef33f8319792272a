import { Injectable, signal } from '@angular/core';
import {
  dayWords,
  longMomentWords,
  momentWords,
  shortDayWords,
  timeWords,
  USUAL_WRITING,
  weekdayWords,
  type Writing,
} from '@brisk/core/words';

/** Days and times as this shop writes them; views that show one read it again when the shop chooses otherwise. */
@Injectable({ providedIn: 'root' })
export class Written {
  readonly as = signal<Writing>(USUAL_WRITING);

  /** “4 Mar 2026”, from a day such as “2026-03-04”. */
  readonly day = (day: string): string => dayWords(day, this.as());
  /** “4 Mar”. */
  readonly shortDay = (at: string | Date): string => shortDayWords(at, this.as());
  /** “14:05”. */
  readonly time = (at: string | Date): string => timeWords(at, this.as());
  /** “4 Mar 14:05”. */
  readonly moment = (at: string | Date): string => momentWords(at, this.as());
  /** “4 Mar 2026, 14:05”. */
  readonly longMoment = (at: string | Date): string => longMomentWords(at, this.as());
  /** “Wed 14:05”, or with its date where it is `far`. */
  readonly weekday = (at: string | Date, far = false): string => weekdayWords(at, far, this.as());
}
