import type { LabelContents } from '@brisk/core/labels';
import { pdfOf } from '../printing/pdf.js';
import { labelSheet } from './label-sheet.js';
import type { LabelStock } from './label-stock.js';

/** What labels are printed from. */
export interface LabelsToPrint {
  readonly labels: readonly LabelContents[];
  readonly stock: LabelStock;
  /** Where their codes open. */
  readonly address: string;
  readonly machine: string;
}

/** Labels as the bytes of a PDF. */
export function printLabels({ labels, stock, address, machine }: LabelsToPrint): Promise<Uint8Array> {
  return pdfOf(labelSheet(labels, stock, address, machine));
}
