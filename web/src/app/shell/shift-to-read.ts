import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatExpansionModule } from '@angular/material/expansion';
import { Desk } from '../session/desk';
import { Written } from '../ui/written';
import { Recorder } from '../session/recorder';
import { Seen } from '../ui/seen';
import { ShiftLines } from './shift-lines';

/** The shift before handed over, and who is at this device has not read it yet. */
@Component({
  selector: 'bl-shift-to-read',
  imports: [MatButton, MatExpansionModule, Seen, ShiftLines],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (toRead(); as shift) {
      <mat-expansion-panel class="shift" role="status">
        <mat-expansion-panel-header>
          <strong>{{ shift.by }} handed the shift over</strong>
          <span class="soft">{{ shift.when }}: read it before you go on</span>
        </mat-expansion-panel-header>
        <bl-shift-lines [lines]="shift.lines" />
        @if (shift.added) {
          <p class="added">{{ shift.added }}</p>
        }
        <span class="end" [blSeen]="shift.entry" (seen)="seenTo.set($event)"></span>
        <button matButton="filled" type="button" [disabled]="seenTo() !== shift.entry" (click)="read(shift.entry)">
          {{ seenTo() === shift.entry ? 'Read, I take it over' : 'Read it to its end first' }}
        </button>
      </mat-expansion-panel>
    }
  `,
  styles: `
    .shift {
      border: 2px solid var(--work);
      background: var(--work-soft);
      margin-bottom: 1rem;
      padding: 0 0.8rem;
    }
    .end {
      display: block;
      height: 1px;
    }
    .soft {
      margin-left: 0.75rem;
    }
    .added {
      margin: 0.75rem 0;
      font-weight: 600;
    }
  `,
})
export class ShiftToRead {
  private readonly written = inject(Written);
  private readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  /** The shift whose last line was on the screen. */
  protected readonly seenTo = signal('');

  protected readonly toRead = computed(() => {
    const state = this.desk.state();
    const shift = state?.shift;
    const me = this.desk.me();
    if (!shift || state.handedOver || shift.by === me || shift.readBy.some(({ by }) => by === me)) return undefined;
    return { ...shift, when: this.written.moment(shift.at) };
  });

  protected read(shift: string): void {
    this.recorder.record('Taken over', { kind: 'shift-read', shift });
  }
}
