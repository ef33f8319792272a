import type { ConnectionId } from '../../../connection-map/index.js';
import { operationId } from '../../../teardown/index.js';
import { FIRST_WRENCHES, judgeTorque, type TorqueVerdict, type WrenchRange } from '../../../torque/index.js';
import type { TorqueReadingAsRead } from '../../../units/index.js';
import { refuse, unknown } from '../../refusal.js';
import type { Mark } from '../../state.js';
import { stopOfStep } from '../../stop-of-step.js';
import type { EntryRules } from '../entry-rules.js';
import { mayBeTorqued, noSuchWrench } from './may-be-torqued.js';

/** The final torque of a joint as it was read. */
export interface TorqueRead {
  readonly kind: 'torque-read';
  readonly connection: ConnectionId;
  readonly wrench: string;
  /**
   * What is printed on the wrench, so that the reading is judged by the tool as it was then. Older ledgers only name one
   * of the four that every shop began with.
   */
  readonly range?: WrenchRange;
  readonly read: TorqueReadingAsRead;
}

export interface TorqueReading extends Mark {
  readonly targetNm: number;
  readonly wrench: string;
  readonly read: TorqueReadingAsRead;
  readonly verdict: TorqueVerdict;
  /** Why a reading that missed its target stays. */
  readonly accepted?: string;
}

export const torqueRead: EntryRules<TorqueRead> = {
  mayFollow(state, entry) {
    const connection = state.work.connections.get(entry.connection);
    if (!connection) return unknown('connection', entry.connection);
    if (!connection.refit.torque) return refuse('sense', `There is no torque figure for ${connection.name}.`);
    const range = rangeOf(entry);
    if (!range) return unknown('wrench', entry.wrench);
    if (state.tightened.has(entry.connection))
      return refuse('sense', `Bolt by bolt is how a start was made at ${connection.name}. Go on with it so.`);
    return [...noSuchWrench(range), ...mayBeTorqued(state, entry.connection)];
  },
  fold(draft, { connection, wrench, read, range }, mark) {
    const targetNm = draft.work.connections.get(connection)?.refit.torque?.targetNm;
    const printed = rangeOf({ wrench, ...(range ? { range } : {}) });
    if (targetNm === undefined || !printed) return;
    const reading = { targetNm, wrench, read, verdict: judgeTorque(targetNm, read, printed), ...mark };
    draft.torques.set(connection, [...(draft.torques.get(connection) ?? []), reading]);
  },
  stop: (state, { connection }) => stopOfStep(state, operationId.torque(connection)) ?? 'refit',
  minutes: 'of-what-comes-next',
  binds: ({ connection }) => ({ connections: [connection], been: 'torqued' }),
  leavesOpen: ({ torques, work }) =>
    [...torques].flatMap(([connection, readings]) => {
      const last = readings.at(-1);
      if (!last || last.verdict === 'within') return [];
      const { read, targetNm, accepted } = last;
      return [
        {
          is: 'torque',
          grave: accepted === undefined,
          words: `Torque of ${work.connections.get(connection)?.name ?? connection}: ${read.value} ${read.unit} against ${targetNm} N·m${accepted === undefined ? ', not accepted' : `, accepted: ${accepted}`}`,
        },
      ];
    }),
  words: ({ connection, read }, { joint }) => `Torque of ${joint(connection)}: ${read.value} ${read.unit}`,
};

function rangeOf({ range, wrench }: Pick<TorqueRead, 'range' | 'wrench'>): WrenchRange | undefined {
  return range ?? FIRST_WRENCHES.find(({ id }) => id === wrench);
}
