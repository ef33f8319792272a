import type { Server } from 'node:http';
import type { Socket } from 'node:net';
import { ProblemError } from './problem.js';

const WORDS: Readonly<Record<string, string>> = {
  HPE_HEADER_OVERFLOW: 'The head of the request is longer than this reads. Nothing was written.',
  ERR_HTTP_REQUEST_TIMEOUT: 'The request did not come to its end in time. Nothing was written.',
};

/** Has what never becomes a request answered as every other problem is, instead of with an empty line. */
export function answerUnreadable(server: Server): void {
  server.on('clientError', (error: NodeJS.ErrnoException, socket: Socket) => {
    if (error.code === 'ECONNRESET' || !socket.writable) {
      socket.destroy();
      return;
    }
    const words = WORDS[error.code ?? ''] ?? 'The request cannot be read. Nothing was written.';
    const body = JSON.stringify(new ProblemError('not-json', words).toProblem());
    socket.end(
      [
        'HTTP/1.1 400 Bad Request',
        'content-type: application/problem+json',
        `content-length: ${Buffer.byteLength(body)}`,
        'connection: close',
        '',
        body,
      ].join('\r\n'),
    );
  });
  server.on('checkExpectation', (_request, response) => {
    const problem = new ProblemError('not-json', 'The request expects what this does not do. Nothing was written.');
    response.writeHead(400, { 'content-type': 'application/problem+json', connection: 'close' });
    response.end(JSON.stringify(problem.toProblem()));
  });
}
