import { Center, Loader, Text } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { lazy, memo, Suspense, useEffect, useMemo, useState } from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import {
  moveSplice,
  spliceWorth,
  traitsOf,
  type JobRecord,
  type Piece,
  type RoomRecord,
} from '@long-miter/core';
import { useShopLogQuery } from '../../api/api.ts';
import { useCutRecords } from '../../session/shop/use-cut-records.ts';
import { useRackWords } from '../../session/shop/use-rack-words.ts';
import { useAppDispatch, useAppSelector } from '../../session/store.ts';
import { piecePicked, wallPicked } from '../../session/slices/ui-slice.ts';
import { Ribbon } from '../../drawing/Ribbon.tsx';
import { JointsPage } from '../../features/joints/JointsPage.tsx';
import { OpeningsPage } from '../../features/openings/OpeningsPage.tsx';
import { RackView } from '../../features/rack/RackView.tsx';
import { RoomsPage } from '../../features/rooms/RoomsPage.tsx';
import { RulesDrawer } from '../../features/rules/RulesDrawer.tsx';
import { PaperPage } from '../../features/paper/PaperPage.tsx';
import { PrintedList } from '../../features/paper/PrintedList.tsx';
import { FilesPage } from '../../features/files/FilesPage.tsx';
import { HangPage } from '../../features/hang/HangPage.tsx';
import { SawStage } from '../../features/saw/SawStage.tsx';
import { SetupDrawer } from '../../features/setup/SetupDrawer.tsx';
import { StockPage } from '../../features/stock/StockPage.tsx';
import { usePlan } from '../../session/use-plan.ts';
import { WalkPage } from '../../features/walk/WalkPage.tsx';
import { useMoveOpening } from '../../features/walk/use-move-opening.ts';
import { useSheet, type EditSurvey } from '../../session/drafts/use-sheet.ts';
import { FieldScope } from '../../shared/fields/half-written.ts';
import { useTitle } from '../../shared/hooks/use-title.ts';
import { usePrinting } from '../../shared/hooks/use-printing.ts';
import { useLater } from '../../shared/hooks/use-later.ts';
import { useSteady } from '../../shared/hooks/use-steady.ts';
import { JobHeader } from './JobHeader.tsx';
import { PhoneCode } from './PhoneCode.tsx';
import { ReadOnly } from './ReadOnly.tsx';
import { Disputes } from './Disputes.tsx';
import { FILES, HOME, OPENINGS, PAPER, STAGES, type Stage } from './stages.ts';
import { useJob, useJobEvents, useJobFile, useQuickRoom, useRoom } from '../../session/use-job.ts';
import { t } from '../../messages/t.ts';

/** A job in one of its stages: the frame around all of them. */
export function JobPage() {
  const { jobId = '', stage, roomId } = useParams();
  const { job, missing } = useJob(jobId);
  if (missing && !job)
    return (
      <Center h="100%">
        <Text>
          {t('This job cannot be opened: it may have been deleted, or the server cannot be reached.')}{' '}
          <Link to="/">{t('All jobs')}</Link>
        </Text>
      </Center>
    );
  if (!job)
    return (
      <Center h="100%">
        <Loader aria-label={t('Opening the job')} />
      </Center>
    );
  if (![HOME, OPENINGS, PAPER, FILES, ...STAGES.map((one) => one.key)].some((key) => key === stage))
    return <Navigate to={`/jobs/${jobId}/walk`} replace />;
  const current = job.rooms.find((room) => room.id === roomId) ?? job.rooms[0];
  return <JobFrame job={job} stage={stage as Stage} roomId={current?.id} />;
}

const Help = lazy(async () => ({ default: (await import('./Help.tsx')).Help }));

function JobFrame({ job, stage, roomId }: { job: JobRecord; stage: Stage; roomId: string | undefined }) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  useJobEvents(job.id);
  const printing = usePrinting();
  const [setup, setupOpen] = useDisclosure(false);
  const [phone, phoneOpen] = useDisclosure(false);
  const [help, helpOpen] = useDisclosure(false);
  // Fetched when it is first opened; it stays then, so that closing gives the focus back.
  const [helped, setHelped] = useState(false);
  if (help && !helped) setHelped(true);
  const ui = useAppSelector((state) => state.ui);
  const file = useJobFile(job);
  const room = useRoom(job, roomId ?? '');
  const quick = useQuickRoom(job, room);
  const heading = headingOf(stage, room?.name);
  useTitle(heading, job.name);
  const cuts = useCutRecords(job.id, file);
  const live = usePlanUnlessWalking(stage, job.id, file, job.settings.pins, cuts);
  const rackName = useRackWords(job, live.plan);
  const planned = live.plan?.pieces;
  // What was given goes by its log: a sheet of a newer plan would name other pieces than stand on wood.
  const { data: log } = useShopLogQuery(job.id, { skip: stage !== 'saw' });
  const given = stage === 'saw' && (log?.issues.length ?? 0) > 0;
  const own = useMemo(() => planned?.filter((piece) => piece.room === roomId), [planned, roomId]);
  const all = own ?? quick?.pieces ?? NO_PIECES;
  const oneTrim = room?.trims.some((trim) => trim.id === ui.trim) ? ui.trim : undefined;
  const pieces = oneTrim === undefined ? all : all.filter((piece) => piece.trim === oneTrim);
  // Several trims on one strip would lie on each other: without a choice the ribbon and the plan show the first.
  const first = oneTrim ?? room?.trims.find((trim) => trim.on === 'walls')?.id;
  const around = room?.trims.find((trim) => trim.id === oneTrim)?.on === 'openings';
  const atCeiling = (id: string | undefined): boolean => {
    const profile = room?.trims.find((trim) => trim.id === id && trim.on === 'walls')?.profile;
    return file.profiles.some((one) => one.id === profile && traitsOf(one).atCeiling);
  };
  const crown = atCeiling(first) ? undefined : room?.trims.find((trim) => atCeiling(trim.id))?.id;
  const now = useMemo(
    () => ({
      room,
      // With base in the band crown runs along the upper edge.
      upper: all.filter((piece) => piece.trim === crown && piece.role === 'wall'),
      drawn: all.filter((piece) => piece.trim === first || (piece.role !== 'wall' && !around)),
    }),
    [room, all, first, crown, around],
  );
  // What is typed is in its field at once; the ribbon follows in a moment. What is dragged on it must not wait.
  const view = useLater(now, stage === 'walk' ? roomId : now);
  const to = (next: string, target = roomId): string =>
    `/jobs/${job.id}/${next}${target ? `/${encodeURIComponent(target)}` : ''}`;
  const pick = useSteady((piece: Piece): void => {
    const walls = job.rooms.find((one) => one.id === piece.room)?.survey.walls ?? [];
    dispatch(piecePicked({ piece: piece.id, wall: walls.findIndex((wall) => wall.id === piece.wall) }));
    if (piece.room !== roomId) void navigate(to(stage, piece.room), { replace: true });
  });
  const { edit } = useSheet(job, roomId ?? '');
  const moveOpening = useMoveOpening(edit, job.unit);
  // A splice dragged along the ribbon is pinned where it is let go: on a stud where the wall has studs.
  const dragSplice = useSteady((trim: string, wall: string, from: number | undefined, to: number): void => {
    edit((survey) => moveSplice(survey, trim, wall, from, to));
  });
  const worth = useSteady((piece: Piece, at: number) =>
    room && quick ? spliceWorth(piece, room, quick, at) : undefined,
  );
  const pickWall = useSteady((index: number): void => void dispatch(wallPicked(index)));
  const names = job.rooms.map((one) => `${one.id} ${one.name}`).join('\n');
  // The list stays the same object until a room comes, goes or is renamed.
  const rooms = useMemo(() => job.rooms.map(({ id, name }) => ({ id, name })), [names]); // eslint-disable-line react-hooks/exhaustive-deps
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const typing = ['INPUT', 'TEXTAREA', 'SELECT'].includes((event.target as HTMLElement).tagName);
      if (event.key === '?' && !typing) helpOpen.open();
      const stageKey = event.altKey ? STAGES[Number(event.key) - 1] : undefined;
      if (stageKey) {
        event.preventDefault();
        void navigate(to(stageKey.key));
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  return (
    <FieldScope.Provider value={`${job.id}/${roomId ?? ''}`}>
      <div className="frame no-print">
        <div>
          <JobHeader
            heading={`${heading}, ${job.name}`}
            jobId={job.id}
            name={job.name}
            unit={job.unit}
            stage={stage}
            roomId={roomId}
            rooms={rooms}
            measured={measuredText(job)}
            onSetup={setupOpen.open}
            onHelp={helpOpen.open}
            onPhone={phoneOpen.open}
          />
          <ReadOnly stage={stage} />
          {roomId && <Disputes jobId={job.id} roomId={roomId} unit={job.unit} />}
        </div>
        <StageBody
          job={job}
          stage={stage}
          roomId={roomId}
          room={room}
          quick={quick}
          pieces={pieces}
          file={file}
          live={live}
          onPiece={pick}
          edit={edit}
        />
        <footer className="foot" data-stage={stage} hidden={WITHOUT_STRIP.has(stage)}>
          {view.room ? (
            <Strip
              room={view.room}
              unit={job.unit}
              layer={stage === 'walk' ? 'measures' : 'pieces'}
              {...(stage === 'walk' ? { onMove: moveOpening } : {})}
              {...(stage === 'joints' ? { onSplice: dragSplice, spliceWorth: worth } : {})}
              pieces={view.drawn}
              upper={view.upper}
              selectedWall={ui.wall}
              selectedPiece={ui.piece}
              onWall={pickWall}
              onPiece={pick}
            />
          ) : (
            <Text size="sm" c="dimmed" ta="center" py={8}>
              {t('The ribbon unrolls the room here, wall by wall.')}
            </Text>
          )}
        </footer>
        <SetupDrawer job={job} opened={setup} onClose={setupOpen.close} />
        <PhoneCode opened={phone} onClose={phoneOpen.close} />
        {helped && (
          <Suspense fallback={null}>
            <Help stage={stage} opened={help} onClose={helpOpen.close} />
          </Suspense>
        )}
      </div>
      {printing && stage === 'saw' && live.plan && !given && (
        <PrintedList file={file} plan={live.plan} on={new Date()} rackName={rackName} />
      )}
      {given && (
        <div className="only-print">
          <p>
            {t('This job has been given to the saw: print what was given from Paper, beside Another trip.')}
          </p>
        </div>
      )}
    </FieldScope.Provider>
  );
}

/** What a stage is called, with its room where it is about one. */
function headingOf(stage: Stage, room: string | undefined): string {
  const name = NAMES[stage as keyof typeof NAMES] ?? STAGES.find((one) => one.key === stage)?.label ?? '';
  return stage === HOME || stage === FILES || stage === PAPER || room === undefined
    ? name
    : `${name}: ${room}`;
}
const NAMES = {
  [HOME]: t('Rooms'),
  [OPENINGS]: t('Openings'),
  [PAPER]: t('Paper'),
  [FILES]: t('Files'),
} as const;

/** Where the ribbon has nothing to say. */
const WITHOUT_STRIP: ReadonlySet<Stage> = new Set([HOME, OPENINGS, PAPER, FILES, 'hang']);

/** Planning is worth its work only where a cut plan is looked at. */
const EMPTY_ROOMS: never[] = [];
const NO_PIECES: readonly Piece[] = [];
const Strip = memo(Ribbon);
function usePlanUnlessWalking(
  stage: Stage,
  ...[id, file, pins, records]: Parameters<typeof usePlan>
): ReturnType<typeof usePlan> {
  const walking =
    stage === 'walk' || stage === HOME || stage === OPENINGS || stage === PAPER || stage === 'hang';
  return usePlan(id, walking ? { ...file, rooms: EMPTY_ROOMS } : file, pins, records);
}

function measuredText(job: JobRecord): string {
  const corners = job.rooms.flatMap((room) => room.survey.walls.flatMap((wall) => wall.corner ?? []));
  const measured = corners.filter((corner) => corner.reading.as !== 'assumed').length;
  return corners.length === 0
    ? ''
    : t('{measured} of {count} angles measured', { measured, count: corners.length });
}

interface BodyProps {
  readonly job: JobRecord;
  readonly stage: Stage;
  readonly roomId: string | undefined;
  readonly room: ReturnType<typeof useRoom>;
  readonly quick: ReturnType<typeof useQuickRoom>;
  readonly pieces: readonly Piece[];
  readonly file: ReturnType<typeof useJobFile>;
  readonly live: ReturnType<typeof usePlan>;
  readonly onPiece: (piece: Piece) => void;
  readonly edit: EditSurvey;
}

const Hint = ({ children }: { children: string }) => (
  <Center component="main">
    <Text c="dimmed" p="xl" ta="center">
      {children}
    </Text>
  </Center>
);

function StageBody({ job, stage, roomId, room, quick, pieces, file, live, onPiece, edit }: BodyProps) {
  if (stage === HOME) return <RoomsPage job={job} />;
  if (stage === FILES) return <FilesPage job={job} plan={live.plan} />;
  if (stage === PAPER) return <PaperPage job={job} file={file} roomId={roomId} />;
  if (stage === OPENINGS) return <OpeningsPage job={job} file={file} roomId={roomId} />;
  if (stage === 'walk')
    return roomId ? (
      <WalkPage key={roomId} job={job} roomId={roomId} room={room} />
    ) : (
      <Hint>{t('This job has no room yet. Add one above and start at its entry.')}</Hint>
    );
  if (stage === 'joints')
    return roomId && room && quick ? (
      <JointsPage
        job={job}
        roomId={roomId}
        room={room}
        quick={quick}
        pieces={pieces}
        live={live}
        watchOuts={live.plan?.watchOuts ?? live.latest?.watchOuts ?? quick.watchOuts}
        rules={(drawer) => (
          <RulesDrawer
            job={job}
            file={file}
            room={{ id: roomId, name: room.name, survey: recordOf(job, roomId).survey }}
            edit={edit}
            {...drawer}
          />
        )}
      />
    ) : (
      <Hint>{t('Walk the room first: joints are decided as soon as there are walls.')}</Hint>
    );
  if (stage === 'hang') return <HangPage key={roomId} job={job} file={file} roomId={roomId} room={room} />;
  if (file.rooms.length === 0) return <Hint>{t('There is nothing to cut yet. Walk a room first.')}</Hint>;
  const stock = (
    <StockPage job={job} file={file} live={live} onPiece={onPiece} rack={<RackView job={job} />} />
  );
  if (stage === 'stock') return stock;
  return (
    <SawStage
      job={job}
      file={file}
      plan={live.plan}
      onPiece={onPiece}
      noPlan={live.working || live.latest ? <Hint>{t('The cut plan is being worked out.')}</Hint> : stock}
    />
  );
}

const recordOf = (job: JobRecord, roomId: string): RoomRecord => job.rooms.find((one) => one.id === roomId)!;
