import { isDeepStrictEqual } from 'node:util';

/** That two plans are the same. To tell where they differ, the runner takes as long as it takes to make one. */
export function expectSame(one: unknown, other: unknown): void {
  if (!isDeepStrictEqual(one, other)) expect(one).toEqual(other);
}
