import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import type { BackupStatus } from '@brisk/contracts/backup';
import { several } from '@brisk/core/words';
import { formatDistanceToNowStrict, parseISO } from 'date-fns';
import { catchError, EMPTY, exhaustMap, timer } from 'rxjs';
import { Api } from '../../api/api';
import { Written } from '../../ui/written';

const LOOK_EVERY_MS = 60_000;

/** When the shop’s data was backed up last, and what is wrong with it. */
@Component({
  selector: 'bl-backup-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (line(); as line) {
      <p [class.marker]="line.wrong">{{ line.words }}</p>
    }
  `,
})
export class BackupLine {
  private readonly written = inject(Written);
  private readonly api = inject(Api);
  private readonly status = toSignal(
    timer(0, LOOK_EVERY_MS).pipe(exhaustMap(() => this.api.backup().pipe(catchError(() => EMPTY)))),
  );
  protected readonly line = computed(() => {
    const status = this.status();
    return status && lineFor(status, this.written.moment);
  });
}

function lineFor(
  { into, everyHours = 24, last, trouble }: BackupStatus,
  moment: (at: string) => string,
): {
  readonly words: string;
  readonly wrong: boolean;
} {
  if (into === undefined)
    return {
      words: 'No backup is made. Whoever looks after the server gives it a folder on another drive: README, Settings.',
      wrong: true,
    };
  const when = last && `${moment(last.madeAt)}, ${several(last.jobs, 'job')}`;
  if (trouble !== undefined)
    return {
      words: `▲ The backup failed: ${trouble} ${when ? `The last one is of ${when}.` : 'There is none yet.'}`,
      wrong: true,
    };
  if (!last || !when) return { words: `The first backup to ${into} is under way.`, wrong: false };
  const late = Date.now() - Date.parse(last.madeAt) > 2 * everyHours * 3_600_000;
  const age = formatDistanceToNowStrict(parseISO(last.madeAt));
  return { words: late ? `▲ The last backup is ${age} old, of ${when}.` : `Backed up ${when}.`, wrong: late };
}
