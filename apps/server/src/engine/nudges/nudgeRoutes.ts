import { Router } from 'express';
import { mustBeMember } from '../../accounts/membership';
import { inHome } from '../../accounts/signedIn';
import type { Context } from '../../context';
import { inScope } from '../../db/connect';

const KEEP_ALIVE_MS = 25_000;

/**
 * GET /api/nudges: server-sent events that carry only the newest change number, or nothing when something may have been
 * missed. The stream ends with its session.
 */
export function nudgeRoutes(context: Context): Router {
  const router = Router();
  router.get('/nudges', inHome(context), async (req, res) => {
    const { householdId, sessionId } = req.signedIn!;
    await inScope(context.db, req.signedIn!, (tx) => mustBeMember(tx, req.signedIn!));
    // Whoever hung up meanwhile is not heard to do it again.
    if (res.destroyed) return;
    res.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' });
    // A stream that was ended closes only when the other side has heard it; until then nothing more is written.
    const say = (text: string): void => {
      if (!res.writableEnded) res.write(text);
    };
    say('retry: 2000\n\n');
    const stopChanges = context.nudges.subscribe(householdId, (seq) => say(`data: ${seq ?? ''}\n\n`));
    const stopSession = context.nudges.onSessionEnd(sessionId, () => res.end());
    const keepAlive = setInterval(() => say(': here\n\n'), KEEP_ALIVE_MS);
    const forget = context.streams.add(res);
    res.on('close', () => {
      clearInterval(keepAlive);
      stopChanges();
      stopSession();
      forget();
    });
  });
  return router;
}
