import { message, type Words, wordOf } from '../../messages/index.ts';
import { NOISE, SAME_LENGTH } from '../../base/index.ts';
import type { LogEvent } from './log-file.ts';
import type { PieceState, ShopPiece } from './state.ts';
import { layNext, UNTOUCHED_END, withCut } from '../wood/wood.ts';
import type { Workshop } from './workshop.ts';

/** What each kind of event changes, and when it does not fit. A reason is a sentence about the piece or stick it names. */

type Of<Kind extends LogEvent['kind']> = Extract<LogEvent, { kind: Kind }>;
type Fault = Words | undefined;

const WORDS: Readonly<Record<PieceState, Words>> = {
  held: message('shop.waits-for-its-measure'),
  ready: message('shop.is-not-cut-yet'),
  'in-hand': message('shop.is-in-hand-and-not-written'),
  cut: message('shop.is-cut'),
  fitted: message('shop.is-fitted'),
  fixed: message('shop.is-fixed'),
  spoilt: message('shop.is-spoilt'),
  superseded: message('shop.was-withdrawn-or-replaced'),
  reused: message('shop.was-used-for-another-piece'),
};

const unknown = (tag: string): Words => message('shop.there-is-no-piece', { tag });
const stands = ({ tag, state }: ShopPiece): Words => message('shop.joined', { tag, state: WORDS[state] });

/** Puts a piece into a state it may come to from some others. */
function move(
  shop: Workshop,
  tag: string,
  from: readonly PieceState[],
  to: (piece: ShopPiece) => ShopPiece,
): Fault {
  const piece = shop.pieces.get(tag);
  if (!piece) return unknown(tag);
  if (!from.includes(piece.state)) return stands(piece);
  shop.setPiece(to(piece));
  return undefined;
}

function takeStick(shop: Workshop, event: Of<'stick-taken'>): Fault {
  if (shop.sticks.has(event.letter))
    return message('shop.is-written-on-another-stick-already', { letter: event.letter });
  const planned = shop.plannedStick(event.revision, event.stick);
  if (!planned || planned.source === 'opened')
    return message('shop.revision-has-no-such-stick', { revision: event.revision });
  const label = planned.label;
  if (planned.source === 'rack') {
    const there = shop.rack.find(
      (one) => one.profile === planned.profile && (label === undefined || one.label === label),
    );
    if (!there) return message('shop.is-not-on-the-rack', { label: label ?? message('shop.that-piece') });
    shop.takeFromRack(there.label);
  }
  const length = event.measured ?? planned.length;
  shop.setStick({
    letter: event.letter,
    stick: planned.id,
    revision: event.revision,
    profile: planned.profile,
    source: planned.source,
    from: planned.source === 'rack' ? (label ?? '') : String(planned.length),
    pieces: planned.cuts.map((cut) => cut.piece),
    planned: planned.length,
    length,
    used: 0,
    remains: length,
    open: true,
    cut: [],
    end: UNTOUCHED_END,
  });
  return undefined;
}

function cutEnd(shop: Workshop, { tag, end, letter }: Of<'end-cut'>): Fault {
  const piece = shop.pieces.get(tag);
  if (!piece) return unknown(tag);
  if (piece.state !== 'ready' && piece.state !== 'in-hand') return stands(piece);
  const stick = shop.sticks.get(letter);
  if (!stick) return message('shop.there-is-no-stick', { letter });
  if (!stick.open) return message('shop.stick-is-put-away', { letter });
  if (stick.profile !== piece.plan.profile) return message('shop.stick-is-of-another-profile', { letter });
  if (piece.letter !== undefined && piece.letter !== letter)
    return message('shop.lies-on-stick-both-ends-are', { tag, letter: piece.letter });
  if (piece.cutEnds.includes(end))
    return message('shop.the-end-of-is-cut-already', { end: wordOf(end), tag });
  shop.setPiece({ ...piece, state: 'in-hand', letter, cutEnds: [...piece.cutEnds, end] });
  return undefined;
}

/**
 * Takes a length off the stick that a piece in hand lies on. A blank that was spoilt before takes none, nor does a return's small
 * piece, which comes from the waste beside its own.
 */
function takeWood(shop: Workshop, piece: ShopPiece, near: number): Pick<ShopPiece, 'start' | 'took'> {
  const stick = piece.letter === undefined ? undefined : shop.sticks.get(piece.letter);
  if (!stick || piece.fromBlank || piece.plan.near === 0) return {};
  const laid = layNext(stick.end, piece.plan, near, shop.bench);
  shop.setStick(withCut(stick, piece.tag, laid));
  return { start: laid.start, took: near };
}

function write(shop: Workshop, { tag, near }: Of<'written'>): Fault {
  const piece = shop.pieces.get(tag);
  if (!piece) return unknown(tag);
  if (piece.state !== 'in-hand') return stands(piece);
  if (!piece.fromBlank && piece.cutEnds.length < 2)
    return message('shop.the-end-of-is-not-cut', {
      end: wordOf(piece.cutEnds.includes('left') ? 'right' : 'left'),
      tag,
    });
  const is = near ?? piece.near;
  const took = takeWood(shop, piece, is);
  shop.setPiece({ ...piece, state: 'cut', near: is, ...took });
  return undefined;
}

/** What is asked of a piece that is made again: what it was to be, or what a newer revision asks for. */
function askedNow(shop: Workshop, piece: ShopPiece): { near: number; measured: boolean } {
  const now = shop.asked(piece.piece);
  const changed =
    now && now.revision > piece.revision && Math.abs(now.plan.near - piece.plan.near) > SAME_LENGTH;
  return changed && !(piece.measured && now.plan.held)
    ? { near: now.plan.near, measured: false }
    : { near: piece.asked, measured: piece.measured };
}

function spoil(shop: Workshop, { tag, what, usable }: Of<'miscut'>): Fault {
  const piece = shop.pieces.get(tag);
  if (!piece) return unknown(tag);
  if (piece.state !== 'in-hand' && piece.state !== 'cut') return stands(piece);
  const left = what === 'short' ? (usable ?? piece.near) : piece.near;
  // What was written has taken its wood already.
  const took = piece.state === 'in-hand' ? takeWood(shop, piece, left) : {};
  shop.setPiece({
    ...piece,
    state: 'spoilt',
    ...(usable === undefined ? {} : { usable }),
    ...took,
  });
  const again = askedNow(shop, piece);
  shop.makeAgain(piece, again.near, again.measured);
  return undefined;
}

function reuse(shop: Workshop, event: Of<'piece-reused'>): Fault {
  const piece = shop.pieces.get(event.tag);
  const as = shop.pieces.get(event.as);
  if (!piece) return unknown(event.tag);
  if (!as) return unknown(event.as);
  if (piece.state !== 'spoilt' && piece.state !== 'superseded') return stands(piece);
  if (as.state !== 'ready') return stands(as);
  if (as.plan.profile !== piece.plan.profile) return message('shop.is-of-another-profile', { as: event.as });
  // A piece that was withdrawn before it was cut is no wood.
  if (piece.letter === undefined) return message('shop.was-never-cut', { tag: event.tag });
  const usable = piece.usable ?? piece.near;
  if (usable < as.near - NOISE)
    return message('shop.what-is-left-of-is-too', { tag: event.tag, as: event.as });
  shop.setPiece({ ...piece, state: 'reused' });
  shop.setPiece({
    ...as,
    state: 'in-hand',
    letter: piece.letter,
    cutEnds: [],
    fromBlank: true,
    ...(piece.start === undefined ? {} : { start: piece.start }),
  });
  return undefined;
}

function rack(shop: Workshop, { letter, length, label }: Of<'remainder-racked'>): Fault {
  const stick = shop.sticks.get(letter);
  if (!stick) return message('shop.there-is-no-stick', { letter });
  if (!stick.open) return message('shop.stick-is-put-away-already', { letter });
  const inHand = [...shop.pieces.values()].find((one) => one.state === 'in-hand' && one.letter === letter);
  if (inHand) return message('shop.on-stick-is-still-in-hand', { tag: inHand.tag, letter });
  if (length > stick.remains + NOISE)
    return message('shop.no-more-than-is-left-of', { remains: stick.remains, letter });
  if (shop.rackLabels.has(label)) return message('shop.is-written-on-another-piece-of', { label });
  shop.setStick({ ...stick, open: false });
  shop.putOnRack({ label, profile: stick.profile, length });
  return undefined;
}

function sendBack(shop: Workshop, { tag, near }: Of<'sent-back'>): Fault {
  const piece = shop.pieces.get(tag);
  if (!piece) return unknown(tag);
  if (piece.state !== 'cut' && piece.state !== 'fitted') return stands(piece);
  shop.setPiece({ ...piece, state: 'superseded' });
  shop.makeAgain(piece, near, true);
  return undefined;
}

/** Whether a piece is known at all: what is said of it changes no state. */
const known = (shop: Workshop, tag: string): Fault => (shop.pieces.has(tag) ? undefined : unknown(tag));

/**
 * Applies one event.
 * @returns why it does not fit, if it does not; the workshop is then as it was
 * Source: workshop, section 11.
 */
export function applyEvent(shop: Workshop, event: LogEvent): Fault {
  switch (event.kind) {
    case 'stick-taken':
      return takeStick(shop, event);
    case 'end-cut':
      return cutEnd(shop, event);
    case 'written':
      return write(shop, event);
    case 'miscut':
      return spoil(shop, event);
    case 'piece-reused':
      return reuse(shop, event);
    case 'remainder-racked':
      return rack(shop, event);
    case 'sent-back':
      return sendBack(shop, event);
    case 'dry-fitted':
      return move(shop, event.tag, ['cut'], (piece) => ({ ...piece, state: 'fitted' }));
    case 'fixed':
      return move(shop, event.tag, ['cut', 'fitted'], (piece) => ({ ...piece, state: 'fixed' }));
    case 'trimmed':
      return trim(shop, event);
    case 'measured-in-place':
      return move(shop, event.tag, ['held', 'ready'], (piece) => ({
        ...piece,
        state: 'ready',
        near: event.near,
        asked: event.near,
        measured: true,
        predicted: piece.predicted ?? piece.asked,
      }));
    case 'wall-not-ready':
    case 'opening-of-joint':
      return known(shop, event.tag);
    case 'undone':
    case 'note':
    case 'issued':
    case 'end-set':
    case 'test-cut':
    case 'calibrated':
      return undefined;
  }
}

function trim(shop: Workshop, { tag, by }: Of<'trimmed'>): Fault {
  const piece = shop.pieces.get(tag);
  if (piece && by >= piece.near) return message('shop.is-only-long', { tag, near: piece.near });
  return move(shop, tag, ['cut', 'fitted'], (one) => ({ ...one, near: one.near - by }));
}
