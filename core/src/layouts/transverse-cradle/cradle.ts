import { AT_THE_AIRBAG } from '../systems/gates.js';
import {
  after,
  behind,
  below,
  chore,
  connectionsOf,
  inside,
  nose,
  onlyAfter,
  part,
  removal,
  top,
  waiting,
  wheelLeft,
  wheelRight,
} from '../author.js';
import { aboveTray } from '../systems/battery-and-loom.js';
import { forCylinders, IN_TWO_BANKS, sized } from '../cylinders.js';
import type { Piece } from '../template.js';

const mounts = connectionsOf('mounts', { cautions: ['under-load'] });
const steering = connectionsOf('steering');
const HYDRAULIC = { steering: ['hydraulic'] } as const;

/** The cradle with the steering rack on it, and the three mounts between powerpack, body and cradle. */
export const cradle: Piece = {
  parts: [
    part('body', 'body', 'outside', 'body'),
    ...forCylinders((one) => part('engine', 'engine', 'bay-top', 'mounts', { massKg: sized(118, one) })),
    part('cradle', 'cradle', 'under-front', 'mounts', { massKg: 24 }),
    part('rack', 'steering rack', 'under-front', 'steering', { massKg: 8, ridesWith: 'cradle', movesWith: 'steering' }),
    part('steering-column', 'steering column', 'cabin', 'steering', { massKg: 7 }),
    part('roll-mount', 'lower roll mount', 'under-front', 'mounts', {
      massKg: 1,
      removal: removal('Take the lower roll mount out', below, [1, 2, 4], { tip: 'Mark which end points forward.' }),
    }),
    part('roll-front', 'front roll mount', 'under-front', 'mounts', {
      when: IN_TWO_BANKS,
      massKg: 1,
      ridesWith: 'cradle',
    }),
  ],
  connections: [
    mounts.bolted(
      'roll-front-bolt',
      'the front roll mount at the gearbox',
      ['roll-front', 'gearbox'],
      below,
      [3, 5, 15],
      {
        tools: ['18 mm ratchet', '18 mm spanner'],
        cautions: [],
        access: [aboveTray],
        set: { count: 1, what: 'M12×1.75 × 100, 18 mm, locking nut', singleUse: true },
        nm: 80,
        loose: 'roll mount',
        back: 'With the rear one, once the weight is on the upper two.',
        torqueAfter: [
          { connection: 'mount-right', why: 'The roll mounts are tightened with the weight on the upper two.' },
          { connection: 'mount-left', why: 'The roll mounts are tightened with the weight on the upper two.' },
        ],
      },
    ),
    mounts.bolted(
      'roll-front-cradle',
      'the front roll mount at the cradle',
      ['roll-front', 'cradle'],
      below,
      [3, 5, 12],
      {
        tools: ['16 mm ratchet'],
        cautions: [],
        access: [aboveTray],
        set: { count: 2, what: 'M10×1.5 × 30, 16 mm flange' },
        nm: 50,
      },
    ),
    mounts.bolted('mount-right', 'the right engine mount', ['engine', 'body'], top, [4, 8, 20], {
      tools: ['16 mm ratchet', 'long extension'],
      set: [
        { count: 2, what: 'M10×1.5 × 60, 16 mm flange', singleUse: true },
        { count: 2, what: 'M10 nut, 16 mm flange' },
      ],
      carriesLoad: true,
      nm: 50,
      deg: 90,
    }),
    mounts.bolted('mount-left', 'the left gearbox mount', ['gearbox', 'body'], top, [4, 8, 20], {
      tools: ['18 mm ratchet', 'long extension'],
      set: { count: 2, what: 'M12×1.75 × 70, 18 mm flange', singleUse: true },
      carriesLoad: true,
      access: [
        behind('airbox', 'The air filter box stands over it.'),
        onlyAfter('mount-right', 'Belt side first, or the gearbox tips into the inner wing.', 'load path'),
      ],
      nm: 60,
      deg: 90,
      torqueAfter: [{ connection: 'mount-right', why: 'The belt side sets the height; the gearbox side follows.' }],
    }),
    mounts.bolted('roll-gearbox', 'the roll mount at the gearbox', ['roll-mount', 'gearbox'], below, [2, 4, 12], {
      tools: ['16 mm ratchet'],
      cautions: [],
      access: [aboveTray],
      set: { count: 2, what: 'M10×1.5 × 35, 16 mm', singleUse: true },
      nm: 50,
      loose: 'roll mount',
    }),
    mounts.bolted('roll-cradle', 'the roll mount at the cradle', ['roll-mount', 'cradle'], below, [2, 4, 12], {
      tools: ['18 mm ratchet'],
      cautions: [],
      access: [aboveTray],
      set: { count: 1, what: 'M12×1.75 × 90, 18 mm', singleUse: true },
      nm: 80,
      loose: 'roll mount',
      back: 'Last of the three, with the weight on the others, or it hums.',
      torqueAfter: [
        { connection: 'mount-right', why: 'The roll mount is tightened with the weight on the upper two.' },
        { connection: 'mount-left', why: 'The roll mount is tightened with the weight on the upper two.' },
      ],
    }),
    mounts.bolted('cradle-bolts', 'the cradle at the body', ['cradle', 'body'], below, [8, 15, 40], {
      hands: 2,
      tools: ['18 mm ratchet', 'breaker bar', 'paint marker'],
      set: { count: 4, what: 'M12×1.75 × 90, 18 mm flange', singleUse: true },
      access: [
        after('cradle-bolts-rear', 'The short ones first; the four long ones hold it to the last.', 'load path'),
      ],
      carriesLoad: true,
      tip: 'Paint round every washer: the wheels point where the cradle sits.',
      nm: 100,
      back: 'To the paint marks, then have the wheels measured.',
    }),
    mounts.bolted(
      'cradle-bolts-rear',
      'the two short cradle bolts at the rear',
      ['cradle', 'body'],
      below,
      [2, 4, 12],
      {
        tools: ['16 mm ratchet'],
        set: { count: 2, what: 'M10×1.5 × 40, 16 mm flange' },
        carriesLoad: true,
        nm: 50,
        torqueAfter: [{ connection: 'cradle-bolts', why: 'The four long ones set where the cradle sits.' }],
      },
    ),
    steering.bolted('rack-bolts', 'the steering rack', ['rack', 'cradle'], below, [8, 15, 30], {
      tools: ['15 mm ratchet'],
      set: { count: 2, what: 'M10×1.5 × 70, 15 mm' },
      nm: 60,
    }),
    steering.shaft(
      'steering-coupling',
      'the steering column at the rack',
      ['steering-column', 'rack'],
      inside,
      [3, 6, 15],
      {
        tools: ['13 mm ratchet', 'paint marker', 'strap'],
        cautions: ['airbag'],
        set: { count: 1, what: 'M8×1.25 × 30 pinch bolt, 13 mm', singleUse: true },
        tip: 'Wheels straight, steering wheel strapped: turned round once, the airbag spring in it breaks.',
        nm: 28,
        back: 'To the paint mark. New bolt.',
      },
    ),
    steering.bolted('column-bolts', 'the steering column', ['steering-column', 'body'], inside, [10, 20, 40], {
      tools: ['13 mm ratchet'],
      cautions: ['airbag'],
      set: { count: 4, what: 'M8×1.25 × 25, 13 mm' },
      nm: 22,
    }),
    ...(['left', 'right'] as const).map((side) =>
      steering.linkage(
        `track-rod-${side}`,
        `the ${side} track rod end`,
        ['rack', `hub-${side}`],
        side === 'left' ? wheelLeft : wheelRight,
        [3, 6, 20],
        {
          tools: ['16 mm spanner', 'ball joint puller'],
          set: { count: 1, what: 'M12×1.5 locking nut, 16 mm', singleUse: true },
          access: [behind(`wheel-${side}`, 'The wheel is in the way.')],
          tip: 'Puller, no hammer on the thread.',
          nm: 45,
        },
      ),
    ),
    ...(['left', 'right'] as const).map((side) =>
      steering.linkage(
        `link-${side}`,
        `the ${side} anti-roll link`,
        ['cradle', `hub-${side}`],
        side === 'left' ? wheelLeft : wheelRight,
        [2, 5, 20],
        {
          tools: ['16 mm spanner', '6 mm hex'],
          set: { count: 1, what: 'M10×1.5 locking nut, 16 mm', singleUse: true },
          access: [behind(`wheel-${side}`, 'The wheel is in the way.')],
          nm: 50,
        },
      ),
    ),
    steering.pipe('rack-pipes', 'the steering pipes at the rack', ['rack', 'steering-pump'], below, [3, 6, 15], {
      when: HYDRAULIC,
      tools: ['17 mm flare spanner', 'plugs and caps', 'drain tray'],
      circuit: 'steering-oil',
      set: { count: 2, what: 'M16×1.5 union, 17 mm' },
      nm: 35,
      back: 'New O-rings.',
    }),
    steering.plug('rack-motor', 'the steering motor plugs', ['rack', 'body'], below, [2, 3, 8], {
      when: { steering: ['electric'] },
      needs: ['battery-isolated'],
      set: { count: 2, what: 'plug with catch' },
      back: 'Push until it clicks, then pull on it.',
    }),
  ],
  chores: [
    chore(
      'airbag-wait',
      'out',
      waiting('Let the airbag unit lose its charge, as long as the maker says', nose, [5, 10, 30], {
        cautions: ['airbag'],
      }),
      {
        why: 'Its store can fire an airbag for minutes after the battery is off.',
        where: { touches: [...AT_THE_AIRBAG] },
        after: [{ condition: 'battery-isolated' }],
        before: [...AT_THE_AIRBAG.map((connection) => ({ connection })), { holdPoint: 'made-safe' }],
      },
    ),
  ],
  circuits: [
    {
      id: 'steering-oil',
      name: 'Steering oil',
      fluid: 'steering oil',
      grade: 'the maker’s own; kinds are never mixed',
      capacityL: 1,
      drainsL: 0.7,
      level: { by: 'marks' },
      when: HYDRAULIC,
      drain: {
        title: 'Draw the steering oil out of its bottle',
        ...top,
        hands: 1,
        tools: ['syringe', 'drain tray'],
        minutes: { low: 2, likely: 4, high: 8 },
        cautions: [],
        needs: [],
        access: [],
      },
      fill: {
        title: 'Fill the steering oil and bleed it lock to lock',
        station: 'bay-top',
        height: 'raised',
        hands: 2,
        tools: ['funnel'],
        minutes: { low: 6, likely: 10, high: 20 },
        cautions: ['stands'],
        tip: 'Wheels in the air, slowly from lock to lock, bottle never empty.',
        moves: ['steering'],
      },
    },
  ],
};
