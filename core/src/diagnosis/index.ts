/**
 * Diagnosis: what is wrong with it. Causes and tests as data, how likely each answer of a test is with each cause, what this job
 * touched and left open as priors, and the next test that tells most for its minutes. The knowledge can be edited by the shop;
 * what does not hold together in it is named.
 */
export {
  beliefs,
  canBe,
  isFor,
  likelihood,
  lookAt,
  nextTests,
  stopWords,
  OTHER,
  type Belief,
  type Evidence,
  type Machine,
  type NextTest,
  type Raise,
} from './belief.js';
export { CAUSES } from './causes/index.js';
export { cylinderDrop, type CylinderDrop } from './cylinder-drop.js';
export { seenBad } from './seen-bad.js';
export { COMPLAINT, withComplaint } from './complaints.js';
export {
  BURNS,
  problemsOfKnowledge,
  TEST_STATES,
  type About,
  type Burns,
  type Cause,
  type ForMachine,
  type KnowledgeProblem,
  type Signs,
  type TestAnswer,
  type TestState,
  type TroubleKnowledge,
  type TroubleTest,
} from './knowledge.js';
export { evidenceOf, jointsOf, machineOf, placesOf, raisesOf, ruledOut } from './on-the-job.js';
export { knowledgeOf, NO_OWN_KNOWLEDGE, type FoundCause, type OwnKnowledge } from './own-knowledge.js';
export { byCodes, readByBox } from './read-by-box.js';
export { TESTS } from './tests/index.js';
