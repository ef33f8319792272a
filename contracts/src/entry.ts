import { CONNECTION_KINDS, HOLD_POINTS, STATIONS, STEP_HEIGHTS } from '@brisk/core/connection-map';
import { ISSUE_SORTS, START_RESULTS } from '@brisk/core/first-start';
import { DRIVES, FORMS, hasMeasured, PATTERN_SHAPES, type MeasuredBolt } from '@brisk/core/fasteners';
import {
  CONDITIONS_OF_FASTENER,
  HALVES,
  KEEPINGS,
  MEANS,
  SKIP_MODES,
  TROUBLES,
  type EntryKind,
  type LedgerEntry,
  type PlanSettings,
} from '@brisk/core/ledger';
import { PHOTO_MARKS } from '@brisk/core/photos';
import { FUEL_SCHOOLS, ORDER_SCHOOLS } from '@brisk/core/schedule';
import { TORQUE_UNITS } from '@brisk/core/units';
import { boolean, lazy, number, string, tuple, type ObjectShape, type Schema } from 'yup';
import { amount, count, id, list, name, oneOf, optionalText, record, text, time, uuid } from './fields.js';
import { fastenerSet } from './map.js';

const entry = <Kind extends EntryKind, Shape extends ObjectShape>(kind: Kind, shape: Shape) =>
  record({ id: uuid(), at: time(), by: name(), kind: oneOf([kind] as const), ...shape });

const optionalId = () =>
  string()
    .matches(/^[\w.:-]+$/)
    .max(80)
    .optional();

/** A time of day such as 07:30. */
const clock = () =>
  string()
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, { message: '${path} has to be a time of day such as 07:30.' })
    .required();

const minutesOff = () => amount(1_000_000);

/** Who works, what they count against an order, and the school they follow. */
const planShape = {
  crew: record({
    hands: list(
      record({
        name: name(),
        away: list(record({ fromMin: minutesOff(), untilMin: number().min(0).max(1_000_000).optional() }), 20)
          .optional()
          .default(undefined),
      }),
      8,
    ).min(1),
    weights: record({ heightChangeMin: amount(600), stationMoveMin: amount(600), toolFetchMin: amount(600) }),
    moveMachineMin: amount(600),
    day: record({ begins: clock(), ends: clock() })
      .test('opens', 'The shop has to open before it closes.', (day) => !day || day.begins < day.ends)
      .optional()
      .default(undefined),
    cramped: list(oneOf(STATIONS), STATIONS.length),
  }),
  school: record({ order: oneOf(ORDER_SCHOOLS), fuel: oneOf(FUEL_SCHOOLS) }),
  pins: list(record({ of: id(), before: id(), after: id() }), 400),
  waits: list(record({ operation: id(), min: number().min(0).max(1_000_000).optional(), why: text() }), 200),
};

/** What a plan is made with, by itself. */
export const planSettingsSchema = record(planShape) as unknown as Schema<PlanSettings>;

const optionalMm = () => number().moreThan(0).max(1_000).optional();

/** What somebody measured on a loose fastener; something has to be. */
const measured = () =>
  record({
    form: string().oneOf(FORMS).optional(),
    diameterMm: optionalMm(),
    pitchMm: number().moreThan(0).max(10).optional(),
    lengthMm: optionalMm(),
    drive: string().oneOf(DRIVES).optional(),
    driveSize: optionalMm(),
    flanged: boolean().optional(),
  }).test('something', 'Measure something first: how thick, how long, which head.', (bolt) =>
    hasMeasured(bolt as MeasuredBolt),
  );

/** The name of a photo: the SHA-256 of its file. */
export const photoName = () =>
  string()
    .matches(/^[0-9a-f]{64}$/, { message: '${path} has to be the SHA-256 of the picture.' })
    .required();

const share = () => number().min(0).max(1).required();
const pointOnPhoto = () => record({ x: share(), y: share() });
const placeMm = () => number().min(-5_000).max(5_000).required();

/** What each kind of ledger entry has to hold, by kind. */
export const ENTRY_SCHEMAS = {
  'operation-done': entry('operation-done', { operation: id() }),
  'operation-skipped': entry('operation-skipped', { operation: id(), mode: oneOf(SKIP_MODES), reason: text() }),
  'operation-stuck': entry('operation-stuck', {
    operation: id(),
    trouble: oneOf(TROUBLES),
    tried: text(),
    minutesLost: amount(10_000),
    means: list(oneOf(MEANS), MEANS.length).optional().default(undefined),
    soakMin: number().min(1).max(10_000).optional(),
  }),
  'height-set': entry('height-set', { height: oneOf(['ground', 'raised'] as const) }),
  'fasteners-counted': entry('fasteners-counted', {
    connection: id(),
    direction: oneOf(['out', 'in'] as const),
    count: count(1_000),
    bag: number().integer().min(1).max(100_000).optional(),
    kept: string().oneOf(KEEPINGS).optional(),
    note: optionalText(),
  }),
  'keeping-chosen': entry('keeping-chosen', { keeping: oneOf(KEEPINGS) }),
  'set-described': entry('set-described', { connection: id(), sets: list(fastenerSet, 40).min(1) }),
  'count-accepted': entry('count-accepted', { connection: id(), reason: text() }),
  'fasteners-judged': entry('fasteners-judged', {
    connection: id(),
    set: count(40),
    count: count(1_000),
    condition: oneOf(CONDITIONS_OF_FASTENER),
    replacedBy: string().trim().max(120).optional(),
  }),
  'pattern-drawn': entry('pattern-drawn', {
    connection: id(),
    pattern: record({
      shape: oneOf(PATTERN_SHAPES),
      widthMm: amount(5_000),
      heightMm: amount(5_000),
      holes: list(
        record({ xMm: placeMm(), yMm: placeMm(), set: count(40), note: string().trim().max(120).optional() }),
        200,
      ).min(1),
    }),
  }),
  'bolt-found': entry('bolt-found', { bolt: uuid(), measured: measured(), where: string().trim().max(120).optional() }),
  'bolt-homed': entry('bolt-homed', { bolt: uuid(), connection: id(), set: count(40) }),
  'bolt-set-aside': entry('bolt-set-aside', { bolt: uuid(), reason: text() }),
  'ground-checked': entry('ground-checked', { connection: id(), good: boolean().required(), note: optionalText() }),
  'photo-taken': entry('photo-taken', {
    photo: photoName(),
    widthPx: count(20_000, 1),
    heightPx: count(20_000, 1),
    pinnedTo: record({
      operation: optionalId(),
      connection: optionalId(),
      tag: number().integer().min(1).max(100_000).optional(),
      bag: number().integer().min(1).max(100_000).optional(),
    }),
    words: optionalText(),
  }),
  'photo-marked': entry('photo-marked', {
    photo: photoName(),
    marks: list(
      record({
        kind: oneOf(PHOTO_MARKS),
        from: pointOnPhoto(),
        to: pointOnPhoto(),
        words: string().trim().max(200).optional(),
      }),
      60,
    ),
  }),
  'work-paused': entry('work-paused', {}),
  'work-resumed': entry('work-resumed', {}),
  tagged: entry('tagged', { connection: id(), tag: count(100_000, 1) }),
  'connection-found': entry('connection-found', {
    connection: record({
      id: id(),
      name: name(),
      kind: oneOf(CONNECTION_KINDS),
      between: tuple([id(), id()]).required(),
      station: oneOf(STATIONS),
      height: oneOf(STEP_HEIGHTS),
    }),
    alreadyOpen: boolean().required(),
  }),
  'left-on-purpose': entry('left-on-purpose', { connection: id(), reason: text() }),
  'hold-point-signed': entry('hold-point-signed', { holdPoint: oneOf(HOLD_POINTS), confirmed: list(id(), 40) }),
  'torque-read': entry('torque-read', {
    connection: id(),
    wrench: id(),
    read: record({ value: number().moreThan(0).max(100_000).required(), unit: oneOf(TORQUE_UNITS) }),
  }),
  'torque-accepted': entry('torque-accepted', { connection: id(), reason: text() }),
  'fluid-measured': entry('fluid-measured', {
    circuit: id(),
    direction: oneOf(['out', 'in'] as const),
    litres: amount(1_000),
  }),
  noted: entry('noted', { text: text(), operation: optionalId(), house: boolean().optional() }),
  'part-needed': entry('part-needed', {
    need: uuid(),
    name: name(),
    quantity: count(10_000, 1),
    reason: text(),
    operation: optionalId(),
  }),
  'part-arrived': entry('part-arrived', { need: uuid() }),
  'start-attempted': entry('start-attempted', {
    voltsBefore: amount(36),
    voltsLowest: amount(36),
    crankSeconds: amount(120),
    result: oneOf(START_RESULTS),
    note: optionalText(),
  }),
  'issue-opened': entry('issue-opened', {
    issue: uuid(),
    title: name(),
    sort: oneOf(ISSUE_SORTS),
    connection: optionalId(),
  }),
  'issue-sorted': entry('issue-sorted', { issue: uuid(), sort: oneOf(ISSUE_SORTS) }),
  'issue-closed': entry('issue-closed', { issue: uuid(), how: text() }),
  'handed-over': entry('handed-over', { openItems: count(100_000), note: optionalText() }),
  'plan-followed': entry('plan-followed', {
    half: oneOf(HALVES),
    order: list(id(), 3_000),
    moveFirst: list(id(), 3_000).optional().default(undefined),
    ...planShape,
    finishMin: amount(1_000_000),
    heightChanges: count(10_000),
  }),
  corrected: entry('corrected', { corrects: uuid(), reason: text() }),
} as const satisfies Record<EntryKind, Schema>;

const unknownKind = record({ id: uuid(), at: time(), by: name(), kind: oneOf(Object.keys(ENTRY_SCHEMAS)) });

/** Any ledger entry, held against the schema of its own kind. */
export const entrySchema = lazy((value: unknown) => {
  const kind = typeof value === 'object' && value !== null && 'kind' in value ? value.kind : undefined;
  return typeof kind === 'string' && Object.hasOwn(ENTRY_SCHEMAS, kind)
    ? ENTRY_SCHEMAS[kind as EntryKind]
    : unknownKind;
}) as unknown as Schema<LedgerEntry>;
