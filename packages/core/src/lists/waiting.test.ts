import { inWords } from '../../test/helpers/in-words.ts';
import { expect, test } from '@jest/globals';
import type { LogEvent } from '../workshop/index.ts';
import { RESTS, restEvent, waitingList } from './waiting.ts';

const rest = (key: string) => RESTS.find((one) => one.key === key)!;
const noted = (id: string, key: string, at: string): LogEvent => ({
  id,
  device: 'd',
  deviceSeq: 1,
  at,
  ...restEvent(rest(key), 'Hall', at),
});

test('what rests is listed by when it is ready, and what has long been ready is gone', () => {
  const events = [
    noted('a', 'foam', '2026-03-02T08:00:00Z'),
    noted('b', 'wood-glue', '2026-03-02T09:00:00Z'),
    noted('c', 'caulk', '2026-02-27T09:00:00Z'),
  ];
  expect(inWords(waitingList(events, '2026-03-02T09:40:00Z'))).toEqual([
    {
      event: 'b',
      what: 'Hall: wood glue, until it may be moved',
      until: '2026-03-02T09:30:00.000Z',
      ready: true,
    },
    {
      event: 'a',
      what: 'Hall: adhesive for foam, until the nails may be drawn',
      until: '2026-03-03T08:00:00.000Z',
      ready: false,
    },
  ]);
});

test('taken back it ends; a note that is only a note is none', () => {
  const one = noted('a', 'foam', '2026-03-02T08:00:00Z');
  const back = {
    id: 'u',
    device: 'd',
    deviceSeq: 2,
    at: '2026-03-02T08:01:00Z',
    kind: 'undone',
    event: 'a',
  } as LogEvent;
  const note = {
    id: 'n',
    device: 'd',
    deviceSeq: 3,
    at: '2026-03-02T08:01:00Z',
    kind: 'note',
    text: 'x',
  } as LogEvent;
  expect(waitingList([one, back, note], '2026-03-02T08:02:00Z')).toEqual([]);
});
