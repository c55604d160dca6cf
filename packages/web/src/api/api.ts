import { createApi, fetchBaseQuery, type BaseQueryFn, type FetchArgs } from '@reduxjs/toolkit/query/react';
import type {
  AddOffcut,
  Change,
  HouseRulesInput,
  JobHead,
  JobRecord,
  JobSettings,
  JobSummary,
  KeptCut,
  Notes,
  Offcut,
  OrderRecord,
  PlaceOrder,
  Problem,
  Quote,
  RoomRecord,
  RuleSet,
  StandInBehaviour,
  Supplier,
  Survey,
  Typed,
  Unit,
} from '@long-miter/core';
import { deviceId } from './device-id.ts';

/** A failure as the page shows it: what the server said, or that it could not be reached. */
export type ApiError =
  | Pick<Problem, 'code' | 'detail' | 'issues'>
  | { readonly code: 'offline'; readonly detail: string; readonly issues: readonly [] };

const OFFLINE: ApiError = { code: 'offline', detail: 'the server cannot be reached just now', issues: [] };
const raw = fetchBaseQuery({
  baseUrl: '/api',
  prepareHeaders: (headers) => headers.set('x-device', deviceId()),
});

/** fetchBaseQuery with every failure in one shape. */
const baseQuery: BaseQueryFn<string | FetchArgs, unknown, ApiError> = async (args, api, extra) => {
  const result = await raw(args, api, extra);
  if (!result.error) return { data: result.data };
  const body = result.error.data as Partial<Problem> | undefined;
  if (typeof result.error.status !== 'number') return { error: OFFLINE };
  return {
    error: {
      code: body?.code ?? 'internal',
      detail: body?.detail ?? 'the server could not answer',
      issues: body?.issues ?? [],
    },
  };
};

/** An id for a change that the server may be asked for again. */
const commandId = (): string =>
  typeof crypto.randomUUID === 'function'
    ? crypto.randomUUID()
    : '00000000-0000-4000-8000-000000000000'.replace(/0/g, () => Math.floor(Math.random() * 16).toString(16));

/** A change that is made at once, not in the outbox: it needs the server's answer, or must not be made later by itself. */
const change = (url: string, method: 'POST' | 'PUT' | 'DELETE', body?: unknown): FetchArgs => ({
  url,
  method,
  headers: { 'x-command': commandId() },
  ...(body === undefined ? {} : { body: body as object }),
});

export const api = createApi({
  baseQuery,
  tagTypes: ['Jobs', 'Job', 'Rules', 'Rack', 'CutSticks', 'Suppliers', 'Quotes', 'Orders', 'StandIn'],
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
    keepRuleSet: build.mutation<RuleSet[], { name: string; rules: HouseRulesInput }>({
      query: (body) => change('/rule-sets', 'POST', body),
      invalidatesTags: ['Rules'],
    }),
    dropRuleSet: build.mutation<void, string>({
      query: (id) => change(`/rule-sets/${id}`, 'DELETE'),
      invalidatesTags: ['Rules'],
    }),
    rack: build.query<Offcut[], void>({ query: () => '/rack', providesTags: ['Rack'] }),
    addOffcut: build.mutation<
      Offcut,
      { id: string } & Partial<AddOffcut> & Pick<AddOffcut, 'trim' | 'length' | 'origin'>
    >({
      query: (body) => change('/rack', 'POST', body),
      invalidatesTags: ['Rack'],
    }),
    changeOffcut: build.mutation<
      Offcut,
      { id: string } & Partial<Pick<Offcut, 'place' | 'note' | 'damages'>>
    >({
      query: ({ id, ...body }) => ({ url: `/rack/${id}`, method: 'PATCH', body }),
      invalidatesTags: ['Rack'],
    }),
    discardOffcut: build.mutation<void, string>({
      query: (id) => change(`/rack/${id}`, 'DELETE'),
      invalidatesTags: ['Rack'],
    }),
    restoreOffcut: build.mutation<Offcut, string>({
      query: (id) => change(`/rack/${id}/restore`, 'POST'),
      invalidatesTags: ['Rack'],
    }),
    takeOffcut: build.mutation<Partial<JobSettings>, { job: string; offcut: string; profile: string }>({
      query: ({ job, ...body }) => change(`/jobs/${job}/rack`, 'POST', body),
      invalidatesTags: (_r, _e, { job }) => ['Rack', { type: 'Job', id: job }],
    }),
    giveBackOffcut: build.mutation<Partial<JobSettings>, { job: string; offcut: string }>({
      query: ({ job, offcut }) => change(`/jobs/${job}/rack/${offcut}`, 'DELETE'),
      invalidatesTags: (_r, _e, { job }) => ['Rack', { type: 'Job', id: job }],
    }),
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
    askQuote: build.mutation<Quote[], { job: string; supplier: string }>({
      query: ({ job, supplier }) => ({ url: `/jobs/${job}/quotes/${supplier}`, method: 'POST' }),
      invalidatesTags: ['Quotes'],
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
    jobs: build.query<JobSummary[], void>({ query: () => '/jobs', providesTags: ['Jobs'] }),
    job: build.query<JobRecord, string>({
      query: (id) => `/jobs/${id}`,
      providesTags: (_r, _e, id) => [{ type: 'Job', id }],
    }),
    room: build.query<RoomRecord, { job: string; room: string }>({
      query: ({ job, room }) => `/jobs/${job}/rooms/${encodeURIComponent(room)}`,
      keepUnusedDataFor: 0,
    }),
    createJob: build.mutation<JobRecord, { id: string; name: string; unit: Unit; currency?: string }>({
      query: (body) => change('/jobs', 'POST', body),
      invalidatesTags: ['Jobs'],
    }),
    importJob: build.mutation<JobRecord, unknown>({
      query: (body) => change('/jobs/import', 'POST', body),
      invalidatesTags: ['Jobs'],
    }),
    changeHead: build.mutation<JobHead, { id: string } & Change>({
      query: ({ id, ...body }) => ({
        url: `/jobs/${id}`,
        method: 'PATCH',
        headers: { 'x-command': commandId() },
        body,
      }),
      invalidatesTags: (_r, _e, { id }) => ['Jobs', { type: 'Job', id }],
    }),
    deleteJob: build.mutation<void, string>({
      query: (id) => change(`/jobs/${id}`, 'DELETE'),
      invalidatesTags: ['Jobs'],
    }),
    restoreJob: build.mutation<void, string>({
      query: (id) => change(`/jobs/${id}/restore`, 'POST'),
      invalidatesTags: ['Jobs'],
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
  useAddOffcutMutation,
  useChangeOffcutMutation,
  useDiscardOffcutMutation,
  useRestoreOffcutMutation,
  useTakeOffcutMutation,
  useGiveBackOffcutMutation,
  useCutSticksQuery,
  useSuppliersQuery,
  useStandInQuery,
  useSetStandInMutation,
  useQuotesQuery,
  useAskQuoteMutation,
  useOrdersQuery,
  usePlaceOrderMutation,
  useSendAgainMutation,
  useRuleSetsQuery,
  useKeepRuleSetMutation,
  useDropRuleSetMutation,
  useJobsQuery,
  useJobQuery,
  useCreateJobMutation,
  useImportJobMutation,
  useChangeHeadMutation,
  useDeleteJobMutation,
  useRestoreJobMutation,
} = api;

/** The error of a failed call, in one shape whatever went wrong. */
export const errorOf = (error: unknown): ApiError =>
  error && typeof error === 'object' && 'code' in error && 'detail' in error ? (error as ApiError) : OFFLINE;
