import type { AnswerOf, Endpoint } from '@ours/contracts';
import type { Request, RequestHandler, Response, Router } from 'express';

type Answering<E extends Endpoint> = (req: Request, res: Response) => Promise<AnswerOf<E>>;

/**
 * Adds endpoints of the contract to a router: the handler has to answer what the contract says. What is undefined is
 * answered with 204, what a POST makes with 201 when `makes` says so.
 */
export function answering(router: Router) {
  return <E extends Endpoint>(
    endpoint: E,
    checks: readonly RequestHandler[],
    answer: Answering<E>,
    { makes = false } = {},
  ): void => {
    const [method, path] = endpoint.split(' ') as [string, string];
    router[method.toLowerCase() as 'get' | 'post' | 'delete'](path, ...checks, async (req: Request, res: Response) => {
      const value = await answer(req, res);
      if (value === undefined) res.status(204).end();
      else res.status(makes ? 201 : 200).json(value);
    });
  };
}
