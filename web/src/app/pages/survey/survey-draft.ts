import type { Answers } from '@brisk/core/survey';

/** How far somebody has come with a survey; kept in the tab, so that a reload does not ask again. */
export interface SurveyDraft {
  readonly layout: string;
  readonly template: string;
  readonly answers: Answers;
  readonly at: string;
}

const KEY = 'brisk-ledger survey';

/** The survey that was under way in this tab, if any. */
export function readDraft(): SurveyDraft | undefined {
  try {
    const kept: unknown = JSON.parse(sessionStorage.getItem(KEY) ?? 'null');
    return isDraft(kept) ? kept : undefined;
  } catch {
    return undefined;
  }
}

/** Keeps `draft`, or forgets it. A tab that cannot keep anything asks again after a reload. */
export function keepDraft(draft: SurveyDraft | undefined): void {
  try {
    if (draft) sessionStorage.setItem(KEY, JSON.stringify(draft));
    else sessionStorage.removeItem(KEY);
  } catch {
    return;
  }
}

function isDraft(value: unknown): value is SurveyDraft {
  return (
    typeof value === 'object' &&
    value !== null &&
    'layout' in value &&
    'template' in value &&
    'answers' in value &&
    'at' in value &&
    typeof value.answers === 'object'
  );
}
