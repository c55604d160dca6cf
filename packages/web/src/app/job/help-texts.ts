import { defineMessage } from '../../messages/define-message.ts';
import type { Stage } from './stages.ts';

/** What the help says of a screen: what it is for, what one does there in which order, and the trade's words on it. */
interface HelpTexts {
  readonly what: string;
  readonly steps: readonly string[];
  readonly words: readonly Word[];
}

/** A word of the trade, and what is meant by it here. */
type Word = readonly [word: string, meaning: string];

const ANGLE: Word = [
  defineMessage('corner angle'),
  defineMessage(
    'inside the room, between the faces of two walls: 90 is a square inside corner, 270 a square outside one',
  ),
];
const NEAR: Word = [
  defineMessage('near line, far line'),
  defineMessage(
    'the line a piece is measured along (its back; for casing the side at the jamb), and its face on the other side',
  ),
];
const COPE: Word = [
  defineMessage('cope'),
  defineMessage('one piece runs through to the corner, the other is cut along its profile to fit over it'),
];
const SCARF: Word = [
  defineMessage('scarf'),
  defineMessage(
    'two pieces joined along a wall by parallel slanted cuts; the one over lies nearer to the viewer',
  ),
];
const HELD: Word = [
  defineMessage('held'),
  defineMessage('not cut before it has been measured in its place, after its neighbors hang'),
];
const STICK: Word = [defineMessage('stick'), defineMessage('a length of stock as it is bought')];
const MARK: Word = [
  defineMessage('long, short'),
  defineMessage('where the figure runs to: the long point of a slanted end, or its short point'),
];

const OPENINGS: HelpTexts = {
  what: defineMessage('All doors and windows of the job in one list, with what is dressed around each.'),
  steps: [
    defineMessage(
      'A new row takes the kind and the wall, d3 is a door in wall 3; then the figures from left to right.',
    ),
    defineMessage('Enter takes a figure and goes on to the next; an empty cell asks for nothing.'),
    defineMessage('Open a row for its casing, stool, head and jambs; same as copies another one.'),
  ],
  words: [
    [defineMessage('casing'), defineMessage('the trim around a door or window: two legs and a head')],
    [defineMessage('reveal'), defineMessage('the step between the jamb and the casing')],
    [
      defineMessage('stool, apron'),
      defineMessage('the board one lays a hand on under a window, and the piece below it'),
    ],
    [
      defineMessage('plinth'),
      defineMessage('a thicker block at the foot of a leg, where the base ends against it'),
    ],
    [defineMessage('jamb strips'), defineMessage('what brings a jamb out to the face of the wall')],
    HELD,
  ],
};

/** The help of each screen of a job. */
export const HELP: Readonly<Record<Stage, HelpTexts>> = {
  rooms: {
    what: defineMessage('The rooms of the job: what is recorded of each, and what is still to measure.'),
    steps: [
      defineMessage('Open a room to walk it, or add one above.'),
      defineMessage('Rooms come in from a table or a drawing; they are shown before anything is taken in.'),
      defineMessage('A walk sheet to print is for whoever measures with a pencil.'),
    ],
    words: [
      ANGLE,
      [
        defineMessage('assumed'),
        defineMessage('not measured: a corner counts as 90 and says so until somebody reads it'),
      ],
    ],
  },
  walk: {
    what: defineMessage('What the tape says of one room, wall by wall.'),
    steps: [
      defineMessage('Stand inside at the entry, face the wall to its right, and go round clockwise.'),
      defineMessage(
        'Write each length as it is read, 142 3/8 or 3617; Enter goes on. a 92 behind it is the corner, d 32, 36, 80 a door.',
      ),
      defineMessage(
        'At the end the room must close: the line under the plan says by how much it does not, and which figure is most likely wrong.',
      ),
    ],
    words: [
      ANGLE,
      [
        defineMessage('closing'),
        defineMessage('walked all round, one should stand where one began; what is left is the misfit'),
      ],
      [
        defineMessage('assumed'),
        defineMessage('not measured: a corner counts as 90 and says so until somebody reads it'),
      ],
      [
        defineMessage('off straight'),
        defineMessage('what a protractor shows that reads 0 on a straight wall'),
      ],
      [
        defineMessage('lean'),
        defineMessage('degrees a wall is out of plumb at a corner, + with its top towards the room'),
      ],
    ],
  },
  openings: OPENINGS,
  joints: {
    what: defineMessage('Every piece of the room: how long, which joint at each end, and why.'),
    steps: [
      defineMessage(
        'Pick a piece in the list, on the plan or on the ribbon; arrow keys go from one to the next.',
      ),
      defineMessage('A joint you choose yourself is pinned and stays until you release it.'),
      defineMessage(
        'Trims says what runs where; House rules how your crew does it, with what a change costs before it is made.',
      ),
      defineMessage('A splice is dragged along the ribbon to where it hides best.'),
    ],
    words: [
      COPE,
      [
        defineMessage('miter'),
        defineMessage('both ends cut at half the turn, so that the profiles meet on a line'),
      ],
      [
        defineMessage('butt'),
        defineMessage('one piece ends square against the face of the one that runs through'),
      ],
      SCARF,
      [defineMessage('return'), defineMessage('the end turned back to the wall by a miter and a tiny piece')],
      NEAR,
      MARK,
    ],
  },
  stock: {
    what: defineMessage('Which lengths to buy, and how each is divided.'),
    steps: [
      defineMessage('The headline says what it costs and how near to the best that is.'),
      defineMessage(
        'Open a line to pin a stick or to note it as cut; drag a piece to another line to lay it yourself.',
      ),
      defineMessage(
        'For sale has the lengths and prices of your yard; What if compares; Buying makes the order.',
      ),
    ],
    words: [
      STICK,
      [defineMessage('kerf'), defineMessage('what the blade takes, measured square to it')],
      [
        defineMessage('offcut, rack'),
        defineMessage('what is left of a stick, and where such pieces are kept'),
      ],
      [
        defineMessage('proven'),
        defineMessage('no plan can cost less: every other way was looked at or ruled out'),
      ],
      [defineMessage('pinned'), defineMessage('chosen by hand; the rest is planned around it')],
      [defineMessage('spare'), defineMessage('sticks ordered on top, against what goes wrong')],
    ],
  },
  saw: {
    what: defineMessage('What was given to the saw, cut after cut.'),
    steps: [
      defineMessage('Take the stick that is asked for and write its letter on it.'),
      defineMessage(
        'Mark from the end that is named, set handle and blade as shown, cut, write the number on the back.',
      ),
      defineMessage('A tap on the list only looks at a piece; it comes to the saw when you say so.'),
      defineMessage('Something went wrong: Not good makes the piece again and offers its wood to others.'),
    ],
    words: [
      [defineMessage('miter, bevel'), defineMessage('the handle swung to a side; the blade leaned over')],
      [
        defineMessage('nested, flat'),
        defineMessage('crown standing against fence and table as it hangs, or lying on its back'),
      ],
      [defineMessage('spring angle'), defineMessage('the angle between the back of crown and the wall')],
      MARK,
      [defineMessage('back edge'), defineMessage('the edge that lies on the wall')],
      HELD,
    ],
  },
  hang: {
    what: defineMessage('The pieces of the room in the order they go up.'),
    steps: [
      defineMessage(
        'Answer what happened: it fits, it is fixed, it was trimmed, it comes back, the joint stands open.',
      ),
      defineMessage('What an open joint says of the corner goes into the walk by one press.'),
      defineMessage('A held piece is measured between its neighbors; write the figure and the saw has it.'),
    ],
    words: [
      COPE,
      SCARF,
      HELD,
      [
        defineMessage('open joint'),
        defineMessage('how far one looks into it at the face: the corner is not what was cut for'),
      ],
    ],
  },
  paper: {
    what: defineMessage('What was given to the saw, on paper.'),
    steps: [
      defineMessage('Choose the sheets or labels and print them.'),
      defineMessage('What was ticked on paper is entered here in one go afterwards.'),
    ],
    words: [STICK, MARK],
  },
  files: {
    what: defineMessage(
      'Lists, drawings and the whole job as files, to print, to send, to go on with elsewhere.',
    ),
    steps: [
      defineMessage('What depends on the cut plan waits until it is worked out.'),
      defineMessage('Patterns in true size are laid in their corner; hold a rule to their bar first.'),
    ],
    words: [STICK, NEAR],
  },
};
