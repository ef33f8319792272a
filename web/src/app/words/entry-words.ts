import type { JobState, LedgerEntry } from '@brisk/core/ledger';
import { HEIGHT_WORDS } from '@brisk/core/words';
import { sentence } from './several';
import { CONDITION_WORDS, KEEPING_WORDS, RESULT_WORDS, TROUBLE_WORDS } from './trade-words';

/** A ledger entry in one line, as a person would say it. */
export function entryWords(state: JobState, entry: LedgerEntry): string {
  const step = (id: string) => state.work.operations.get(id)?.title ?? id;
  const joint = (id: string) => state.work.connections.get(id)?.name ?? id;
  switch (entry.kind) {
    case 'operation-done':
      return `Done: ${step(entry.operation)}`;
    case 'operation-skipped':
      return `${entry.mode === 'later' ? 'Put off' : 'Not on this machine'}: ${step(entry.operation)}. ${entry.reason}`;
    case 'operation-stuck':
      return `Stuck: ${step(entry.operation)}. ${TROUBLE_WORDS[entry.trouble]}. ${entry.tried}`;
    case 'height-set':
      return `The machine stands ${HEIGHT_WORDS[entry.height]}`;
    case 'fasteners-counted':
      return `${entry.count} ${entry.direction === 'out' ? 'out of' : 'into'} ${joint(entry.connection)}${entry.bag === undefined ? '' : `, bag ${entry.bag}`}${entry.note ? `. ${entry.note}` : ''}`;
    case 'keeping-chosen':
      return `Fasteners are kept: ${KEEPING_WORDS[entry.keeping].toLowerCase()}`;
    case 'set-described':
      return `${sentence(joint(entry.connection))} is held by ${entry.sets.map(({ count, what }) => `${count} × ${what}`).join(', ')}`;
    case 'count-accepted':
      return `Count of ${joint(entry.connection)} accepted: ${entry.reason}`;
    case 'fasteners-judged':
      return `${entry.count} of ${joint(entry.connection)}: ${CONDITION_WORDS[entry.condition].toLowerCase()}${entry.replacedBy ? `, replaced by ${entry.replacedBy}` : ''}`;
    case 'pattern-drawn':
      return `Bolt card drawn: ${joint(entry.connection)}`;
    case 'bolt-found':
      return `Found loose${entry.where ? `: ${entry.where}` : ''}`;
    case 'bolt-homed':
      return `A loose one belongs to ${joint(entry.connection)}`;
    case 'bolt-set-aside':
      return `A loose one set aside: ${entry.reason}`;
    case 'ground-checked':
      return `Ground ${entry.good ? 'good' : 'not good'}: ${joint(entry.connection)}${entry.note ? `. ${entry.note}` : ''}`;
    case 'photo-taken':
      return `Photo${entry.words ? `: ${entry.words}` : entry.pinnedTo.operation ? `: ${step(entry.pinnedTo.operation)}` : ''}`;
    case 'photo-marked':
      return 'Photo drawn on';
    case 'work-paused':
      return 'Break';
    case 'work-resumed':
      return 'Back at work';
    case 'tagged':
      return `Tag ${entry.tag} on ${joint(entry.connection)}`;
    case 'connection-found':
      return `Found one more: ${entry.connection.name}`;
    case 'left-on-purpose':
      return `Left as it is: ${joint(entry.connection)}. ${entry.reason}`;
    case 'hold-point-signed':
      return `Signed: ${state.work.plan.map.holdPoints.find(({ id }) => id === entry.holdPoint)?.name ?? entry.holdPoint}`;
    case 'torque-read':
      return `Torque of ${joint(entry.connection)}: ${entry.read.value} ${entry.read.unit}`;
    case 'torque-accepted':
      return `Torque of ${joint(entry.connection)} accepted: ${entry.reason}`;
    case 'fluid-measured':
      return `${entry.litres} l ${entry.direction === 'out' ? 'out of' : 'into'} ${state.work.plan.map.circuits.find(({ id }) => id === entry.circuit)?.name.toLowerCase() ?? entry.circuit}`;
    case 'noted':
      return `Note${entry.operation ? ` at ${step(entry.operation)}` : ''}: ${entry.text}`;
    case 'part-needed':
      return `To order: ${entry.quantity} × ${entry.name}`;
    case 'part-arrived':
      return `Arrived: ${state.needs.get(entry.need)?.name ?? 'a part'}`;
    case 'start-attempted':
      return `Cranked ${entry.crankSeconds} s: ${RESULT_WORDS[entry.result].toLowerCase()}`;
    case 'issue-opened':
      return `Issue: ${entry.title}`;
    case 'issue-sorted':
      return `Issue sorted: ${state.issues.get(entry.issue)?.title ?? ''}`;
    case 'issue-closed':
      return `Issue closed: ${state.issues.get(entry.issue)?.title ?? ''}. ${entry.how}`;
    case 'handed-over':
      return 'Handed over';
    case 'plan-followed':
      return 'Another plan is followed';
    case 'corrected': {
      const wrong = state.entries.find(({ id }) => id === entry.corrects);
      return `Taken back: ${wrong && wrong.kind !== 'corrected' ? entryWords(state, wrong) : 'an entry'}. ${entry.reason}`;
    }
  }
}
