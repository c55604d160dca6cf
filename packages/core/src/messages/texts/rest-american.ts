import { actTexts } from '../en-us/act.ts';
import { adviceTexts } from '../en-us/advice.ts';
import { benchTexts } from '../en-us/bench.ts';
import { boundTexts } from '../en-us/bound.ts';
import { calcTexts } from '../en-us/calc.ts';
import { calcCasingsTexts } from '../en-us/calc-casings.ts';
import { calcCornersTexts } from '../en-us/calc-corners.ts';
import { calcCrownTexts } from '../en-us/calc-crown.ts';
import { calcFitTexts } from '../en-us/calc-fit.ts';
import { calcFramesTexts } from '../en-us/calc-frames.ts';
import { calcLengthsTexts } from '../en-us/calc-lengths.ts';
import { calcRoundTexts } from '../en-us/calc-round.ts';
import { calcSawTexts } from '../en-us/calc-saw.ts';
import { calcSlopesTexts } from '../en-us/calc-slopes.ts';
import { calcTapeTexts } from '../en-us/calc-tape.ts';
import { calcUntrueWallsTexts } from '../en-us/calc-untrue-walls.ts';
import { crownTexts } from '../en-us/crown.ts';
import { cutTexts } from '../en-us/cut.ts';
import { cutlistTexts } from '../en-us/cutlist.ts';
import { deviceTexts } from '../en-us/device.ts';
import { drawTexts } from '../en-us/draw.ts';
import { fieldTexts } from '../en-us/field.ts';
import { glueTexts } from '../en-us/glue.ts';
import { handoverTexts } from '../en-us/handover.ts';
import { hangTexts } from '../en-us/hang.ts';
import { hangingTexts } from '../en-us/hanging.ts';
import { jointTexts } from '../en-us/joint.ts';
import { lacksTexts } from '../en-us/lacks.ts';
import { lessonTexts } from '../en-us/lesson.ts';
import { libraryTexts } from '../en-us/library.ts';
import { markTexts } from '../en-us/mark.ts';
import { materialTexts } from '../en-us/material.ts';
import { openingTexts } from '../en-us/opening.ts';
import { paperTexts } from '../en-us/paper.ts';
import { partTexts } from '../en-us/part.ts';
import { pieceTexts } from '../en-us/piece.ts';
import { pinTexts } from '../en-us/pin.ts';
import { placeTexts } from '../en-us/place.ts';
import { practiceTexts } from '../en-us/practice.ts';
import { purchaseTexts } from '../en-us/purchase.ts';
import { rackTexts } from '../en-us/rack.ts';
import { readingTexts } from '../en-us/reading.ts';
import { refusalTexts } from '../en-us/refusal.ts';
import { restTexts } from '../en-us/rest.ts';
import { ruleTexts } from '../en-us/rule.ts';
import { sawTexts } from '../en-us/saw.ts';
import { sheetTexts } from '../en-us/sheet.ts';
import { shopTexts } from '../en-us/shop.ts';
import { spliceTexts } from '../en-us/splice.ts';
import { tableTexts } from '../en-us/table.ts';
import { walkTexts } from '../en-us/walk.ts';
import { warningTexts } from '../en-us/warning.ts';
import { whatifTexts } from '../en-us/whatif.ts';

/** Texts of the screens of a job, of the library and the calculators, which are loaded with them. */
export const REST_AMERICAN = {
  ...actTexts,
  ...adviceTexts,
  ...benchTexts,
  ...boundTexts,
  ...calcTexts,
  ...calcCasingsTexts,
  ...calcCornersTexts,
  ...calcCrownTexts,
  ...calcFitTexts,
  ...calcFramesTexts,
  ...calcLengthsTexts,
  ...calcRoundTexts,
  ...calcSawTexts,
  ...calcSlopesTexts,
  ...calcTapeTexts,
  ...calcUntrueWallsTexts,
  ...crownTexts,
  ...cutTexts,
  ...cutlistTexts,
  ...deviceTexts,
  ...drawTexts,
  ...fieldTexts,
  ...glueTexts,
  ...handoverTexts,
  ...hangTexts,
  ...hangingTexts,
  ...jointTexts,
  ...lacksTexts,
  ...lessonTexts,
  ...libraryTexts,
  ...markTexts,
  ...materialTexts,
  ...openingTexts,
  ...paperTexts,
  ...partTexts,
  ...pieceTexts,
  ...pinTexts,
  ...placeTexts,
  ...practiceTexts,
  ...purchaseTexts,
  ...rackTexts,
  ...readingTexts,
  ...refusalTexts,
  ...restTexts,
  ...ruleTexts,
  ...sawTexts,
  ...sheetTexts,
  ...shopTexts,
  ...spliceTexts,
  ...tableTexts,
  ...walkTexts,
  ...warningTexts,
  ...whatifTexts,
} as const;
