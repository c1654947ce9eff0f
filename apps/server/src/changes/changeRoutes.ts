import { changesQuerySchema } from '@ours/contracts';
import { Router } from 'express';
import { signedIn } from '../accounts/signedIn';
import type { Context } from '../context';
import { ProblemError } from '../problems/catalogue';
import { readChanges } from './changeService';

/** GET /api/changes?since=N */
export function changeRoutes(context: Context): Router {
  const router = Router();
  router.get('/changes', signedIn(context), async (req, res) => {
    const { value, error } = changesQuerySchema.validate(req.query);
    if (error) throw new ProblemError('bad_request', `${error.message}.`);
    res.json(await readChanges(context.db, req.signedIn!.householdId, (value as { since: number }).since));
  });
  return router;
}
