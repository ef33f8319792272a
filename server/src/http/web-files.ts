import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { Router } from 'express';

/** Serves the built web application from `folder`; every address that is not a file gets its page. */
export function webFiles(folder: string): Router {
  const router = Router();
  const page = join(folder, 'index.html');
  const html = existsSync(page)
    ? readFileSync(page, 'utf8')
    : '<!doctype html><title>Brisk Ledger</title><p>The web application is not built. Run: npm run build';
  router.use(
    express.static(folder, {
      index: false,
      setHeaders: (response, path) => {
        // The builder puts a hash of the content into the names of everything but the page itself.
        if (/-[A-Z0-9]{8}\.\w+$/.test(path)) response.setHeader('cache-control', 'public, max-age=31536000, immutable');
      },
    }),
  );
  router.get(/^\/(?!api\/).*/, (request, response, next) => {
    if (/\.\w{2,5}$/.test(request.path)) return next();
    response.setHeader('cache-control', 'no-store');
    response.type('html').send(html);
  });
  return router;
}
