import type { Response } from 'express';

/** Answers with a PDF that a browser shows under `name`. */
export function sendPdf(response: Response, bytes: Uint8Array, name: string): void {
  response.type('application/pdf');
  response.setHeader('content-disposition', `inline; filename="${name}.pdf"`);
  response.send(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength));
}
