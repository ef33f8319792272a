import type { FastenerSet } from '@brisk/core/connection-map';
import type { BoltPattern } from '@brisk/core/fasteners';
import { badInput } from '../http/problem.js';
import { pdfOf } from '../printing/pdf.js';
import { cardDocument, CardTooLargeError } from './card-document.js';

/** What a bolt card is printed from. */
export interface CardToPrint {
  readonly name: string;
  readonly machine: string;
  readonly pattern: BoltPattern;
  readonly sets: readonly FastenerSet[];
}

/** A bolt card as the bytes of a PDF. Throws `bad-input` where nobody would print one so large. */
export async function printCard({ name, machine, pattern, sets }: CardToPrint): Promise<Uint8Array> {
  try {
    return await pdfOf(cardDocument(name, machine, pattern, sets));
  } catch (error) {
    if (error instanceof CardTooLargeError) badInput([{ field: 'pattern', words: error.message }]);
    throw error;
  }
}
