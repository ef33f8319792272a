/**
 * Torque: in which order and stages a joint is tightened, what is set on the wrench, whether a reading meets its target and
 * whether the tool could be trusted to give it. Tolerances are those of click wrenches in ISO 6789-1: 4 % of the value, 6 %
 * at or below 10 N·m. A maker's own figure always wins.
 */
export {
  FIRST_WRENCHES,
  judgeTorque,
  torqueTolerance,
  torqueWindow,
  wrenchFor,
  wrenchTrusted,
  type TorqueVerdict,
  type TorqueWrench,
  type WrenchRange,
} from './reading.js';
export { givenBy, leverRatio, settingFor, TorqueError, type Adapter, type FittedAdapter } from './adapter.js';
export { advisoryTorque, samePullNm, stressAreaMm2, THREAD_STATE_WORDS, type AdvisoryTorque } from './advisory.js';
export { boltNm, CALIBRATED_FOR_USES, calibrationDue, judgeStage, type WrenchInHand } from './judge.js';
export { otherwiseMeant } from './meant.js';
export { besideTheLast, clockwiseOrder, tighteningOrder, unevennessOf, type PlaceMm } from './order.js';
export { FIRST_RACK, wrenchAt, type ShopWrench, type WrenchRack } from './rack.js';
export { PULLS, simulatedWrench, WRENCH_EVERY_MS, type Pull, type WrenchReading } from './simulated-wrench.js';
export { stageWords, tighteningStages, type JointIs, type TighteningStage } from './stages.js';
export { nextTurnDeg, turnsLeft } from './turns.js';
