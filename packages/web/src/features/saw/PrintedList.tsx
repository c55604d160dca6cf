import { cutList, formatMoney, formatWithUnit, type JobFile, type PlanFile } from '@long-miter/core';
import { sawText } from '../../shared/joint-words.ts';

/** The cut list on paper: one line a piece, with a box to tick. */
export function PrintedList({ file, plan }: { file: JobFile; plan: PlanFile }) {
  const number = new Map(plan.sticks.map((stick, index) => [stick.id, index + 1]));
  return (
    <div className="only-print">
      <h1 style={{ fontSize: '16pt' }}>{file.name}: cut list</h1>
      <p>
        Lengths along the back edge, between the points named.{' '}
        {plan.buy.map((line) => `${line.count} × ${formatWithUnit(line.length, file.unit)}`).join(', ')};{' '}
        {formatMoney(plan.cost.stock, plan.coin)} of stock.
      </p>
      <table>
        <thead>
          <tr>
            <th />
            <th>No.</th>
            <th>Goes to</th>
            <th>Length</th>
            <th>Left → right</th>
            <th>Saw, left end</th>
            <th>Saw, right end</th>
            <th>Stick</th>
          </tr>
        </thead>
        <tbody>
          {cutList(file, plan).map((line) => (
            <tr key={line.piece.id}>
              <td>☐</td>
              <td>{line.piece.label}</td>
              <td>{line.place}</td>
              <td>
                <b>{line.length}</b>
              </td>
              <td>{line.ends}</td>
              <td>{sawText(line.piece.left)}</td>
              <td>{sawText(line.piece.right)}</td>
              <td>
                {line.stick
                  ? `${number.get(line.stick.id)} (${formatWithUnit(line.stick.length, file.unit)})`
                  : '–'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
