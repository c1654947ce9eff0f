import { commandBatchSchema, type CommandBatch, type CommandBatchAnswer } from '@ours/contracts';
import { Router } from 'express';
import { inHome, type SignedIn } from '../../accounts/signedIn';
import type { Context } from '../../context';
import { bodyAs } from '../../http/bodyAs';

/** Checks a batch, applies it in order and answers as JSON text; a refused command does not stop the others. */
export async function takeCommands(context: Context, who: SignedIn, body: unknown): Promise<string> {
  const batch = bodyAs<CommandBatch>(commandBatchSchema, body);
  const answers = await context.commands.run(who, batch);
  return JSON.stringify({ answers, now: context.now().toISOString() } satisfies CommandBatchAnswer);
}

/** POST /api/commands. */
export function commandRoutes(context: Context): Router {
  const router = Router();
  router.post('/commands', inHome(context), async (req, res) => {
    res.type('application/json').send(await takeCommands(context, req.signedIn!, req.body));
  });
  return router;
}
