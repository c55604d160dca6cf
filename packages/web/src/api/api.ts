import { createApi, fetchBaseQuery, type BaseQueryFn, type FetchArgs } from '@reduxjs/toolkit/query/react';
import type { z } from 'zod';
import type {
  AccessToken,
  ChangeRow,
  CrewRole,
  CrewSaw,
  DeviceSession,
  firstAccountSchema,
  Invited,
  inviteSchema,
  joinSchema,
  Me,
  Member,
  newTokenSchema,
  SessionAnswer,
  signInSchema,
  JobRecord,
  JobSummary,
  KeptCut,
  KeptTrim,
  Notes,
  Offcut,
  Person,
  OrderRecord,
  PlaceOrder,
  Problem,
  Quote,
  RoomRecord,
  LibraryKit,
  LibraryPrices,
  RuleSet,
  ShopLog,
  StandInBehaviour,
  Supplier,
  Survey,
  Typed,
} from '@long-miter/core';
import { deviceId } from './device-id.ts';
import { ownerHere } from './owner.ts';
import { translate, t } from '../messages/t.ts';

/** A failure as the page shows it: what the server said, or that it could not be reached. */
export type ApiError =
  | Pick<Problem, 'code' | 'detail' | 'issues'>
  | { readonly code: 'offline'; readonly detail: string; readonly issues: readonly [] };

const OFFLINE: ApiError = { code: 'offline', detail: t('the server cannot be reached just now'), issues: [] };
const raw = fetchBaseQuery({
  baseUrl: '/api',
  prepareHeaders: (headers, { getState }) => {
    const { token } = api.endpoints.session.select()(getState() as never).data ?? {};
    if (token !== undefined) headers.set('x-token', token);
    headers.set('x-device', deviceId());
    const owner = ownerHere();
    if (owner) headers.set('x-account', owner.id);
    return headers;
  },
});

/** fetchBaseQuery with every failure in one shape. */
const baseQuery: BaseQueryFn<string | FetchArgs, unknown, ApiError> = async (args, context, extra) => {
  const result = await raw(args, context, extra);
  if (!result.error) return { data: result.data };
  const body = result.error.data as Partial<Problem> | undefined;
  if (typeof result.error.status !== 'number') return { error: OFFLINE };
  // A session that has ended is noticed by whatever asks first: the page then asks who is there.
  if (body?.code === 'sign-in') context.dispatch(api.util.invalidateTags(['Session']));
  return {
    error: {
      code: body?.code ?? 'internal',
      detail:
        body?.detail === undefined
          ? t('the server could not answer')
          : translate(body.message ?? body.detail),
      issues: (body?.issues ?? []).map(({ message, ...issue }) => ({
        ...issue,
        text: translate(message ?? issue.text),
      })),
    },
  };
};

export const api = createApi({
  baseQuery,
  tagTypes: [
    'Jobs',
    'Job',
    'Rules',
    'Saws',
    'Trims',
    'Kits',
    'Rack',
    'CutSticks',
    'Suppliers',
    'Quotes',
    'Orders',
    'StandIn',
    'Shop',
    'Session',
    'Crew',
  ],
  endpoints: (build) => ({
    /** Any change in its turn; who calls it is the outbox. */
    command: build.mutation<unknown, { id: string; method: string; path: string; body?: unknown }>({
      query: ({ id, method, path, body }) => ({
        url: path,
        method,
        headers: { 'x-command': id },
        ...(body === undefined ? {} : { body: body as object }),
      }),
    }),
    ruleSets: build.query<RuleSet[], void>({ query: () => '/rule-sets', providesTags: ['Rules'] }),
    crewSaws: build.query<CrewSaw[], void>({ query: () => '/saws', providesTags: ['Saws'] }),
    libraryTrims: build.query<KeptTrim[], void>({ query: () => '/trims', providesTags: ['Trims'] }),
    libraryKits: build.query<LibraryKit[], void>({ query: () => '/kits', providesTags: ['Kits'] }),
    shopLog: build.query<ShopLog, string>({ query: (job) => `/jobs/${job}/shop`, providesTags: ['Shop'] }),
    shopSince: build.query<ShopLog, { job: string; after: number }>({
      query: ({ job, after }) => `/jobs/${job}/shop/since/${after}`,
      keepUnusedDataFor: 0,
    }),
    rack: build.query<Offcut[], void>({ query: () => '/rack', providesTags: ['Rack'] }),
    cutSticks: build.query<KeptCut[], string>({
      query: (job) => `/jobs/${job}/cut-sticks`,
      providesTags: ['CutSticks'],
    }),
    suppliers: build.query<Supplier[], void>({ query: () => '/suppliers', providesTags: ['Suppliers'] }),
    standIn: build.query<StandInBehaviour & { port: number }, void>({
      query: () => '/suppliers/stand-in',
      providesTags: ['StandIn'],
    }),
    setStandIn: build.mutation<StandInBehaviour, StandInBehaviour>({
      query: (body) => ({ url: '/suppliers/stand-in', method: 'PUT', body }),
      invalidatesTags: ['StandIn'],
    }),
    quotes: build.query<Quote[], string>({ query: (job) => `/jobs/${job}/quotes`, providesTags: ['Quotes'] }),
    // Quotes and orders are not changes of ours: they ask another house, now or not at all.
    askQuote: build.mutation<Quote[], { job: string; supplier: string }>({
      query: ({ job, supplier }) => ({ url: `/jobs/${job}/quotes/${supplier}`, method: 'POST' }),
      invalidatesTags: ['Quotes'],
    }),
    askForLibrary: build.mutation<LibraryPrices, string>({
      query: (supplier) => ({ url: `/suppliers/${supplier}/prices`, method: 'POST' }),
    }),
    orders: build.query<OrderRecord[], string>({
      query: (job) => `/jobs/${job}/orders`,
      providesTags: ['Orders'],
    }),
    placeOrder: build.mutation<OrderRecord, PlaceOrder & { job: string }>({
      query: ({ job, ...body }) => ({ url: `/jobs/${job}/orders`, method: 'POST', body }),
      invalidatesTags: ['Orders', 'Quotes'],
    }),
    sendAgain: build.mutation<OrderRecord, string>({
      query: (id) => ({ url: `/orders/${id}/send`, method: 'POST' }),
      invalidatesTags: ['Orders'],
    }),
    session: build.query<SessionAnswer, void>({ query: () => '/session', providesTags: ['Session'] }),
    // Signing in and the crew are asked for directly: nobody signs in later, by himself.
    signIn: build.mutation<Me, z.input<typeof signInSchema>>({
      query: (body) => ({ url: '/session', method: 'POST', body }),
      invalidatesTags: ['Session'],
    }),
    firstAccount: build.mutation<Me, z.input<typeof firstAccountSchema>>({
      query: (body) => ({ url: '/session/first', method: 'POST', body }),
      invalidatesTags: ['Session'],
    }),
    joinCrew: build.mutation<Me, z.input<typeof joinSchema>>({
      query: (body) => ({ url: '/session/join', method: 'POST', body }),
      invalidatesTags: ['Session'],
    }),
    signOut: build.mutation<void, void>({ query: () => ({ url: '/session', method: 'DELETE' }) }),
    devices: build.query<DeviceSession[], void>({ query: () => '/session/devices', providesTags: ['Crew'] }),
    endDevice: build.mutation<void, string>({
      query: (id) => ({ url: `/session/devices/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Crew', 'Session'],
    }),
    tokens: build.query<AccessToken[], void>({ query: () => '/session/tokens', providesTags: ['Crew'] }),
    makeToken: build.mutation<{ token: string }, z.input<typeof newTokenSchema>>({
      query: (body) => ({ url: '/session/tokens', method: 'POST', body }),
      invalidatesTags: ['Crew'],
    }),
    endToken: build.mutation<void, string>({
      query: (id) => ({ url: `/session/tokens/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Crew'],
    }),
    restoreBackup: build.mutation<{ rows: number; before: string }, File>({
      query: (body) => ({
        url: '/backup',
        method: 'POST',
        headers: { 'content-type': 'application/octet-stream' },
        body,
      }),
    }),
    lookAs: build.mutation<Me, CrewRole>({
      query: (role) => ({ url: '/session/demo', method: 'POST', body: { role } }),
    }),
    people: build.query<Person[], void>({ query: () => '/crew/people', providesTags: ['Crew'] }),
    changes: build.query<ChangeRow[], { job?: string | undefined; before?: string | undefined }>({
      query: ({ job, before }) =>
        `${job === undefined ? '' : `/jobs/${job}`}/changes${before === undefined ? '' : `/before/${before}`}`,
      // What was changed meanwhile is asked for whenever somebody looks.
      keepUnusedDataFor: 0,
    }),
    members: build.query<Member[], void>({ query: () => '/crew', providesTags: ['Crew'] }),
    invite: build.mutation<Invited, z.input<typeof inviteSchema>>({
      query: (body) => ({ url: '/crew/invitations', method: 'POST', body }),
    }),
    changeMember: build.mutation<Member[], { id: string; role: CrewRole }>({
      query: ({ id, role }) => ({ url: `/crew/${id}`, method: 'PATCH', body: { role } }),
      invalidatesTags: ['Crew', 'Session'],
    }),
    removeMember: build.mutation<void, string>({
      query: (id) => ({ url: `/crew/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Crew', 'Session'],
    }),
    jobs: build.query<JobSummary[], void>({ query: () => '/jobs', providesTags: ['Jobs'] }),
    readTable: build.mutation<string[][], File>({
      query: (body) => ({
        url: '/tables',
        method: 'POST',
        headers: { 'content-type': 'application/octet-stream' },
        body,
      }),
    }),
    document: build.mutation<
      Blob,
      { job: string; document: string; plan?: unknown; room?: string; paper?: 'letter' | 'a4' }
    >({
      query: ({ job, document, ...body }) => ({
        url: `/jobs/${job}/documents/${document}`,
        method: 'POST',
        body,
        // What was made is a file; why it was not is told as everything is.
        responseHandler: (answer) => (answer.ok ? answer.blob() : answer.json()),
      }),
    }),
    putAway: build.query<JobSummary[], string>({
      query: (search) => (search === '' ? '/put-away' : `/put-away/${encodeURIComponent(search)}`),
      providesTags: ['Jobs'],
    }),
    job: build.query<JobRecord, string>({
      query: (id) => `/jobs/${id}`,
      providesTags: (_r, _e, id) => [{ type: 'Job', id }],
    }),
    room: build.query<RoomRecord, { job: string; room: string }>({
      query: ({ job, room }) => `/jobs/${job}/rooms/${encodeURIComponent(room)}`,
      keepUnusedDataFor: 0,
    }),
    putRoom: build.mutation<
      { version: number },
      {
        job: string;
        id: string;
        command: string;
        version: number;
        name: string;
        survey: Survey;
        typed: Typed;
        notes: Notes;
      }
    >({
      query: ({ job, id, command, ...body }) => ({
        url: `/jobs/${job}/rooms/${encodeURIComponent(id)}`,
        method: 'PUT',
        headers: { 'x-command': command },
        body,
      }),
    }),
  }),
});

export const {
  useRackQuery,
  useCutSticksQuery,
  useShopLogQuery,
  useSuppliersQuery,
  useStandInQuery,
  useSetStandInMutation,
  useQuotesQuery,
  useAskQuoteMutation,
  useOrdersQuery,
  usePlaceOrderMutation,
  useSendAgainMutation,
  useAskForLibraryMutation,
  useRuleSetsQuery,
  useCrewSawsQuery,
  useLibraryTrimsQuery,
  useLibraryKitsQuery,
  useJobsQuery,
  usePutAwayQuery,
  useDocumentMutation,
  useReadTableMutation,
  useSessionQuery,
  useSignInMutation,
  useFirstAccountMutation,
  useJoinCrewMutation,
  useSignOutMutation,
  useDevicesQuery,
  useEndDeviceMutation,
  useTokensQuery,
  useMakeTokenMutation,
  useEndTokenMutation,
  useLookAsMutation,
  useRestoreBackupMutation,
  usePeopleQuery,
  useChangesQuery,
  useMembersQuery,
  useInviteMutation,
  useChangeMemberMutation,
  useRemoveMemberMutation,
  useJobQuery,
} = api;

/** The error of a failed call, in one shape whatever went wrong. */
export const errorOf = (error: unknown): ApiError =>
  error && typeof error === 'object' && 'code' in error && 'detail' in error ? (error as ApiError) : OFFLINE;
