import { DestroyRef, inject, Injectable, signal } from '@angular/core';

/** A key, what it does in words, and the doing of it. */
export interface KeyAction {
  readonly key: string;
  readonly words: string;
  readonly act: () => void;
}

const KEPT = 'brisk-single-keys';

/** Keys of the views that are open. A letter never acts while somebody types into a field. */
@Injectable({ providedIn: 'root' })
export class Keys {
  private readonly list = signal<readonly KeyAction[]>([]);
  readonly actions = this.list.asReadonly();

  /** Whether single keys act; who talks to the machine, or rests a hand on it, switches them off. */
  readonly on = signal(localStorage.getItem(KEPT) !== 'off');

  constructor() {
    document.addEventListener('keydown', (event) => this.press(event));
  }

  /** Adds `actions` until the view that asks is gone. Call within an injection context. */
  use(...actions: readonly KeyAction[]): void {
    this.list.update((before) => [...before, ...actions]);
    inject(DestroyRef).onDestroy(() =>
      this.list.update((before) => before.filter((action) => !actions.includes(action))),
    );
  }

  toggle(): void {
    this.on.update((on) => !on);
    localStorage.setItem(KEPT, this.on() ? 'on' : 'off');
  }

  private press(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
    if (!this.on()) return;
    const target = event.target instanceof Element ? event.target : undefined;
    if (target?.closest('input, textarea, select, [contenteditable], [role=combobox], [role=listbox], [role=menu]'))
      return;
    if (document.querySelector('.cdk-overlay-container [role=dialog]')) return;
    const action = this.list().findLast(({ key }) => key === event.key);
    if (!action) return;
    event.preventDefault();
    action.act();
  }
}
