import { inject, Injectable } from '@angular/core';
import { WHOSE_QUESTION } from './whose-question';

/** What somebody had written when they were put out or changed over: kept for them, and for nobody else. */
@Injectable({ providedIn: 'root' })
export class KeptWords {
  private readonly whose = inject(WHOSE_QUESTION, { optional: true });
  private readonly kept = new Map<string, unknown>();

  /** Who is at this device now; empty where nobody says so. */
  who(): string {
    return this.whose?.() ?? '';
  }

  /** Keeps what `who` had written about `what`. */
  keep(who: string, what: string, written: unknown): void {
    this.kept.set(`${who} ${what}`, written);
  }

  /** What whoever is here now had written about `what`, once. */
  take<Written>(what: string): Written | undefined {
    const key = `${this.who()} ${what}`;
    const written = this.kept.get(key) as Written | undefined;
    this.kept.delete(key);
    return written;
  }
}
