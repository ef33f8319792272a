/** Why an entry may not be written now, in words for the person who tried. `because` names the kind of reason. */
export interface Refusal {
  readonly because:
    | 'unknown'
    | 'order'
    | 'height'
    | 'holding'
    | 'gate'
    | 'torque'
    | 'count'
    | 'twice'
    | 'sense'
    | 'closed';
  readonly words: string;
}

/** Nothing speaks against it. */
export const NOTHING: readonly Refusal[] = [];

/** One reason. */
export const refuse = (because: Refusal['because'], words: string): readonly Refusal[] => [{ because, words }];

/** Something that is not on this job. */
export function unknown(what: string, id: string): readonly Refusal[] {
  return refuse('unknown', `There is no ${what} called “${id}” on this job.`);
}
