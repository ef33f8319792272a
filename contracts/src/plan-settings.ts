import { STATIONS } from '@brisk/core/connection-map';
import type { Pin, PlanSettings, Wait } from '@brisk/core/ledger';
import { FUEL_SCHOOLS, ORDER_SCHOOLS, RAISED_ON, type Crew, type School } from '@brisk/core/schedule';
import { string } from 'yup';
import { amount, id, list, name, oneOf, optionalAmount, optionalList, optionalTime, text } from './fields.js';
import { record, type FieldsOf } from './record.js';

type Hand = Crew['hands'][number];
type Absence = NonNullable<Hand['away']>[number];

/** A time of day such as 07:30. */
const clock = () =>
  string()
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, { message: '${path} has to be a time of day such as 07:30.' })
    .required();

const LONGEST_MIN = 1_000_000;

const crew = () =>
  record<Crew>({
    hands: list(
      record<Hand>({
        name: name(),
        away: optionalList(
          record<Absence>({
            fromMin: amount(LONGEST_MIN),
            untilMin: optionalAmount(LONGEST_MIN),
            leavesAt: optionalTime(),
            backAt: optionalTime(),
          }),
          20,
        ),
      }),
      8,
      1,
    ),
    weights: record<Crew['weights']>({
      heightChangeMin: amount(600),
      stationMoveMin: amount(600),
      toolFetchMin: amount(600),
      jumpMin: optionalAmount(600),
      openMin: optionalAmount(600),
    }),
    moveMachineMin: amount(600),
    raisedOn: oneOf(RAISED_ON).optional(),
    day: record<NonNullable<Crew['day']>>({ begins: clock(), ends: clock() })
      .test('opens', 'The shop has to open before it closes.', (day) => !day || day.begins < day.ends)
      .optional()
      .default(undefined),
    cramped: list(oneOf(STATIONS), STATIONS.length),
  });

/** Who works, what they count against an order, and the school they follow. */
export const planFields: FieldsOf<PlanSettings> = {
  crew: crew(),
  school: record<School>({ order: oneOf(ORDER_SCHOOLS), fuel: oneOf(FUEL_SCHOOLS) }),
  pins: list(record<Pin>({ of: id(), before: id(), after: id() }), 400),
  waits: list(record<Wait>({ operation: id(), min: optionalAmount(LONGEST_MIN), why: text() }), 200),
};

/** What a plan is made with, by itself. */
export const planSettingsSchema = record<PlanSettings>(planFields);
