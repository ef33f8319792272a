import { TROUBLE_WORDS, MEANS_WORDS } from '@brisk/core/ledger';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { House } from '../session/house';

/** What this shop learned at one step, on machines of the same kind. */
@Component({
  selector: 'bl-house-words',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (note of notes(); track $index) {
      <p>
        <strong>House note</strong> {{ note.text }} <span class="soft">{{ note.by }}, {{ note.machine }}</span>
      </p>
    }
    @for (trouble of troubles(); track $index) {
      <p>
        <strong>Fought back before</strong> {{ trouble.words }} <span class="soft">{{ trouble.machine }}</span>
      </p>
    }
  `,
  styles: `
    p {
      border-left: 6px solid var(--work);
      background: var(--work-soft);
      padding: 0.35rem 0.8rem;
      margin-bottom: 0.35rem;
    }
  `,
})
export class HouseWords {
  readonly operation = input.required<string>();
  /** The first note stands with the step itself; whatever else there is stands beside it. */
  readonly part = input<'first' | 'rest'>('first');
  private readonly house = inject(House);
  protected readonly notes = computed(() => {
    const notes = this.house.knowledge().notes[this.operation()] ?? [];
    return this.part() === 'first' ? notes.slice(0, 1) : notes.slice(1, 4);
  });
  protected readonly troubles = computed(() =>
    (this.part() === 'first' ? [] : (this.house.knowledge().troubles[this.operation()] ?? []))
      .slice(0, 2)
      .map(({ trouble, tried, means, came, machine }) => {
        const with_ = means.map((one) => MEANS_WORDS[one].toLowerCase()).join(', ');
        return {
          words: `${TROUBLE_WORDS[trouble].toLowerCase()}. ${tried}${with_ ? ` (${with_})` : ''}. ${came ? 'It came.' : 'It had not come yet.'}`,
          machine,
        };
      }),
  );
}
