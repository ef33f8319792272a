import { computed, inject, Injectable } from '@angular/core';
import {
  CAUSES,
  knowledgeOf,
  NO_OWN_KNOWLEDGE,
  problemsOfKnowledge,
  TESTS,
  withComplaint,
  type FoundCause,
  type OwnKnowledge,
  type TroubleKnowledge,
} from '@brisk/core/diagnosis';
import { Api } from '../api/api';
import { KeptDocument } from './kept-document';

const SHIPPED: TroubleKnowledge = { tests: TESTS, causes: CAUSES };

/** What the shop knows of what goes wrong: what ships, and what it knows otherwise. */
@Injectable({ providedIn: 'root' })
export class TroubleShed {
  private readonly api = inject(Api);
  private readonly list = new KeptDocument<OwnKnowledge>(
    () => this.api.troubleKnowledge(),
    (own) => this.api.keepTroubleKnowledge(own),
  );

  readonly trouble = this.list.trouble;
  readonly own = computed(() => this.list.document() ?? NO_OWN_KNOWLEDGE);
  readonly loaded = computed(() => this.list.document() !== undefined);
  /** All of it, as it is edited. */
  readonly known = computed(() => knowledgeOf(SHIPPED, this.own()));

  constructor() {
    void this.list.load();
  }

  /** All of it as a machine is asked by it: with the complaint first, and what was `found` on machines of its kind counted. */
  asked(found: readonly FoundCause[]): TroubleKnowledge {
    return withComplaint(knowledgeOf(SHIPPED, this.own(), found));
  }

  /** What does not hold together in `own` with what ships, in a sentence; nothing where it does. */
  wrongWith(own: OwnKnowledge): string {
    const [first, ...more] = problemsOfKnowledge(knowledgeOf(SHIPPED, own));
    return first ? `${first.at}: ${first.words}${more.length > 0 ? ` And ${more.length} more.` : ''}` : '';
  }

  change(change: (own: OwnKnowledge) => OwnKnowledge): Promise<void> {
    return this.list.change(change);
  }
}
