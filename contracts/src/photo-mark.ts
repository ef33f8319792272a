import { PHOTO_MARKS, type PhotoMark } from '@brisk/core/photos';
import { list, oneOf, optionalName, share } from './fields.js';
import { record } from './record.js';

const MOST_MARKS = 60;

const point = () => record<PhotoMark['from']>({ x: share(), y: share() });

/** What is drawn on one picture or page. */
export const marksDrawn = () =>
  list(
    record<PhotoMark>({ kind: oneOf(PHOTO_MARKS), from: point(), to: point(), words: optionalName(200) }),
    MOST_MARKS,
  );
