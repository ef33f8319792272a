import { inject, Injectable } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';
import {
  CONNECTION_KINDS,
  STATIONS,
  STEP_HEIGHTS,
  type ConnectionKind,
  type Station,
  type StepHeight,
} from '@brisk/core/connection-map';
import { amount, name, oneOf, text } from '@brisk/contracts/fields';
import { TROUBLES, type EntryBody, type SkipMode, type Trouble } from '@brisk/core/ledger';
import type { Operation } from '@brisk/core/teardown';
import { HEIGHT_WORDS, STATION_WORDS } from '@brisk/core/words';
import { v4 as uuid } from 'uuid';
import { Desk } from '../desk/desk';
import { Ask } from '../forms/ask';
import { choicesFrom } from '../forms/asking';
import { KIND_WORDS, TROUBLE_WORDS } from '../words/trade-words';

/** What a person can do about a step, asking what has to be asked. Everything can be taken back for a few seconds. */
@Injectable()
export class StepActions {
  private readonly desk = inject(Desk);
  private readonly asker = inject(Ask);
  private readonly bar = inject(MatSnackBar);

  /** Records `bodies` and offers to take them back; says why where it may not be. True when recorded. */
  record(done: string, ...bodies: readonly EntryBody[]): boolean {
    const result = this.desk.record(...bodies);
    if ('refused' in result) {
      this.bar.open(result.refused, 'I see', { duration: 12_000, politeness: 'assertive' });
      return false;
    }
    this.bar
      .open(done, 'Undo', { duration: 7_000 })
      .onAction()
      .subscribe(() => this.desk.undo(result.entries));
    return true;
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

  async stuck(operation: Operation): Promise<void> {
    const answers = await this.asker.ask({
      title: `Stuck: ${operation.title}`,
      words: 'Other work goes on meanwhile; this one comes back.',
      questions: [
        {
          field: 'trouble',
          label: 'What happened?',
          as: 'choice',
          schema: oneOf(TROUBLES).label('What happened'),
          choices: choicesFrom(TROUBLE_WORDS),
        },
        { field: 'tried', label: 'What was tried', as: 'lines', schema: text().label('What was tried') },
        {
          field: 'minutesLost',
          label: 'Time lost',
          as: 'number',
          schema: amount(10_000).label('Time lost'),
          initial: 10,
          suffix: 'min',
        },
      ],
      action: 'Record it',
    });
    if (!answers) return;
    this.record(`Stuck: ${operation.title}`, {
      kind: 'operation-stuck',
      operation: operation.id,
      trouble: answers['trouble'] as Trouble,
      tried: String(answers['tried']),
      minutesLost: Number(answers['minutesLost']),
    });
  }

  async note(operation?: Operation): Promise<void> {
    const answers = await this.asker.ask({
      title: operation ? `Note: ${operation.title}` : 'Note',
      questions: [{ field: 'text', label: 'Note', as: 'lines', schema: text().label('Note') }],
      action: 'Write it down',
    });
    if (!answers) return;
    this.record('Noted', {
      kind: 'noted',
      text: String(answers['text']),
      ...(operation ? { operation: operation.id } : {}),
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
