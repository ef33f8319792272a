/**
 * The map as a picture of its bay: every part in true measure, where connections join and by which way hoses run, as seen
 * from where a person stands. Made from the shapes; no picture is stored.
 */
export { countsByView, drawBay, type BayDrawing, type Bundle, type Look, type Seen } from './draw-bay.js';
export { framesMeet, frameRound, seenFrom, VIEWS, viewOf, type Frame, type Spot, type View } from './views.js';
export { meetingOf, type Meeting } from './meeting.js';
