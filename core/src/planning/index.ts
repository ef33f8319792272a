/**
 * Planning: the rest of one half of a job as a plan. Turns state and the crew’s settings into a scheduling problem, any
 * order into a plan with times and people, and says what a plan needs, breaks, changes and promises. The search itself
 * is in `schedule`; it runs in a worker.
 */
export { movedAlong, movedTo, pinnedTo, unpinned } from './arranging.js';
export { sheetSetups, type SheetSetup, type Tray } from './carried-sheet.js';
export { differencesOf, type Differences, type Moved } from './differences.js';
export { brokenBy, whatIfNow, type Breach } from './harm.js';
export { openedBy, type Opened } from './opened.js';
export { overtakenBy, type Overtaken } from './overtaken.js';
export {
  arranged,
  orderOf,
  planned,
  prepared,
  keptOrder,
  tasksIn,
  turnsOf,
  workOrder,
  type Planned,
  type Prepared,
} from './planned.js';
export { practicesOf, type PracticeAnswer, type PracticeChoice, type PracticeQuestion } from './practice.js';
export { isLicensed, problemFor, type PlanningProblem } from './problem-for.js';
export { SearchRun, type Asked, type Found } from './search-run.js';
export { detailsOf, type StepDetails } from './sheet-details.js';
export { LIFT, RAISING, raisedOnBy, raisedOnFor, type Raising } from './raising.js';
export { agedBy, settingsNow, usualSettings, waitsNow } from './settings.js';
export { toolsNeeded, type ShopTool, type ToolNeed } from './tools.js';
export {
  clockAt,
  clockWords,
  closes,
  closesAfter,
  USUAL_DAY,
  whenWords,
  workGoesOn,
  workUntil,
  workUntilMoment,
} from './working-day.js';
export { helpWords } from './help-words.js';
