import {
  addSplice,
  changeOpening,
  pinJoint,
  setForm,
  setLean,
  setReading,
  type Send,
  type Survey,
} from '@long-miter/core';
import { t } from '../../messages/t.ts';
import { openingWord } from '../../shared/text/code-words.ts';

/** Where a result of the Bench goes in a room: the wall (its corner is the one after it), and what of it. */
export interface Place {
  readonly wall: number;
  readonly opening?: string;
  readonly trim?: string;
}

/** Puts a result of the Bench into a survey. A place without what the result needs changes nothing. */
export function applySend(survey: Survey, send: Send, place: Place): Survey {
  const { wall, opening, trim } = place;
  if (!survey.walls[wall]) return survey;
  switch (send.to) {
    case 'corner':
      return setReading(survey, wall, send.reading);
    case 'corner-form':
      return setForm(survey, wall, send.form);
    case 'corner-lean':
      return setLean(survey, wall, send.lean);
    case 'joint':
      return trim === undefined ? survey : pinJoint(survey, wall, trim, send.pin);
    case 'splice':
      return trim === undefined ? survey : addSplice(survey, wall, trim, send.at);
    case 'opening': {
      if (opening === undefined) return survey;
      const { change } = send;
      // The head's height stays what the plan is drawn from; left and right say how far it is out of level.
      return changeOpening(survey, wall, opening, change);
    }
  }
}

/** Words for the place a result goes to. */
export function placeName(survey: Survey, send: Send, place: Place): string {
  const number = place.wall + 1;
  if (send.to === 'opening') {
    const opening = survey.walls[place.wall]?.openings?.find((one) => one.id === place.opening);
    return t('the {kind} in wall {number}', {
      kind: opening ? openingWord(opening.kind) : t('opening'),
      number,
    });
  }
  return send.to === 'splice'
    ? t('wall {number}', { number })
    : t('the corner after wall {number}', { number });
}
