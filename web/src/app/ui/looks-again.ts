import { ChangeDetectorRef, effect, inject, type Signal } from '@angular/core';
import type { FormControl } from '@angular/forms';
import { merge } from 'rxjs';

/**
 * Has a field looked at again whenever something happens to its control or to the whole form: a value set from
 * elsewhere, the form sent or emptied. Call within an injection context.
 */
export function looksAgain(control: Signal<FormControl>): void {
  const view = inject(ChangeDetectorRef);
  effect((gone) => {
    const { events, root } = control();
    const following = merge(events, root.events).subscribe(() => view.markForCheck());
    gone(() => following.unsubscribe());
  });
}
