import { inject, Injectable, Injector } from '@angular/core';

/** Opens the key sheet, fetching it only when somebody asks. */
@Injectable({ providedIn: 'root' })
export class SheetOpener {
  private readonly injector = inject(Injector);

  async open(): Promise<void> {
    const [{ MatDialog }, { KeySheet }] = await Promise.all([
      import('@angular/material/dialog'),
      import('./key-sheet'),
    ]);
    this.injector.get(MatDialog).open(KeySheet, { width: '28rem', autoFocus: 'dialog' });
  }
}
