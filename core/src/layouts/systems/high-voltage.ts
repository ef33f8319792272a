import { after, chore, connectionsOf, doing, onGround, part, tail, top } from '../author.js';
import type { Piece } from '../template.js';

const hybrid = { hybrid: ['yes'] } as const;
const live = connectionsOf('electrics', { needs: ['high-voltage-off'], cautions: ['high-voltage'] });
const cooling = connectionsOf('cooling');

/** A high-voltage drive: cables, inverter, a motor on the gearbox. Only ever opened by qualified people. */
export const highVoltage: Piece = {
  parts: [
    part('inverter', 'inverter', 'bay-top', 'electrics', { massKg: 14, when: hybrid }),
    part('drive-motor', 'drive motor', 'under-middle', 'electrics', {
      massKg: 32,
      ridesWith: 'gearbox',
      when: hybrid,
    }),
  ],
  connections: [
    live.cable(
      'phase-cables',
      'the three motor cables at the inverter',
      ['drive-motor', 'inverter'],
      top,
      [6, 12, 25],
      {
        tools: ['insulated 10 mm ratchet', 'rated gloves', 'voltage tester'],
        set: { count: 3, what: 'M6×1.0 × 20, 10 mm, orange cap' },
        access: [after('motor-sensor', 'The sensor lead lies across the cables.')],
        tip: 'Measured dead at this very joint before it is touched. Caps on at once.',
        nm: 9,
        back: 'Figures and order as the maker says; the cover only when a second person has looked.',
      },
    ),
    connectionsOf('electrics', { needs: ['battery-isolated', 'high-voltage-off'] }).plug(
      'motor-sensor',
      'the motor position sensor',
      ['drive-motor', 'inverter'],
      top,
      [1, 2, 5],
    ),
    cooling.hose(
      'inverter-hose',
      'the coolant hose between inverter and motor',
      ['inverter', 'drive-motor'],
      top,
      [2, 4, 8],
      {
        tools: ['hose clip pliers'],
        circuit: 'inverter-coolant',
        set: { count: 1, what: 'spring band clip' },
      },
    ),
    live.bolted('inverter-bolts', 'the inverter', ['inverter', 'body'], top, [8, 15, 30], {
      tools: ['13 mm ratchet'],
      set: { count: 4, what: 'M8×1.25 × 30, 13 mm' },
      nm: 20,
    }),
    live.bolted('drive-motor-bolts', 'the drive motor', ['drive-motor', 'gearbox'], top, [20, 40, 80], {
      tools: ['16 mm ratchet'],
      set: { count: 8, what: 'M10×1.5 × 45, 16 mm' },
      nm: 45,
    }),
  ],
  conditions: [
    {
      id: 'high-voltage-off',
      name: 'High voltage off and proved dead',
      makeSafe: true,
      when: hybrid,
      established: {
        by: 'step',
        access: [after('battery-negative', 'The 12 V side is off first, as most makers say.', 'safety')],
        step: doing('Have the high voltage switched off, locked and proved dead', onGround(tail), [20, 30, 60], {
          tools: ['service plug', 'lock and tag', 'voltage tester'],
          cautions: ['high-voltage'],
          tip: 'By a qualified person, as the maker says, with the waiting time. The name goes on the lock.',
        }),
      },
      released: doing('Have the high voltage unlocked and switched on again', onGround(tail), [15, 25, 60], {
        tools: ['service plug', 'insulation tester'],
        cautions: ['high-voltage'],
        tip: 'By the qualified person whose name is on the lock, as the maker says, insulation measured first.',
      }),
    },
  ],
  chores: [
    chore(
      'bleed-inverter',
      'back',
      doing('Bleed the inverter coolant, its pump run by command', onGround(top), [5, 10, 25], {
        tools: ['diagnostic tester', 'funnel'],
        tip: 'On the 12 V alone, high voltage still off. Until no bubble comes, then to the mark.',
      }),
      {
        when: hybrid,
        why: 'The inverter never runs dry: bled before the high voltage is on again.',
        where: { drained: 'inverter-coolant' },
        after: [{ circuit: 'inverter-coolant' }, { connection: 'battery-negative' }],
        before: [{ condition: 'high-voltage-off' }],
      },
    ),
  ],
  circuits: [
    {
      id: 'inverter-coolant',
      name: 'Inverter coolant',
      fluid: 'coolant',
      grade: 'the maker’s own for the inverter, not mixed with the engine’s',
      capacityL: 2.4,
      drainsL: 1.6,
      level: { by: 'marks' },
      when: hybrid,
      drain: {
        ...doing('Drain the inverter coolant', top, [4, 8, 15], { tools: ['drain tray', 'hose clip pliers'] }),
        needs: [],
        access: [],
      },
      fill: doing('Fill the inverter coolant to its mark', onGround(top), [4, 8, 15], {
        tools: ['funnel'],
        tip: 'Slowly; its pump has no current yet, so it is bled once the 12 V is on.',
      }),
    },
  ],
};
