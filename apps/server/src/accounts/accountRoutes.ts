import { signInSchema, signUpSchema, uuid, type SignIn, type SignUp } from '@ours/contracts';
import { Router, type Request, type Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import Joi from 'joi';
import type { Context } from '../context';
import { bodyAs } from '../http/bodyAs';
import { ProblemError } from '../problems/catalogue';
import * as service from './accountService';
import { clearSessionCookie, setSessionCookie, signedIn } from './signedIn';

/** Signing up, in and out; sessions; invitations; the demo home. */
export function accountRoutes(context: Context): Router {
  const router = Router();
  const fewTries = rateLimit({
    windowMs: 60_000,
    limit: context.signInTriesPerMinute,
    standardHeaders: true,
    legacyHeaders: false,
    handler: () => {
      throw new ProblemError('too_many');
    },
  });
  const begin = async (req: Request, res: Response, who: service.SignedIn): Promise<void> => {
    setSessionCookie(res, await service.openSession(context, who, deviceOf(req)));
    res.status(201).json(await service.describeMe(context, who));
  };

  router.get('/status', async (_req, res) => {
    res.json({ demo: await service.demoIsLoaded(context) });
  });
  router.post('/accounts', fewTries, async (req, res) => {
    await begin(req, res, await service.signUp(context, bodyAs<SignUp>(signUpSchema, req.body)));
  });
  router.post('/sessions', fewTries, async (req, res) => {
    const { email, password } = bodyAs<SignIn>(signInSchema, req.body);
    await begin(req, res, await service.signIn(context, email, password));
  });
  router.post('/demo-session', fewTries, async (req, res) => {
    await begin(req, res, await service.signInToDemo(context));
  });
  router.get('/me', signedIn(context), async (req, res) => {
    res.json(await service.describeMe(context, req.signedIn!));
  });
  router.get('/sessions', signedIn(context), async (req, res) => {
    res.json({ sessions: await service.listSessions(context, req.signedIn!) });
  });
  router.delete('/sessions/current', signedIn(context), async (req, res) => {
    await service.revokeSession(context, req.signedIn!, req.signedIn!.sessionId);
    clearSessionCookie(res);
    res.status(204).end();
  });
  router.delete('/sessions/:id', signedIn(context), async (req, res) => {
    await service.revokeSession(context, req.signedIn!, bodyAs<string>(uuid.required(), req.params.id));
    res.status(204).end();
  });
  router.post('/invitations', signedIn(context), async (req, res) => {
    res.status(201).json(await service.invite(context, req.signedIn!));
  });
  router.post('/memberships', fewTries, signedIn(context), async (req, res) => {
    const schema = Joi.object({ invitation: Joi.string().trim().max(40).required().label('Invitation code') });
    const { invitation } = bodyAs<{ invitation: string }>(schema, req.body);
    const who = await service.acceptInvitation(context, req.signedIn!, invitation);
    res.status(201).json(await service.describeMe(context, who));
  });
  return router;
}

/** What a person recognises a device by: the browser's and the system's name. */
function deviceOf(req: Request): string {
  const agent = req.headers['user-agent'] ?? '';
  const browser = /(Firefox|Edg|Chrome|Safari)\//.exec(agent)?.[1] ?? 'A browser';
  const system = /(Android|iPhone|iPad|Mac OS X|Windows|Linux)/.exec(agent)?.[1] ?? 'an unknown system';
  return `${browser === 'Edg' ? 'Edge' : browser} on ${system}`;
}
