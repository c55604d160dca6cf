import type {
  AddOffcut,
  CrewSaw,
  Change,
  HouseRulesInput,
  JobHead,
  JobRecord,
  KeptTrim,
  LibraryKit,
  LibraryTrim,
  Offcut,
  RuleSet,
  SettingsAnswer,
  Supplier,
  Unit,
} from '@long-miter/core';
import { api, type ApiError } from '../api/api.ts';
import { NO_JOB, outbox, type Call } from './outbox/outbox.ts';
import { t } from '../messages/t.ts';

/**
 * Changes whose answer the screen waits for: jobs, the rack, rule sets. They go through the outbox like all others, so they
 * are kept, sent in their turn and applied once. Only orders and quotes do not: an order must never go out by itself, later.
 */

type Answer<T> = { data: T } | { error: ApiError };

async function inTurn<T>(
  job: string,
  label: string,
  method: Call['method'],
  path: string,
  body?: unknown,
): Promise<Answer<T>> {
  const what = { method, path, ...(body === undefined ? {} : { body }) };
  const sent = await outbox.call(job, label, what, 'the caller');
  return sent.ok ? { data: (sent.answer ?? null) as T } : { error: sent.error };
}

const commands = api.injectEndpoints({
  endpoints: (build) => ({
    keepRuleSet: build.mutation<RuleSet[], { name: string; rules: HouseRulesInput }>({
      queryFn: (body) =>
        inTurn<RuleSet[]>(NO_JOB, t('the rules {name}', { name: body.name }), 'POST', '/rule-sets', body),
      invalidatesTags: ['Rules'],
    }),
    dropRuleSet: build.mutation<null, string>({
      queryFn: (id) => inTurn<null>(NO_JOB, t('forgetting rules'), 'DELETE', `/rule-sets/${id}`),
      invalidatesTags: ['Rules'],
    }),
    keepSaw: build.mutation<CrewSaw[], Pick<CrewSaw, 'unit' | 'saw'>>({
      queryFn: (body) =>
        inTurn<CrewSaw[]>(
          NO_JOB,
          t('the saw {name}', { name: body.saw.name ?? '' }).trim(),
          'PUT',
          `/saws/${encodeURIComponent(body.saw.id)}`,
          body,
        ),
      invalidatesTags: ['Saws'],
    }),
    dropSaw: build.mutation<null, string>({
      queryFn: (id) =>
        inTurn<null>(NO_JOB, t('forgetting a saw'), 'DELETE', `/saws/${encodeURIComponent(id)}`),
      invalidatesTags: ['Saws'],
    }),
    keepKit: build.mutation<LibraryKit[], LibraryKit>({
      queryFn: (body) =>
        inTurn<LibraryKit[]>(
          NO_JOB,
          t('the kit {name}', { name: body.name }),
          'PUT',
          `/kits/${encodeURIComponent(body.id)}`,
          body,
        ),
      invalidatesTags: ['Kits'],
    }),
    dropKit: build.mutation<null, string>({
      queryFn: (id) =>
        inTurn<null>(NO_JOB, t('taking out a kit'), 'DELETE', `/kits/${encodeURIComponent(id)}`),
      invalidatesTags: ['Kits'],
    }),
    addSupplier: build.mutation<Supplier[], Pick<Supplier, 'name' | 'url'>>({
      queryFn: (body) =>
        inTurn<Supplier[]>(NO_JOB, t('the supplier {name}', { name: body.name }), 'POST', '/suppliers', body),
      invalidatesTags: ['Suppliers'],
    }),
    dropSupplier: build.mutation<null, string>({
      queryFn: (id) => inTurn<null>(NO_JOB, t('taking out a supplier'), 'DELETE', `/suppliers/${id}`),
      invalidatesTags: ['Suppliers', 'Quotes'],
    }),
    keepTrim: build.mutation<KeptTrim[], LibraryTrim>({
      queryFn: (body) =>
        inTurn<KeptTrim[]>(
          NO_JOB,
          t('the trim {name}', { name: body.profile.name }),
          'PUT',
          `/trims/${encodeURIComponent(body.id)}`,
          body,
        ),
      invalidatesTags: ['Trims'],
    }),
    dropTrim: build.mutation<null, string>({
      queryFn: (id) =>
        inTurn<null>(NO_JOB, t('taking out a trim'), 'DELETE', `/trims/${encodeURIComponent(id)}`),
      invalidatesTags: ['Trims'],
    }),
    addOffcut: build.mutation<
      Offcut,
      { id: string } & Partial<AddOffcut> & Pick<AddOffcut, 'trim' | 'length' | 'origin'>
    >({
      queryFn: (body) => inTurn<Offcut>(NO_JOB, t('a piece for the rack'), 'POST', '/rack', body),
      invalidatesTags: ['Rack'],
    }),
    changeOffcut: build.mutation<
      Offcut,
      { id: string } & Partial<Pick<Offcut, 'place' | 'note' | 'damages'>>
    >({
      queryFn: ({ id, ...body }) =>
        inTurn<Offcut>(NO_JOB, t('a piece of the rack'), 'PATCH', `/rack/${id}`, body),
      invalidatesTags: ['Rack'],
    }),
    discardOffcut: build.mutation<null, string>({
      queryFn: (id) => inTurn<null>(NO_JOB, t('taking a piece off the rack'), 'DELETE', `/rack/${id}`),
      invalidatesTags: ['Rack'],
    }),
    restoreOffcut: build.mutation<Offcut, string>({
      queryFn: (id) =>
        inTurn<Offcut>(NO_JOB, t('putting a piece back on the rack'), 'POST', `/rack/${id}/restore`),
      invalidatesTags: ['Rack'],
    }),
    takeOffcut: build.mutation<SettingsAnswer, { job: string; offcut: string; profile: string }>({
      queryFn: ({ job, ...body }) =>
        inTurn<SettingsAnswer>(job, t('a piece of the rack'), 'POST', `/jobs/${job}/rack`, body),
      invalidatesTags: ['Rack'],
    }),
    giveBackOffcut: build.mutation<SettingsAnswer, { job: string; offcut: string }>({
      queryFn: ({ job, offcut }) =>
        inTurn<SettingsAnswer>(
          job,
          t('giving a piece back to the rack'),
          'DELETE',
          `/jobs/${job}/rack/${offcut}`,
        ),
      invalidatesTags: ['Rack'],
    }),
    createJob: build.mutation<JobRecord, { id: string; name: string; unit: Unit; currency?: string }>({
      queryFn: (body) =>
        inTurn<JobRecord>(NO_JOB, t('the new job {name}', { name: body.name }), 'POST', '/jobs', body),
      invalidatesTags: ['Jobs'],
    }),
    importJob: build.mutation<JobRecord, unknown>({
      queryFn: (body) => inTurn<JobRecord>(NO_JOB, t('a job from a file'), 'POST', '/jobs/import', body),
      invalidatesTags: ['Jobs'],
    }),
    changeHead: build.mutation<JobHead, { id: string; label: string } & Change>({
      queryFn: ({ id, label, ...body }) => inTurn<JobHead>(NO_JOB, label, 'PATCH', `/jobs/${id}`, body),
      invalidatesTags: (_r, _e, { id }) => ['Jobs', { type: 'Job', id }],
    }),
    deleteJob: build.mutation<null, string>({
      queryFn: (id) => inTurn<null>(NO_JOB, t('deleting a job'), 'DELETE', `/jobs/${id}`),
      invalidatesTags: ['Jobs'],
    }),
    restoreJob: build.mutation<null, string>({
      queryFn: (id) => inTurn<null>(NO_JOB, t('the return of a job'), 'POST', `/jobs/${id}/restore`),
      invalidatesTags: ['Jobs'],
    }),
  }),
});

export const {
  useAddOffcutMutation,
  useChangeOffcutMutation,
  useDiscardOffcutMutation,
  useRestoreOffcutMutation,
  useTakeOffcutMutation,
  useGiveBackOffcutMutation,
  useKeepSawMutation,
  useDropSawMutation,
  useKeepKitMutation,
  useDropKitMutation,
  useAddSupplierMutation,
  useDropSupplierMutation,
  useKeepTrimMutation,
  useDropTrimMutation,
  useKeepRuleSetMutation,
  useDropRuleSetMutation,
  useCreateJobMutation,
  useImportJobMutation,
  useChangeHeadMutation,
  useDeleteJobMutation,
  useRestoreJobMutation,
} = commands;
