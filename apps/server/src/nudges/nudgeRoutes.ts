import { Router } from 'express';
import { signedIn } from '../accounts/signedIn';
import type { Context } from '../context';

const KEEP_ALIVE_MS = 25_000;

/** GET /api/nudges: server-sent events that carry only the newest change number. */
export function nudgeRoutes(context: Context): Router {
  const router = Router();
  router.get('/nudges', signedIn(context), (req, res) => {
    const { householdId } = req.signedIn!;
    res.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' });
    res.write('retry: 2000\n\n');
    const stop = context.nudges.subscribe(householdId, (seq) => res.write(`data: ${seq}\n\n`));
    const keepAlive = setInterval(() => res.write(': here\n\n'), KEEP_ALIVE_MS);
    req.on('close', () => {
      clearInterval(keepAlive);
      stop();
    });
  });
  return router;
}
