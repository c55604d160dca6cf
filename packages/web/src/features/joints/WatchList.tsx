import { Button, Drawer, Group, Text, UnstyledButton } from '@mantine/core';
import {
  adviceFor,
  moveSplice,
  setComesOff,
  type JobRecord,
  type Warning,
  type WarningData,
} from '@long-miter/core';
import { useSheet } from '../../session/drafts/use-sheet.ts';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { translate, t } from '../../messages/t.ts';

interface Props {
  readonly opened: boolean;
  readonly onClose: () => void;
  readonly list: readonly Warning[];
  readonly job: JobRecord;
  readonly onPick: (one: Warning) => void;
}

/** What is about no room in particular comes last; nothing that is counted is left out. */
const WHOLE_JOB = { id: undefined, name: t('the whole job') };

/** Everything to look out for in the job: where, why, and what to do. */
export function WatchList({ opened, onClose, list, job, onPick }: Props) {
  const known = new Set<string | undefined>(job.rooms.map((room) => room.id));
  return (
    <Drawer
      opened={opened}
      onClose={onClose}
      position="right"
      size={620}
      title={<Text fw={650}>{t('Watch out: {count} things', { count: list.length })}</Text>}
      closeButtonProps={{ 'aria-label': t('Close the watch-outs') }}
    >
      {list.length === 0 && <Text c="dimmed">{t('Nothing in this job asks for special care.')}</Text>}
      {[...job.rooms, WHOLE_JOB].map((room) => {
        const own = list.filter((one) => (known.has(one.room) ? one.room : undefined) === room.id);
        if (own.length === 0) return null;
        return (
          <section key={room.id ?? ''} aria-label={t('Watch-outs of {name}', { name: room.name })}>
            <Text fw={650} mt="sm">
              {room.name}
            </Text>
            {own.map((one, index) => {
              const { why, what } = adviceFor(one.code);
              return (
                <div key={`${one.code}${index}`}>
                  <UnstyledButton
                    className="watch-item"
                    onClick={() => {
                      onPick(one);
                      onClose();
                    }}
                  >
                    <span>
                      ▲ <Typeset text={translate(one.text)} />
                    </span>
                    <span className="watch-why">
                      {translate(why)} {translate(what)}
                    </span>
                  </UnstyledButton>
                  {one.code === 'pipes-splice' && <BehindPipes job={job} watch={one} />}
                </div>
              );
            })}
          </section>
        );
      })}
    </Drawer>
  );
}

/** A piece that pipes go through: spliced behind them with one click, or left whole because the radiator comes off. */
function BehindPipes({ job, watch }: { job: JobRecord; watch: Warning }) {
  const { edit } = useSheet(job, watch.room ?? '');
  const { wall, data } = watch;
  const { at, from, to, trim } = data as unknown as WarningData['pipes-splice'];
  const walls = job.rooms.find((room) => room.id === watch.room)?.survey.walls ?? [];
  const index = walls.findIndex((one) => one.id === wall);
  if (wall === undefined || index < 0) return null;
  return (
    <Group gap={8} pl={22} pb={6}>
      <Button
        size="compact-sm"
        onClick={() => edit((survey) => moveSplice(survey, trim, wall, undefined, at))}
      >
        {t('Splice it behind the pipes')}
      </Button>
      <Button
        size="compact-sm"
        variant="default"
        onClick={() => edit((survey) => setComesOff(survey, index, from, to, true))}
      >
        {t('The radiator comes off')}
      </Button>
    </Group>
  );
}
