import { inject, Injectable } from '@angular/core';
import { count as wholeNumber, oneOf, text } from '@brisk/contracts/fields';
import { setCountOf } from '@brisk/core/ledger';
import { otherwiseMeant } from '@brisk/core/torque';
import { torqueFromNm, type TorqueReadingAsRead } from '@brisk/core/units';
import { figureWords } from '@brisk/core/words';
import { Desk } from '../session/desk';
import { Recorder } from '../session/recorder';
import { Ask } from '../ui/ask';

/** What can be done about a joint that is not as it should be: fasteners that do not come out even, a bad ground. */
@Injectable()
export class JointActions {
  private readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);

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
          as: 'amount',
          schema: wholeNumber(1_000).label('How many'),
          initial: count.in ?? count.full,
        },
      ],
      action: 'Count them in',
    });
    if (!answers) return;
    this.recorder.record('Counted in', {
      kind: 'fasteners-counted',
      connection,
      direction: 'in',
      count: Number(answers['count']),
    });
  }

  /**
   * What was meant by `read` where `wantedNm` is wanted: as it was typed, unless it is far off or fits with its comma or its unit
   * elsewhere, and then as whoever typed it says. Undefined where they think better of it.
   */
  async meant(wantedNm: number, read: TorqueReadingAsRead): Promise<TorqueReadingAsRead | undefined> {
    const others = otherwiseMeant(wantedNm, read);
    if (!others) return read;
    const said = ({ value, unit }: TorqueReadingAsRead) => `${figureWords(value)} ${unit}`;
    const wanted = said({ value: Number(torqueFromNm(wantedNm, read.unit).toPrecision(3)), unit: read.unit });
    const choices = [...others, read];
    const answers = await this.asker.ask({
      title: `${said(read)}, where ${wanted} is wanted`,
      words: 'That is far off for a wrench. Look at it again before it is written down.',
      questions: [
        {
          field: 'meant',
          label: 'What did it show?',
          as: 'choice',
          schema: oneOf(choices.map(said)).label('This'),
          choices: choices.map((one) => ({ value: said(one), words: said(one) })),
        },
      ],
      action: 'Write it down',
    });
    return choices.find((one) => said(one) === answers?.['meant']);
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
    if (answers)
      this.recorder.record('Accepted', { kind: 'count-accepted', connection, reason: String(answers['reason']) });
  }

  /** Asks what is wrong with a ground. */
  async groundBad(connection: string, connectionName: string): Promise<void> {
    const answers = await this.asker.ask({
      title: `Not good: ${connectionName}`,
      questions: [{ field: 'note', label: 'What is wrong with it', as: 'lines', schema: text().label('This') }],
      action: 'Write it down',
    });
    if (!answers) return;
    this.recorder.record('Ground not good', {
      kind: 'ground-checked',
      connection,
      good: false,
      note: String(answers['note']),
    });
  }
}
