import { angleFigure, lengthFigure, listOf, message, type Unit, type Words } from './message.ts';
import { clearanceText, remediesText } from './clearance-words.ts';
import { lackText } from './lacks.ts';
import type { Say, WarningCode, WarningData } from './warning-data.ts';
import { wordOf } from './word.ts';

type Sentences = {
  readonly [Code in WarningCode]: (data: WarningData[Code], say: Say) => Words;
};

const wallOf = ({ room, wall }: { room: string; wall: number }): Words =>
  message('warning.wall', { room, wall });
const cornerOf = ({ room, wall }: { room: string; wall: number }): Words =>
  message('warning.the-corner-after-wall', { room, wall });

const GLUES: Readonly<Record<string, Words>> = {
  polyurethane: message('warning.wood-glue-does-not-hold-foam'),
  pvc: message('warning.wood-glue-does-not-hold-pvc'),
};

const SLOPE_FAULTS: Readonly<Record<string, Words>> = {
  'figures-disagree': message('warning.the-slopes-there-are-not-those'),
  'both-climb': message('warning.it-would-climb-on-both-walls'),
  outside: message('warning.no-turn-piece-mates-there'),
  interrupted: message('warning.something-stops-it-on-a-wall'),
  'drop-lines': message('warning.two-level-walls-would-need-different'),
};

const SENTENCES: Sentences = {
  clearance: (d, say) => listOf([clearanceText(d, say), remediesText(d, say)], ''),
  'out-of-true': (d, say) =>
    message('warning.its-head-rises-to-the-cut', {
      name: d.name,
      figure: say.length(d.figure),
      rises: wordOf(d.rises),
      opens: say.fine(d.opens),
    }),
  coverage: (d, say) =>
    message('warning.reveal-and-casing-cover-the-or', {
      name: d.name,
      covers: say.length(d.covers),
      choice: d.rounded ? message('warning.gap-and-its-rounded-edge') : message('warning.gap'),
      choice2: d.rounded ? message('warning.need') : message('warning.needs'),
      needs: say.length(d.needs),
      choice3:
        d.short <= d.reveal
          ? message('warning.make-the-reveal-or-take-casing', {
              reveal: say.length(d.reveal + d.short),
              short: say.length(d.short),
            })
          : message('warning.take-casing-wider-by', { short: say.length(d.short) }),
    }),
  'shy-jamb': (d, say) =>
    message('warning.its-jamb-lies-behind-the-wall', { name: d.name, shy: say.length(d.shy) }),
  'proud-jamb': (d, say) =>
    d.proud <= d.limit
      ? message('warning.its-jamb-stands-proud-of-the', { name: d.name, proud: say.length(d.proud) })
      : message('warning.its-jamb-stands-proud-of-the-2', { name: d.name, proud: say.length(d.proud) }),
  'stool-contour': (d, say) =>
    message('warning.nothing-covers-the-rounded-edge-behind', { name: d.name, radius: say.length(d.radius) }),
  'head-gate': (d, say) =>
    message('warning.measured-outside-to-outside-the-figures', {
      name: d.name,
      measured: say.length(d.measured),
      predicted: say.length(d.predicted),
    }),
  removable: (d, say) =>
    message('warning.head-and-one-leg-are-screwed', {
      name: d.name,
      choice: d.pocket ? message('warning.nothing-may-reach-the-path-of') : '',
      choice2:
        d.longest === undefined
          ? d.pocket
            ? message('warning.measure-from-the-wall-s-face')
            : ''
          : message('warning.no-fastener-longer-than-there', { longest: say.length(d.longest) }),
    }),
  'band-left-out': (d) =>
    message('warning.the-back-band-is-not-planned', {
      name: d.name,
      choice: d.why === 'block' ? message('warning.corner-blocks') : message('warning.a-head-with-overhang'),
      choice2:
        d.why === 'block'
          ? message('warning.choose-mitered-corners')
          : message('warning.set-the-overhang-to-0'),
    }),
  'no-block': (d) => message('warning.corner-blocks-are-chosen-and-no', { name: d.name }),
  'one-unit': (d, say) => {
    const [a, b] = d.diagonals;
    const across =
      Math.abs(a - b) < 1e-3
        ? message('warning.both-diagonals', { a: say.length(a) })
        : message('warning.diagonals-from-the-bottom-left-from', { a: say.length(a), b: say.length(b) });
    return message('warning.is-joined-on-the-bench-and', {
      name: d.name,
      across,
      choice: d.stool && d.play === 0 ? message('warning.give-the-stool-some-play-or') : '',
    });
  },
  'open-miter': (d, say) =>
    message('warning.its-head-corner-is-open-at', {
      name: d.name,
      corner: wordOf(d.corner),
      by: say.fine(d.by),
      open: wordOf(d.open),
      from: wordOf(d.from),
    }),
  'narrow-stock': (d, say) =>
    message('warning.is-wide-its-only-take-wider', {
      label: d.label,
      width: say.length(d.width),
      profile: d.profile,
      has: say.length(d.has),
    }),
  hollow: (d, say) =>
    message('warning.by-over-near-its-end-nail', {
      wall: wallOf(d),
      choice: d.depth < 0 ? message('warning.bulges') : message('warning.is-hollow'),
      depth: say.length(Math.abs(d.depth)),
      over: say.length(d.over),
      near: wordOf(d.near),
    }),
  'short-wall': (d, say) =>
    message('warning.only-beside-an-outside-corner-its', { wall: wallOf(d), length: say.length(d.length) }),
  'tight-stick': (d, say) =>
    message('warning.the-stick-with-has-to-spare', {
      items: listOf(d.labels, ', '),
      spare: say.fine(d.spare),
      margin: say.fine(d.margin),
    }),
  'ceiling-gap': (d, say) => {
    const open = (gap: number, presses: number): Words =>
      listOf(
        [
          message('warning.leaves-up-to-open', { gap: say.length(gap) }),
          ...(presses > 0
            ? [message('warning.meets-a-low-spot-that-comes', { presses: say.length(presses) })]
            : []),
        ],
        ' and ',
      );
    const [own, other] =
      d.line === 'level'
        ? [message('warning.a-level-line'), message('warning.following-the-ceiling')]
        : [message('warning.following-the-ceiling'), message('warning.a-level-line')];
    return message('warning.on-more-than-the-that-are', {
      room: d.room,
      profile: d.profile,
      own,
      gap: open(d.gap, d.presses),
      most: say.length(d.most),
      other,
      other2: open(d.other, d.otherPresses),
    });
  },
  'backer-fit': (d) =>
    Number.isFinite(d.taken)
      ? message('warning.takes-times-the-room-behind-its', {
          room: d.room,
          strip: d.strip,
          taken: d.taken.toFixed(2),
          profile: d.profile,
        })
      : message('warning.there-is-no-room-behind-for', { room: d.room, profile: d.profile, strip: d.strip }),
  'backer-climbs': (d) =>
    message('warning.no-strip-is-planned-behind-crown', { room: d.room, items: listOf(d.walls, ' and ') }),
  'sloped-ceiling': (d) =>
    message('warning.is-not-planned-wall', {
      room: d.room,
      profile: d.profile,
      why: SLOPE_FAULTS[d.why] ?? message('warning.the-ceiling-slopes'),
      items: listOf(d.walls, ' and '),
    }),
  'slope-corner': (d, say) =>
    message('warning.mates-with-a-small-piece-that', {
      corner: cornerOf(d),
      profile: d.profile,
      turn: say.fine(d.turn),
      misses: say.fine(d.misses),
      otherSpring: say.angle(d.otherSpring),
    }),
  'pipes-splice': (d, say) =>
    message('warning.pipes-at-come-down-through-with', {
      wall: wallOf(d),
      at: say.length(d.at),
      profile: d.profile,
    }),
  lean: (d, say) => {
    const wall = (lean: number): Words =>
      lean === 0
        ? message('warning.stands-upright')
        : message('warning.leans-the-room', {
            lean: say.angle(Math.abs(lean)),
            choice: lean > 0 ? message('warning.into') : message('warning.out-of'),
          });
    const walls =
      d.left === d.right
        ? message('warning.both-walls-lean-the-room', {
            left: say.angle(Math.abs(d.left)),
            choice: d.left > 0 ? message('warning.into') : message('warning.out-of'),
          })
        : message('warning.the-wall-on-its-left-the', { left: wall(d.left), right: wall(d.right) });
    return message('warning.base-and-rails-are-cut-to', { corner: cornerOf(d), walls });
  },
  services: (d) =>
    message('warning.no-nails-in-line-with-them', {
      wall: wallOf(d),
      choice:
        d.count === 1
          ? message('warning.a-socket-switch-or-pipe')
          : message('warning.sockets-switches-or-pipes', { count: d.count }),
    }),
  'assumed-angle': (d) => message('warning.is-only-assumed-square-measure-it', { corner: cornerOf(d) }),
  'odd-angle': (d, say) =>
    message('warning.is-set-the-saw-to-its', { corner: cornerOf(d), angle: say.angle(d.angle) }),
  'obtuse-cope': (d, say) =>
    message('warning.is-is-better-mitered-there-than', {
      corner: cornerOf(d),
      angle: say.angle(d.angle),
      profile: d.profile,
      relief: say.angle(d.relief),
    }),
  'rounded-corner': (d, say) =>
    message('warning.inside-corner-after-wall-is-rounded', {
      room: d.room,
      wall: d.wall,
      radius: say.length(d.radius),
      relief: say.fine(d.relief),
    }),
  'bullnose-gap': (d, say) =>
    message('warning.two-pieces-round-the-bullnose-after', {
      room: d.room,
      wall: d.wall,
      gap: say.fine(d.gap),
    }),
  'corner-form': (d, say) =>
    message('warning.is-which-no-corner-can-be', {
      corner: cornerOf(d),
      angle: say.angle(d.angle),
      form: d.form,
    }),
  'no-room': (d, say) =>
    message('warning.is-too-short-for-a-piece', {
      wall: wallOf(d),
      length: say.length(d.length),
      profile: d.profile,
    }),
  'pin-circle': (d) =>
    message('warning.the-joints-pinned-at-the-corners', {
      room: d.room,
      items: listOf(
        d.walls.map((wall) => message('warning.wall-2', { wall })),
        ', ',
      ),
    }),
  'pin-outside': (d) =>
    message('warning.nothing-runs-through-the-outside-corner', { room: d.room, wall: d.wall }),
  'pin-released': (d, say) =>
    message('warning.the-splice-of-pinned-at-has', {
      wall: wallOf(d),
      profile: d.profile,
      at: say.length(d.at),
    }),
  'splice-distance': (d) => message('warning.no-splice-keeps-the-house-distance', { wall: wallOf(d) }),
  'splice-in-view': (d) => message('warning.the-pinned-splice-lies-in-the', { wall: wallOf(d) }),
  'splice-off-stud': (d) => message('warning.no-stud-gives-pieces-that-fit', { wall: wallOf(d) }),
  'short-piece': (d, say) =>
    message('warning.is-only-cut-it-off-a', { label: d.label, length: say.length(d.length) }),
  'long-piece': (d, say) =>
    message('warning.is-two-people-to-carry-and', { label: d.label, length: say.length(d.length) }),
  'double-cope': (d) => message('warning.is-coped-at-both-ends-cut', { label: d.label }),
  'needs-block': (d, say) =>
    message('warning.end-is-beyond-the-saw-clamp', {
      label: d.label,
      end: wordOf(d.end),
      miter: say.angle(d.miter),
      block: say.angle(d.block),
      thickEnd: wordOf(d.thickEnd),
    }),
  'beyond-saw': (d, say) =>
    message('warning.end-this-saw-cannot-cut-it', {
      label: d.label,
      end: wordOf(d.end),
      angle: say.angle(d.angle),
      items: listOf(
        d.why.map((one) => lackText(one, say.length)),
        '; ',
      ),
    }),
  'visible-splice': (d) => message('warning.a-splice-in-prefinished-trim-will', { label: d.label }),
  closure: (d, say) =>
    d.angles
      ? message('warning.the-angles-miss-adding-up-by', {
          room: d.room,
          angleGap: say.angle(Math.abs(d.angleGap)),
        })
      : message('warning.the-readings-miss-closing-by-measure', { room: d.room, gap: say.length(d.gap) }),
  'floor-gap': (d, say) =>
    message('warning.base-and-shoe-cover-of-floor', {
      room: d.room,
      covers: say.length(d.covers),
      gap: say.length(d.gap),
    }),
  'wet-room': (d) => message('warning.is-wet-and-is-mdf-wood', { room: d.room, profile: d.profile }),
  'bias-twice': (d, say) =>
    message('warning.the-rule-takes-off-miters-whose', { room: d.room, degrees: say.angle(d.degrees) }),
  'spliced-length': (d, say) =>
    message('warning.glued-on-the-bench-are-in', {
      items: listOf(d.labels, ' and '),
      length: say.length(d.length),
    }),
  glue: (d) =>
    message('warning.joined', {
      profile: d.profile,
      glue: GLUES[d.material] ?? message('warning.ask-which-glue-holds-it'),
    }),
  'same-way-up': (d, say) =>
    message('warning.is-by-lay-every-length-the', {
      profile: d.profile,
      width: say.length(d.width),
      thickness: say.length(d.thickness),
    }),
};

/** The sentence of a watch-out, in the words and units of its job. */
export function warningText<Code extends WarningCode>(
  code: Code,
  data: WarningData[Code],
  unit: Unit,
): Words {
  const say: Say = {
    length: (value) => lengthFigure(value, unit),
    fine: (value) => lengthFigure(value, unit, 32),
    angle: angleFigure,
  };
  return SENTENCES[code](data, say);
}
