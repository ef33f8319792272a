import type {
  Access,
  AccessReason,
  Breakage,
  Chore,
  Connection,
  ConnectionId,
  ConnectionKind,
  FastenerSet,
  Part,
  PartId,
  RefitData,
  Renewal,
  LowerStep,
  Station,
  StepHeight,
  StepSpec,
  System,
  ThreePointMinutes,
  TorqueSpec,
  Zone,
} from '../connection-map/index.js';
import type { Optional } from './template.js';

/** Three-point minutes, as a mechanic says them: when it goes well, as a rule, when it fights back. */
export function minutes(low: number, likely: number, high: number): ThreePointMinutes {
  return { low, likely, high };
}

/** A set of fasteners: how many, and what is stamped or measured on them. */
export function fasteners(count: number, what: string, more: Omit<FastenerSet, 'count' | 'what'> = {}): FastenerSet {
  return { count, what, ...more };
}

/** A step, with the ordinary filled in: one pair of hands, no tools, machine at any height. */
export function step(spec: Pick<StepSpec, 'title' | 'station' | 'minutes'> & Partial<StepSpec>): StepSpec {
  return { height: 'either', hands: 1, tools: [], cautions: [], ...spec };
}

type ConnectionDraft = Omit<Partial<Connection>, 'refit'> & {
  readonly id: string;
  readonly name: string;
  readonly kind: ConnectionKind;
  readonly between: readonly [PartId, PartId];
  readonly system: System;
  readonly station: Station;
  readonly minutes: ThreePointMinutes;
  readonly refit?: Partial<RefitData>;
};

/** A connection, with the ordinary filled in: one pair of hands, nothing in the way, as long to close as to open. */
export function connection({ refit, ...draft }: ConnectionDraft): Connection {
  return {
    height: 'either',
    hands: 1,
    tools: [],
    cautions: [],
    fasteners: [],
    needs: [],
    access: [],
    ...draft,
    refit: { minutes: draft.minutes, ...refit },
  };
}

/** Where a person stands, and how the machine has to stand for it. */
export interface Where {
  readonly station: Station;
  readonly height: StepHeight;
}
export const top: Where = { station: 'bay-top', height: 'either' };
export const nose: Where = { station: 'front', height: 'either' };
export const below: Where = { station: 'underside', height: 'raised' };
export const wheelLeft: Where = { station: 'wheel-left', height: 'raised' };
export const wheelRight: Where = { station: 'wheel-right', height: 'raised' };
export const inside: Where = { station: 'cabin', height: 'either' };
export const tail: Where = { station: 'rear', height: 'either' };

/** The same place with the wheels on the ground. */
export const onGround = (where: Where): Where => ({ ...where, height: 'ground' });

/** Low, likely and high minutes. */
export type Time = readonly [number, number, number];

/** Stands are under the machine wherever work is done with it raised. */
const cautionsAt = ({ height }: Where, more: StepSpec['cautions'] = []): StepSpec['cautions'] =>
  height === 'raised' && !more.includes('stands') ? ['stands', ...more] : more;

/** What differs from the plainest connection: one pair of hands, bare fingers, nothing in its way, no figure. */
export interface Details extends Partial<
  Pick<Connection, 'hands' | 'tools' | 'cautions' | 'needs' | 'access' | 'circuit' | 'carriesLoad' | 'tip' | 'moves'>
> {
  readonly when?: Optional<Connection>['when'];
  readonly set?: FastenerSet | readonly FastenerSet[];
  /** Torque on the way back, in N·m, and the angle after it in degrees. */
  readonly nm?: number;
  readonly deg?: number;
  readonly torqueAfter?: TorqueSpec['after'];
  /** The maker’s stages, how its thread goes together, each bolt read by itself, torqued once more after a heat cycle. */
  readonly stages?: TorqueSpec['stages'];
  readonly thread?: TorqueSpec['thread'];
  readonly eachRead?: true;
  readonly again?: true;
  readonly handTight?: string;
  readonly adjust?: RefitData['adjust'];
  /** The group it stays loose with until all of it is in. */
  readonly loose?: TorqueSpec['looseUntilAllIn'];
  /** Supports that stay until it is closed. */
  readonly supportedBy?: readonly string[];
  /** How the machine stands for closing it and for its final torque, where that differs. */
  readonly backHeight?: StepHeight;
  readonly torqueHeight?: StepHeight;
  /** What to mind on the way back. */
  readonly back?: string;
  readonly backTime?: Time;
  /** Why it has to be in before the powerpack goes down. */
  readonly beforeLowering?: string;
}

type Between = readonly [PartId, PartId];

/** What runs in their pipes and hoses is spoiled by dirt, spoils paint, or catches fire: both ends are capped at once. */
const OPEN_TO_DIRT: ReadonlySet<System> = new Set(['fuel', 'refrigerant', 'steering']);
const isOil = (circuit: string | undefined): boolean => circuit?.endsWith('oil') ?? false;
const withCaps = (tools: readonly string[], carries: boolean): readonly string[] =>
  carries && !tools.includes(CAPS) ? [...tools, CAPS] : tools;
const CAPS = 'plugs and caps';

/** Writes connections of one system; the kind is the name of the function. */
export function connectionsOf(system: System, common: Details = {}) {
  const kindOf =
    (kind: ConnectionKind) =>
    (
      id: ConnectionId,
      name: string,
      between: Between,
      where: Where,
      time: Time,
      details: Details = {},
    ): Optional<Connection> => {
      const {
        set = [],
        nm,
        deg,
        torqueAfter,
        backHeight,
        torqueHeight,
        loose,
        stages,
        thread,
        eachRead,
        again,
        handTight,
        adjust,
        supportedBy,
        back,
        backTime,
        beforeLowering,
        cautions,
        ...rest
      } = {
        ...common,
        ...details,
      };
      const torque: TorqueSpec | undefined =
        nm === undefined
          ? undefined
          : {
              targetNm: nm,
              ...(deg === undefined ? {} : { angleDeg: deg }),
              ...(torqueHeight ? { height: torqueHeight } : {}),
              ...(stages ? { stages } : {}),
              ...(thread ? { thread } : {}),
              ...(eachRead ? { eachRead } : {}),
              ...(again ? { again } : {}),
              ...(loose ? { looseUntilAllIn: loose } : {}),
              ...(torqueAfter ? { after: torqueAfter } : {}),
            };
      const carries = kind === 'pipe' || kind === 'hose' ? OPEN_TO_DIRT.has(system) || isOil(rest.circuit) : false;
      return {
        ...connection({
          ...rest,
          tools: withCaps(rest.tools ?? [], carries),
          ...where,
          id,
          name,
          kind,
          between,
          system,
          minutes: minutes(...time),
          cautions: cautionsAt(where, cautions),
          fasteners: 'count' in set ? [set] : set,
          refit: {
            minutes: minutes(...(backTime ?? time)),
            ...(backHeight ? { height: backHeight } : {}),
            ...(supportedBy ? { supportedBy } : {}),
            ...(torque ? { torque } : {}),
            ...(handTight === undefined ? {} : { handTight }),
            ...(adjust ? { adjust } : {}),
            ...(back === undefined ? {} : { note: back }),
            ...(beforeLowering === undefined ? {} : { beforeLowering }),
          },
        }),
      };
    };
  return {
    bolted: kindOf('bolted'),
    plug: kindOf('plug'),
    hose: kindOf('hose'),
    pipe: kindOf('pipe'),
    cable: kindOf('cable'),
    ground: kindOf('ground'),
    linkage: kindOf('linkage'),
    shaft: kindOf('shaft'),
    clip: kindOf('clip'),
    strap: kindOf('strap'),
    clamp: kindOf('clamp'),
  };
}

/** A part, and what is known of it. */
export function part(
  id: PartId,
  name: string,
  zone: Zone,
  system: System,
  more: Omit<Optional<Part>, 'id' | 'name' | 'zone' | 'system'> = {},
): Optional<Part> {
  return { id, name, zone, system, ...more };
}

/** How a part is lifted away once nothing holds it. */
export function removal(title: string, where: Where, time: Time, more: Partial<StepSpec> = {}): StepSpec {
  return doing(title, where, time, more);
}

/** A step of work at a place. */
export function doing(title: string, where: Where, time: Time, more: Partial<StepSpec> = {}): StepSpec {
  return step({ ...more, title, ...where, minutes: minutes(...time), cautions: cautionsAt(where, more.cautions) });
}

/** Time that passes while nobody’s hands are at it. */
export const waiting = (title: string, where: Where, time: Time, more: Partial<StepSpec> = {}) =>
  ({ ...doing(title, where, time, more), wait: true }) as const;

/** Work that no connection gives rise to. */
export function chore(
  id: string,
  half: Chore['half'],
  spec: StepSpec & Pick<Chore, 'wait'>,
  order: Pick<Chore, 'why' | 'after' | 'before' | 'where' | 'photo' | 'recalls' | 'measures' | 'pins'> &
    Pick<Optional<Chore>, 'when'>,
): Optional<Chore> {
  return { id, half, ...spec, ...order };
}

/** What something that fails takes along: about so much money on top, and so many days that the machine stands for it. */
export const breaks = (what: string, money: number, days: number): Breakage => ({
  what,
  guideCents: Math.round(money * 100),
  days,
});

/** Something worth renewing while one can get at it, by its name where `spec` has no title; `parts` by what they are and about what each costs. */
export function renewal(
  id: string,
  name: string,
  at: PartId,
  spec: StepSpec,
  more: Pick<Renewal, 'reach' | 'why' | 'lastsYears' | 'drains' | 'after' | 'breaks'> &
    Pick<Optional<Renewal>, 'when'> & {
      readonly parts: readonly (readonly [what: string, count: number, each: number])[];
    },
): Optional<Renewal> {
  const { parts, ...rest } = more;
  return {
    ...spec,
    title: spec.title || `Renew the ${name}`,
    id,
    name,
    at,
    ...rest,
    parts: parts.map(([what, count, each]) => ({ what, count, guideCents: Math.round(each * 100) })),
  };
}

/** `id` has to be off before this is reached. */
export const behind = (id: PartId, why: string, because?: AccessReason): Access => ({
  removed: id,
  why,
  ...(because ? { because } : {}),
});

/** `id` has to be open before this. */
export const after = (id: ConnectionId, why: string, because?: AccessReason): Access => ({
  open: id,
  why,
  ...(because ? { because } : {}),
});

/** `id` comes before this where it is opened at all. */
export const onlyAfter = (id: ConnectionId, why: string, because: AccessReason): Access => ({
  open: id,
  why,
  because,
  orderOnly: true,
});

/** `id` comes before this on the way out and on the way back, where it is opened at all. */
export const firstBothWays = (id: ConnectionId, why: string, because: AccessReason): Access => ({
  ...onlyAfter(id, why, because),
  firstBackToo: true,
});

/** A step of the lift or of the way down, under the hoist’s own cautions. */
export function liftStep(
  id: string,
  title: string,
  tip: string,
  time: Time,
  { meets, kept, ...more }: Partial<StepSpec> & Pick<LowerStep, 'meets' | 'kept'> = {},
): LowerStep {
  return {
    id,
    ...(meets === undefined ? {} : { meets }),
    ...(kept === undefined ? {} : { kept }),
    ...step({
      station: 'front',
      height: 'raised',
      hands: 2,
      tools: ['engine hoist', 'load leveller'],
      cautions: ['under-load'],
      ...more,
      title,
      tip,
      minutes: minutes(...time),
    }),
  };
}
