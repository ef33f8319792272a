import { inject, Injectable, InjectionToken, signal, type OnDestroy } from '@angular/core';
import type { PartToOrder } from '@brisk/core/ledger';
import type { PriceMapping } from '@brisk/core/parts';
import { bytesOf, SheetError } from '../../ui/csv';
import type { WorkerLine } from '../../ui/worker-line';
import type { PricesFailed, PricesRead, PricesTried, PriceWork } from './price-work';

/** Makes the line to whoever reads price lists: a worker, or in tests this thread. */
export const PRICE_LINE = new InjectionToken<() => Promise<WorkerLine<PriceWork>>>('price line', {
  providedIn: 'root',
  factory: () => async () => {
    const [{ lineTo }, { startPriceWorker }] = await Promise.all([
      import('../../ui/worker-line'),
      import('./start-price-worker'),
    ]);
    return lineTo<PriceWork>(startPriceWorker());
  },
});

const FAILED = 'The file cannot be read. Save the list as CSV and try again.';

/** A supplier’s price list that is being read, off the screen’s own thread. */
@Injectable()
export class PriceSheet implements OnDestroy {
  private readonly makeLine = inject(PRICE_LINE);
  private line: Promise<WorkerLine<PriceWork>> | undefined;

  readonly sheet = signal<(PricesRead & { readonly file: string }) | undefined>(undefined);
  readonly trouble = signal('');

  async read(file: File): Promise<void> {
    this.close();
    try {
      const bytes = await bytesOf(file);
      this.line ??= this.makeLine();
      const read = await (await this.line).ask<PricesRead | PricesFailed>((work) => work.read(bytes));
      if ('failed' in read) this.trouble.set(read.failed);
      else this.sheet.set({ ...read, file: file.name });
    } catch (error) {
      if (!(error instanceof SheetError)) this.hangUp();
      this.trouble.set(error instanceof SheetError ? error.message : FAILED);
    }
  }

  /** What the list would do to `needs` with its columns as `mapping` says. */
  async tryOn(
    needs: readonly PartToOrder[],
    mapping: PriceMapping,
    currency: string,
  ): Promise<PricesTried | undefined> {
    try {
      return await (await this.line)?.ask((work) => work.tryOn(needs, mapping, currency));
    } catch {
      this.hangUp();
      this.trouble.set(FAILED);
      return undefined;
    }
  }

  close(): void {
    this.sheet.set(undefined);
    this.trouble.set('');
  }

  ngOnDestroy(): void {
    this.hangUp();
  }

  private hangUp(): void {
    void this.line?.then((line) => line.hangUp());
    this.line = undefined;
  }
}
