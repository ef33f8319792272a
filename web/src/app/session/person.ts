import { inject, Injectable, signal } from '@angular/core';
import { Door } from './door';

const KEY = 'brisk-person';

/** Who is working on this device: who signed in, or, where nobody does, who was chosen last. */
@Injectable({ providedIn: 'root' })
export class Person {
  private readonly chosen = signal(localStorage.getItem(KEY) ?? '');
  private readonly door = inject(Door);

  /** Whether whoever is here may look and no more. */
  onlyLooks(): boolean {
    return this.door.me()?.role === 'guest';
  }

  choose(name: string): void {
    localStorage.setItem(KEY, name);
    this.chosen.set(name);
  }

  /** The name to sign with in a crew: who signed in; else the one chosen if it belongs to it, else the crew's first. */
  in(crew: readonly string[]): string {
    const me = this.door.me();
    if (me) return me.name;
    const name = this.chosen();
    return crew.includes(name) ? name : (crew[0] ?? 'Somebody');
  }
}
