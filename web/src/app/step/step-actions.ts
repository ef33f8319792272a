import { inject, Injectable, Injector, signal } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';
import {
  CONNECTION_KINDS,
  STATIONS,
  STEP_HEIGHTS,
  type ConnectionKind,
  type Station,
  type StepHeight,
} from '@brisk/core/connection-map';
import { count as wholeNumber, name, oneOf, text } from '@brisk/contracts/fields';
import { lastEntriesOf, setCountOf, type EntryBody, type LedgerEntry, type SkipMode, entryWords } from '@brisk/core/ledger';
import type { PinnedTo } from '@brisk/core/photos';
import type { Operation } from '@brisk/core/teardown';
import { HEIGHT_WORDS, STATION_WORDS, several } from '@brisk/core/words';
import { firstValueFrom } from 'rxjs';
import { v4 as uuid } from 'uuid';
import { Desk } from '../desk/desk';
import { Ask } from '../forms/ask';
import { choicesFrom } from '../forms/asking';
import { PhotoBox } from '../photos/photo-box';
import type { StuckAsked, StuckTold } from '../stuck/stuck-path';
import { KIND_WORDS } from '../words/trade-words';

/** What a person can do about a step, asking what has to be asked. Everything can be taken back for a few seconds. */
@Injectable()
export class StepActions {
  private readonly desk = inject(Desk);
  private readonly asker = inject(Ask);
  private readonly bar = inject(MatSnackBar);
  private readonly box = inject(PhotoBox);
  private readonly injector = inject(Injector);

  /** Records `bodies` and offers to take them back; says why where it may not be. True when recorded. */
  record(done: string, ...bodies: readonly EntryBody[]): boolean {
    // Whoever records something is at work again.
    const resting = this.desk.state()?.paused.has(this.desk.me()) ?? false;
    const back: readonly EntryBody[] =
      resting && bodies.every(({ kind }) => kind !== 'work-resumed') ? [{ kind: 'work-resumed' }] : [];
    const result = this.desk.record(...back, ...bodies);
    if ('refused' in result) {
      this.bar.open(result.refused, 'I see', { duration: 12_000, politeness: 'assertive' });
      return false;
    }
    this.bar
      .open(done, 'Undo', { duration: 7_000 })
      .onAction()
      .subscribe(() => this.takeBack(result.entries));
    return true;
  }

  /** Takes back what this person recorded last; says what, or why it cannot be. */
  undoLast(): void {
    const state = this.desk.state();
    const last = state ? lastEntriesOf(state, this.desk.me()) : [];
    const named = last.at(-1);
    if (!state || !named) {
      this.bar.open('There is nothing of yours to take back.', undefined, { duration: 4_000 });
      return;
    }
    if (this.takeBack(last)) this.bar.open(`Taken back: ${entryWords(state, named)}`, undefined, { duration: 7_000 });
  }

  private takeBack(entries: readonly LedgerEntry[]): boolean {
    const refused = this.desk.undo(entries);
    if (refused !== undefined) this.bar.open(refused, 'I see', { duration: 12_000, politeness: 'assertive' });
    return refused === undefined;
  }

  /** A break begins, or is over. */
  rest(): void {
    const resting = this.desk.state()?.paused.has(this.desk.me()) ?? false;
    if (resting) this.record('Back at work', { kind: 'work-resumed' });
    else this.record('On a break', { kind: 'work-paused' });
  }

  /** Takes pictures in, each pinned to the same place. Whatever cannot be kept is told by the box. */
  async photos(files: readonly File[], pinnedTo: PinnedTo): Promise<void> {
    const taken: string[] = [];
    for (const file of files) {
      const photo = await this.box.take(file);
      if (!photo) break;
      const { photo: name, widthPx, heightPx } = photo;
      if (
        !this.record(several(taken.length + 1, 'photo'), {
          kind: 'photo-taken',
          photo: name,
          widthPx,
          heightPx,
          pinnedTo,
        })
      )
        break;
      taken.push(name);
    }
    if (this.box.trouble()) this.bar.open(this.box.trouble(), 'I see', { duration: 15_000, politeness: 'assertive' });
  }

  /** A ground that is not as it should be, and what is wrong with it. */
  async groundBad(connection: string, connectionName: string): Promise<void> {
    const answers = await this.asker.ask({
      title: `Not good: ${connectionName}`,
      questions: [{ field: 'note', label: 'What is wrong with it', as: 'lines', schema: text().label('This') }],
      action: 'Write it down',
    });
    if (!answers) return;
    this.record('Ground not good', { kind: 'ground-checked', connection, good: false, note: String(answers['note']) });
  }

  /** Asks how many went in, where the count was off. */
  async countIn(connection: string): Promise<void> {
    const state = this.desk.state();
    const count = state && setCountOf(state, connection);
    if (!count) return;
    const answers = await this.asker.ask({
      title: `Count in: ${count.connection.name}`,
      words: `${count.full} belong here${count.out === undefined ? '' : `, ${count.out} came out`}.`,
      questions: [
        {
          field: 'count',
          label: 'How many are in',
          as: 'number',
          schema: wholeNumber(1_000).label('How many'),
          initial: count.in ?? count.full,
        },
      ],
      action: 'Count them in',
    });
    if (!answers) return;
    this.record('Counted in', {
      kind: 'fasteners-counted',
      connection,
      direction: 'in',
      count: Number(answers['count']),
    });
  }

  /** Asks why a set that does not come out even stays so. */
  async acceptCount(connection: string, words: string): Promise<void> {
    const answers = await this.asker.ask({
      title: 'Accept the count as it is',
      words,
      caution:
        'A hole without its fastener works loose; one left over may lie where it does harm. It shows at handover.',
      questions: [{ field: 'reason', label: 'Reason', as: 'lines', schema: text().label('Reason') }],
      action: 'Accept it',
    });
    if (answers) this.record('Accepted', { kind: 'count-accepted', connection, reason: String(answers['reason']) });
  }

  async skip(operation: Operation): Promise<void> {
    const answers = await this.asker.ask({
      title: `Skip: ${operation.title}`,
      questions: [
        {
          field: 'mode',
          label: 'Why is it passed over?',
          as: 'choice',
          schema: oneOf(['later', 'not-here'] as const).label('This'),
          choices: [
            { value: 'later', words: 'Later: something else first' },
            { value: 'not-here', words: 'It is not on this machine' },
          ],
          initial: 'later',
        },
        { field: 'reason', label: 'Reason', as: 'lines', schema: text().label('Reason') },
      ],
      action: 'Skip it',
    });
    if (!answers) return;
    this.record(`Skipped: ${operation.title}`, {
      kind: 'operation-skipped',
      operation: operation.id,
      mode: answers['mode'] as SkipMode,
      reason: String(answers['reason']),
    });
  }

  /** A step fights back: what happened, what was tried, how long it soaks, and what it takes to go on. */
  async stuck(operation: Operation): Promise<void> {
    const [{ MatDialog }, { StuckSheet }] = await Promise.all([
      import('@angular/material/dialog'),
      import('../stuck/stuck-sheet'),
    ]);
    const state = this.desk.state();
    if (!state) return;
    const told = await firstValueFrom(
      this.injector
        .get(MatDialog)
        .open<InstanceType<typeof StuckSheet>, StuckAsked, StuckTold>(StuckSheet, {
          data: { state, operation, minutes: this.stepMinutes() },
          width: '54rem',
          maxWidth: '96vw',
          maxHeight: '94vh',
          autoFocus: 'dialog',
        })
        .afterClosed(),
    );
    if (told) this.record(`Stuck: ${operation.title}`, ...told.bodies);
  }

  /** Minutes at the step in hand, for whoever asks how much time was lost. */
  readonly stepMinutes = signal(0);

  async note(operation?: Operation): Promise<void> {
    const answers = await this.asker.ask({
      title: operation ? `Note: ${operation.title}` : 'Note',
      questions: [
        { field: 'text', label: 'Note', as: 'lines', schema: text().label('Note') },
        ...(operation
          ? [
              {
                field: 'house',
                label: 'Who is it for?',
                as: 'choice' as const,
                schema: oneOf(['job', 'house'] as const).label('This'),
                choices: [
                  { value: 'job', words: 'This job' },
                  { value: 'house', words: 'The next such machine too' },
                ],
                initial: 'job',
              },
            ]
          : []),
      ],
      action: 'Write it down',
    });
    if (!answers) return;
    this.record('Noted', {
      kind: 'noted',
      text: String(answers['text']),
      ...(operation ? { operation: operation.id } : {}),
      ...(answers['house'] === 'house' ? { house: true } : {}),
    });
  }

  /** Asks about a connection the map did not have. `out` says that the powerpack is out, so it is open already. */
  async found(out: boolean): Promise<void> {
    const state = this.desk.state();
    if (!state) return;
    const { parts } = state.work.plan.map;
    const choices = parts.map((part) => ({ value: part.id, words: part.name }));
    const known = oneOf(parts.map(({ id }) => id)).label('This end');
    const answers = await this.asker.ask({
      title: 'Found one more',
      words: 'Something ties it down that the map did not have. It counts from now on.',
      questions: [
        {
          field: 'name',
          label: 'What is it? (“the ground strap behind the head”)',
          as: 'line',
          schema: name().label('What it is'),
        },
        {
          field: 'kind',
          label: 'Kind',
          as: 'choice',
          schema: oneOf(CONNECTION_KINDS).label('Kind'),
          choices: choicesFrom(KIND_WORDS),
        },
        {
          field: 'from',
          label: 'One end at',
          as: 'choice',
          schema: known,
          choices,
          initial: state.work.plan.map.powerpacks[0]?.roots[0] ?? '',
        },
        { field: 'to', label: 'Other end at', as: 'choice', schema: known, choices, initial: state.work.plan.map.body },
        {
          field: 'station',
          label: 'Where one stands for it',
          as: 'choice',
          schema: oneOf(STATIONS).label('Where one stands'),
          choices: choicesFrom(STATION_WORDS),
          initial: 'bay-top',
        },
        {
          field: 'height',
          label: 'Machine',
          as: 'choice',
          schema: oneOf(STEP_HEIGHTS).label('Machine'),
          choices: choicesFrom(HEIGHT_WORDS),
          initial: 'either',
        },
      ],
      action: out ? 'Put it on the map as open' : 'Put it on the map',
    });
    if (!answers) return;
    this.record(`Found: ${answers['name']}`, {
      kind: 'connection-found',
      alreadyOpen: out,
      connection: {
        id: `found-${uuid()}`,
        name: String(answers['name']),
        kind: answers['kind'] as ConnectionKind,
        between: [String(answers['from']), String(answers['to'])],
        station: answers['station'] as Station,
        height: answers['height'] as StepHeight,
      },
    });
  }

  /** Asks why `connection` stays as it is; it shows in red until the machine is handed over, and after. */
  async leave(connection: string, connectionName: string, as: 'attached' | 'off'): Promise<void> {
    const answers = await this.asker.ask({
      title: `Leave ${as} on purpose: ${connectionName}`,
      caution:
        as === 'attached'
          ? 'What stays attached goes tight half-way up and tears. It shows in red at handover.'
          : 'What stays off brings warnings at the first start. It shows in red at handover.',
      questions: [{ field: 'reason', label: 'Reason', as: 'lines', schema: text().label('Reason') }],
      action: `Leave it ${as}`,
    });
    if (!answers) return;
    this.record(`Left ${as} on purpose`, { kind: 'left-on-purpose', connection, reason: String(answers['reason']) });
  }

  /** Takes an older entry back, for a reason. */
  async correct(entry: string, what: string): Promise<void> {
    const answers = await this.asker.ask({
      title: `Take back: ${what}`,
      words: 'It stays in the ledger, crossed out, with your reason beside it.',
      questions: [{ field: 'reason', label: 'Reason', as: 'lines', schema: text().label('Reason') }],
      action: 'Take it back',
    });
    if (!answers) return;
    this.record('Taken back', { kind: 'corrected', corrects: entry, reason: String(answers['reason']) });
  }
}
