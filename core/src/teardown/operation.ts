import type {
  CircuitId,
  ConditionId,
  Connection,
  ConnectionId,
  ConnectionKind,
  HoldPointId,
  Moving,
  PartId,
  SeatKind,
  StepSpec,
} from '../connection-map/index.js';

export type OperationId = string;

/** The parts of a job that are planned by themselves: the way out, the bench while it is out, and the way back. */
export const HALVES = ['out', 'bench', 'back'] as const;
export type Half = (typeof HALVES)[number];

/** The stretches of the journey an operation may belong to, in order, and the half each is part of. */
const HALF_OF = {
  strip: 'out',
  lift: 'out',
  bench: 'bench',
  refit: 'back',
  'first-start': 'back',
  handover: 'back',
} as const;
export type WorkPhase = keyof typeof HALF_OF;
export const PHASES = Object.keys(HALF_OF) as readonly WorkPhase[];

/** The half of the job that `phase` is part of. */
export function halfOf(phase: WorkPhase): Half {
  return HALF_OF[phase];
}

/** The phases of one half, in order. */
export function phasesOf(half: Half): readonly WorkPhase[] {
  return PHASES.filter((phase) => halfOf(phase) === half);
}

export type OperationKind =
  | 'make-safe'
  | 'support'
  | 'prepare'
  | 'wait'
  | 'drain'
  | 'disconnect'
  | 'remove'
  | 'hold-point'
  | 'lift'
  | 'lower'
  | 'shift'
  | 'renew'
  | 'fit'
  | 'adapt'
  | 'start-by-hand'
  | 'connect'
  | 'torque'
  | 'fill'
  | 'release'
  | 'check';

/** One step of work, and what it acts on. */
export interface Operation extends StepSpec {
  readonly id: OperationId;
  readonly phase: WorkPhase;
  readonly kind: OperationKind;
  readonly connection?: ConnectionId;
  readonly part?: PartId;
  readonly condition?: ConditionId;
  readonly circuit?: CircuitId;
  readonly holdPoint?: HoldPointId;
  /** What is renewed at it. */
  readonly renewal?: string;
  /** A photo is asked for: it marks what must not be lost. */
  readonly photo?: boolean;
  /** The step whose photos are shown: the mark it goes by. */
  readonly recalls?: OperationId;
  /** The seat that is measured at it. */
  readonly measures?: SeatKind;
  /** Only once the engine has run. */
  readonly needsRunning?: boolean;
  /** What hands are at during it: nobody moves that meanwhile. */
  readonly at?: readonly Moving[];
}

export type ReasonKind = 'access' | 'condition' | 'safety' | 'load path' | 'hold point' | 'part' | 'sequence' | 'crew';

/** Why one operation comes before another, in the crew's words. */
export interface Reason {
  readonly kind: ReasonKind;
  readonly words: string;
}

/** `before` has to be done before `after`, because of `reason`. */
export interface Precedence {
  readonly before: OperationId;
  readonly after: OperationId;
  readonly reason: Reason;
  /** Told on the map, so that it is turned round on the way back. */
  readonly told?: true;
  /** It comes first on the way back as well. */
  readonly firstBackToo?: true;
}

/** How each operation is named, so that teardown, refit and ledger speak of the same one. */
export const operationId = {
  open: (connection: ConnectionId): OperationId => `open:${connection}`,
  remove: (part: PartId): OperationId => `remove:${part}`,
  establish: (condition: ConditionId): OperationId => `make:${condition}`,
  drain: (circuit: CircuitId): OperationId => `drain:${circuit}`,
  hold: (holdPoint: HoldPointId): OperationId => `hold:${holdPoint}`,
  lift: (step: string): OperationId => `lift:${step}`,
  lower: (step: string): OperationId => `lower:${step}`,
  adapt: (adaptation: string): OperationId => `adapt:${adaptation}`,
  fit: (part: PartId): OperationId => `fit:${part}`,
  start: (connection: ConnectionId): OperationId => `start:${connection}`,
  close: (connection: ConnectionId): OperationId => `close:${connection}`,
  torque: (connection: ConnectionId): OperationId => `torque:${connection}`,
  fill: (circuit: CircuitId): OperationId => `fill:${circuit}`,
  release: (condition: ConditionId): OperationId => `release:${condition}`,
  check: (step: string): OperationId => `check:${step}`,
  chore: (chore: string): OperationId => `do:${chore}`,
  renew: (renewal: string): OperationId => `renew:${renewal}`,
  stand: (): OperationId => 'shift:stand',
  apart: (part: PartId): OperationId => `shift:apart-${part}`,
  together: (part: PartId): OperationId => `shift:together-${part}`,
  compare: (part: PartId): OperationId => `shift:compare-${part}`,
  change: (part: PartId): OperationId => `shift:change-${part}`,
  charge: (part: PartId): OperationId => `shift:charge-${part}`,
  carryOver: (part: PartId): OperationId => `shift:carry-${part}`,
} as const;

const VERBS: Readonly<Record<ConnectionKind, { readonly open: string; readonly close: string }>> = {
  bolted: { open: 'Unbolt', close: 'Bolt up' },
  plug: { open: 'Unplug', close: 'Plug in' },
  hose: { open: 'Pull off', close: 'Push on and clamp' },
  pipe: { open: 'Undo', close: 'Connect' },
  cable: { open: 'Unhook', close: 'Hook up' },
  ground: { open: 'Unbolt', close: 'Bolt up' },
  linkage: { open: 'Disconnect', close: 'Connect' },
  shaft: { open: 'Part', close: 'Join' },
  clip: { open: 'Unclip', close: 'Clip in' },
  strap: { open: 'Undo', close: 'Do up' },
  clamp: { open: 'Loosen', close: 'Clamp' },
};

/** What is done to what a joint is really held with, where that is not what its kind is usually held with. */
const BY_FASTENER: readonly {
  readonly kind: ConnectionKind;
  readonly held: RegExp;
  readonly open: string;
  readonly close: string;
}[] = [
  { kind: 'cable', held: /pinch screw|knurled|barrel/, open: 'Disconnect', close: 'Connect' },
  { kind: 'cable', held: /\bM\d|\bnut\b|\bbolt\b/, open: 'Unbolt', close: 'Bolt on' },
  { kind: 'hose', held: /union|banjo/, open: 'Undo', close: 'Connect' },
  { kind: 'clip', held: /screw/, open: 'Unscrew', close: 'Screw on' },
  { kind: 'clamp', held: /\bM\d|T bolt/, open: 'Undo', close: 'Clamp' },
];

function verbsFor({ kind, fasteners }: Connection): { readonly open: string; readonly close: string } {
  const own = BY_FASTENER.find((one) => one.kind === kind && fasteners.some(({ what }) => one.held.test(what)));
  return own ?? VERBS[kind];
}

/** What a person is told to do to open `connection`. */
export function openingTitle(connection: Connection): string {
  return `${verbsFor(connection).open} ${connection.name}`;
}

/** What a person is told to do to close `connection` again. */
export function closingTitle(connection: Connection): string {
  return `${verbsFor(connection).close} ${closingName(connection.name)}`;
}

/** How a joint is spoken of when it is put together: what came from somewhere goes onto it. */
export function closingName(name: string): string {
  return name.replace(/ out of (the|its) /, ' into $1 ').replace(/ from (the|its) /, ' on $1 ');
}
