import { keptWhere, setsOf, wantsTag, type JobState } from '../ledger/index.js';
import { jobCode, labelPath, type LabelKind } from './code.js';

/** What is printed on one label. */
export interface LabelContents {
  readonly is: LabelKind;
  readonly number: number;
  /** What the code opens, to be put behind the shop’s address. */
  readonly path: string;
  /** The joint, in one line. */
  readonly title: string;
  /** Which half or end it goes on; what is in the bag. */
  readonly details: readonly string[];
}

/** Labels of a job: two for each tag, one for each half; one for each bag. By number. */
export function labelsOf(state: JobState, jobId: string, is: LabelKind): readonly LabelContents[] {
  const job = jobCode(jobId);
  return is === 'tag' ? tagLabels(state, job) : bagLabels(state, job);
}

function tagLabels(state: JobState, job: string): readonly LabelContents[] {
  const partName = new Map(state.work.plan.map.parts.map(({ id, name }) => [id, name]));
  return [...state.tags]
    .sort(([, one], [, other]) => one - other)
    .flatMap(([id, number]) => {
      const connection = state.work.connections.get(id);
      if (!connection) return [];
      const label = (end: string | undefined): LabelContents => ({
        is: 'tag',
        number,
        path: labelPath({ is: 'tag', number, job }),
        title: connection.name,
        details: end === undefined ? [] : [`at the ${partName.get(end) ?? end}`],
      });
      return wantsTag(connection) ? connection.between.map(label) : [label(undefined)];
    });
}

function bagLabels(state: JobState, job: string): readonly LabelContents[] {
  return [...state.bags]
    .flatMap(([id, { out }]) => {
      const connection = state.work.connections.get(id);
      if (!connection || out?.bag === undefined || keptWhere(out.kept, out.bag) !== 'bag') return [];
      const sets = setsOf(state, id).map(({ count, what, note }) => `${count} × ${what}${note ? `, ${note}` : ''}`);
      const label: LabelContents = {
        is: 'bag',
        number: out.bag,
        path: labelPath({ is: 'bag', number: out.bag, job }),
        title: connection.name,
        details: [`${out.count} in it`, ...sets, ...(out.note ? [out.note] : [])],
      };
      return [label];
    })
    .sort((one, other) => one.number - other.number);
}

/** Labels of a roll printed beforehand: numbers from `from` on, each twice for tags. */
export function rollLabels(is: LabelKind, from: number, count: number): readonly LabelContents[] {
  return Array.from({ length: count }, (_, index) => from + index).flatMap((number) => {
    const label: LabelContents = { is, number, path: labelPath({ is, number }), title: '', details: [] };
    return is === 'tag' ? [label, label] : [label];
  });
}
