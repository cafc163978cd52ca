import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { FieldError, ReadResult } from '@sill/core';
import type { Logger } from 'pino';

/** The one shape every failed request of the API has: `{ error: { code, message, fields, current? } }`. */
type ApiErrorBody = {
  readonly error: {
    readonly code: string;
    readonly message: string;
    readonly fields: readonly FieldError[];
    /** For `stale`: what is saved now, so that the person can choose. */
    readonly current?: unknown;
  };
};

/** Thrown by a route; the handler below writes it. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly fields: readonly FieldError[] = [],
    readonly current?: unknown,
  ) {
    super(message);
  }
}

/** What was read of a body; refused by field, 422, where it could not be. */
export function accepted<T>(result: ReadResult<T>): T {
  if (!result.ok) throw new ApiError(422, 'invalid', result.message, result.fields);
  return result.value;
}

export const notFound = (what: string): ApiError => new ApiError(404, 'not-found', `There is no such ${what}.`);

/** Express and body-parser mark their own errors with `type` and `status`. */
type ParserError = { readonly type?: string; readonly status?: number };

function asApiError(error: unknown): ApiError | null {
  if (error instanceof ApiError) return error;
  const { type, status } = error as ParserError;
  if (type === 'entity.too.large')
    return new ApiError(
      413,
      'too-large',
      'That is too large: a job is under 2 MB, a photo under 4. Nothing was saved.',
    );
  if (type === 'entity.parse.failed')
    return new ApiError(400, 'not-json', 'The request is not JSON from end to end. Nothing was saved.');
  if (type === 'encoding.unsupported' || type === 'charset.unsupported')
    return new ApiError(415, 'not-json', 'Send JSON in UTF-8.');
  return status !== undefined && status >= 400 && status < 500
    ? new ApiError(status, 'bad-request', 'The request can not be read.')
    : null;
}

export const apiNotFound: RequestHandler = () => {
  throw notFound('address in this API');
};

/** Writes every error in the one shape; what was not foreseen is logged and told without its inside. */
export const errorHandler =
  (log: Logger): ErrorRequestHandler =>
  (error, _request, response, next) => {
    if (response.headersSent) return next(error);
    const known = asApiError(error);
    if (!known) log.error(error);
    const { status, code, message, fields, current } =
      known ?? new ApiError(500, 'failed', 'The server could not do that. Nothing was changed; try again.');
    const body: ApiErrorBody = { error: { code, message, fields, ...(current === undefined ? {} : { current }) } };
    response.status(status).json(body);
  };
