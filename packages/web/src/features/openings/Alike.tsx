import { Button, NativeSelect, Switch, TextInput } from '@mantine/core';
import { useState } from 'react';
import { freeName, parsePosition, type JobRecord } from '@long-miter/core';
import { listOpenings, type Listed } from './openings-of.ts';
import { translate, t } from '../../messages/t.ts';

interface AlikeProps {
  readonly job: JobRecord;
  readonly listed: Listed;
  readonly taken: ReadonlySet<string>;
  readonly onSame: (like: Listed['opening'], withMeasures: boolean) => string | undefined;
  readonly onMore: (places: readonly { at: number; name: string }[]) => string | undefined;
  readonly onPicked: (key: string) => void;
}

/** Dressed like another, and more of the same. */
export function Alike({ job, listed, taken, onSame, onMore }: AlikeProps) {
  const [measures, setMeasures] = useState(false);
  const [fault, setFault] = useState<string>();
  const [text, setText] = useState('');
  const others = listOpenings(job).filter((row) => row.key !== listed.key);
  const more = (): void => {
    const places: { at: number; name: string }[] = [];
    const names = new Set(taken);
    for (const part of text.split(/[,;]/).filter((one) => one.trim() !== '')) {
      const read = parsePosition(part, job.unit);
      if (!read.ok) return setFault(translate(read.issues[0].text));
      const name = freeName(listed.opening.kind, names);
      names.add(name);
      places.push({ at: read.value.value, name });
    }
    if (places.length === 0) return setFault(t('write where they are, with commas between: 60, 104'));
    const wrong = onMore(places);
    setFault(wrong);
    if (wrong === undefined) setText('');
  };
  return (
    <div className="kit" style={{ marginTop: 10 }}>
      {others.length > 0 && (
        <>
          <NativeSelect
            size="xs"
            label={t('same as')}
            value=""
            data={[
              { value: '', label: t('choose one') },
              ...others.map((row) => ({ value: row.key, label: `${row.name}, ${row.room.name}` })),
            ]}
            onChange={(event) => {
              const like = others.find((row) => row.key === event.currentTarget.value);
              if (like) setFault(onSame(like.opening, measures));
            }}
          />
          <Switch
            size="xs"
            label={t('and the same measures')}
            checked={measures}
            onChange={(event) => setMeasures(event.currentTarget.checked)}
          />
        </>
      )}
      <TextInput
        size="xs"
        label={t('more like {name} on this wall, at', { name: listed.name })}
        placeholder="60, 104"
        autoComplete="off"
        value={text}
        error={fault}
        onChange={(event) => setText(event.currentTarget.value)}
        onKeyDown={(event) => event.key === 'Enter' && more()}
      />
      <Button size="compact-sm" variant="default" onClick={more} style={{ alignSelf: 'end' }}>
        {t('Add them')}
      </Button>
    </div>
  );
}
