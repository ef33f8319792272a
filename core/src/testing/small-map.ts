import type { Connection, ConnectionMap, JobPlan, Part } from '../connection-map/index.js';
import { connection, minutes, step } from '../layouts/author.js';

const hoist = step({ title: 'Hook on and take the weight', station: 'front', minutes: minutes(5, 10, 20) });

/** A lump on two mounts with a hose, a plug behind a cover and a battery: small enough to check by eye. */
export const smallMap: ConnectionMap = {
  layout: 'small',
  name: 'Small machine',
  body: 'body',
  parts: [
    { id: 'body', name: 'body', zone: 'outside', system: 'body' },
    { id: 'engine', name: 'engine', zone: 'bay-rear', system: 'mounts', massKg: 60 },
    { id: 'pump', name: 'water pump', zone: 'bay-front', system: 'cooling', massKg: 4, ridesWith: 'engine' },
    { id: 'battery', name: 'battery', zone: 'bay-left', system: 'electrics' },
    {
      id: 'cover',
      name: 'cover',
      zone: 'bay-top',
      system: 'body',
      massKg: 2,
      removal: step({ title: 'Lift the cover away', station: 'bay-top', minutes: minutes(1, 1, 2) }),
    },
    {
      id: 'radiator',
      name: 'radiator',
      zone: 'bay-front',
      system: 'cooling',
      massKg: 6,
      removal: step({ title: 'Lift the radiator out', station: 'front', minutes: minutes(1, 2, 4) }),
    },
  ],
  connections: [
    connection({
      id: 'negative',
      name: 'the battery lead',
      kind: 'ground',
      between: ['battery', 'body'],
      system: 'electrics',
      station: 'bay-top',
      minutes: minutes(1, 1, 2),
    }),
    connection({
      id: 'cover-bolts',
      name: 'the cover',
      kind: 'bolted',
      between: ['cover', 'body'],
      system: 'body',
      station: 'bay-top',
      minutes: minutes(1, 2, 4),
      access: [],
    }),
    connection({
      id: 'sensor',
      name: 'the sensor plug',
      kind: 'plug',
      between: ['engine', 'body'],
      system: 'electrics',
      station: 'bay-top',
      minutes: minutes(1, 1, 2),
      needs: ['isolated'],
      access: [{ removed: 'cover', why: 'The cover lies over it.' }],
    }),
    connection({
      id: 'hose',
      name: 'the lower hose',
      kind: 'hose',
      between: ['pump', 'radiator'],
      system: 'cooling',
      station: 'underside',
      height: 'raised',
      minutes: minutes(2, 3, 6),
      circuit: 'coolant',
    }),
    connection({
      id: 'radiator-bolts',
      name: 'the radiator brackets',
      kind: 'bolted',
      between: ['radiator', 'body'],
      system: 'cooling',
      station: 'front',
      minutes: minutes(2, 3, 6),
    }),
    connection({
      id: 'pump-bolts',
      name: 'the water pump',
      kind: 'bolted',
      between: ['pump', 'engine'],
      system: 'cooling',
      station: 'front',
      minutes: minutes(2, 3, 6),
    }),
    connection({
      id: 'mount-left',
      name: 'the left mount',
      kind: 'bolted',
      between: ['engine', 'body'],
      system: 'mounts',
      station: 'wheel-left',
      minutes: minutes(2, 4, 8),
      needs: ['hoisted'],
      carriesLoad: true,
      refit: { torque: { targetNm: 60 } },
    }),
    connection({
      id: 'mount-right',
      name: 'the right mount',
      kind: 'bolted',
      between: ['engine', 'body'],
      system: 'mounts',
      station: 'wheel-right',
      minutes: minutes(2, 4, 8),
      needs: ['hoisted'],
      carriesLoad: true,
      refit: {
        torque: { targetNm: 60, after: [{ connection: 'mount-left', why: 'Left before right.' }] },
      },
    }),
  ],
  conditions: [
    {
      id: 'isolated',
      name: 'Battery isolated',
      makeSafe: true,
      established: { by: 'connection', connection: 'negative' },
    },
    {
      id: 'hoisted',
      name: 'On the hoist',
      takesLoad: true,
      established: { by: 'step', step: hoist, access: [] },
      released: step({ title: 'Let the hoist down', station: 'front', minutes: minutes(1, 2, 4) }),
    },
  ],
  circuits: [
    {
      id: 'coolant',
      name: 'Coolant',
      fluid: 'coolant',
      capacityL: 6,
      drainsL: 4,
      drain: {
        ...step({ title: 'Drain the coolant', station: 'underside', height: 'raised', minutes: minutes(3, 5, 9) }),
        needs: [],
        access: [],
      },
      fill: step({ title: 'Fill the coolant', station: 'bay-top', minutes: minutes(3, 5, 9) }),
    },
  ],
  holdPoints: [
    { id: 'made-safe', name: 'Made safe', confirmations: [{ id: 'chocked', words: 'Wheels chocked' }] },
    { id: 'pre-lift', name: 'Ready to lift', confirmations: [{ id: 'rated', words: 'Hoist rated' }] },
    { id: 'pre-lower', name: 'Ready to lower', confirmations: [] },
    { id: 'pre-start', name: 'Ready to start', confirmations: [{ id: 'tools-out', words: 'Tools out' }] },
  ],
  powerpacks: [{ id: 'engine', name: 'Engine', roots: ['engine'] }],
  routes: [
    {
      id: 'top',
      name: 'Out of the top',
      blockedBy: [{ part: 'radiator', why: 'It stands in the way.' }],
      supports: ['hoisted'],
      liftSteps: [
        { id: 'inch', ...step({ title: 'Raise a little and look', station: 'front', minutes: minutes(1, 2, 4) }) },
        { id: 'clear', ...step({ title: 'Raise clear', station: 'front', minutes: minutes(1, 2, 4) }) },
      ],
      lowerSteps: [{ id: 'down', ...step({ title: 'Lower in', station: 'front', minutes: minutes(1, 2, 4) }) }],
    },
  ],
  checks: [
    { id: 'prime', when: 'before-start', ...step({ title: 'Prime', station: 'cabin', minutes: minutes(1, 2, 4) }) },
    { id: 'warm', when: 'after-start', ...step({ title: 'Warm up', station: 'cabin', minutes: minutes(5, 9, 20) }) },
    { id: 'run', when: 'handover', ...step({ title: 'Test run', station: 'cabin', minutes: minutes(5, 9, 20) }) },
  ],
};

export const smallPlan: JobPlan = { map: smallMap, powerpack: 'engine', route: 'top' };

/** The small plan with its map changed. */
export function smallPlanWith(changes: Partial<ConnectionMap>): JobPlan {
  return { ...smallPlan, map: { ...smallMap, ...changes } };
}

/** The small plan with one connection changed. */
export function withConnection(id: string, changes: Partial<Connection>): JobPlan {
  return smallPlanWith({
    connections: smallMap.connections.map((one) => (one.id === id ? { ...one, ...changes } : one)),
  });
}

/** The small plan with more parts and connections on it. */
export function withMore(parts: readonly Part[], connections: readonly Connection[]): JobPlan {
  return smallPlanWith({
    parts: [...smallMap.parts, ...parts],
    connections: [...smallMap.connections, ...connections],
  });
}
