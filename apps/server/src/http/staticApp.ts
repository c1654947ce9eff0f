import { Router } from 'express';
import expressStaticGzip from 'express-static-gzip';
import type { ServerResponse } from 'node:http';
import { join } from 'node:path';

const A_YEAR = '1y';

/** The build has a brotli and a gzip copy beside every text. */
const COMPRESSED = { enableBrotli: true, orderPreference: ['br', 'gz'], index: false };

/**
 * The built app: files with a hash in their name are kept for good, the rest is asked for again; deep links get the
 * shell. Paths are looked up below the folder, so that a dot in the folder's own name hides nothing.
 */
export function staticApp(folder: string): Router {
  const router = Router();
  const hashed = { immutable: true, maxAge: A_YEAR, fallthrough: false };
  const others = { setHeaders: (res: ServerResponse) => res.setHeader('cache-control', 'no-cache') };
  router.use('/_expo', expressStaticGzip(join(folder, '_expo'), { ...COMPRESSED, serveStatic: hashed }));
  router.use(expressStaticGzip(folder, { ...COMPRESSED, serveStatic: others }));
  router.get(/^\/(?!api(\/|$)).*/, (_req, res) => {
    res.setHeader('cache-control', 'no-cache');
    res.sendFile('index.html', { root: folder });
  });
  return router;
}
