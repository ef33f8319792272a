/** What a label is on. */
export const LABEL_KINDS = ['tag', 'bag'] as const;
export type LabelKind = (typeof LABEL_KINDS)[number];

/** A label as its code says it. */
export interface LabelCode {
  readonly is: LabelKind;
  readonly number: number;
  /** The beginning of the job’s id; absent on a pre-printed roll. */
  readonly job?: string;
}

const LETTER: Readonly<Record<LabelKind, string>> = { tag: 't', bag: 'b' };
/** So many characters of a job’s id tell the jobs of a shop apart and keep the code coarse enough to be read greasy. */
const JOB_LETTERS = 8;

/** The short name of a job on its labels. */
export function jobCode(job: string): string {
  return job.slice(0, JOB_LETTERS);
}

/** The path a label’s code opens on the shop’s address, such as `/t/3f0c8a52/31`. */
export function labelPath({ is, number, job }: LabelCode): string {
  return `/${LETTER[is]}/${job === undefined ? '' : `${job}/`}${number}`;
}

/** What a code that was read says, whatever address it was printed for; a plain number is a tag. Undefined: not ours. */
export function readLabel(text: string): LabelCode | undefined {
  const trimmed = text.trim();
  const found = /(?:^|\/)([tb])\/(?:([0-9a-f]{8})\/)?(\d{1,6})$/.exec(trimmed) ?? /^()()(\d{1,6})$/.exec(trimmed);
  if (!found) return undefined;
  const number = Number(found[3]);
  if (number < 1) return undefined;
  return { is: found[1] === 'b' ? 'bag' : 'tag', number, ...(found[2] ? { job: found[2] } : {}) };
}
