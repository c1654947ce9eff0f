import { changesQuerySchema } from '@ours/contracts';
import { Router } from 'express';
import { inHome } from '../../accounts/signedIn';
import type { Context } from '../../context';
import { ProblemError } from '../../problems/catalogue';
import { readChanges, type ChangesAsked } from './changeService';

/** GET /api/changes?since=N, or &cursor=… for the next page of an answer. */
export function changeRoutes(context: Context): Router {
  const router = Router();
  router.get('/changes', inHome(context), async (req, res) => {
    const { value, error } = changesQuerySchema.validate(req.query);
    if (error) throw new ProblemError('bad_request', `${error.message}.`);
    const text = await readChanges(context.lines, req.signedIn!, value as ChangesAsked, context.now().toISOString());
    res.type('application/json').send(text);
  });
  return router;
}
