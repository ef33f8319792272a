/** Stops: where a job is on its journey. It needs nothing else of core, so that the yard loads nothing else. */

/** The eight stops of a job's journey. */
export const STOPS = ['survey', 'plan', 'strip', 'lift', 'bench', 'refit', 'first-start', 'handover'] as const;
export type Stop = (typeof STOPS)[number];

export const STOP_WORDS: Readonly<Record<Stop, string>> = {
  survey: 'Survey',
  plan: 'Plan',
  strip: 'Strip',
  lift: 'Lift',
  bench: 'Bench',
  refit: 'Refit',
  'first-start': 'First start',
  handover: 'Handover',
};
