import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { proposedLooks } from '@brisk/core/running-in';
import { several } from '@brisk/core/words';
import { addDays, formatISO } from 'date-fns';
import { v4 as uuid } from 'uuid';
import { Desk } from '../session/desk';
import { Recorder } from '../session/recorder';

/** Once running in is over: what is worth a second look by what was done, planned all at once with one touch. */
@Component({
  selector: 'bl-looks-proposed',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (proposed().length > 0) {
      <section aria-label="Second looks">
        <p>
          <strong>{{ several(proposed().length, 'thing is', 'things are') }} worth a second look:</strong>
          {{ words() }}
        </p>
        <button matButton="filled" type="button" (click)="planAll()">Plan all of them</button>
      </section>
    }
  `,
  styles: `
    section {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.5rem 1rem;
      padding: 0.6rem 0.8rem;
      border-left: 6px solid var(--work);
      background: var(--work-soft);
    }

    p {
      flex: 1 1 20rem;
    }
  `,
})
export class LooksProposed {
  private readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  protected readonly several = several;

  protected readonly proposed = computed(() => {
    const state = this.desk.state();
    return state ? proposedLooks(state) : [];
  });
  protected readonly words = computed(() =>
    this.proposed()
      .map(({ what, inDays }) => `${what} (in ${several(inDays, 'day')})`)
      .join('; '),
  );

  protected planAll(): void {
    const looks = this.proposed();
    this.recorder.record(
      `On the list: ${several(looks.length, 'second look')}`,
      ...looks.map(
        ({ what, inDays, afterKm }) =>
          ({
            kind: 'second-look-planned',
            look: uuid(),
            what,
            dueOn: formatISO(addDays(new Date(), inDays), { representation: 'date' }),
            ...(afterKm === undefined ? {} : { afterKm }),
          }) as const,
      ),
    );
  }
}
