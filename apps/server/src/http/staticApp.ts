import express, { Router } from 'express';
import { join } from 'node:path';

const A_YEAR = '1y';

/**
 * The built app: files with a hash in their name are kept for good, the rest is asked for again; deep links get the
 * shell. Paths are looked up below the folder, so that a dot in the folder's own name hides nothing.
 */
export function staticApp(folder: string): Router {
  const router = Router();
  router.use('/_expo', express.static(join(folder, '_expo'), { immutable: true, maxAge: A_YEAR, fallthrough: false }));
  router.use(express.static(folder, { index: false, setHeaders: (res) => res.setHeader('cache-control', 'no-cache') }));
  router.get(/^\/(?!api(\/|$)).*/, (_req, res) => {
    res.setHeader('cache-control', 'no-cache');
    res.sendFile('index.html', { root: folder });
  });
  return router;
}
