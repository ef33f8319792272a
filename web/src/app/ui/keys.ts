import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';

/** A key, what it does in words, and the doing of it. */
export interface KeyAction {
  readonly key: string;
  readonly words: string;
  readonly act: () => void;
}

const KEPT = 'brisk-single-keys';
const OWN = 'brisk-own-keys';

/** Keys of the views that are open. A letter never acts while somebody types into a field. */
@Injectable({ providedIn: 'root' })
export class Keys {
  private readonly list = signal<readonly KeyAction[]>([]);
  readonly actions = this.list.asReadonly();

  /** Whether single keys act; who talks to the machine, or rests a hand on it, switches them off. */
  readonly on = signal(localStorage.getItem(KEPT) !== 'off');

  /** Other keys somebody chose, by the key that ships. */
  private readonly own = signal<Readonly<Record<string, string>>>(ownKeys());
  readonly changed = computed(() => Object.keys(this.own()).length > 0);

  constructor() {
    document.addEventListener('keydown', (event) => this.press(event));
  }

  /** Adds `actions`, before those that are there, until the view that asks is gone. Call within an injection context. */
  use(...actions: readonly KeyAction[]): void {
    this.list.update((before) => [...actions, ...before]);
    inject(DestroyRef).onDestroy(() =>
      this.list.update((before) => before.filter((action) => !actions.includes(action))),
    );
  }

  toggle(): void {
    this.on.update((on) => !on);
    localStorage.setItem(KEPT, this.on() ? 'on' : 'off');
  }

  /** The key that does `action` at this device. */
  keyOf({ key }: KeyAction): string {
    return this.own()[key] ?? key;
  }

  /** Gives `action` another key; whatever had that key gets the one it had, so that none is lost. */
  change(action: KeyAction, key: string): void {
    const before = this.keyOf(action);
    const other = this.list().find((one) => one.key !== action.key && this.keyOf(one) === key);
    this.keep({ ...this.own(), [action.key]: key, ...(other ? { [other.key]: before } : {}) });
  }

  /** The keys that ship, again. */
  reset(): void {
    this.keep({});
  }

  private keep(own: Readonly<Record<string, string>>): void {
    const different = Object.fromEntries(Object.entries(own).filter(([shipped, key]) => shipped !== key));
    this.own.set(different);
    localStorage.setItem(OWN, JSON.stringify(different));
  }

  private press(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
    if (!this.on()) return;
    const target = event.target instanceof Element ? event.target : undefined;
    if (target?.closest('input, textarea, select, [contenteditable], [role=combobox], [role=listbox], [role=menu]'))
      return;
    if (document.querySelector('.cdk-overlay-container [role=dialog]')) return;
    const action = this.list().find((one) => this.keyOf(one) === event.key);
    if (!action) return;
    event.preventDefault();
    action.act();
  }
}

/** What was chosen at this device before; nothing where it is no such thing. */
function ownKeys(): Readonly<Record<string, string>> {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(OWN) ?? '{}');
    return Object.fromEntries(
      Object.entries(kept ?? {}).filter((pair): pair is [string, string] => typeof pair[1] === 'string'),
    );
  } catch {
    return {};
  }
}
