import { ACCOUNT_HEADER, HOME_HEADER } from '@ours/contracts';
import { parseCookie } from 'cookie';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import type { IncomingHttpHeaders } from 'node:http';
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

type Asked = Record<string, unknown>;

const tokenIn = (headers: IncomingHttpHeaders): string | undefined => parseCookie(headers.cookie ?? '')[SESSION_COOKIE];
export const sessionToken = (req: Request): string | undefined => tokenIn(req.headers);

/** Whose live session a request has. */
async function sessionOf(context: Context, headers: IncomingHttpHeaders): Promise<SignedIn> {
  const token = tokenIn(headers);
  const found = token ? await whoIs(context, token) : null;
  if (!found) throw new ProblemError('not_signed_in');
  return found;
}

/**
 * The session of a request about a home. The request names the home, and the account when it knows it: two tabs of one
 * browser share the cookie, and one of them may have signed in to another home or as somebody else since. Membership is
 * checked where the home's rows are read.
 */
export async function sessionInHome(context: Context, headers: IncomingHttpHeaders, query?: Asked): Promise<SignedIn> {
  const who = await sessionOf(context, headers);
  const home = headers[HOME_HEADER] ?? query?.household;
  const account = headers[ACCOUNT_HEADER] ?? query?.account ?? who.accountId;
  if (home !== who.householdId || account !== who.accountId) throw new ProblemError('other_home');
  return who;
}

/** Lets a request through only with a live session, and of no other account than the one it names. */
export function signedIn(context: Context): RequestHandler {
  return async (req: Request, _res: Response, next: NextFunction) => {
    const who = await sessionOf(context, req.headers);
    if ((req.get(ACCOUNT_HEADER) ?? who.accountId) !== who.accountId) throw new ProblemError('other_home');
    req.signedIn = who;
    next();
  };
}

/** Lets a request through only with a live session for the home that it names. */
export function inHome(context: Context): RequestHandler {
  return async (req: Request, _res: Response, next: NextFunction) => {
    req.signedIn = await sessionInHome(context, req.headers, req.query);
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
