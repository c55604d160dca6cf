import { Button, Group, NativeSelect, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { type JobRecord, type Send, type Survey, wordsKey } from '@long-miter/core';
import { useJobsQuery } from '../../api/api.ts';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { useJob } from '../../session/use-job.ts';
import { useSheet } from '../../session/drafts/use-sheet.ts';
import { applySend, placeName, type Place } from './apply-send.ts';
import { t, translateIfAny, translate } from '../../messages/t.ts';
import { openingWord } from '../../shared/text/code-words.ts';

const number = (text: string | null): number | undefined =>
  text !== null && /^\d+$/.test(text) ? Number(text) : undefined;

/** Puts a result where it belongs in a job: a corner, an opening, a piece. The job, room and wall stand in the address. */
export function SendPanel({ sends, unit }: { sends: readonly Send[]; unit: 'in' | 'mm' }) {
  const [params, setParams] = useSearchParams();
  const { data: jobs } = useJobsQuery();
  const jobId = params.get('job') ?? '';
  const usable = jobs?.filter((job) => job.unit === unit) ?? [];
  const set = (changes: Record<string, string>): void =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        for (const [key, value] of Object.entries(changes)) {
          if (value === '') next.delete(key);
          else next.set(key, value);
        }
        return next;
      },
      { replace: true },
    );
  if (usable.length === 0)
    return jobs ? (
      <Text size="sm" c="dimmed">
        {t('No job is kept in {unit} yet, so there is nowhere to send this figure.', {
          unit: unit === 'in' ? t('inches') : t('millimeters'),
        })}
      </Text>
    ) : null;
  const chosen = usable.some((job) => job.id === jobId) ? jobId : '';
  return (
    <Stack gap={6} role="region" aria-label={t('Send to a job')}>
      <Group gap={8} align="end">
        <NativeSelect
          label={t('Send to job')}
          data={[
            { value: '', label: t('choose a job') },
            ...usable.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          value={chosen}
          onChange={(event) => set({ job: event.currentTarget.value, room: '', wall: '' })}
        />
        {chosen && <JobPart jobId={chosen} sends={sends} params={params} set={set} />}
      </Group>
    </Stack>
  );
}

interface PartProps {
  readonly jobId: string;
  readonly sends: readonly Send[];
  readonly params: URLSearchParams;
  readonly set: (changes: Record<string, string>) => void;
}

function JobPart({ jobId, ...rest }: PartProps) {
  const { job } = useJob(jobId);
  if (!job) return null;
  const rooms = job.rooms.filter((room) => room.survey.walls.length > 0);
  if (rooms.length === 0) return <Text size="sm">{t('This job has no walls yet.')}</Text>;
  const room = rooms.find((one) => one.id === rest.params.get('room')) ?? rooms[0]!;
  return (
    <>
      <NativeSelect
        label={t('room')}
        data={rooms.map(({ id, name }) => ({ value: id, label: name }))}
        value={room.id}
        onChange={(event) => rest.set({ room: event.currentTarget.value, wall: '' })}
      />
      <RoomPart key={room.id} job={job} roomId={room.id} jobId={jobId} {...rest} />
    </>
  );
}

/** Places of a room that can take one of the results, by the text of their choice. */
function placesFor(
  survey: Survey,
  sends: readonly Send[],
): { readonly label: string; readonly place: Place }[] {
  const wants = new Set(sends.map((send) => send.to));
  if (wants.has('opening'))
    return survey.walls.flatMap((wall, index) =>
      (wall.openings ?? []).map((opening) => ({
        label: t('{kind} in wall {index}', { kind: openingWord(opening.kind), index: index + 1 }),
        place: { wall: index, opening: opening.id },
      })),
    );
  if (wants.has('splice'))
    return survey.walls.map((_, index) => ({
      label: t('wall {index}', { index: index + 1 }),
      place: { wall: index },
    }));
  return survey.walls.flatMap((wall, index) =>
    wall.corner
      ? [{ label: t('corner after wall {index}', { index: index + 1 }), place: { wall: index } }]
      : [],
  );
}

function RoomPart({
  job,
  roomId,
  jobId,
  sends,
  params,
  set,
}: PartProps & { job: JobRecord; roomId: string }) {
  const { draft, edit, undo } = useSheet(job, roomId);
  const [fault, setFault] = useState<string>();
  if (!draft) return null;
  const { survey } = draft;
  const places = placesFor(survey, sends);
  if (places.length === 0)
    return (
      <Text size="sm">
        {t('This room has no {to} for it.', { to: sends[0]?.to === 'opening' ? t('opening') : t('corner') })}
      </Text>
    );
  const wall = number(params.get('wall'));
  const at = Math.max(
    0,
    places.findIndex(({ place }) => place.wall === wall),
  );
  const { place } = places[at]!;
  const trims = survey.trims.filter((trim) => trim.on === 'walls');
  const needsTrim = sends.some((send) => send.to === 'joint' || send.to === 'splice');
  const trim = trims.find((one) => one.id === params.get('trim')) ?? trims[0];
  const send = (what: Send): void => {
    const target: Place = { ...place, ...(trim ? { trim: trim.id } : {}) };
    const typed =
      what.to === 'corner'
        ? { at: `/walls/${survey.walls[place.wall]!.id}/corner`, text: what.typed }
        : undefined;
    const issues = edit((now) => applySend(now, what, target), typed ? { typed } : {});
    setFault(translateIfAny(issues[0]?.text));
    if (issues.length === 0)
      undoNotice(`${draft.name}, ${placeName(survey, what, target)}: ${translate(what.what)}.`, undo);
  };
  return (
    <>
      <NativeSelect
        label={t('where')}
        data={places.map(({ label }, index) => ({ value: String(index), label }))}
        value={String(at)}
        onChange={(event) => set({ wall: String(places[Number(event.currentTarget.value)]!.place.wall) })}
      />
      {needsTrim && trims.length > 1 && (
        <NativeSelect
          label={t('trim')}
          data={trims.map((one) => ({
            value: one.id,
            label: job.settings.profiles.find((profile) => profile.id === one.profile)?.name ?? one.id,
          }))}
          value={trim?.id ?? ''}
          onChange={(event) => set({ trim: event.currentTarget.value })}
        />
      )}
      {sends.map((what) => (
        <Button key={wordsKey(what.what)} variant="filled" onClick={() => send(what)}>
          {t('Send {what}', { what: translate(what.what) })}
        </Button>
      ))}
      <Link to={`/jobs/${jobId}/walk/${encodeURIComponent(roomId)}`}>{t('open the room')}</Link>
      {fault && (
        <Text size="sm" c="var(--lm-bad)" role="alert">
          {t('The job refuses it: {fault}.', { fault })}
        </Text>
      )}
    </>
  );
}
