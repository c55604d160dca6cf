import {
  cutList,
  cutNotes,
  cutSteps,
  edgeNames,
  formatLength,
  formatWithUnit,
  lengthText,
  openingFront,
  openingNames,
  partWords,
  pieceWarnings,
  placeKey,
  planNumber,
  rulesOfRoom,
  sawnAs,
  sawOf,
  settingText,
  type CutStep,
  type JobFile,
  type Piece,
  type PlanFile,
  type PlannedStick,
  wordsKey,
} from '@long-miter/core';
import { Painted } from '../../drawing/Painted.tsx';
import { language } from '../../messages/language.ts';
import { moneyText } from '../../messages/money.ts';
import { translate, t } from '../../messages/t.ts';
import { sideWord } from '../../shared/text/code-words.ts';

interface Props {
  readonly file: JobFile;
  readonly plan: PlanFile;
  /** When it is printed: a sheet of yesterday is told from one of today. */
  readonly on: Date;
  /** What to fetch where a stick is one of the rack. */
  readonly rackName: (stick: PlannedStick) => string;
}

/** The cut list on paper, stick by stick as it is cut, then room by room as it is hung; nothing in it needs colour. */
export function PrintedList({ file, plan, on, rackName }: Props) {
  const steps = cutSteps(file, plan);
  const head = t('Plan {planNumber} · {when}', {
    planNumber: planNumber(plan),
    when: on.toLocaleString(language, { dateStyle: 'medium', timeStyle: 'short' }),
  });
  return (
    <div className="only-print">
      <h1>{t('{name}: cut sheet by stick', { name: file.name })}</h1>
      <p>
        {t('{head}. Each line is one cut: mark it on the edge named, set the saw, keep the side named.', {
          head,
        })}
      </p>
      <ToBuy file={file} plan={plan} />
      {plan.sticks.map((stick, index) => (
        <StickSheet
          key={stick.id}
          file={file}
          title={t('Stick {index} · {profile} · {length}{source} · left over {leftover}', {
            index: index + 1,
            profile: nameOf(file, stick.profile),
            length: formatWithUnit(stick.length, file.unit),
            source:
              stick.source === 'rack' ? t(' from the rack: {rackName}', { rackName: rackName(stick) }) : '',
            leftover: formatWithUnit(stick.leftover, file.unit),
          })}
          steps={steps.filter((step) => step.stickNumber === index + 1)}
          plan={plan}
        />
      ))}
      <h1 className="new-page">{t('{name}: cut list by room', { name: file.name })}</h1>
      <p>{head}</p>
      <RoomList file={file} plan={plan} />
      <OpeningSheets file={file} plan={plan} head={head} />
    </div>
  );
}

const nameOf = (file: JobFile, id: string): string =>
  file.profiles.find((profile) => profile.id === id)?.name ?? id;

/** What is bought, a line for each trim: lengths alone would say nothing of what they are of. */
function ToBuy({ file, plan }: Pick<Props, 'file' | 'plan'>) {
  if (plan.buy.length === 0) return <p>{t('Nothing to buy: all of it is cut from the rack.')}</p>;
  const trims = [...new Set(plan.buy.map((line) => line.profile))];
  return (
    <>
      <p>{t('To buy, for {stock}:', { stock: moneyText(plan.cost.stock, plan.coin) })}</p>
      <ul aria-label={t('To buy')}>
        {trims.map((trim) => (
          <li key={trim}>
            {t('{trim}: {lengths}', {
              trim: nameOf(file, trim),
              lengths: plan.buy
                .filter((line) => line.profile === trim)
                .map((line) => `${line.count} × ${formatWithUnit(line.length, file.unit)}`)
                .join(', '),
            })}
          </li>
        ))}
      </ul>
    </>
  );
}

export function StickSheet({
  file,
  title,
  steps,
  plan,
}: {
  file: JobFile;
  title: string;
  steps: readonly CutStep[];
  plan: Pick<PlanFile, 'watchOuts'>;
}) {
  const saw = sawOf(file);
  return (
    <table aria-label={title}>
      <caption>{title}</caption>
      <thead>
        <tr>
          <th>
            <span className="said-only">{t('done')}</span>
          </th>
          <th>{t('Piece, end')}</th>
          <th>{t('Mark')}</th>
          <th>{t('From, on which edge')}</th>
          <th>{t('How it lies, how the saw is set, what is kept')}</th>
        </tr>
      </thead>
      <tbody>
        {steps.map((step, k) => {
          const notes = [
            ...cutNotes(step, saw, file.unit),
            // What is to watch at a piece is said once, at its first cut.
            ...(steps.findIndex((one) => one.piece.id === step.piece.id) === k
              ? pieceWarnings(plan, step.piece).map((text) => `▲ ${translate(text)}`)
              : []),
          ];
          return (
            <tr key={`${step.piece.id} ${step.end}`}>
              <td className="whole">☐ {k + 1}</td>
              <td>
                <span className="whole">
                  <b>{step.piece.label}</b> {t('{end} end', { end: sideWord(step.end) })}
                </span>
                <br />
                {translate(step.place)}
              </td>
              <td>
                {step.held ? (
                  t('waits: {opening} ______', {
                    opening:
                      step.piece.opening === undefined ? t('between its neighbors') : t('over both legs'),
                  })
                ) : (
                  <b className="whole">{translate(step.mark.text)}</b>
                )}
              </td>
              <td>
                {t('from {from}, on the {edge}', {
                  from: translate(step.mark.from),
                  edge: translate(step.mark.edge),
                })}
              </td>
              <td>
                {translate(settingText(step.saw, step.profile))}
                {notes.map((note) => (
                  <div key={wordsKey(note)}>{translate(note)}</div>
                ))}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** Every opening with its parts: what the hanger holds in the room. */
function OpeningSheets({ file, plan, head }: Pick<Props, 'file' | 'plan'> & { head: string }) {
  const names = openingNames(file.rooms);
  const all = file.rooms.flatMap((room) =>
    room.walls.flatMap((wall, index) =>
      (wall.openings ?? []).map((opening) => ({ room, wall, index, opening })),
    ),
  );
  const parts = (room: string, wall: string, opening: string) =>
    plan.pieces.filter(
      (piece) =>
        piece.room === room && piece.wall === wall && piece.opening === opening && piece.role !== 'return',
    );
  const planned = all.filter((one) => parts(one.room.id, one.wall.id, one.opening.id).length > 0);
  if (planned.length === 0) return null;
  const far = (piece: Piece): number => piece.near + piece.left.reach + piece.right.reach;
  return (
    <>
      <h1 className="new-page">{t('{name}: openings', { name: file.name })}</h1>
      <p>
        {t('{head} · ● inner point, ○ outer point. Legs first; a head that waits is measured over both.', {
          head,
        })}
      </p>
      <div className="opening-sheets">
        {planned.map(({ room, wall, index, opening }) => {
          const name =
            names.get(placeKey({ room: room.id, wall: wall.id, opening: opening.id })) ?? opening.id;
          return (
            <section key={`${room.id} ${wall.id} ${opening.id}`}>
              <h2>
                {t('{name}{word}: {room}, wall {index}', {
                  name,
                  word: opening.word === undefined ? '' : `, ${opening.word}`,
                  room: room.name,
                  index: index + 1,
                })}
              </h2>
              <Painted
                drawing={openingFront(file, rulesOfRoom(file, room), opening, { side: 'this', times: 1 })}
                width={210}
                height={250}
                margin={12}
              />
              <table aria-label={t('Parts of {name}', { name })}>
                <tbody>
                  {parts(room.id, wall.id, opening.id).map((piece) => (
                    <tr key={piece.id}>
                      <td>☐ {piece.label}</td>
                      <td>
                        {translate(partWords(piece.role, piece.place))}
                        {piece.side === 'other' ? t(', other side') : ''}
                      </td>
                      <td>
                        {piece.held ? t('waits: ______') : translate(lengthText(piece, file.unit))}
                        {!piece.held && Math.abs(far(piece) - piece.near) > 1e-6
                          ? ` ○ ${formatLength(far(piece), file.unit)}`
                          : ''}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </section>
          );
        })}
      </div>
    </>
  );
}

function RoomList({ file, plan }: Pick<Props, 'file' | 'plan'>) {
  const number = new Map(plan.sticks.map((stick, index) => [stick.id, index + 1]));
  const profiles = new Map(file.profiles.map((profile) => [profile.id, profile]));
  return (
    <table aria-label={t('Pieces by room')}>
      <thead>
        <tr>
          <th>
            <span className="said-only">{t('done')}</span>
          </th>
          <th>{t('No.')}</th>
          <th>{t('Goes to')}</th>
          <th>{t('Length')}</th>
          <th>{t('Left → right')}</th>
          <th>{t('Profile, edge')}</th>
          <th>{t('Hung as')}</th>
          <th>{t('Stick')}</th>
        </tr>
      </thead>
      <tbody>
        {cutList(file, plan).map((line) => {
          const profile = sawnAs(line.piece, profiles.get(line.piece.profile)!);
          return (
            <tr key={line.piece.id}>
              <td>☐</td>
              <td>{line.piece.label}</td>
              <td>{translate(line.place)}</td>
              <td>
                <b className="whole">{translate(line.length)}</b>
              </td>
              <td>{translate(line.ends)}</td>
              <td>
                {profile.name}, {translate(edgeNames(profile).near)}
              </td>
              <td>{line.piece.order}</td>
              <td>
                {line.stick
                  ? `${number.get(line.stick.id)} (${formatWithUnit(line.stick.length, file.unit)})`
                  : '–'}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
