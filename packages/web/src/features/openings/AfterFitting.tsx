import { Group, NativeSelect } from '@mantine/core';
import type { JobRecord, Opening } from '@long-miter/core';
import { SizeField } from '../../shared/fields/SettledField.tsx';
import { t } from '../../messages/t.ts';
import { sideWord } from '../../shared/text/code-words.ts';

/** Head corners that stayed open when they were fitted: what is written here is answered above with the shave. */
export function AfterFitting(props: {
  opening: Opening;
  unit: JobRecord['unit'];
  onChange: (opens: Opening['opens']) => string | undefined;
}) {
  const { opening, unit, onChange } = props;
  const set = (corner: 'left' | 'right', open: NonNullable<Opening['opens']>['left']): string | undefined => {
    const { [corner]: _old, ...rest } = opening.opens ?? {};
    const next = open ? { ...rest, [corner]: open } : rest;
    return onChange(Object.keys(next).length > 0 ? next : undefined);
  };
  return (
    <div className="kit">
      {(['left', 'right'] as const).map((corner) => {
        const open = opening.opens?.[corner];
        return (
          <Group key={corner} gap={6} wrap="nowrap" align="end">
            <NativeSelect
              size="sm"
              style={{ flex: 1 }}
              label={t('{corner} head corner', { corner: sideWord(corner) })}
              value={open?.at ?? ''}
              data={[
                { value: '', label: t('not fitted, or closed') },
                { value: 'inner', label: t('open at the inner point') },
                { value: 'outer', label: t('open at the outer point') },
              ]}
              onChange={(event) => {
                const at = event.currentTarget.value;
                set(
                  corner,
                  at === '' ? undefined : { at: at as 'inner', by: open?.by ?? (unit === 'in' ? 1 / 32 : 1) },
                );
              }}
            />
            {open && (
              <SizeField
                w={76}
                aria-label={t('{corner} head corner, open by', { corner: sideWord(corner) })}
                unit={unit}
                value={open.by}
                onTake={(by) => set(corner, { ...open, by })}
              />
            )}
          </Group>
        );
      })}
    </div>
  );
}
