import { inject, Injectable, Injector } from '@angular/core';
import type { LabelCode } from '@brisk/core/labels';
import { firstValueFrom } from 'rxjs';

/** Reads a label by camera, from a photo, or as a number somebody types. */
@Injectable({ providedIn: 'root' })
export class Scanner {
  private readonly injector = inject(Injector);

  /** The label somebody held up, or undefined where they gave up. `title` says which one is wanted. */
  async scan(title: string): Promise<LabelCode | undefined> {
    const [{ MatDialog }, { ScanSheet }] = await Promise.all([
      import('@angular/material/dialog'),
      import('./scan-sheet'),
    ]);
    const sheet = this.injector.get(MatDialog).open<InstanceType<typeof ScanSheet>, string, LabelCode>(ScanSheet, {
      data: title,
      width: '32rem',
      maxWidth: '96vw',
    });
    return firstValueFrom(sheet.afterClosed());
  }
}
