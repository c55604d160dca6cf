import { Button, Group, Text } from '@mantine/core';
import { useMemo } from 'react';
import { Link } from 'react-router';
import {
  exportJobFile,
  foldLog,
  layOutRibbon,
  RIBBON,
  ribbonDrawing,
  roomOf,
  workStatus,
  type Drawing,
  type JobRecord,
  type JobSummary,
  type Shape,
} from '@long-miter/core';
import { useJobQuery, useShopLogQuery } from '../../api/api.ts';
import { Painted } from '../../drawing/Painted.tsx';
import { useWidth } from '../../shared/hooks/use-width.ts';
import { t, translateIfAny } from '../../messages/t.ts';

/** Heights of the strip, in pixels. */
const STRIP = 44;

/** The outline alone: figures would not be legible. */
const bare = (shapes: readonly Shape[]): Shape[] =>
  shapes.flatMap((shape): Shape[] =>
    shape.kind === 'label'
      ? []
      : shape.kind === 'part'
        ? [{ ...shape, shapes: bare(shape.shapes) }]
        : [shape],
  );

/** The rooms of a job unrolled, one after the other as far as there is room. */
function useUnrolled(job: JobRecord | undefined, width: number): Drawing | undefined {
  return useMemo(() => {
    const first = job?.rooms.find((room) => room.survey.walls.length > 0);
    const whole = first && roomOf(first);
    if (!job || !whole || width < 80) return undefined;
    const drawing = ribbonDrawing(whole, layOutRibbon(whole, width, RIBBON.band), {
      unit: job.unit,
      layer: 'measures',
      pieces: [],
    });
    return {
      ...drawing,
      title: t('{name}, unrolled', { name: first.name }),
      // Above and below there is nothing but figures.
      frame: { min: { x: 0, y: 22 }, max: { x: width, y: 66 } },
      shapes: bare(drawing.shapes),
    };
  }, [job, width]);
}

/** One of the jobs worked at last: its outline, where it stands in a sentence, and the next thing to do. */
export function JobStrip({ summary }: { readonly summary: JobSummary }) {
  const { data: job } = useJobQuery(summary.id);
  const { data: log } = useShopLogQuery(summary.id);
  const { ref: box, width } = useWidth();
  const drawing = useUnrolled(job, width);
  const standing = useMemo(
    () =>
      job &&
      workStatus(
        job.rooms,
        log && log.issues.length > 0 ? foldLog({ job: exportJobFile(job), ...log }) : undefined,
      ),
    [job, log],
  );
  const to = standing
    ? `/jobs/${summary.id}/${standing.next.stage}${standing.next.room === undefined ? '' : `/${encodeURIComponent(standing.next.room)}`}`
    : `/jobs/${summary.id}/rooms`;
  return (
    <section className="panel" aria-label={summary.name} style={{ padding: '10px 14px' }}>
      <Group justify="space-between" gap={10} align="center">
        <div style={{ flex: '1 1 320px', minWidth: 0 }}>
          <Text fw={650} fz="lg">
            {summary.name}
          </Text>
          <Text>{translateIfAny(standing?.says) ?? '…'}</Text>
        </div>
        <Button component={Link} to={to} size="md">
          {translateIfAny(standing?.next.word) ?? t('Open')}
        </Button>
      </Group>
      <div ref={box} style={{ height: STRIP, marginTop: 4, overflow: 'hidden' }}>
        {drawing && <Painted drawing={drawing} width={width} height={STRIP} margin={0} still />}
      </div>
    </section>
  );
}
