import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Router, type Response } from 'express';
import expressStaticGzip from 'express-static-gzip';

/**
 * What the builder names by its content, so that nobody has to ask for it twice. The entry is asked for each time: its
 * name is from before the files were put together.
 */
const HASHED = /\/(?!main-)[\w.-]+-[\w-]{8}\.(js|css|woff2?)(\.(br|gz))?$/;

/** Serves the built web application from `folder`; every address that is not a file gets its page. */
export function webFiles(folder: string): Router {
  const router = Router();
  const page = join(folder, 'index.html');
  const html = existsSync(page)
    ? readFileSync(page, 'utf8')
    : '<!doctype html><title>Brisk Ledger</title><p>The web application is not built. Run: npm run build';
  const send = (response: Response, text: string) =>
    response.setHeader('cache-control', 'no-store').type('html').send(text);
  router.use(
    expressStaticGzip(folder, {
      index: false,
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      serveStatic: {
        setHeaders: (response, path) => {
          if (HASHED.test(path)) response.setHeader('cache-control', 'public, max-age=31536000, immutable');
        },
      },
    }),
  );
  // A file that is not there is no address of a view.
  router.use(({ path }, _, next) => (/\.\w{2,5}$/.test(path) ? next('router') : next()));
  for (const [path, scripts] of scriptsAhead(folder)) {
    const links = scripts.map((script) => `<link rel="modulepreload" href="/${script}" />`).join('');
    const withLinks = html.replace('</title>', `</title>${links}`);
    router.get(path, (_, response) => void send(response, withLinks));
  }
  router.get(/^\/(?!api\/).*/, (_, response) => void send(response, html));
  return router;
}

/**
 * What the build in `folder` says of which scripts a page takes in the end: named in the page, they come together, not one
 * round after the other as each is found in the one before.
 */
function scriptsAhead(folder: string): readonly (readonly [path: string, scripts: readonly string[]])[] {
  const file = join(folder, 'scripts-ahead.json');
  return existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as ReturnType<typeof scriptsAhead>) : [];
}
