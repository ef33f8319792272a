import type { BackupStatus } from '@brisk/contracts/backup';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { answer } from '../http/openapi-words.js';

/** How the backups go. */
export function backupRoutes(status: () => BackupStatus): ApiRouter {
  const api = apiRouter();
  const said = {
    summary: 'Where backups go, when the last one was made, and what went wrong since',
    responses: { 200: answer('How they go.', { type: 'object' }) },
  };
  api.get('/backup', said, (_request, response) => {
    response.json(status());
  });
  return api;
}
