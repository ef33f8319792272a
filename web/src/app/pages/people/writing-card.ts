import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { CLOCK_FORMS, DAY_FORMS, dayWords, timeWords, USUAL_WRITING, type Writing } from '@brisk/core/words';
import { Door } from '../../session/door';
import { WritingShed } from '../../planning/writing-shed';
import { PickOne } from '../../ui/pick-one';

/** An afternoon whose day and month cannot be mistaken for each other. */
const EXAMPLE = '2026-11-30T14:05:00';

/** How the shop writes days and times of day, on every screen and sheet. */
@Component({
  selector: 'bl-writing-card',
  imports: [PickOne],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section>
      <h2>Days and times</h2>
      <p class="soft">As this shop writes them, on every screen and sheet.</p>
      @if (shed.trouble()) {
        <p class="marker" role="alert">{{ shed.trouble() }}</p>
      }
      @if (door.open() || door.leads()) {
        <div class="fields">
          <bl-pick label="Days" [choices]="days" [value]="now().days" (picked)="write({ days: $event })" />
          <bl-pick label="Times" [choices]="clocks" [value]="now().clock" (picked)="write({ clock: $event })" />
        </div>
      } @else {
        <p>{{ example() }}</p>
      }
    </section>
  `,
  styles: `
    .fields {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(12rem, 1fr));
      gap: 0.7rem;
      max-width: 28rem;
    }
  `,
})
export class WritingCard {
  protected readonly shed = inject(WritingShed);
  protected readonly door = inject(Door);
  protected readonly now = this.shed.writing;
  protected readonly days = DAY_FORMS.map((value) => ({
    value,
    words: dayWords(EXAMPLE, { ...USUAL_WRITING, days: value }),
  }));
  protected readonly clocks = CLOCK_FORMS.map((value) => ({
    value,
    words: timeWords(EXAMPLE, { ...USUAL_WRITING, clock: value }),
  }));
  protected write(as: Partial<Writing>): void {
    void this.shed.change((before) => ({ ...before, ...as }));
  }

  protected readonly example = computed(() => `${dayWords(EXAMPLE, this.now())}, ${timeWords(EXAMPLE, this.now())}`);
}
