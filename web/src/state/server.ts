import type { Rack } from '@sill/core';
import { createApi, type BaseQueryFn } from '@reduxjs/toolkit/query/react';
import {
  JOBS_PAGE,
  type Answered,
  type Asked,
  type JobSummary,
  type RouteName,
  type Routes,
} from '@sill/core/contract';
import { Refused } from '../platform/ask';
import type { Edges } from './edges';

/** The rack that all jobs share, and the shop that new ones start with. */
export const RACK = 'rack';
export const EMPTY_RACK: Rack = { pieces: [], cans: [] };
/** What is forgotten of all records. */
export const MEMORY = 'memory';
export const USUAL_SHOP = 'usual';

/** Why the server did not do it: `status` null where it could not be reached. */
type Trouble = { readonly status: number | null; readonly message: string };
type Question = {
  readonly [Name in RouteName]: { readonly name: Name; readonly sent: Asked<Routes[Name]> };
}[RouteName];

/** Asks by the store's own edge: tests hand in theirs. */
const asked: BaseQueryFn<Question, unknown, Trouble> = async ({ name, sent }, { extra, signal }) => {
  try {
    // An answer without a body is an answer too.
    return { data: (await (extra as Edges).ask(name, sent as never, signal)) ?? null };
  } catch (error) {
    const { message } = error as Error;
    return { error: { status: error instanceof Refused ? error.status : null, message } };
  }
};

const TAGS = ['jobs', 'yards', 'shops', 'racks', 'memories', 'devices'] as const;
type Tag = (typeof TAGS)[number];

/** What the server keeps, asked for once, kept while it is looked at, and asked anew when it was changed here. */
export const server = createApi({
  reducerPath: 'server',
  baseQuery: asked,
  tagTypes: TAGS,
  // Left for a moment and come back to: what another tab did since is seen.
  refetchOnMountOrArgChange: true,
  endpoints: (build) => {
    const get = <Name extends RouteName>(name: Name, ...tags: readonly Tag[]) =>
      build.query<Answered<Routes[Name]>, Asked<Routes[Name]>>({
        query: (sent) => ({ name, sent }) as unknown as Question,
        providesTags: [...tags],
      });
    const send = <Name extends RouteName>(name: Name, ...changes: readonly Tag[]) =>
      build.mutation<Answered<Routes[Name]>, Asked<Routes[Name]>>({
        query: (sent) => ({ name, sent }) as unknown as Question,
        invalidatesTags: [...changes],
      });
    return {
      /** The jobs by pages, the newest first. */
      jobs: build.infiniteQuery<readonly JobSummary[], { readonly removed: boolean }, JobSummary | null>({
        infiniteQueryOptions: {
          initialPageParam: null,
          getNextPageParam: (page) => (page.length < JOBS_PAGE ? undefined : page.at(-1)),
        },
        query: ({ queryArg: { removed }, pageParam: last }) => ({
          name: 'jobs',
          sent: { query: { removed: removed ? '1' : '0', ...(last ? { before: `${last.savedAt} ${last.id}` } : {}) } },
        }),
        providesTags: ['jobs'],
      }),
      makeJob: send('makeJob', 'jobs'),
      copyJob: send('copyJob', 'jobs'),
      removeJob: send('removeJob', 'jobs'),
      restoreJob: send('restoreJob', 'jobs'),
      revisions: get('revisions'),
      revision: get('revision'),
      yards: get('yards', 'yards'),
      saveYard: send('saveYard', 'yards'),
      shops: get('shops', 'shops'),
      saveShop: send('saveShop', 'shops'),
      racks: get('racks', 'racks'),
      saveRack: send('saveRack', 'racks'),
      records: get('records', 'jobs'),
      memories: get('memories', 'memories'),
      saveMemory: send('saveMemory', 'memories'),
      prices: get('prices'),
      priceHistory: get('priceHistory'),
      rackBoards: get('rackBoards'),
      tape: get('tape'),
      shopAir: get('shopAir'),
      access: get('access'),
      devices: get('devices', 'devices'),
      signIn: send('signIn', 'devices'),
      signOut: send('signOut', 'devices'),
      signOutHere: send('signOutHere', 'devices'),
      signOutAll: send('signOutAll', 'devices'),
      changePassphrase: send('changePassphrase', 'devices'),
    };
  },
});

export const {
  useJobsInfiniteQuery,
  useMakeJobMutation,
  useCopyJobMutation,
  useRemoveJobMutation,
  useRestoreJobMutation,
  useRevisionsQuery,
  useLazyRevisionQuery,
  useYardsQuery,
  useLazyYardsQuery,
  useSaveYardMutation,
  useLazyShopsQuery,
  useSaveShopMutation,
  useRacksQuery,
  useSaveRackMutation,
  useRecordsQuery,
  useMemoriesQuery,
  useSaveMemoryMutation,
  useLazyPricesQuery,
  usePriceHistoryQuery,
  useRackBoardsQuery,
  useLazyTapeQuery,
  useLazyShopAirQuery,
  useLazyAccessQuery,
  useDevicesQuery,
  useSignInMutation,
  useSignOutMutation,
  useSignOutHereMutation,
  useSignOutAllMutation,
  useChangePassphraseMutation,
} = server;
