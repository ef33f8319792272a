import type { ConnectionMap, JobPlan } from '../connection-map/index.js';
import { connection, minutes, step } from '../layouts/author.js';
import { smallMap, smallPlan } from './small-map.js';

const plain = { system: 'body', station: 'bay-top', minutes: minutes(1, 2, 3) } as const;

/**
 * The small machine with one of everything that decides what comes before what: a bonnet over the bay, a tank that is heavy
 * in the hands, fuel let down by a step of its own, a seat that stays, and needs that only order.
 */
export const tractorMap: ConnectionMap = {
  ...smallMap,
  parts: [
    ...smallMap.parts.map((part) => (part.id === 'cover' ? { ...part, coversBay: true } : part)),
    { id: 'seat', name: 'seat', zone: 'cabin', system: 'body' },
    {
      id: 'tank',
      name: 'tank',
      zone: 'under-rear',
      system: 'fuel',
      massKg: 12,
      removal: step({ title: 'Lower the tank', station: 'underside', height: 'raised', minutes: minutes(2, 4, 8) }),
    },
    { id: 'loom', name: 'loom', zone: 'bay-rear', system: 'electrics' },
  ],
  connections: [
    ...smallMap.connections.map((one) =>
      one.id === 'sensor'
        ? {
            ...one,
            tip: 'Press the catch.',
            moves: ['steering'] as const,
            access: [
              ...one.access,
              { open: 'filler', why: 'The filler goes first where it goes at all.', orderOnly: true },
              { removed: 'tank', why: 'The tank goes first where it goes at all.', orderOnly: true },
              { open: 'seat-bolts', why: 'The seat goes first where it goes at all.', orderOnly: true },
              { removed: 'seat', why: 'The seat goes first where it goes at all.', orderOnly: true },
            ],
          }
        : one,
    ),
    connection({ ...plain, id: 'seat-bolts', name: 'the seat', kind: 'bolted', between: ['seat', 'body'] }),
    connection({
      ...plain,
      id: 'filler',
      name: 'the filler hose',
      kind: 'hose',
      between: ['tank', 'body'],
      station: 'rear',
      needs: ['fuel-down'],
      access: [{ open: 'loom-clips', why: 'The loom is tied to it.', because: 'safety', firstBackToo: true }],
    }),
    connection({
      ...plain,
      id: 'tank-strap',
      name: 'the tank strap',
      kind: 'strap',
      between: ['tank', 'body'],
      station: 'underside',
      height: 'raised',
      minutes: minutes(1, 2, 4),
    }),
    connection({ ...plain, id: 'loom-clips', name: 'the loom clips', kind: 'clip', between: ['loom', 'body'] }),
  ],
  conditions: [
    ...smallMap.conditions,
    {
      id: 'fuel-down',
      name: 'Fuel pressure down',
      makeSafe: true,
      established: {
        by: 'step',
        step: step({ title: 'Let the fuel pressure down', station: 'rear', minutes: minutes(1, 2, 4) }),
        access: [{ open: 'loom-clips', why: 'The valve is under the loom.' }],
      },
    },
    {
      id: 'warm',
      name: 'Warm',
      established: {
        by: 'step',
        step: step({ title: 'Warm it up', station: 'cabin', minutes: minutes(1, 2, 4) }),
        access: [],
      },
    },
  ],
  circuits: smallMap.circuits.flatMap((circuit) => [
    {
      ...circuit,
      drain: {
        ...circuit.drain,
        needs: ['isolated'],
        access: [{ removed: 'cover', why: 'The cap is under the cover.' }],
      },
    },
    { ...circuit, id: 'oil', name: 'Oil', drain: { ...circuit.drain, needs: ['warm'] } },
  ]),
  routes: smallMap.routes.map((route) => ({
    ...route,
    blockedBy: [...route.blockedBy, { part: 'tank', why: 'It hangs in the way.' }],
  })),
};

/** Its engine, out of the top. */
export const tractorPlan: JobPlan = { ...smallPlan, map: tractorMap, rules: 3 };
