import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Desk } from '../session/desk';
import type { HeldUp } from '../session/held-up';
import { Selection } from '../session/selection';
import { Ask } from '../ui/ask';
import { Written } from '../ui/written';

/** What this device recorded and could not write: each by name, with why, and with what can become of it. */
@Component({
  selector: 'bl-held-up-entries',
  imports: [MatButton, MatExpansionModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (lines().length > 0) {
      <mat-expansion-panel class="held" role="alert">
        <mat-expansion-panel-header>
          <strong>{{ lines().length === 1 ? 'One entry is held up' : lines().length + ' entries are held up' }}</strong>
          <span class="soft">on this device, until you say what becomes of it</span>
        </mat-expansion-panel-header>
        <ul>
          @for (line of lines(); track line.held.entry.id) {
            <li>
              <strong>{{ line.held.says }}</strong>
              <span class="soft">{{ line.when }}</span>
              <p>{{ line.held.words }}</p>
              <div class="row">
                <button matButton="outlined" type="button" (click)="tryAgain(line.held)">
                  {{ line.held.replaces ? 'Mine is right' : 'Try again' }}
                </button>
                @if (line.step; as step) {
                  <button matButton="outlined" type="button" (click)="selection.take(step)">
                    Take the step in hand
                  </button>
                }
                <button matButton="outlined" type="button" (click)="makeNote(line.held)">Keep it as a note</button>
                <button matButton type="button" (click)="drop(line.held)">Drop it</button>
              </div>
            </li>
          }
        </ul>
      </mat-expansion-panel>
    }
  `,
  styles: `
    .held {
      border: 2px solid var(--marker);
      background: var(--marker-soft);
      margin-bottom: 1rem;
      padding: 0 0.8rem;
    }
    mat-expansion-panel-header .soft {
      margin-left: 0.75rem;
    }
    ul {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    li {
      padding: 0.6rem 0;
      border-top: 1px solid var(--marker);
    }
    li strong {
      margin-right: 0.75rem;
    }
    li p {
      margin: 0.25rem 0;
    }
  `,
})
export class HeldUpEntries {
  private readonly written = inject(Written);
  protected readonly desk = inject(Desk);
  protected readonly selection = inject(Selection);
  private readonly asker = inject(Ask);
  private readonly bar = inject(MatSnackBar);

  protected readonly lines = computed(() => {
    const state = this.desk.state();
    if (!state) return [];
    return this.desk.heldUp().map((held) => {
      const { entry } = held;
      const step = 'operation' in entry && entry.operation !== undefined ? entry.operation : undefined;
      return {
        held,
        when: `${entry.by}, ${this.written.moment(entry.at)}`,
        step: step !== undefined && state.work.operations.has(step) ? step : undefined,
      };
    });
  });

  protected tryAgain(held: HeldUp): void {
    const refused = this.desk.tryAgain(held);
    if (refused !== undefined) this.bar.open(`Held up again: ${refused}`, undefined, { duration: 7_000 });
  }

  protected makeNote(held: HeldUp): void {
    const refused = this.desk.makeNote(
      held,
      `${held.says} (${held.entry.by}, ${this.written.moment(held.entry.at)}). ${held.words}`,
    );
    this.bar.open(refused ?? 'Written down as a note', undefined, { duration: 7_000 });
  }

  protected async drop(held: HeldUp): Promise<void> {
    const answers = await this.asker.ask({
      title: `Drop it: ${held.says}`,
      words: 'It stands nowhere else. Once dropped it cannot be brought back.',
      questions: [],
      action: 'Drop it',
    });
    if (answers) this.desk.letGo(held.entry.id);
  }
}
