import {
  checkingHome,
  HOME_MOST_BYTES,
  NoHomeFile,
  readHomeFile,
  type HomeFile,
  type RestoreNews,
} from '@ours/contracts';
import { mayRead, type Role } from '@ours/core';
import express, { Router } from 'express';
import { mustBeMember } from '../accounts/membership';
import { inHome, type SignedIn } from '../accounts/signedIn';
import type { Context } from '../context';
import { inScope } from '../db/connect';
import { asProblem } from '../problems/problemHandler';
import { ProblemError } from '../problems/catalogue';
import { withNewIds } from './newIds';
import { restoreHome } from './restoreHome';
import { writeHome } from './writeHome';

/** Rows that are checked before others get their turn. */
const SLICE = 500;

/**
 * GET /api/home-file: a whole home as one JSON document, a row a line. POST /api/home-file: makes the home what such a file says, and
 * tells how far it is, a line of JSON at a time; the last line is the result or what is wrong. Nothing is changed before all of it is read.
 */
export function homeFileRoutes(context: Context): Router {
  const router = Router();
  router.get('/home-file', inHome(context), async (req, res) => {
    const who = req.signedIn!;
    const role = await roleOf(context, who);
    // It holds all there is, also what only adults may read.
    if (!mayRead(role, 'care_entry')) throw new ProblemError('not_for_role');
    res.setHeader('content-type', 'application/json; charset=utf-8');
    res.setHeader('content-disposition', 'attachment; filename="home.json"');
    await writeHome(context.db, who.householdId, context.now(), (text) => res.write(text));
    res.end();
  });
  router.post(
    '/home-file',
    inHome(context),
    // Before so much is read.
    async (req, _res, next) => {
      if ((await roleOf(context, req.signedIn!)) !== 'owner') throw new ProblemError('not_for_role');
      next();
    },
    express.text({ type: () => true, limit: HOME_MOST_BYTES }),
    async (req, res) => {
      const who = req.signedIn!;
      const given = readOrRefuse(typeof req.body === 'string' ? req.body : '');
      const file = req.query.ids === 'new' ? withNewIds(given) : given;
      res.setHeader('content-type', 'application/x-ndjson; charset=utf-8');
      const tell = (news: RestoreNews): void => {
        res.write(`${JSON.stringify(news)}\n`);
      };
      try {
        await checkInSlices(file, tell);
        tell({ result: await restoreHome(context, who, file, { over: req.query.over === 'yes', tell }) });
      } catch (error) {
        if (error instanceof NoHomeFile) tell({ problem: error.message });
        else {
          const known = asProblem(error);
          if (known.code === 'internal') context.log.error({ err: error }, 'a home was not restored');
          tell({ problem: known.detail });
        }
      }
      res.end();
    },
  );
  return router;
}

const roleOf = (context: Context, who: SignedIn): Promise<Role> =>
  inScope(context.db, who, async (tx) => (await mustBeMember(tx, who)).role);

function readOrRefuse(text: string): HomeFile {
  try {
    return readHomeFile(text);
  } catch (error) {
    if (error instanceof NoHomeFile) throw new ProblemError('no_home_file', error.message);
    throw error;
  }
}

async function checkInSlices(file: HomeFile, tell: (news: RestoreNews) => void): Promise<void> {
  const { of, step } = checkingHome(file);
  for (let done = 0; done < of;) {
    done = step(SLICE);
    tell({ step: 'checking', done, of });
    await new Promise((next) => setImmediate(next));
  }
}
