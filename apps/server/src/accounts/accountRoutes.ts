import { signInSchema, signUpSchema, uuid, type SignIn, type SignUp } from '@ours/contracts';
import { Router, type Request, type RequestHandler, type Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import Joi from 'joi';
import type { Context } from '../context';
import { bodyAs } from '../http/bodyAs';
import { ProblemError } from '../problems/catalogue';
import * as service from './accountService';
import { endSessionOf, listSessions, openSession, revokeSession } from './sessions';
import { clearSessionCookie, inHome, sessionToken, setSessionCookie, signedIn, type SignedIn } from './signedIn';

const invitationSchema = Joi.object({ invitation: Joi.string().trim().max(40).required().label('Invitation code') });
const homeSchema = Joi.object({ householdId: uuid.required() });

/** Signing up, in and out; sessions; homes; invitations; the demo home. */
export function accountRoutes(context: Context): Router {
  const router = Router();
  /** Tries per minute and address, counted for each purpose by itself. */
  const fewTries = (): RequestHandler =>
    rateLimit({
      windowMs: 60_000,
      limit: context.signInTriesPerMinute,
      standardHeaders: true,
      legacyHeaders: false,
      handler: () => {
        throw new ProblemError('too_many');
      },
    });
  const session = signedIn(context);
  const begin = async (req: Request, res: Response, who: Omit<SignedIn, 'sessionId'>): Promise<void> => {
    await endSessionOf(context, sessionToken(req));
    const { token } = await openSession(context, who, deviceOf(req));
    setSessionCookie(res, token);
    res.status(201).json(await service.describeMe(context, who));
  };

  router.get('/status', async (_req, res) => {
    res.json({ demo: await service.demoIsLoaded(context) });
  });
  router.post('/accounts', fewTries(), async (req, res) => {
    await begin(req, res, await service.signUp(context, bodyAs<SignUp>(signUpSchema, req.body)));
  });
  router.post('/sessions', fewTries(), async (req, res) => {
    const { email, password } = bodyAs<SignIn>(signInSchema, req.body);
    await begin(req, res, await service.signIn(context, email, password));
  });
  router.post('/demo-session', fewTries(), async (req, res) => {
    await begin(req, res, await service.signInToDemo(context));
  });
  // Asked for whenever the app opens: the cookie lives on from here.
  router.get('/me', session, async (req, res) => {
    setSessionCookie(res, sessionToken(req)!);
    res.json(await service.describeMe(context, req.signedIn!));
  });
  router.get('/sessions', session, async (req, res) => {
    await service.notInDemo(context, req.signedIn!);
    res.json({ sessions: await listSessions(context, req.signedIn!) });
  });
  router.delete('/sessions/current', session, async (req, res) => {
    await revokeSession(context, req.signedIn!, req.signedIn!.sessionId);
    clearSessionCookie(res);
    res.status(204).end();
  });
  router.delete('/sessions/:id', session, async (req, res) => {
    await service.notInDemo(context, req.signedIn!);
    await revokeSession(context, req.signedIn!, bodyAs<string>(uuid.required(), req.params.id));
    res.status(204).end();
  });
  router.get('/homes', session, async (req, res) => {
    res.json({ homes: await service.listHomes(context, req.signedIn!) });
  });
  router.post('/sessions/current/home', session, async (req, res) => {
    const { householdId } = bodyAs<{ householdId: string }>(homeSchema, req.body);
    const who = await service.chooseHome(context, req.signedIn!, householdId);
    res.json(await service.describeMe(context, who));
  });
  router.post('/invitations', inHome(context), async (req, res) => {
    res.status(201).json(await service.invite(context, req.signedIn!));
  });
  router.post('/memberships', fewTries(), session, async (req, res) => {
    const { invitation } = bodyAs<{ invitation: string }>(invitationSchema, req.body);
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
