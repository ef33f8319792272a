import type {
  Bay,
  CheckStep,
  Chore,
  Circuit,
  Condition,
  Connection,
  ConnectionId,
  HoldPoint,
  Part,
  PartId,
  Powerpack,
  Renewal,
  Route,
  Station,
} from '../connection-map/index.js';
import type { ChoiceOf, Choices, OptionId, When } from './options.js';

/** Something that is there only with some choices. */
export type Optional<Thing> = Thing & { readonly when?: When };

/** An option as one layout offers it. */
export interface OfferedOption {
  readonly option: OptionId;
  /** What this layout can have, the commonest first. */
  readonly choices: readonly string[];
  /** What is assumed when nobody knows: the one that leaves nothing attached unseen. */
  readonly unsure: string;
}

/** What a layout does with a connection it shares with others: where it is here, or what stands in its way here. */
export type Change = Partial<Omit<Connection, 'id'>>;

/** Parts and connections that belong together, as one file describes them. */
export interface Piece {
  readonly parts?: readonly Optional<Part>[];
  readonly connections?: readonly Optional<Connection>[];
  readonly conditions?: readonly Optional<Condition>[];
  readonly circuits?: readonly Optional<Circuit>[];
  readonly chores?: readonly Optional<Chore>[];
  readonly renewals?: readonly Optional<Renewal>[];
}

/** A look that is there only with some choices. */
export type OfferedCheck = CheckStep & { readonly with?: When };

/** A layout: what its machines have in common, what they may differ in, and how a powerpack leaves. */
export interface Template {
  readonly layout: string;
  readonly name: string;
  /** How a mechanic tells it from the others, standing before it. */
  readonly look: string;
  readonly bay: Bay;
  readonly body: PartId;
  /** Choices that this layout does not ask about. */
  readonly always: Choices;
  readonly options: readonly OfferedOption[];
  readonly pieces: readonly Piece[];
  /** Connections, parts and chores of shared pieces that this layout does not have. */
  readonly without?: readonly (ConnectionId | PartId | Chore['id'])[];
  readonly changes?: Readonly<Record<ConnectionId, Change>>;
  readonly partChanges?: Readonly<Record<PartId, Partial<Omit<Part, 'id'>>>>;
  readonly renewalChanges?: Readonly<Record<Renewal['id'], Partial<Omit<Renewal, 'id'>>>>;
  /** Where people stand on this layout instead of where the shared pieces say. */
  readonly stations?: Readonly<Partial<Record<Station, Station>>>;
  /** Work underneath is done with the wheels on the ground: over a pit, or because it stands high enough. */
  readonly onItsWheels?: boolean;
  readonly powerpacks: readonly Optional<Powerpack>[];
  readonly routes: readonly Optional<Route>[];
  readonly holdPoints: readonly HoldPoint[];
  readonly checks: readonly OfferedCheck[];
}

/** An option offered with `choices`, the commonest first; `unsure` is assumed when nobody knows. */
export function offer<Id extends OptionId>(
  option: Id,
  choices: readonly [ChoiceOf<Id>, ...ChoiceOf<Id>[]],
  unsure: ChoiceOf<Id> = choices[0],
): OfferedOption {
  return { option, choices, unsure };
}
