/** What is loaded together: one file each for the browser to fetch cost more than all of them at once. */
export { FirstStart } from './first-start';
export { Ready } from './ready';
export { BatteryBoard } from './battery';
export { Trouble } from './trouble';
export { RunningIn } from './running-in';
export { Known } from './known';
