import { inject, Injectable, signal } from '@angular/core';
import { SwUpdate } from '@angular/service-worker';

/** Whether a newer version of the application is on this device. It is offered; nobody is taken out of a step for it. */
@Injectable({ providedIn: 'root' })
export class NewVersion {
  private readonly updates = inject(SwUpdate, { optional: true });
  readonly here = signal(false);

  constructor() {
    const { updates } = this;
    if (!updates?.isEnabled) return;
    updates.versionUpdates.subscribe(({ type }) => {
      if (type === 'VERSION_READY') this.here.set(true);
    });
    // What this page was loaded from is gone: it can only be loaded anew. What was recorded is kept.
    updates.unrecoverable.subscribe(() => this.here.set(true));
    document.addEventListener('visibilitychange', () => {
      if (document.visibilityState === 'visible') void updates.checkForUpdate().catch(() => false);
    });
  }

  /** Loads the newer version. */
  async load(): Promise<void> {
    await this.updates?.activateUpdate().catch(() => false);
    location.reload();
  }
}
