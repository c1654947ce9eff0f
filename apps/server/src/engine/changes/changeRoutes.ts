import { changesQuerySchema } from '@ours/contracts';
import { Router } from 'express';
import { inHome, type SignedIn } from '../../accounts/signedIn';
import type { Context } from '../../context';
import { ProblemError } from '../../problems/catalogue';
import { readChanges, type ChangesAsked } from './changeService';

/** Checks what is asked and answers a page as JSON text. */
export function answerChanges(context: Context, who: SignedIn, query: unknown): Promise<string> {
  const { value, error } = changesQuerySchema.validate(query);
  if (error) throw new ProblemError('bad_request', `${error.message}.`);
  return readChanges(context.lines, who, value as ChangesAsked, context.now().toISOString());
}

/** GET /api/changes?since=N, or &cursor=… for the next page of an answer. */
export function changeRoutes(context: Context): Router {
  const router = Router();
  router.get('/changes', inHome(context), async (req, res) => {
    res.type('application/json').send(await answerChanges(context, req.signedIn!, req.query));
  });
  return router;
}
