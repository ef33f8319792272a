import type { Provider } from '@angular/core';
import { Drawn } from '../app/ui/drawn';

/** jsdom draws nothing: what waits for a drawing is done at once. */
class DrawnAtOnce implements Pick<Drawn, 'then'> {
  then(act: () => void): () => void {
    act();
    return () => undefined;
  }
}

export const drawnAtOnce: Provider = { provide: Drawn, useClass: DrawnAtOnce };
