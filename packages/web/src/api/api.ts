import { createApi, fetchBaseQuery, type BaseQueryFn, type FetchArgs } from '@reduxjs/toolkit/query/react';
import type {
  CrewSaw,
  JobRecord,
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

export const api = createApi({
  baseQuery,
  tagTypes: ['Jobs', 'Job', 'Rules', 'Saws', 'Rack', 'CutSticks', 'Suppliers', 'Quotes', 'Orders', 'StandIn'],
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
  useSuppliersQuery,
  useStandInQuery,
  useSetStandInMutation,
  useQuotesQuery,
  useAskQuoteMutation,
  useOrdersQuery,
  usePlaceOrderMutation,
  useSendAgainMutation,
  useRuleSetsQuery,
  useCrewSawsQuery,
  useJobsQuery,
  useJobQuery,
} = api;

/** The error of a failed call, in one shape whatever went wrong. */
export const errorOf = (error: unknown): ApiError =>
  error && typeof error === 'object' && 'code' in error && 'detail' in error ? (error as ApiError) : OFFLINE;
