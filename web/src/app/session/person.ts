import { Injectable, signal } from '@angular/core';

const KEY = 'brisk-person';

/** Who is working on this device; asked once, kept until somebody else picks up the tablet. */
@Injectable({ providedIn: 'root' })
export class Person {
  private readonly chosen = signal(localStorage.getItem(KEY) ?? '');
  readonly name = this.chosen.asReadonly();

  choose(name: string): void {
    localStorage.setItem(KEY, name);
    this.chosen.set(name);
  }

  /** The name to sign with in a crew: the one chosen if it belongs to it, else the crew's first. */
  in(crew: readonly string[]): string {
    const name = this.chosen();
    return crew.includes(name) ? name : (crew[0] ?? 'Somebody');
  }
}
