/**
 * Swapping: a host and a donor, each with its own map. Where the powerpack meets the machine, what both have is held
 * side by side; the crew decides what is taken, adapted, made or bought; the pull list and the steps of the refit follow.
 */
export { decisionAt, minutesFor, swapWork, type Decided, type Decisions } from './adaptations.js';
export {
  DECISIONS,
  INTERFACE_GROUPS,
  interfacesOf,
  type Decision,
  type InterfaceGroup,
  type Side,
  type SwapInterface,
} from './interfaces.js';
export {
  FITS,
  pullListOf,
  sumOf,
  type Fit,
  type Pulled,
  type PulledItems,
  type PullGroup,
  type PullItem,
} from './pull-list.js';
