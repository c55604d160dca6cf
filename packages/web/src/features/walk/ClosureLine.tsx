import { Text } from '@mantine/core';
import { closeRoom, formatWithUnit, type Room, type Unit } from '@long-miter/core';

/** Whether the figures close, and what most likely does not fit when they don't. */
export function ClosureLine({ room, unit }: { room: Room; unit: Unit }) {
  if (!room.closed)
    return (
      <Text size="sm" c="dimmed">
        Open chain: it has nothing to close.
      </Text>
    );
  const closure = closeRoom(room);
  if (!closure) return null;
  const assumed = room.walls.filter((wall) => wall.corner?.reading.as === 'assumed').length;
  const hair = unit === 'in' ? 1 / 16 : 1;
  const share = closure.gap > 0 ? Math.round(closure.perimeter / closure.gap) : Infinity;
  const suspects = (closure.suspect ?? []).map((one) => {
    const index = room.walls.findIndex((wall) => wall.id === (one.wall ?? one.corner));
    const wall = room.walls[index]!;
    return one.wall
      ? `wall ${index + 1} is probably ${formatWithUnit(Math.abs(one.change), unit)} too ${one.change > 0 ? 'short' : 'long'}: ${formatWithUnit(wall.length, unit)} → ${formatWithUnit(wall.length + one.change, unit)}`
      : `the corner after wall ${index + 1} is probably ${Math.abs(one.change).toFixed(1)}° too ${one.change > 0 ? 'small' : 'large'}`;
  });
  return (
    <Text size="sm" role="status">
      {closure.gap < hair
        ? `The figures close within ${formatWithUnit(hair, unit)}.`
        : `The figures miss closing by ${formatWithUnit(closure.gap, unit)} (1 in ${share}), angles by ${closure.angleGap.toFixed(2)}°.`}
      {suspects.length > 0 && <b style={{ color: 'var(--lm-bad)' }}> Check: {suspects.join(', or ')}.</b>}
      {assumed > 0 && (
        <span style={{ color: 'var(--lm-assumed)' }}>
          {' '}
          {assumed === 1 ? '1 corner is' : `${assumed} corners are`} still assumed 90.
        </span>
      )}
    </Text>
  );
}
