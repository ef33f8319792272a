import { inject, Injectable } from '@angular/core';
import { name, oneOf, text } from '@brisk/contracts/fields';
import {
  CONNECTION_KINDS,
  STATIONS,
  STEP_HEIGHTS,
  type Connection,
  type ConnectionKind,
  type Station,
  type StepHeight,
} from '@brisk/core/connection-map';
import { oddPair } from '@brisk/core/map-edit';
import { KIND_WORDS, HEIGHT_WORDS, STATION_WORDS } from '@brisk/core/words';
import { v4 as uuid } from 'uuid';
import { AtTheJob } from '../session/at-the-job';
import { Desk } from '../session/desk';
import { Recorder } from '../session/recorder';
import { choicesOf } from '../ui/choice';
import { Ask } from '../ui/ask';

/** What can be done about something that ties the powerpack: put it on the map, or leave it as it is. */
@Injectable()
export class HoldActions {
  private readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);
  private readonly at = inject(AtTheJob);

  /**
   * Asks about a connection the map did not have, beginning from what it is `like`. `out` says that the powerpack is out,
   * so it is open already.
   */
  async found(out: boolean, like?: Pick<Connection, 'name' | 'kind' | 'between' | 'station'>): Promise<void> {
    const state = this.desk.state();
    if (!state) return;
    const { map } = state.work.plan;
    const { parts } = map;
    // Found where somebody stands: at the parts of the step in hand, from the same place, as the machine stands now.
    const step = state.work.operations.get(this.at.step() ?? '');
    const beside = step?.connection === undefined ? undefined : state.work.connections.get(step.connection);
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
          ...(like ? { initial: like.name } : {}),
        },
        {
          field: 'kind',
          label: 'Kind',
          as: 'choice',
          schema: oneOf(CONNECTION_KINDS).label('Kind'),
          choices: choicesOf(KIND_WORDS),
          ...(like ? { initial: like.kind } : {}),
        },
        {
          field: 'from',
          label: 'One end at',
          as: 'choice',
          schema: known,
          choices,
          initial: like?.between[0] ?? beside?.between[0] ?? map.powerpacks[0]?.roots[0] ?? '',
        },
        {
          field: 'to',
          label: 'Other end at',
          as: 'choice',
          schema: known,
          choices,
          initial: like?.between[1] ?? beside?.between[1] ?? map.body,
        },
        {
          field: 'station',
          label: 'Where one stands for it',
          as: 'choice',
          schema: oneOf(STATIONS).label('Where one stands'),
          choices: choicesOf(STATION_WORDS),
          initial: like?.station ?? step?.station ?? 'bay-top',
        },
        {
          field: 'height',
          label: 'Machine',
          as: 'choice',
          schema: oneOf(STEP_HEIGHTS).label('Machine'),
          choices: choicesOf(HEIGHT_WORDS),
          initial: step?.height === 'raised' ? 'raised' : 'either',
        },
      ],
      action: out ? 'Put it on the map as open' : 'Put it on the map',
    });
    if (!answers) return;
    const kind = answers['kind'] as ConnectionKind;
    const between = [String(answers['from']), String(answers['to'])] as const;
    const odd = oddPair(map, kind, between);
    if (odd !== undefined) {
      const meant = await this.asker.ask({
        title: 'Is that meant?',
        words: odd,
        questions: [],
        action: 'Yes, so it is',
      });
      if (!meant) return;
    }
    this.recorder.record(`Found: ${answers['name']}`, {
      kind: 'connection-found',
      alreadyOpen: out,
      connection: {
        id: `found-${uuid()}`,
        name: String(answers['name']),
        kind,
        between,
        station: answers['station'] as Station,
        height: answers['height'] as StepHeight,
      },
    });
  }

  /** What is on the map and was recorded as off holds after all: it comes to hand again. */
  stillOn(connection: string, connectionName: string): void {
    this.recorder.record(`Still on: ${connectionName}`, { kind: 'found-still-on', connection });
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
    this.recorder.record(`Left ${as} on purpose`, {
      kind: 'left-on-purpose',
      connection,
      reason: String(answers['reason']),
    });
  }
}
