/**
 * The survey: a dozen questions about the machine in front of the crew, from which its connection map follows. Nobody
 * has to know everything: what is not known is taken as whatever leaves nothing attached unseen, and noted to be
 * looked at. An answer can be changed later without losing what was edited meanwhile.
 */
export {
  choiceOf,
  DONT_KNOW,
  questionsFor,
  surveyed,
  type Answers,
  type OfferedAnswer,
  type Question,
  type Surveyed,
} from './questions.js';
export { reanswered } from './reanswer.js';
export { lookAtOf } from './look-at.js';
