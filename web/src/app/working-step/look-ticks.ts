import { ChangeDetectionStrategy, Component, computed, input, model } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { LOOK_WORDS, type AskedLook, type Look } from '@brisk/core/adjusting';

/** What is looked at, listened to or pulled at as a joint goes together: some with a tick of their own, some said with the key. */
@Component({
  selector: 'bl-look-ticks',
  imports: [MatCheckbox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (one of own(); track one.value) {
      <mat-checkbox [checked]="ticked().has(one.value)" (change)="tick(one.value, $event.checked)">{{
        one.words
      }}</mat-checkbox>
    }
    @if (said(); as words) {
      <p class="soft">“Done” says as well: {{ words }}.</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.25rem;
    }
    p {
      margin: 0;
    }
  `,
})
export class LookTicks {
  readonly asked = input.required<readonly AskedLook[]>();
  readonly ticked = model.required<ReadonlySet<Look>>();

  protected readonly own = computed(() =>
    this.asked()
      .filter(({ own }) => own)
      .map(({ look }) => ({ value: look, words: LOOK_WORDS[look].asked })),
  );
  protected readonly said = computed(() =>
    this.asked()
      .filter(({ own }) => !own)
      .map(({ look }) => LOOK_WORDS[look].good)
      .join(', '),
  );

  protected tick(look: Look, on: boolean): void {
    const ticked = new Set(this.ticked());
    if (on) ticked.add(look);
    else ticked.delete(look);
    this.ticked.set(ticked);
  }
}
