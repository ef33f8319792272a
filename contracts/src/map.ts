import {
  ADJUSTED,
  BAYS,
  CAUTIONS,
  CONNECTION_KINDS,
  CYLINDERS_LIE,
  HOLD_POINTS,
  LEVEL_WAYS,
  MOVING,
  SEAT_KINDS,
  STATIONS,
  STEP_HEIGHTS,
  SYSTEMS,
  THREAD_STATES,
  ZONES,
  type Access,
  type Adaptation,
  type AdjustmentSpec,
  type Breakage,
  type CheckScope,
  type CheckStep,
  type Chore,
  type Circuit,
  type Condition,
  type Confirmation,
  type Connection,
  type ConnectionMap,
  type Cylinders,
  type Deed,
  type FastenerSet,
  type FillsLater,
  type HoldPoint,
  type LiftStep,
  type LowerStep,
  type JobPlan,
  type LevelSpec,
  type LookAt,
  type NewPart,
  type Part,
  type Powerpack,
  type Practice,
  type Reach,
  type RefitData,
  type Renewal,
  type Route,
  type StepSpec,
  type ThreePointMinutes,
  type TorqueSpec,
} from '@brisk/core/connection-map';
import { HALVES } from '@brisk/core/teardown';
import { mixed, number, string, type ISchema } from 'yup';
import {
  amount,
  count,
  id,
  LONGEST,
  list,
  name,
  oneOf,
  optionalAmount,
  optionalId,
  optionalList,
  optionalText,
  optionalYesOrNo,
  pairOfIds,
  positive,
  share,
  text,
} from './fields.js';
import { either, record, type FieldsOf } from './record.js';

const minutes = () =>
  record<ThreePointMinutes>({ low: amount(100_000), likely: amount(100_000), high: amount(100_000) });
const hands = () => mixed<1 | 2>().oneOf([1, 2]).required();
const tools = () => list(name(), 40);
const cautions = () => list(oneOf(CAUTIONS), 20);
/** A name that is held to nothing but its length: what it names is looked up by core. */
const named = () => string().max(LONGEST.id).optional();

/** Something that has to be made, changed or bought. */
export const adaptation = () =>
  record<Adaptation>({
    id: id(),
    title: text(),
    minutes: minutes(),
    connection: named(),
    dueBy: string<'start'>().oneOf(['start']).optional(),
    tip: optionalText(),
  });

const stepFields: FieldsOf<StepSpec> = {
  title: text(),
  station: oneOf(STATIONS),
  height: oneOf(STEP_HEIGHTS),
  hands: hands(),
  tools: tools(),
  minutes: minutes(),
  cautions: cautions(),
  tip: optionalText(),
  moves: optionalList(oneOf(MOVING), MOVING.length),
};
const step = () => record<StepSpec>(stepFields);
const optionalStep = () => step().optional().default(undefined);

const oneAccess = () =>
  either<Access>(
    {
      open: named(),
      removed: named(),
      why: text(),
      because: oneOf(['access', 'safety', 'load path']).optional(),
      orderOnly: optionalYesOrNo(),
      firstBackToo: optionalYesOrNo(),
    },
    ({ open, removed }) => (open === undefined) !== (removed === undefined),
    'access names either a connection to open or a part to remove.',
  );
const access = () => list(oneAccess(), 200);

const part = record<Part>({
  id: id(),
  name: name(),
  zone: oneOf(ZONES),
  system: oneOf(SYSTEMS),
  massKg: optionalAmount(100_000),
  ridesWith: named(),
  coversBay: optionalYesOrNo(),
  afterLeakCheck: optionalYesOrNo(),
  builtIn: optionalYesOrNo(),
  movesWith: oneOf(MOVING).optional(),
  chargedWith: named(),
  removal: optionalStep(),
});

/** Whether stages rise, and the last of them is all of it. */
const isRising = (stages: readonly number[] | null | undefined) =>
  !stages || (stages.at(-1) === 1 && stages.every((stage, at) => stage > (at === 0 ? 0 : (stages[at - 1] ?? 0))));

type TorqueAfter = NonNullable<TorqueSpec['after']>[number];
const torque = () =>
  record<TorqueSpec>({
    targetNm: positive(10_000),
    height: oneOf(STEP_HEIGHTS).optional(),
    looseUntilAllIn: named(),
    angleDeg: optionalAmount(720),
    stages: optionalList(share(), 6).test('rising', '${path} has to rise, and end with 1.', isRising),
    thread: oneOf(THREAD_STATES).optional(),
    eachRead: mixed<true>().oneOf([true]).optional(),
    again: mixed<true>().oneOf([true]).optional(),
    after: optionalList(record<TorqueAfter>({ connection: id(), why: text() }), 100),
  })
    .optional()
    .default(undefined);

const MOST_WANTED = 100_000;
const MOST_CYLINDERS = 16;
const adjustment = () =>
  record<AdjustmentSpec>({
    what: oneOf(ADJUSTED),
    gears: optionalList(name(), 24),
    inLine: mixed<true>().oneOf([true]).optional(),
    from: optionalAmount(MOST_WANTED),
    to: optionalAmount(MOST_WANTED),
    at: optionalText(),
  })
    .optional()
    .default(undefined);

/** One kind of fastener of a joint. */
export const fastenerSet = () =>
  record<FastenerSet>({
    count: count(1_000, 1),
    what: name(),
    note: optionalText(),
    singleUse: optionalYesOrNo(),
    washers: optionalList(name(), 10),
  });

const connection = record<Connection>({
  id: id(),
  name: name(),
  kind: oneOf(CONNECTION_KINDS),
  between: pairOfIds(),
  system: oneOf(SYSTEMS),
  station: oneOf(STATIONS),
  height: oneOf(STEP_HEIGHTS),
  hands: hands(),
  tools: tools(),
  minutes: minutes(),
  cautions: cautions(),
  fasteners: list(fastenerSet(), 40),
  needs: list(id(), 40),
  access: access(),
  circuit: named(),
  carriesLoad: optionalYesOrNo(),
  tip: optionalText(),
  moves: optionalList(oneOf(MOVING), MOVING.length),
  refit: record<RefitData>({
    minutes: minutes(),
    supportedBy: optionalList(id(), 20),
    height: oneOf(STEP_HEIGHTS).optional(),
    torque: torque(),
    handTight: optionalText(),
    adjust: adjustment(),
    beforeLowering: optionalText(),
    note: optionalText(),
  }),
});

const condition = record<Condition>({
  id: id(),
  name: name(),
  established: either<Condition['established']>(
    {
      by: oneOf(['connection', 'step']),
      connection: named(),
      step: optionalStep(),
      access: optionalList(oneAccess(), 200),
    },
    (how) => (how.by === 'connection' ? how.connection !== undefined : how.step !== undefined && !!how.access),
    'A condition comes about by opening a connection, or by a step with its access.',
  ),
  makeSafe: optionalYesOrNo(),
  takesLoad: optionalYesOrNo(),
  carries: optionalList(id(), 20),
  fromBelow: optionalYesOrNo(),
  givesReach: optionalList(oneOf(STATIONS), STATIONS.length),
  stops: optionalList(oneOf(MOVING), MOVING.length),
  released: optionalStep(),
  endedBy: optionalId(),
});

const circuit = record<Circuit>({
  id: id(),
  name: name(),
  fluid: name(),
  grade: optionalText(),
  capacityL: amount(1_000),
  drainsL: amount(1_000),
  fillsLater: optionalList(record<FillsLater>({ what: name(), litres: amount(1_000), opened: named() }), 10),
  level: record<LevelSpec>({
    by: oneOf(LEVEL_WAYS),
    fromC: amount(200, -60).optional(),
    toC: amount(200, -60).optional(),
    marksL: optionalAmount(100),
  })
    .optional()
    .default(undefined),
  drain: record<Circuit['drain']>({ ...stepFields, needs: list(id(), 40), access: access() }),
  fill: step(),
});

const scope = () =>
  record<CheckScope>({
    comesOut: named(),
    staysIn: named(),
    opened: oneOf(SYSTEMS).optional(),
    touches: optionalList(id(), 40),
    condition: named(),
    replaced: named(),
    notRenewed: named(),
    drained: named(),
    notDrained: named(),
  })
    .optional()
    .default(undefined);

const holdPoint = record<HoldPoint>({
  id: oneOf(HOLD_POINTS),
  name: name(),
  confirmations: list(
    record<Confirmation>({ id: id(), words: text(), where: scope(), beneath: optionalYesOrNo() }),
    40,
  ),
});

const route = record<Route>({
  id: id(),
  name: name(),
  powerpacks: optionalList(id(), 40),
  blockedBy: list(record<Route['blockedBy'][number]>({ part: id(), why: text() }), 200),
  opensToo: optionalList(record<NonNullable<Route['opensToo']>[number]>({ connection: id(), why: text() }), 200),
  supports: list(id(), 40),
  liftSteps: list(record<LiftStep>({ ...stepFields, id: id(), kept: optionalYesOrNo() }), 60),
  lowerSteps: list(
    record<LowerStep>({
      ...stepFields,
      id: id(),
      kept: optionalYesOrNo(),
      meets: optionalYesOrNo(),
      sits: named(),
    }),
    60,
  ),
});

const deeds = () =>
  list(
    either<Deed>(
      {
        connection: named(),
        undone: named(),
        renewal: named(),
        part: named(),
        circuit: named(),
        condition: named(),
        chore: named(),
        holdPoint: oneOf(HOLD_POINTS).optional(),
      },
      (deed) => Object.values(deed).filter((one) => one !== undefined).length === 1,
      'What a chore comes before or after is one connection, part, circuit, condition, renewal, chore or hold point.',
    ),
    60,
  );

const chore = record<Chore>({
  ...stepFields,
  id: id(),
  half: oneOf(HALVES),
  why: text(),
  wait: optionalYesOrNo(),
  photo: optionalYesOrNo(),
  recalls: named(),
  pins: oneOf(['in', 'out']).optional(),
  measures: oneOf(SEAT_KINDS).optional(),
  where: scope(),
  after: deeds(),
  before: deeds(),
});

const pair = () => pairOfIds().optional().default(undefined);
const reach = () =>
  either<Reach>(
    { open: named(), removed: named(), orderOnly: optionalYesOrNo(), parted: pair(), out: named(), why: text() },
    ({ open, removed, parted, out }) => [open, removed, parted, out].filter((one) => one !== undefined).length === 1,
    'What is in front of a renewal is one connection, one part, two units that are parted, or one that is out.',
  );

/** Something that is renewed while one can get at it. */
export const renewalSchema = record<Renewal>({
  ...stepFields,
  id: id(),
  name: name(),
  at: id(),
  reach: list(reach(), 40),
  why: text(),
  parts: list(record<NewPart>({ what: name(), count: count(1_000, 1), guideCents: count(1_000_000_000) }), 40),
  lastsYears: positive(100),
  after: optionalList(id(), 40),
  drains: named(),
  breaks: record<Breakage>({ what: text(), guideCents: count(1_000_000_000), days: amount(1_000) })
    .optional()
    .default(undefined),
});

/** A whole connection map, field by field. What its fields mean together is checked by core’s `problemsOf`. */
export const connectionMapSchema = record<ConnectionMap>({
  layout: id(),
  name: name(),
  bay: oneOf(BAYS).optional(),
  cylinders: record<Cylinders>({ count: count(MOST_CYLINDERS, 1), arranged: oneOf(CYLINDERS_LIE) })
    .optional()
    .default(undefined),
  body: id(),
  parts: list(part),
  connections: list(connection),
  conditions: list(condition, 200),
  circuits: list(circuit, 100),
  holdPoints: list(holdPoint, 20),
  powerpacks: list(record<Powerpack>({ id: id(), name: name(), roots: list(id(), 200) }), 40),
  routes: list(route, 40),
  checks: list(
    record<CheckStep>({
      ...stepFields,
      id: id(),
      when: oneOf(['before-start', 'after-start', 'handover']),
      wait: optionalYesOrNo(),
      where: scope(),
    }),
    100,
  ),
  chores: optionalList(chore, 100),
  renewals: optionalList(renewalSchema, 100),
});

const practice: ISchema<Practice | undefined> = record<Practice>({
  along: optionalList(id()),
  stays: optionalList(id()),
  offFirst: optionalList(id()),
})
  .optional()
  .default(undefined);

/** What a crew set out to do: the map, and the powerpack and route chosen on it. */
export const jobPlanSchema = record<JobPlan>({
  map: connectionMapSchema,
  powerpack: id(),
  route: id(),
  practice,
  lookAt: optionalList(record<LookAt>({ about: id(), question: text(), taken: text() }), 100),
  adaptations: optionalList(adaptation()),
  leftOff: optionalList(id()),
  rules: number().integer().min(1).max(1_000).optional(),
});
