import { commandBatchSchema, type CommandAnswer, type CommandBatchAnswer } from '@ours/contracts';
import type { Command } from '@ours/core';
import { Router } from 'express';
import { signedIn } from '../accounts/signedIn';
import type { Context } from '../context';
import { bodyAs } from '../http/bodyAs';
import { runCommand } from './commandService';

/** POST /api/commands: a batch, applied in order, each on its own; a refused one does not stop the others. */
export function commandRoutes(context: Context): Router {
  const router = Router();
  router.post('/commands', signedIn(context), async (req, res) => {
    const { commands } = bodyAs<{ commands: Command[] }>(commandBatchSchema, req.body);
    const answers: CommandAnswer[] = [];
    for (const command of commands) answers.push(await runCommand(context, req.signedIn!, command));
    res.json({ answers } satisfies CommandBatchAnswer);
  });
  return router;
}
