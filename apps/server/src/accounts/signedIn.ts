import { ACCOUNT_HEADER, HOME_HEADER } from '@ours/contracts';
import { parseCookie } from 'cookie';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import type { Context } from '../context';
import { ProblemError } from '../problems/catalogue';
import { whoIs } from './sessions';

export const SESSION_COOKIE = 'nook_session';
const COOKIE_AGE_MS = 90 * 86_400_000;

/** Whose session a request belongs to, and which home it is about. */
export interface SignedIn {
  sessionId: string;
  accountId: string;
  householdId: string;
}

declare module 'express-serve-static-core' {
  interface Request {
    signedIn?: SignedIn;
  }
}

export const sessionToken = (req: Request): string | undefined => parseCookie(req.headers.cookie ?? '')[SESSION_COOKIE];

/** Lets a request through only with a live session. */
export function signedIn(context: Context): RequestHandler {
  return async (req: Request, res: Response, next: NextFunction) => {
    const token = sessionToken(req);
    const found = token ? await whoIs(context, token) : null;
    if (!token || !found) throw new ProblemError('not_signed_in');
    // The session was prolonged: the cookie lives as long.
    if (found.renewed) setSessionCookie(res, token);
    req.signedIn = found.who;
    next();
  };
}

/**
 * Lets a request through only when it names the home that the session is for, and no other account: two tabs of one
 * browser share the cookie, and one of them may have signed in to another home or as somebody else since. Membership is checked where the home's rows are read.
 */
export function inHome(context: Context): RequestHandler {
  const session = signedIn(context);
  return (req, res, next) =>
    session(req, res, (error?: unknown) => {
      if (error) return next(error);
      const named = req.get(HOME_HEADER) ?? req.query.household;
      const account = req.get(ACCOUNT_HEADER) ?? req.query.account ?? req.signedIn!.accountId;
      const { householdId, accountId } = req.signedIn!;
      if (named !== householdId || account !== accountId) throw new ProblemError('other_home');
      next();
    });
}

export function setSessionCookie(res: Response, token: string): void {
  const secure = res.req.secure;
  res.cookie(SESSION_COOKIE, token, { httpOnly: true, sameSite: 'lax', secure, maxAge: COOKIE_AGE_MS, path: '/' });
}

export const clearSessionCookie = (res: Response): void => {
  res.clearCookie(SESSION_COOKIE, { httpOnly: true, sameSite: 'lax', path: '/' });
};
