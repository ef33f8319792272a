/**
 * Labels: what stands on a tag or a bag, what stands in its code, and what a code that was read means. A label printed
 * for a job names the job by the beginning of its id; a label of a pre-printed roll has only a number, and gets its job
 * when it is stuck on.
 */
export { jobCode, LABEL_KINDS, labelPath, readLabel, type LabelCode, type LabelKind } from './code.js';
export { labelsOf, rollLabels, type LabelContents } from './contents.js';
