import { PHOTO_MOST_BYTES, pictureType } from '@ours/core';
import { and, eq, gt } from 'drizzle-orm';
import express, { Router } from 'express';
import { createHash } from 'node:crypto';
import { mustBeMember } from '../accounts/membership';
import { inHome } from '../accounts/signedIn';
import type { Context } from '../context';
import { inScope } from '../db/connect';
import { photoFile } from '../db/schema';
import { ProblemError } from '../problems/catalogue';

const HASH = /^[0-9a-f]{64}$/;
const A_YEAR_S = 31_536_000;

/**
 * PUT and GET /api/photos/:hash: pictures of a home, stored by what they are. The type is what the bytes say, never what was
 * sent; what is under a hash never changes.
 */
export function photoRoutes(context: Context): Router {
  const router = Router();
  const hashOf = (given: unknown): string => {
    if (!HASH.test(String(given))) throw new ProblemError('not_found', 'There is no such picture.');
    return String(given);
  };
  router.put(
    '/photos/:hash',
    inHome(context),
    express.raw({ type: () => true, limit: PHOTO_MOST_BYTES }),
    async (req, res) => {
      const hash = hashOf(req.params.hash);
      const content = Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0);
      const type = pictureType(content);
      if (type === null) throw new ProblemError('not_a_picture');
      if (createHash('sha256').update(content).digest('hex') !== hash) throw new ProblemError('other_picture');
      const who = req.signedIn!;
      await inScope(context.db, who, async (tx) => {
        await mustBeMember(tx, who);
        await tx
          .insert(photoFile)
          .values({
            householdId: who.householdId,
            hash,
            type,
            size: content.length,
            content,
            createdAt: context.now(),
          })
          // Its bytes were forgotten after it was taken away: it is here again.
          .onConflictDoUpdate({
            target: [photoFile.householdId, photoFile.hash],
            set: { size: content.length, content, createdAt: context.now() },
            setWhere: eq(photoFile.size, 0),
          });
      });
      res.status(204).end();
    },
  );
  router.get('/photos/:hash', inHome(context), async (req, res) => {
    const hash = hashOf(req.params.hash);
    const who = req.signedIn!;
    const [found] = await inScope(context.db, who, async (tx) => {
      await mustBeMember(tx, who);
      return tx
        .select({ type: photoFile.type, content: photoFile.content })
        .from(photoFile)
        .where(and(eq(photoFile.householdId, who.householdId), eq(photoFile.hash, hash), gt(photoFile.size, 0)));
    });
    if (!found) throw new ProblemError('not_found', 'There is no such picture.');
    res.setHeader('content-type', found.type);
    res.setHeader('x-content-type-options', 'nosniff');
    res.setHeader('content-disposition', 'inline');
    res.setHeader('cache-control', `private, max-age=${A_YEAR_S}, immutable`);
    res.end(found.content);
  });
  return router;
}
