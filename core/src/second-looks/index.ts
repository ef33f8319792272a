/** Second looks: which are due. It needs nothing else of core, so that the yard loads nothing else. */

/** Whether a second look is due on `today` (a day such as 2026-03-02): by its day; kilometres nobody counts for us. */
export function lookDue({ dueOn, done }: { readonly dueOn?: string; readonly done?: unknown }, today: string): boolean {
  return done === undefined && dueOn !== undefined && dueOn <= today;
}
