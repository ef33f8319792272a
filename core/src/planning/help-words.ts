import type { HelpCall } from '../schedule/index.js';

/** When a second pair of hands is wanted, in one sentence; nothing where none is. `when` says minutes of work as clock times. */
export function helpWords(calls: readonly HelpCall[], when: (minutes: number) => string): string {
  if (calls.length === 0) return '';
  const said = calls.map(({ fromMin, untilMin }) => `${when(fromMin)} to ${when(untilMin)}`);
  const last = said.at(-1) ?? '';
  return `A second pair of hands: ${said.length > 1 ? `${said.slice(0, -1).join(', ')} and ${last}` : last}.`;
}
