import {
  BAYS,
  CAUTIONS,
  CONNECTION_KINDS,
  HOLD_POINTS,
  STATIONS,
  STEP_HEIGHTS,
  SYSTEMS,
  ZONES,
  type ConnectionMap,
  type JobPlan,
} from '@brisk/core/connection-map';
import { boolean, mixed, number, string, tuple, type Schema } from 'yup';
import { amount, count, id, list, name, oneOf, optionalText, record, text } from './fields.js';

const minutes = () => record({ low: amount(100_000), likely: amount(100_000), high: amount(100_000) });
const hands = () => mixed<1 | 2>().oneOf([1, 2]).required();
const tools = () => list(name(), 40);
const cautions = () => list(oneOf(CAUTIONS), 20);

const stepShape = {
  title: text(),
  station: oneOf(STATIONS),
  height: oneOf(STEP_HEIGHTS),
  hands: hands(),
  tools: tools(),
  minutes: minutes(),
  cautions: cautions(),
  tip: optionalText(),
};
const step = () => record(stepShape);

const access = () =>
  list(
    record({
      open: string().max(80).optional(),
      removed: string().max(80).optional(),
      why: text(),
      because: string().oneOf(['access', 'safety', 'load path']).optional(),
    }).test(
      'one-of',
      'access names either a connection to open or a part to remove.',
      (need) => (need.open === undefined) !== (need.removed === undefined),
    ),
    200,
  );

const part = record({
  id: id(),
  name: name(),
  zone: oneOf(ZONES),
  system: oneOf(SYSTEMS),
  massKg: number().min(0).max(100_000).optional(),
  ridesWith: string().max(80).optional(),
  removal: step().optional().default(undefined),
});

const torque = record({
  targetNm: number().moreThan(0).max(10_000).required(),
  angleDeg: number().min(0).max(720).optional(),
  after: list(record({ connection: id(), why: text() }), 100)
    .optional()
    .default(undefined),
})
  .optional()
  .default(undefined);

/** One kind of fastener of a joint. */
export const fastenerSet = record({
  count: count(1_000, 1),
  what: name(),
  note: optionalText(),
  singleUse: boolean().optional(),
  washers: list(name(), 10).optional().default(undefined),
});

const connection = record({
  id: id(),
  name: name(),
  kind: oneOf(CONNECTION_KINDS),
  between: tuple([id(), id()]).required(),
  system: oneOf(SYSTEMS),
  station: oneOf(STATIONS),
  height: oneOf(STEP_HEIGHTS),
  hands: hands(),
  tools: tools(),
  minutes: minutes(),
  cautions: cautions(),
  fasteners: list(fastenerSet, 40),
  needs: list(id(), 40),
  access: access(),
  circuit: string().max(80).optional(),
  carriesLoad: boolean().optional(),
  tip: optionalText(),
  refit: record({ minutes: minutes(), torque, beforeLowering: optionalText(), note: optionalText() }),
});

const condition = record({
  id: id(),
  name: name(),
  established: record({
    by: oneOf(['connection', 'step'] as const),
    connection: string().max(80).optional(),
    step: step().optional().default(undefined),
    access: access().optional().default(undefined),
  }).test('whole', 'A condition comes about by opening a connection, or by a step with its access.', (how) =>
    how.by === 'connection' ? how.connection !== undefined : how.step !== undefined && how.access !== undefined,
  ),
  makeSafe: boolean().optional(),
  takesLoad: boolean().optional(),
  released: step().optional().default(undefined),
});

const circuit = record({
  id: id(),
  name: name(),
  fluid: name(),
  capacityL: amount(1_000),
  drainsL: amount(1_000),
  drain: record({ ...stepShape, needs: list(id(), 40), access: access() }),
  fill: step(),
});

const namedStep = () => record({ ...stepShape, id: id() });

/** A whole connection map, field by field. What its fields mean together is checked by core’s `problemsOf`. */
export const connectionMapSchema = record({
  layout: id(),
  name: name(),
  bay: string().oneOf(BAYS).optional(),
  body: id(),
  parts: list(part),
  connections: list(connection),
  conditions: list(condition, 200),
  circuits: list(circuit, 100),
  holdPoints: list(
    record({ id: oneOf(HOLD_POINTS), name: name(), confirmations: list(record({ id: id(), words: text() }), 40) }),
    20,
  ),
  powerpacks: list(record({ id: id(), name: name(), roots: list(id(), 200) }), 40),
  routes: list(
    record({
      id: id(),
      name: name(),
      powerpacks: list(id(), 40).optional().default(undefined),
      blockedBy: list(record({ part: id(), why: text() }), 200),
      opensToo: list(record({ connection: id(), why: text() }), 200)
        .optional()
        .default(undefined),
      supports: list(id(), 40),
      liftSteps: list(namedStep(), 60),
      lowerSteps: list(namedStep(), 60),
    }),
    40,
  ),
  checks: list(
    record({ ...stepShape, id: id(), when: oneOf(['before-start', 'after-start', 'handover'] as const) }),
    100,
  ),
}) as unknown as Schema<ConnectionMap>;

/** What a crew set out to do: the map, and the powerpack and route chosen on it. */
export const jobPlanSchema = record({
  map: connectionMapSchema as Schema<ConnectionMap>,
  powerpack: id(),
  route: id(),
  practice: record({
    along: list(id()).optional().default(undefined),
    stays: list(id()).optional().default(undefined),
    offFirst: list(id()).optional().default(undefined),
  })
    .optional()
    .default(undefined),
  lookAt: list(record({ about: id(), question: text(), taken: text() }), 100)
    .optional()
    .default(undefined),
  adaptations: list(
    record({
      id: id(),
      title: text(),
      minutes: minutes(),
      connection: string().max(80).optional(),
      tip: optionalText(),
    }),
  )
    .optional()
    .default(undefined),
  leftOff: list(id()).optional().default(undefined),
  rules: number().integer().min(1).max(1_000).optional(),
}) as unknown as Schema<JobPlan>;
