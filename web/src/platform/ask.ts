import type { FieldError } from '@sill/core';
import {
  addressOf,
  BYTES,
  ROUTES,
  type Answered,
  type Asked,
  type Failure,
  type RouteName,
  type Routes,
} from '@sill/core/contract';
import { untilSignedIn } from './gate';

/** What the server answered when it refused. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly fields: readonly FieldError[],
    readonly current: unknown,
  ) {
    super(message);
  }
}
/** The server could not be reached at all. */
export class Offline extends Error {}

const readOf = (answer: Response): Promise<unknown> =>
  answer.json().catch(() => {
    throw new Offline('The server does not answer as it should.');
  });

/**
 * An answer that does not come within this never will: the way to the server broke without a word. Files take longer.
 */
const PATIENCE_MS = 20_000;

/** What the server answered; where it wants a sign-in first, after that. What it refused is thrown. */
async function answerTo(method: string, address: string, body: unknown, signal?: AbortSignal): Promise<Response> {
  const isFile = body instanceof Blob;
  const json = body !== undefined && { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) };
  const ends = [...(signal ? [signal] : []), ...(isFile ? [] : [AbortSignal.timeout(PATIENCE_MS)])];
  let answer: Response;
  try {
    answer = await fetch(address, { method, ...(isFile ? { body } : json), signal: AbortSignal.any(ends) });
  } catch {
    throw new Offline('The server does not answer.');
  }
  if (answer.ok) return answer;
  const { error } = (await readOf(answer)) as Failure;
  if (error.code === 'sign-in') {
    await untilSignedIn();
    return answerTo(method, address, body, signal);
  }
  throw new Refused(answer.status, error.code, error.message, error.fields, error.current);
}

/** Asks the server by a route of the contract. */
export type Ask = <Name extends RouteName>(
  name: Name,
  sent: Asked<Routes[Name]>,
  signal?: AbortSignal,
) => Promise<Answered<Routes[Name]>>;

export const ask: Ask = async (name, sent, signal) => {
  const route = ROUTES[name];
  const { body } = sent as { readonly body?: unknown };
  const answer = await answerTo(route.method, addressOf(route, sent as object), body, signal);
  const given: unknown =
    answer.status === 204
      ? undefined
      : route.answer === BYTES
        ? new Uint8Array(await answer.arrayBuffer())
        : await readOf(answer);
  return given as never;
};
