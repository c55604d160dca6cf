import { createApi, fetchBaseQuery, type BaseQueryFn, type FetchArgs } from '@reduxjs/toolkit/query/react';
import type {
  AddOffcut,
  CutStickInput,
  HouseRulesInput,
  JobRecord,
  JobSettings,
  JobSummary,
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

/** A failure as the page shows it: what the server said, or that it could not be reached. */
export type ApiError =
  | Pick<Problem, 'code' | 'detail' | 'issues'>
  | { readonly code: 'offline'; readonly detail: string; readonly issues: readonly [] };

const OFFLINE: ApiError = { code: 'offline', detail: 'the server cannot be reached just now', issues: [] };
const raw = fetchBaseQuery({ baseUrl: '/api' });

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
  tagTypes: ['Jobs', 'Job', 'Rules', 'Rack', 'CutSticks', 'Suppliers', 'Quotes', 'Orders', 'StandIn'],
  endpoints: (build) => ({
    ruleSets: build.query<RuleSet[], void>({ query: () => '/rule-sets', providesTags: ['Rules'] }),
    keepRuleSet: build.mutation<RuleSet[], { name: string; rules: HouseRulesInput }>({
      query: (body) => ({ url: '/rule-sets', method: 'POST', body }),
      invalidatesTags: ['Rules'],
    }),
    dropRuleSet: build.mutation<void, string>({
      query: (id) => ({ url: `/rule-sets/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Rules'],
    }),
    rack: build.query<Offcut[], void>({ query: () => '/rack', providesTags: ['Rack'] }),
    addOffcut: build.mutation<Offcut, Partial<AddOffcut> & Pick<AddOffcut, 'trim' | 'length' | 'origin'>>({
      query: (body) => ({ url: '/rack', method: 'POST', body }),
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
      query: (id) => ({ url: `/rack/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Rack'],
    }),
    takeOffcut: build.mutation<JobRecord, { job: string; version: number; offcut: string; profile: string }>({
      query: ({ job, ...body }) => ({ url: `/jobs/${job}/rack`, method: 'POST', body }),
      invalidatesTags: (_r, _e, { job }) => ['Rack', { type: 'Job', id: job }],
    }),
    giveBackOffcut: build.mutation<JobRecord, { job: string; version: number; offcut: string }>({
      query: ({ job, offcut, version }) => ({
        url: `/jobs/${job}/rack/${offcut}?version=${version}`,
        method: 'DELETE',
      }),
      invalidatesTags: (_r, _e, { job }) => ['Rack', { type: 'Job', id: job }],
    }),
    cutSticks: build.query<string[], string>({
      query: (job) => `/jobs/${job}/cut-sticks`,
      providesTags: ['CutSticks'],
    }),
    stickCut: build.mutation<{ offcut: Offcut | null }, CutStickInput & { job: string }>({
      query: ({ job, ...body }) => ({ url: `/jobs/${job}/cut-sticks`, method: 'POST', body }),
      invalidatesTags: ['Rack', 'CutSticks'],
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
    createJob: build.mutation<JobRecord, { name: string; unit: Unit }>({
      query: (body) => ({ url: '/jobs', method: 'POST', body }),
      invalidatesTags: ['Jobs'],
    }),
    importJob: build.mutation<JobRecord, unknown>({
      query: (body) => ({ url: '/jobs/import', method: 'POST', body: body as object }),
      invalidatesTags: ['Jobs'],
    }),
    patchJob: build.mutation<
      JobRecord,
      { id: string; version: number; name?: string; settings?: JobSettings; archived?: boolean }
    >({
      query: ({ id, ...body }) => ({ url: `/jobs/${id}`, method: 'PATCH', body }),
      invalidatesTags: ['Jobs'],
      // The answer is the job as it now is: what is checked next must know the new settings at once.
      async onQueryStarted({ id }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => undefined);
        if (answer) dispatch(api.util.updateQueryData('job', id, () => answer.data));
      },
    }),
    deleteJob: build.mutation<void, string>({
      query: (id) => ({ url: `/jobs/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Jobs'],
    }),
    restoreJob: build.mutation<void, string>({
      query: (id) => ({ url: `/jobs/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['Jobs'],
    }),
    createRoom: build.mutation<
      RoomRecord,
      { job: string; name: string; survey?: Survey; typed?: Typed; notes?: Notes }
    >({
      query: ({ job, ...body }) => ({ url: `/jobs/${job}/rooms`, method: 'POST', body }),
      invalidatesTags: (_r, _e, { job }) => ['Jobs', { type: 'Job', id: job }],
    }),
    putRoom: build.mutation<
      RoomRecord,
      { job: string; id: string; version: number; name: string; survey: Survey; typed: Typed; notes: Notes }
    >({
      query: ({ job: _job, id, ...body }) => ({ url: `/rooms/${id}`, method: 'PUT', body }),
      // The answer is put into the cached job: loading all of it again after every pause in typing would be waste.
      async onQueryStarted({ job, id }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => undefined);
        if (answer)
          dispatch(
            api.util.updateQueryData(
              'job',
              job,
              (cached) => void Object.assign(cached.rooms.find((room) => room.id === id) ?? {}, answer.data),
            ),
          );
      },
    }),
    deleteRoom: build.mutation<void, { job: string; id: string }>({
      query: ({ id }) => ({ url: `/rooms/${id}`, method: 'DELETE' }),
      invalidatesTags: (_r, _e, { job }) => ['Jobs', { type: 'Job', id: job }],
    }),
    restoreRoom: build.mutation<void, { job: string; id: string }>({
      query: ({ id }) => ({ url: `/rooms/${id}/restore`, method: 'POST' }),
      invalidatesTags: (_r, _e, { job }) => ['Jobs', { type: 'Job', id: job }],
    }),
  }),
});

export const {
  useRackQuery,
  useAddOffcutMutation,
  useChangeOffcutMutation,
  useDiscardOffcutMutation,
  useTakeOffcutMutation,
  useGiveBackOffcutMutation,
  useCutSticksQuery,
  useStickCutMutation,
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
  usePatchJobMutation,
  useDeleteJobMutation,
  useRestoreJobMutation,
  useCreateRoomMutation,
  useDeleteRoomMutation,
  useRestoreRoomMutation,
} = api;

/** The error of a failed call, in one shape whatever went wrong. */
export const errorOf = (error: unknown): ApiError =>
  error && typeof error === 'object' && 'code' in error && 'detail' in error ? (error as ApiError) : OFFLINE;
