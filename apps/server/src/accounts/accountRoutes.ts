import { signInSchema, signUpSchema, uuid, type Me, type SignIn, type SignUp } from '@ours/contracts';
import { Router, type Request, type RequestHandler, type Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import Joi from 'joi';
import type { Context } from '../context';
import { answering } from '../http/answering';
import { bodyAs } from '../http/bodyAs';
import { ProblemError } from '../problems/catalogue';
import * as service from './accountService';
import { endSessionOf, listPhones, listSessions, openSession, revokeSession } from './sessions';
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
  const begin = async (req: Request, res: Response, who: Omit<SignedIn, 'sessionId'>): Promise<Me> => {
    await endSessionOf(context, sessionToken(req));
    const { token } = await openSession(context, who, deviceOf(req));
    setSessionCookie(res, token);
    return service.describeMe(context, who);
  };

  const answer = answering(router);
  answer('GET /status', [], async () => ({ demo: await service.demoIsLoaded(context) }));
  answer(
    'POST /accounts',
    [fewTries()],
    async (req, res) => begin(req, res, await service.signUp(context, bodyAs<SignUp>(signUpSchema, req.body))),
    { makes: true },
  );
  answer(
    'POST /sessions',
    [fewTries()],
    async (req, res) => {
      const { email, password } = bodyAs<SignIn>(signInSchema, req.body);
      return begin(req, res, await service.signIn(context, email, password));
    },
    { makes: true },
  );
  answer('POST /demo-session', [fewTries()], async (req, res) => begin(req, res, await service.signInToDemo(context)), {
    makes: true,
  });
  // Asked for whenever the app opens: the cookie lives on from here.
  answer('GET /me', [session], async (req, res) => {
    setSessionCookie(res, sessionToken(req)!);
    return service.describeMe(context, req.signedIn!);
  });
  answer('GET /sessions', [session], async (req) => {
    await service.notInDemo(context, req.signedIn!);
    return { sessions: await listSessions(context, req.signedIn!) };
  });
  answer('GET /phones', [inHome(context)], async (req) => ({
    now: context.now().toISOString(),
    phones: await listPhones(context, req.signedIn!),
  }));
  answer('DELETE /sessions/current', [session], async (req, res) => {
    await revokeSession(context, req.signedIn!, req.signedIn!.sessionId);
    clearSessionCookie(res);
    return undefined;
  });
  answer('DELETE /sessions/:id', [session], async (req) => {
    await service.notInDemo(context, req.signedIn!);
    await revokeSession(context, req.signedIn!, bodyAs<string>(uuid.required(), req.params.id));
    return undefined;
  });
  answer('GET /homes', [session], async (req) => ({ homes: await service.listHomes(context, req.signedIn!) }));
  answer('POST /sessions/current/home', [session], async (req) => {
    const { householdId } = bodyAs<{ householdId: string }>(homeSchema, req.body);
    return service.describeMe(context, await service.chooseHome(context, req.signedIn!, householdId));
  });
  answer('POST /invitations', [inHome(context)], (req) => service.invite(context, req.signedIn!), { makes: true });
  answer(
    'POST /memberships',
    [fewTries(), session],
    async (req) => {
      const { invitation } = bodyAs<{ invitation: string }>(invitationSchema, req.body);
      return service.describeMe(context, await service.acceptInvitation(context, req.signedIn!, invitation));
    },
    { makes: true },
  );
  return router;
}

/** What a person recognises a device by: the browser's and the system's name. */
function deviceOf(req: Request): string {
  const agent = req.headers['user-agent'] ?? '';
  const browser = /(Firefox|Edg|Chrome|Safari)\//.exec(agent)?.[1] ?? 'A browser';
  const system = /(Android|iPhone|iPad|Mac OS X|Windows|Linux)/.exec(agent)?.[1] ?? 'an unknown system';
  return `${browser === 'Edg' ? 'Edge' : browser} on ${system}`;
}
