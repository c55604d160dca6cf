import { useRef, useState, type KeyboardEvent } from 'react';
import {
  addWithFigures,
  freeName,
  readKindAndWall,
  readOpeningFigure,
  takesField,
  type JobRecord,
  type Opening,
  type OpeningField,
  type RoomRecord,
} from '@long-miter/core';
import { TAB_TAG } from '../../session/outbox/tab-tag.ts';
import { useSheet } from '../../session/drafts/use-sheet.ts';
import { translate, t } from '../../messages/t.ts';

interface Props {
  readonly job: JobRecord;
  readonly room: RoomRecord;
  readonly fields: readonly OpeningField[];
  readonly taken: ReadonlySet<string>;
  /** The casing that a new opening gets, and the opening that it is dressed like. */
  readonly casing: string | null;
  readonly like: Opening | undefined;
  readonly onAdded: (wall: string, id: string) => void;
}

/** The row for the next opening of a room: what and where first, then its figures; Enter after the last one adds it. */
export function NewRow({ job, room, fields, taken, casing, like, onAdded }: Props) {
  const { editSheet } = useSheet(job, room.id);
  const [what, setWhat] = useState('');
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({});
  const [fault, setFault] = useState<{ at: string; text: string }>();
  const row = useRef<HTMLTableRowElement>(null);
  const read = readKindAndWall(what, room.survey.walls.length);
  const kind = 'kind' in read ? read.kind : 'door';
  const shown = fields.filter((field) => takesField(field, kind));
  const focus = (index: number): void => {
    const input = row.current?.querySelectorAll<HTMLInputElement>('input')[index];
    input?.focus();
    input?.select();
  };
  const add = (): void => {
    if ('text' in read) {
      setFault({ at: 'what', text: translate(read.text) });
      return focus(0);
    }
    const figures: Record<string, number | undefined> = {};
    for (const field of shown) {
      const figure = readOpeningFigure(field, texts[field.key] ?? '', job.unit);
      if (!figure.ok) {
        setFault({ at: field.key, text: translate(figure.issues[0].text) });
        return focus(1 + shown.indexOf(field));
      }
      figures[field.key] = figure.value?.value;
    }
    const name = freeName(read.kind, taken);
    let id = '';
    const issue = editSheet((sheet) => {
      const added = addWithFigures(
        sheet.survey,
        { kind: read.kind, wall: read.wall, name, casing, figures, like },
        TAB_TAG,
      );
      id = added.id;
      const typed = Object.fromEntries(
        shown.flatMap((field) => {
          const text = (texts[field.key] ?? '').trim();
          return text === '' ? [] : [[`/openings/${added.id}/${field.key.replace('.', '/')}`, text]];
        }),
      );
      return { ...sheet, survey: added.survey, typed: { ...sheet.typed, ...typed } };
    })[0];
    if (issue) {
      const key = shown.find((field) => issue.at.endsWith(`/${field.key}`))?.key ?? 'at';
      setFault({ at: issue.at.endsWith('/headHeight') ? 'headLeft' : key, text: translate(issue.text) });
      return;
    }
    setFault(undefined);
    setTexts({});
    setWhat('');
    onAdded(room.survey.walls[read.wall]!.id, id);
    focus(0);
  };
  const onKey = (index: number) => (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    event.stopPropagation();
    if (index < shown.length) focus(index + 1);
    else add();
  };
  return (
    <>
      <tr ref={row} className="new-row">
        <th scope="row">+</th>
        <td className="what">
          <input
            className="cell"
            aria-label={t('New opening of {name}: kind and wall', { name: room.name })}
            placeholder={t('d3: door, wall 3')}
            title={t(
              'd door, c cased opening, k pocket door, w window, o plain opening; then the number of its wall',
            )}
            aria-invalid={fault?.at === 'what' || undefined}
            autoComplete="off"
            value={what}
            onChange={(event) => setWhat(event.currentTarget.value)}
            onKeyDown={onKey(0)}
          />
        </td>
        {fields.map((field) => (
          <td key={field.key}>
            {takesField(field, kind) && (
              <input
                className="cell"
                aria-label={t('New opening of {name}: {label}', {
                  name: room.name,
                  label: translate(field.label),
                })}
                title={translate(field.tip)}
                aria-invalid={fault?.at === field.key || undefined}
                autoComplete="off"
                value={texts[field.key] ?? ''}
                onChange={(event) => setTexts({ ...texts, [field.key]: event.currentTarget.value })}
                onKeyDown={onKey(1 + shown.indexOf(field))}
              />
            )}
          </td>
        ))}
      </tr>
      {fault && (
        <tr>
          <td colSpan={fields.length + 2} role="alert" className="cell-fault">
            {fault.text}
          </td>
        </tr>
      )}
    </>
  );
}
