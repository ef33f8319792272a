import type { Schema } from 'yup';
import type { Choice } from './choice';

/** One thing to ask for: how it is labelled, how it is entered, what it has to be. */
export interface Question {
  readonly field: string;
  readonly label: string;
  readonly as: 'line' | 'lines' | 'amount' | 'choice' | 'secret' | 'pin';
  readonly schema: Schema;
  readonly choices?: readonly Choice<string>[];
  readonly initial?: string | number;
  readonly hint?: string;
  readonly suffix?: string;
}

/** A few questions asked together. */
export interface Asking {
  readonly title: string;
  readonly words?: string;
  readonly caution?: string;
  readonly questions: readonly Question[];
  readonly action: string;
  /** What the same person had written before, where they were interrupted. */
  readonly kept?: Answers;
}

export type Answers = Readonly<Record<string, string | number | undefined>>;
