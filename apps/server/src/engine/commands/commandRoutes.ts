import { commandBatchSchema, type CommandBatch, type CommandBatchAnswer } from '@ours/contracts';
import { Router } from 'express';
import { inHome } from '../../accounts/signedIn';
import type { Context } from '../../context';
import { bodyAs } from '../../http/bodyAs';

/** POST /api/commands: a batch, applied in order; a refused command does not stop the others. */
export function commandRoutes(context: Context): Router {
  const router = Router();
  router.post('/commands', inHome(context), async (req, res) => {
    const batch = bodyAs<CommandBatch>(commandBatchSchema, req.body);
    const answers = await context.commands.run(req.signedIn!, batch);
    res.json({ answers, now: context.now().toISOString() } satisfies CommandBatchAnswer);
  });
  return router;
}
