import { later } from '../../words/later.ts';
import type { Stage } from './stages.ts';

/** What the help says of a screen: what it is for, what one does there in which order, and the trade's words on it. */
export interface HelpTexts {
  readonly what: string;
  readonly steps: readonly string[];
  readonly words: readonly Word[];
}

/** A word of the trade, and what is meant by it here. */
type Word = readonly [word: string, meaning: string];

const ANGLE: Word = [
  later('corner angle'),
  later(
    'inside the room, between the faces of two walls: 90 is a square inside corner, 270 a square outside one',
  ),
];
const NEAR: Word = [
  later('near line, far line'),
  later(
    'the line a piece is measured along (its back; for casing the side at the jamb), and its face on the other side',
  ),
];
const COPE: Word = [
  later('cope'),
  later('one piece runs through to the corner, the other is cut along its profile to fit over it'),
];
const SCARF: Word = [
  later('scarf'),
  later('two pieces joined along a wall by parallel slanted cuts; the one over lies nearer to the viewer'),
];
const HELD: Word = [
  later('held'),
  later('not cut before it has been measured in its place, after its neighbors hang'),
];
const STICK: Word = [later('stick'), later('a length of stock as it is bought')];
const MARK: Word = [
  later('long, short'),
  later('where the figure runs to: the long point of a slanted end, or its short point'),
];

const OPENINGS: HelpTexts = {
  what: later('All doors and windows of the job in one list, with what is dressed around each.'),
  steps: [
    later(
      'A new row takes the kind and the wall, d3 is a door in wall 3; then the figures from left to right.',
    ),
    later('Enter takes a figure and goes on to the next; an empty cell asks for nothing.'),
    later('Open a row for its casing, stool, head and jambs; same as copies another one.'),
  ],
  words: [
    [later('casing'), later('the trim around a door or window: two legs and a head')],
    [later('reveal'), later('the step between the jamb and the casing')],
    [later('stool, apron'), later('the board one lays a hand on under a window, and the piece below it')],
    [later('plinth'), later('a thicker block at the foot of a leg, where the base ends against it')],
    [later('jamb strips'), later('what brings a jamb out to the face of the wall')],
    HELD,
  ],
};

/** The help of each screen of a job. */
export const HELP: Readonly<Record<Stage, HelpTexts>> = {
  rooms: {
    what: later('The rooms of the job: what is recorded of each, and what is still to measure.'),
    steps: [
      later('Open a room to walk it, or add one above.'),
      later('Rooms come in from a table or a drawing; they are shown before anything is taken in.'),
      later('A walk sheet to print is for whoever measures with a pencil.'),
    ],
    words: [
      ANGLE,
      [later('assumed'), later('not measured: a corner counts as 90 and says so until somebody reads it')],
    ],
  },
  walk: {
    what: later('What the tape says of one room, wall by wall.'),
    steps: [
      later('Stand inside at the entry, face the wall to its right, and go round clockwise.'),
      later(
        'Write each length as it is read, 142 3/8 or 3617; Enter goes on. a 92 behind it is the corner, d 32, 36, 80 a door.',
      ),
      later(
        'At the end the room must close: the line under the plan says by how much it does not, and which figure is most likely wrong.',
      ),
    ],
    words: [
      ANGLE,
      [
        later('closing'),
        later('walked all round, one should stand where one began; what is left is the misfit'),
      ],
      [later('assumed'), later('not measured: a corner counts as 90 and says so until somebody reads it')],
      [later('off straight'), later('what a protractor shows that reads 0 on a straight wall')],
      [later('lean'), later('degrees a wall is out of plumb at a corner, + with its top towards the room')],
    ],
  },
  openings: OPENINGS,
  joints: {
    what: later('Every piece of the room: how long, which joint at each end, and why.'),
    steps: [
      later('Pick a piece in the list, on the plan or on the ribbon; arrow keys go from one to the next.'),
      later('A joint you choose yourself is pinned and stays until you release it.'),
      later(
        'Trims says what runs where; House rules how your crew does it, with what a change costs before it is made.',
      ),
      later('A splice is dragged along the ribbon to where it hides best.'),
    ],
    words: [
      COPE,
      [later('miter'), later('both ends cut at half the turn, so that the profiles meet on a line')],
      [later('butt'), later('one piece ends square against the face of the one that runs through')],
      SCARF,
      [later('return'), later('the end turned back to the wall by a miter and a tiny piece')],
      NEAR,
      MARK,
    ],
  },
  stock: {
    what: later('Which lengths to buy, and how each is divided.'),
    steps: [
      later('The headline says what it costs and how near to the best that is.'),
      later(
        'Open a line to pin a stick or to note it as cut; drag a piece to another line to lay it yourself.',
      ),
      later('For sale has the lengths and prices of your yard; What if compares; Buying makes the order.'),
    ],
    words: [
      STICK,
      [later('kerf'), later('what the blade takes, measured square to it')],
      [later('offcut, rack'), later('what is left of a stick, and where such pieces are kept')],
      [later('proven'), later('no plan can cost less: every other way was looked at or ruled out')],
      [later('pinned'), later('chosen by hand; the rest is planned around it')],
      [later('spare'), later('sticks ordered on top, against what goes wrong')],
    ],
  },
  saw: {
    what: later('What was given to the saw, cut after cut.'),
    steps: [
      later('Take the stick that is asked for and write its letter on it.'),
      later(
        'Mark from the end that is named, set handle and blade as shown, cut, write the number on the back.',
      ),
      later('A tap on the list only looks at a piece; it comes to the saw when you say so.'),
      later('Something went wrong: Not good makes the piece again and offers its wood to others.'),
    ],
    words: [
      [later('miter, bevel'), later('the handle swung to a side; the blade leaned over')],
      [
        later('nested, flat'),
        later('crown standing against fence and table as it hangs, or lying on its back'),
      ],
      [later('spring angle'), later('the angle between the back of crown and the wall')],
      MARK,
      [later('back edge'), later('the edge that lies on the wall')],
      HELD,
    ],
  },
  hang: {
    what: later('The pieces of the room in the order they go up.'),
    steps: [
      later(
        'Answer what happened: it fits, it is fixed, it was trimmed, it comes back, the joint stands open.',
      ),
      later('What an open joint says of the corner goes into the walk by one press.'),
      later('A held piece is measured between its neighbors; write the figure and the saw has it.'),
    ],
    words: [
      COPE,
      SCARF,
      HELD,
      [
        later('open joint'),
        later('how far one looks into it at the face: the corner is not what was cut for'),
      ],
    ],
  },
  paper: {
    what: later('What was given to the saw, on paper.'),
    steps: [
      later('Choose the sheets or labels and print them.'),
      later('What was ticked on paper is entered here in one go afterwards.'),
    ],
    words: [STICK, MARK],
  },
  files: {
    what: later('Lists, drawings and the whole job as files, to print, to send, to go on with elsewhere.'),
    steps: [
      later('What depends on the cut plan waits until it is worked out.'),
      later('Patterns in true size are laid in their corner; hold a rule to their bar first.'),
    ],
    words: [STICK, NEAR],
  },
};
