import type { Request, RequestHandler, Response, Router } from 'express';
import { read } from '@sill/core';
import type { Answered, Params, Route } from '@sill/core/contract';
import type { InferOutput } from 'valibot';
import { accepted, ApiError } from './errors';

type Output<Schema> = Schema extends NonNullable<Route['body']> ? InferOutput<Schema> : undefined;
/** A question as it was read: names in the path, query and body, checked. */
export type Question<R extends Route> = {
  readonly params: { readonly [Name in keyof Params<R>]: string };
  readonly query: Output<R['query']>;
  readonly body: Output<R['body']>;
  readonly request: Request;
  readonly response: Response;
};

/** What a handler gives: what the contract says, nothing where it says nothing. */
type Reply<R extends Route> = [Answered<R>] extends [undefined] ? void : Answered<R>;

const METHODS = { GET: 'get', POST: 'post', PUT: 'put', DELETE: 'delete' } as const;

/**
 * Answers one route of the contract: its query and body are read by its schemas, refused by field where they can not be
 * (400 and 422), and what the handler gives is what the contract says. `at` is where the router hangs under `/api`.
 */
export function serve<R extends Route>(
  router: Router,
  at: string,
  route: R,
  answer: (question: Question<R>) => Promise<Reply<R>>,
  ...before: readonly RequestHandler[]
): void {
  const path = route.path.slice(at.length) || '/';
  router[METHODS[route.method]](path, ...before, async (request: Request, response: Response) => {
    const query = route.query && read(route.query, request.query, 'question');
    if (query && !query.ok) throw new ApiError(400, 'bad-request', query.message, query.fields);
    const body = route.body && accepted(read(route.body, request.body ?? {}, 'request'));
    const question = { params: request.params, query: query?.value, body, request, response };
    const given = await answer(question as unknown as Question<R>);
    if (response.headersSent || response.destroyed) return;
    if (given === undefined) response.status(204).end();
    else response.status(route.status ?? 200).json(given);
  });
}
