import {
  cutSteps,
  formatAngle,
  formatWithUnit,
  handover,
  hangSheets,
  stickName,
  workOf,
  type JobFile,
  type PlanFile,
  type Shop,
  wordsKey,
  type Words,
} from '@long-miter/core';
import { useMemo } from 'react';
import { endText } from '../../shared/text/joint-words.ts';
import { StickSheet } from './PrintedList.tsx';
import { t, translate } from '../../messages/t.ts';

interface Props {
  readonly file: JobFile;
  readonly shop: Shop;
  /** When it was printed: a sheet of yesterday is told from one of today. */
  readonly head: string;
}

const NO_WATCH_OUTS: Pick<PlanFile, 'watchOuts'> = { watchOuts: [] };

/** What is still to be cut of what was given, stick by stick, with room to tick and to write the letter. */
export function CutSheets({ file, shop, head }: Props) {
  const work = useMemo(() => workOf(shop), [shop]);
  const cutEnds = new Map(shop.pieces.map((piece) => [piece.tag, piece.cutEnds]));
  const nameOf = (id: string): string => file.profiles.find((one) => one.id === id)?.name ?? id;
  const loose = work.loose.filter((one) => one.state === 'ready').map((one) => one.tag);
  const sticks = work.sticks.filter((one) => one.todo.length > 0);
  return (
    <>
      <h2 className="sheet-head">{t('{name}: cut sheet by stick', { name: file.name })}</h2>
      <p>
        {t(
          '{head}. Each line is one cut: mark it on the edge named, set the saw, keep the side named, tick it.',
          { head },
        )}
      </p>
      {sticks.map((stick) => (
        <div className="sheet-block" key={stickName(stick)}>
          <StickSheet
            file={file}
            title={`${t('Stick')} ${stick.letter ?? t('letter ____')} · ${nameOf(stick.stick.profile)} · ${formatWithUnit(stick.stick.length, file.unit)}${stick.stick.source === 'rack' ? t(' from the rack: {label}', { label: stick.stick.label ?? '' }) : ''}`}
            steps={cutSteps(file, { pieces: work.pieces, sticks: [stick.stick] }).filter(
              (step) => cutEnds.has(step.piece.id) && !cutEnds.get(step.piece.id)!.includes(step.end),
            )}
            plan={NO_WATCH_OUTS}
          />
        </div>
      ))}
      {loose.length > 0 && (
        <p>
          {t('▲ Without a stick yet: {loose}. Give another trip, then print again.', {
            loose: loose.join(', '),
          })}
        </p>
      )}
      {sticks.length + loose.length === 0 && <p>{t('Everything that was given is cut.')}</p>}
    </>
  );
}

/** What is hung, wall by wall, with what the wall says, to tick in the room. */
export function HangSheets({ file, shop, head, room }: Props & { readonly room: string | undefined }) {
  const sheets = useMemo(() => hangSheets(file, shop, room), [file, shop, room]);
  return (
    <>
      <h2 className="sheet-head">{t('{name}: hang sheet by wall', { name: file.name })}</h2>
      <p>{t('{head}. In the order of hanging; the number is on the back of each piece.', { head })}</p>
      {sheets.map(({ place, lines }) => (
        <div className="sheet-block" key={wordsKey(place)}>
          <table aria-label={translate(place)}>
            <caption>{translate(place)}</caption>
            <thead>
              <tr>
                <th>
                  <span className="said-only">{t('done')}</span>
                </th>
                <th>{t('No.')}</th>
                <th>{t('Length')}</th>
                <th>{t('Left end, right end')}</th>
                <th>{t('On the wall')}</th>
              </tr>
            </thead>
            <tbody>
              {lines.map(({ line: { piece, plan, before }, notes }) => (
                <tr key={piece.tag}>
                  <td>{piece.state === 'fixed' ? '☑' : '☐'}</td>
                  <td>
                    <b>{piece.tag}</b>
                  </td>
                  <td className="whole">
                    {piece.state === 'held' ? t('waits: ______') : formatWithUnit(piece.near, file.unit)}
                  </td>
                  <td>
                    {endText(plan.left)}; {endText(plan.right)}
                    {plan.slope ? t('; climbs {slope}', { slope: formatAngle(plan.slope) }) : ''}
                  </td>
                  <td>
                    {before.length > 0 && <div>{t('after {before}', { before: before.join(', ') })}</div>}
                    {notes.map((note) => (
                      <div key={wordsKey(note)}>{translate(note)}</div>
                    ))}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      ))}
    </>
  );
}

/** What is left with the house when the crew goes. */
export function HandoverSheet({ file, shop, head }: Props) {
  const done = useMemo(() => handover(file, shop), [file, shop]);
  const part = (title: string, lines: readonly Words[], none: string) => (
    <section>
      <h2>{title}</h2>
      {lines.length === 0 ? (
        <p>{none}</p>
      ) : (
        <ul>
          {lines.map((line) => (
            <li key={wordsKey(line)}>{translate(line)}</li>
          ))}
        </ul>
      )}
    </section>
  );
  return (
    <>
      <h2 className="sheet-head">{t('{name}: handed over', { name: file.name })}</h2>
      <p>{head}</p>
      {part(
        t('Not on the wall yet'),
        done.open.length > 0 ? [done.open.join(', ')] : [],
        t('Everything that was given is fixed.'),
      )}
      {part(t('Comes off with a screwdriver'), done.comesOff, t('Nothing: no door slides in a wall here.'))}
      {part(t('Spliced'), done.splices, t('No splices.'))}
      {part(
        t('Profiles'),
        done.profiles.map(({ name, what }) =>
          t("{name}: {what}; color and maker's number: ____________________", {
            name,
            what: translate(what),
          }),
        ),
        t('None.'),
      )}
      {part(t('Left on the rack'), done.rack, t('Nothing is left.'))}
    </>
  );
}
