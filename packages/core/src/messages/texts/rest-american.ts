import { actTexts } from '../en-us/answers/act.ts';
import { adviceTexts } from '../en-us/plan/advice.ts';
import { benchTexts } from '../en-us/workshop/bench.ts';
import { boundTexts } from '../en-us/plan/bound.ts';
import { calcTexts } from '../en-us/calculators/calc.ts';
import { calcCasingsTexts } from '../en-us/calculators/calc-casings.ts';
import { calcCornersTexts } from '../en-us/calculators/calc-corners.ts';
import { calcCrownTexts } from '../en-us/calculators/calc-crown.ts';
import { calcFitTexts } from '../en-us/calculators/calc-fit.ts';
import { calcFramesTexts } from '../en-us/calculators/calc-frames.ts';
import { calcLengthsTexts } from '../en-us/calculators/calc-lengths.ts';
import { calcRoundTexts } from '../en-us/calculators/calc-round.ts';
import { calcSawTexts } from '../en-us/calculators/calc-saw.ts';
import { calcSlopesTexts } from '../en-us/calculators/calc-slopes.ts';
import { calcTapeTexts } from '../en-us/calculators/calc-tape.ts';
import { calcUntrueWallsTexts } from '../en-us/calculators/calc-untrue-walls.ts';
import { crownTexts } from '../en-us/survey/crown.ts';
import { cutTexts } from '../en-us/workshop/cut.ts';
import { cutlistTexts } from '../en-us/workshop/cutlist.ts';
import { deviceTexts } from '../en-us/workshop/device.ts';
import { drawTexts } from '../en-us/pictures/draw.ts';
import { fieldTexts } from '../en-us/survey/field.ts';
import { glueTexts } from '../en-us/workshop/glue.ts';
import { handoverTexts } from '../en-us/workshop/handover.ts';
import { hangTexts } from '../en-us/workshop/hang.ts';
import { hangingTexts } from '../en-us/workshop/hanging.ts';
import { jointTexts } from '../en-us/plan/joint.ts';
import { lacksTexts } from '../en-us/plan/lacks.ts';
import { lessonTexts } from '../en-us/workshop/lesson.ts';
import { libraryTexts } from '../en-us/answers/library.ts';
import { markTexts } from '../en-us/workshop/mark.ts';
import { materialTexts } from '../en-us/plan/material.ts';
import { openingTexts } from '../en-us/survey/opening.ts';
import { paperTexts } from '../en-us/pictures/paper.ts';
import { partTexts } from '../en-us/words/part.ts';
import { pieceTexts } from '../en-us/plan/piece.ts';
import { pinTexts } from '../en-us/plan/pin.ts';
import { placeTexts } from '../en-us/words/place.ts';
import { practiceTexts } from '../en-us/calculators/practice.ts';
import { purchaseTexts } from '../en-us/plan/purchase.ts';
import { rackTexts } from '../en-us/workshop/rack.ts';
import { readingTexts } from '../en-us/survey/reading.ts';
import { refusalTexts } from '../en-us/plan/refusal.ts';
import { restTexts } from '../en-us/workshop/rest.ts';
import { ruleTexts } from '../en-us/survey/rule.ts';
import { sawTexts } from '../en-us/workshop/saw.ts';
import { sheetTexts } from '../en-us/pictures/sheet.ts';
import { shopTexts } from '../en-us/workshop/shop.ts';
import { spliceTexts } from '../en-us/plan/splice.ts';
import { tableTexts } from '../en-us/survey/table.ts';
import { walkTexts } from '../en-us/survey/walk.ts';
import { warningTexts } from '../en-us/plan/warning.ts';
import { whatifTexts } from '../en-us/plan/whatif.ts';

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
