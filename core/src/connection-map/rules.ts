import type { JobPlan } from './job-plan.js';

/**
 * The edition of the rules that new jobs are held to; ledgers that were written under an earlier one still stand.
 * From the second on a set has to come out even before its final torque, and grounds are looked at before the first
 * start. From the third on every order of the way out is turned round on the way back, the fasteners that let a heavy
 * part down come last of those that hold it, nothing leaves its wheels before it is signed that it is made safe, and what is
 * looked at before and after the first start fits the job. From the fourth on what sits on a unit that is replaced is renewed
 * on the other one, before what covers it goes on, and dowels and senders go over first of all. From the fifth on seats are
 * measured while they can be, joints are looked at as they go together and set by trying before the first start, and a tray
 * that came out short is kept open until the level is set. From the sixth on what is renewed is renewed with what has come, or it
 * is said that the old one went back. From the seventh on two faces that met are bolted at once by the same hands, nothing
 * loads the crank while it or the injection pump is pinned, and mounts are drawn down in two stages. From the eighth on a unit
 * that comes from elsewhere is empty until it is filled or somebody says what is in it, and gear is signed for before it carries.
 */
export const RULES_NOW = 8;

/** Whether a job on `plan` is held to the rules of `edition`. */
export function planHeldTo({ rules = 1 }: JobPlan, edition: number): boolean {
  return rules >= edition;
}
