import { FormArray, FormControl, FormGroup } from '@angular/forms';
import { amount, count, name, oneOf, optionalText } from '@brisk/contracts/fields';
import {
  CONNECTION_KINDS,
  STATIONS,
  STEP_HEIGHTS,
  SYSTEMS,
  type Access,
  type Caution,
  type Connection,
  type FastenerSet,
  type RefitData,
  type TorqueSpec,
} from '@brisk/core/connection-map';
import { readWashers } from '@brisk/core/fasteners';
import { heldBy, type FirstValues } from '@brisk/core/map-edit';
import { number, string } from 'yup';
import { figure, given, text, toolNames } from './fields';
import { setByTrying, togetherGroup, togetherValues, torqueBesides } from './together-fields';

/** What is told of a connection beside its fields: by ticking, or by a tap on the map. */
export interface Besides {
  readonly access: readonly Access[];
  readonly needs: ReadonlySet<string>;
  readonly cautions: ReadonlySet<Caution>;
  /** Connections whose final torque comes before this one’s. */
  readonly torqueAfter: NonNullable<TorqueSpec['after']>;
  /** The connection as it was: what no field shows of it stays as it is. */
  readonly was: Connection | undefined;
}

/** Of a new connection, or of `known`. */
export function besides(known: Connection | undefined): Besides {
  return {
    access: known?.access ?? [],
    needs: new Set(known?.needs),
    cautions: new Set(known?.cautions),
    torqueAfter: known?.refit.torque?.after ?? [],
    was: known,
  };
}

/** What a connection need not have, and what the form may empty. */
export const MAY_BE_EMPTY = ['circuit', 'carriesLoad', 'tip'] as const;

const minutesGroup = () =>
  new FormGroup({
    low: figure(amount(100_000, 0.1).label('When it goes well'), 1),
    likely: figure(amount(100_000, 0.1).label('As a rule'), 3),
    high: figure(amount(100_000, 0.1).label('When it fights back'), 9),
  });

/** Every field of a connection, with the rule each keeps to. */
export const connectionFields = () =>
  new FormGroup({
    name: text(name().label('Name')),
    kind: text(oneOf(CONNECTION_KINDS).label('Kind'), 'bolted'),
    from: text(string().required().label('From')),
    to: text(
      string()
        .required()
        .test(
          'other',
          'Both ends are at the same part.',
          (to, { parent }) => to !== (parent as { from?: string } | undefined)?.from,
        )
        .label('To'),
    ),
    system: text(oneOf(SYSTEMS).label('System'), 'body'),
    station: text(oneOf(STATIONS).label('Where one stands'), 'bay-top'),
    height: text(oneOf(STEP_HEIGHTS).label('Machine'), 'either'),
    hands: new FormControl<1 | 2>(1, { nonNullable: true }),
    minutes: minutesGroup(),
    backMinutes: minutesGroup(),
    /** What holds it, in one line: of a new one only. */
    held: text(string().max(120).label('Held by')),
    tools: toolNames(),
    circuit: text(string().max(80).label('Fluid')),
    carriesLoad: new FormControl(false, { nonNullable: true }),
    tip: text(optionalText().label('Mind')),
    nm: figure(number().moreThan(0).max(10_000).nullable().label('Torque'), null),
    deg: figure(number().min(0).max(720).nullable().label('Angle'), null),
    back: text(optionalText().label('On the way back')),
    beforeLowering: text(optionalText().label('Before the powerpack goes down')),
    together: togetherGroup(),
    sets: new FormArray<ReturnType<typeof fastenerGroup>>([]),
  });
export type ConnectionFields = ReturnType<typeof connectionFields>;

/** The fields of one kind of fastener. */
export function fastenerGroup({ count: pieces, what, note, singleUse, washers = [] }: FastenerSet) {
  return new FormGroup({
    count: figure(count(1_000, 1).label('How many'), pieces),
    what: text(name().label('Fastener'), what),
    note: text(optionalText().label('Note'), note ?? ''),
    singleUse: new FormControl(singleUse ?? false, { nonNullable: true }),
    washers: text(optionalText().label('Washers'), washers.join(', ')),
  });
}

/** Writes what is `known` of a connection into `form`. */
export function fill(form: ConnectionFields, known: Connection | undefined): void {
  form.controls.sets.clear();
  for (const set of known?.fasteners ?? []) form.controls.sets.push(fastenerGroup(set));
  if (!known) return;
  const { kind, between, system, station, height, hands, minutes, tools, circuit, carriesLoad, tip, refit } = known;
  form.patchValue({
    name: known.name,
    kind,
    from: between[0],
    to: between[1],
    system,
    station,
    height,
    hands,
    minutes,
    backMinutes: refit.minutes,
    tools,
    circuit: circuit ?? '',
    carriesLoad: carriesLoad ?? false,
    tip: tip ?? '',
    nm: refit.torque?.targetNm ?? null,
    deg: refit.torque?.angleDeg ?? null,
    back: refit.note ?? '',
    beforeLowering: refit.beforeLowering ?? '',
    together: togetherValues(refit),
  });
}

/** Writes what it will ordinarily be like into those fields of `form` that nobody has touched. */
export function expect(form: ConnectionFields, { system, height, minutes, backMinutes, tools }: FirstValues): void {
  const { controls } = form;
  if (controls.system.pristine) controls.system.setValue(system);
  if (controls.height.pristine) controls.height.setValue(height);
  if (controls.minutes.pristine) controls.minutes.setValue(minutes);
  if (controls.backMinutes.pristine) controls.backMinutes.setValue(backMinutes);
  if (controls.tools.pristine) controls.tools.setValue([...tools]);
}

/** The connection called `id` that `form` and what stands besides describe. */
export function connectionFrom(form: ConnectionFields, more: Besides, id: string): Connection {
  const { from, to, held, tools, nm, deg, back, sets, circuit, tip, beforeLowering, carriesLoad, together, ...value } =
    form.getRawValue();
  const minutes = {
    low: value.minutes.low ?? 1,
    likely: value.minutes.likely ?? 3,
    high: value.minutes.high ?? 9,
  };
  const { circuit: _circuit, carriesLoad: _carries, tip: _tip, refit, ...kept }: Partial<Connection> = more.was ?? {};
  const { torque, note: _note, beforeLowering: _before, height, supportedBy }: Partial<RefitData> = refit ?? {};
  const keptTorque: Partial<TorqueSpec> = torque?.height ? { height: torque.height } : {};
  return {
    ...kept,
    id,
    name: value.name.trim(),
    kind: value.kind as Connection['kind'],
    between: [from, to],
    system: value.system as Connection['system'],
    station: value.station as Connection['station'],
    height: value.height as Connection['height'],
    hands: value.hands,
    tools,
    minutes,
    cautions: cautionsFor([...more.cautions], value.height),
    fasteners: [
      ...heldBy(held),
      ...sets.map(({ count: pieces, what, note, singleUse, washers }): FastenerSet => ({
        count: pieces ?? 1,
        what: what.trim(),
        ...given('note', note),
        ...(singleUse ? { singleUse: true } : {}),
        ...(washers.trim() === '' ? {} : { washers: readWashers(washers).slice(0, 10) }),
      })),
    ],
    needs: [...more.needs],
    access: more.access,
    ...given('circuit', circuit),
    ...(carriesLoad ? { carriesLoad: true } : {}),
    ...given('tip', tip),
    refit: {
      ...(height ? { height } : {}),
      ...(supportedBy ? { supportedBy } : {}),
      minutes: {
        low: value.backMinutes.low ?? minutes.low,
        likely: value.backMinutes.likely ?? minutes.likely,
        high: value.backMinutes.high ?? minutes.high,
      },
      ...(nm === null
        ? {}
        : {
            torque: {
              ...keptTorque,
              ...torqueBesides(together),
              targetNm: nm,
              ...(deg ? { angleDeg: deg } : {}),
              ...(more.torqueAfter.length > 0 ? { after: more.torqueAfter } : {}),
            },
          }),
      ...setByTrying(together),
      ...given('note', back),
      ...given('beforeLowering', beforeLowering),
    },
  };
}

/** Whoever works under a raised machine is told of the stands. */
function cautionsFor(before: Connection['cautions'], height: string): Connection['cautions'] {
  if (height === 'raised') return before.includes('stands') ? before : ['stands', ...before];
  return before.filter((caution) => caution !== 'stands');
}
