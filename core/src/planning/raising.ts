import type { Caution, MachineHeight } from '../connection-map/index.js';
import type { JobState } from '../ledger/index.js';
import { phasesOf, type Half } from '../teardown/index.js';
import type { RaisedOn } from '../schedule/index.js';
import type { ShopTool } from './tools.js';

/** How a machine is brought to a height: what is said, taken along and minded. */
export interface Raising {
  readonly title: string;
  readonly tools: readonly string[];
  readonly tip: string;
  readonly cautions: readonly Caution[];
}

/** Raising a machine and letting it down, by what a shop has for it. */
export const RAISING: Readonly<Record<RaisedOn, Readonly<Record<MachineHeight, Raising>>>> = {
  stands: {
    raised: {
      title: 'Raise the machine onto stands',
      tools: ['trolley jack', 'four rated stands', 'rubber pads', 'wheel chocks'],
      tip: 'Firm, level ground. Jack at the maker’s points only, pad between; one end up, its stands in and pinned, then the other. Rock it by hand before anybody goes under.',
      cautions: ['stands'],
    },
    ground: {
      title: 'Let the machine down onto its wheels',
      tools: ['trolley jack'],
      tip: 'Nobody and nothing underneath, wheels on. The jack just takes the weight, stands out, down slowly; then the other end. Chocks again at once.',
      cautions: ['stands'],
    },
  },
  lift: {
    raised: {
      title: 'Raise the machine on the lift',
      tools: [],
      tip: 'Pads under the maker’s points, doors shut. A hand high first: rock it, look at every pad; then up, and down onto the locks.',
      cautions: ['stands'],
    },
    ground: {
      title: 'Let the machine down off the lift',
      tools: [],
      tip: 'Nobody and nothing underneath. Off the locks, then down; with the powerpack out it hangs otherwise than before, so watch both ends. Chocks again at once.',
      cautions: ['stands'],
    },
  },
};

/** The tool a shop with a lift has on its list. */
export const LIFT = 'vehicle lift';

/** What a shop raises machines on, by its own list of tools: on stands, unless a lift is on it. */
export function raisedOnBy(tools: readonly ShopTool[]): RaisedOn {
  return tools.some(({ tool, here }) => tool === LIFT && here) ? 'lift' : 'stands';
}

/** What the machine is raised on for `half`, by the plan that is followed; `otherwise` where none says. */
export function raisedOnFor(state: JobState, half: Half, otherwise: RaisedOn = 'stands'): RaisedOn {
  return state.plans.get(half)?.settings.crew.raisedOn ?? otherwise;
}

/** Whether the machine leaves its wheels at all in `half`. */
export function leavesItsWheels(state: JobState, half: Half): boolean {
  const phases = phasesOf(half);
  return [...state.work.operations.values()].some(({ phase, height }) => height === 'raised' && phases.includes(phase));
}
