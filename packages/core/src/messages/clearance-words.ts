import { listOf, message, type Words } from './message.ts';
import { partWords } from './part-words.ts';
import type { Clearance, Say } from './warning-data.ts';
import { wordOf } from './word.ts';

const partOf = ({ part }: { part: string }): Words =>
  part === 'stool' ? message('warning.horn-of-the-stool') : partWords(part);

/** Two things at an opening that want the same place, and by how much. */
export function clearanceText(d: Clearance, say: Say): Words {
  const by = say.length(d.overlap);
  switch (d.against) {
    case 'corner':
      return d.by === undefined
        ? message('warning.its-needs-more-than-there-is', {
            name: d.name,
            part: partOf(d),
            by,
            at: wordOf(d.at),
          })
        : message('warning.its-is-in-the-way-of', {
            name: d.name,
            part: partOf(d),
            by: d.by,
            at: wordOf(d.at),
            by2: by,
          });
    case 'casing':
      return message('warning.their-casing-overlaps-by', { items: listOf(d.names, ' and '), by });
    case 'ceiling':
      return message('warning.its-ends-above-the-ceiling', { name: d.name, part: partOf(d), by });
    case 'crown':
      return message('warning.its-reaches-into-which-is-stopped', {
        name: d.name,
        part: partOf(d),
        by,
        by2: d.by ?? '',
      });
    case 'rail':
      return message('warning.runs-into-the-horns-of-the', { name: d.name, by: d.by ?? '', by2: by });
    case 'interruption':
      return message('warning.its-overlaps-by', {
        name: d.name,
        part: partOf(d),
        by: d.by ?? message('warning.what-is-built-in'),
        by2: by,
      });
    case 'point':
      return message('warning.its-covers-a-by', { name: d.name, part: partOf(d), by: d.by ?? '', by2: by });
  }
}

/** What can be done about it, in the order one would try. */
export function remediesText(d: Clearance, say: Say): Words {
  const two = d.names.length > 1;
  const ways = d.remedies.map((remedy) => {
    switch (remedy) {
      case 'rip':
        return two
          ? message('warning.rip-the-two-legs-to', { rip: say.length(d.rip!) })
          : message('warning.rip-it-to', { rip: say.length(d.rip!) });
      case 'mull':
        return message('warning.share-one-strip-of', { mull: say.length(d.mull!) });
      case 'reveal':
        return message('warning.make-the-reveal', { reveal: say.length(d.reveal!) });
      case 'none':
        return message('warning.leave-that-side-without-casing-with');
    }
  });
  if (d.against === 'rail') ways.push(message('warning.move-the-rail-clear-of-the'));
  if (d.horn !== undefined && d.part === 'stool')
    ways.push(
      d.horn >= 0
        ? message('warning.make-the-horn', { horn: say.length(d.horn) })
        : message('warning.end-the-stool-flush-with-what'),
    );
  if (d.against === 'point' && d.part !== 'stool') ways.push(message('warning.have-the-box-moved'));
  return ways.length === 0 ? '' : listOf(['', listOf(ways, ', or ')], '; ');
}
