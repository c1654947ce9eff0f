import { parseCookie } from 'cookie';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import type { Context } from '../context';
import { ProblemError } from '../problems/catalogue';
import { whoIs, type SignedIn } from './accountService';

export const SESSION_COOKIE = 'nook_session';
const COOKIE_AGE_MS = 90 * 86_400_000;

declare module 'express-serve-static-core' {
  interface Request {
    signedIn?: SignedIn;
  }
}

export const sessionToken = (req: Request): string | undefined => parseCookie(req.headers.cookie ?? '')[SESSION_COOKIE];

/** Lets a request through only with a live session. */
export function signedIn(context: Context): RequestHandler {
  return async (req: Request, _res: Response, next: NextFunction) => {
    const token = sessionToken(req);
    const who = token ? await whoIs(context, token) : null;
    if (!who) throw new ProblemError('not_signed_in');
    req.signedIn = who;
    next();
  };
}

export function setSessionCookie(res: Response, token: string): void {
  const secure = res.req.secure;
  res.cookie(SESSION_COOKIE, token, { httpOnly: true, sameSite: 'lax', secure, maxAge: COOKIE_AGE_MS, path: '/' });
}

export const clearSessionCookie = (res: Response): void => {
  res.clearCookie(SESSION_COOKIE, { httpOnly: true, sameSite: 'lax', path: '/' });
};
