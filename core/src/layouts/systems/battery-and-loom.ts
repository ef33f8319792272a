import {
  after,
  behind,
  below,
  chore,
  connectionsOf,
  doing,
  inside,
  onGround,
  onlyAfter,
  part,
  removal,
  top,
} from '../author.js';
import { CYLINDER_NUMBERS } from '../cylinders.js';
import type { Optional, Piece } from '../template.js';
import type { Connection } from '../../connection-map/index.js';
import type { Details, Where } from '../author.js';

const electrics = connectionsOf('electrics', { needs: ['battery-isolated'] });
const unpowered = connectionsOf('electrics');

/** A plug on the engine loom, with what holds for all of them. */
export function loomPlug(
  id: string,
  name: string,
  at: string,
  where: Where,
  details: Details = {},
): Optional<Connection> {
  return electrics.plug(id, name, [at, 'loom'], where, [1, 1, 4], {
    backTime: [1, 1, 3],
    tip: 'Press the catch, pull the body, never the wires.',
    back: 'Push until it clicks, then pull on it.',
    ...details,
  });
}

/** What burns these is told by a control unit how much and when. */
const WITH_A_CONTROL_UNIT = ['petrol-port', 'petrol-direct', 'single-point', 'diesel-rail'] as const;

/** Under the engine cover: off before whatever lies there. */
export const underCover = behind('engine-cover', 'It lies under the engine cover.');
/** Of two batteries each burns by itself as long as the lead between them is on. */
export const bothParted = after(
  'battery-link',
  'With two batteries the lead between them comes off too: each burns by itself.',
);
/** Above the undertray. */
export const aboveTray = behind('undertray', 'The undertray covers it.');

/** Battery, starting, charging, and the engine loom with the plugs every engine has. */
export const batteryAndLoom: Piece = {
  parts: [
    part('battery', 'battery', 'bay-right', 'electrics', { massKg: 22 }),
    part('battery-second', 'second battery', 'bay-right', 'electrics', { massKg: 22, when: { voltage: ['24'] } }),
    part('loom', 'engine loom', 'bay-rear', 'electrics', { massKg: 6 }),
    part('control-unit', 'engine control unit', 'cabin', 'electrics', {
      massKg: 1,
      when: { fuel: [...WITH_A_CONTROL_UNIT] },
    }),
    part('alternator', 'alternator', 'bay-left', 'electrics', {
      when: { hybrid: ['no'] },
      massKg: 7,
      ridesWith: 'engine',
      removal: removal('Lift the alternator out', top, [1, 3, 8], {
        tip: 'Bushes grip: tap it out, never lever on the fins.',
      }),
    }),
    part('starter', 'starter', 'under-front', 'electrics', {
      when: { hybrid: ['no'] },
      massKg: 5,
      ridesWith: 'engine',
      removal: removal('Take the starter out', below, [1, 3, 8], {
        cautions: ['heavy'],
        tip: 'It comes out nose first. Hold it: it is heavier than it looks.',
      }),
    }),
  ],
  connections: [
    unpowered.ground('battery-negative', 'the battery negative lead', ['battery', 'body'], top, [1, 2, 4], {
      tools: ['10 mm spanner'],
      cautions: ['battery'],
      set: { count: 1, what: 'M6 clamp nut, 10 mm' },
      tip: 'Key out. Tie the lead back where it cannot spring onto the post.',
      nm: 6,
      back: 'Last of all, key out, every joint of the fuel closed. It sparks: something is on, find it first.',
    }),
    unpowered.cable(
      'battery-link',
      'the lead between the two batteries',
      ['battery', 'battery-second'],
      top,
      [1, 3, 6],
      {
        tools: ['13 mm spanner'],
        cautions: ['battery'],
        needs: ['battery-isolated'],
        set: { count: 2, what: 'M8 clamp nut, 13 mm' },
        tip: 'Both posts of it stay live to each other. One spanner only, and cap the posts.',
        nm: 9,
      },
    ),
    unpowered.clamp('battery-strap', 'the battery clamp', ['battery', 'body'], top, [1, 2, 4], {
      tools: ['13 mm ratchet'],
      set: { count: 1, what: 'M8×1.25 × 25, 13 mm' },
    }),
    unpowered.clamp(
      'battery-strap-second',
      'the clamp of the second battery',
      ['battery-second', 'body'],
      top,
      [1, 2, 4],
      {
        tools: ['13 mm ratchet'],
        set: { count: 1, what: 'M8×1.25 × 25, 13 mm' },
      },
    ),
    electrics.ground('engine-ground', 'the engine ground strap', ['engine', 'body'], below, [2, 3, 8], {
      tools: ['13 mm ratchet', 'wire brush'],
      set: { count: 1, what: 'M8×1.25 × 20, 13 mm flange', note: 'toothed washer under the eye' },
      access: [aboveTray, bothParted],
      nm: 20,
      back: 'Bright metal under the eye.',
    }),
    electrics.ground('gearbox-ground', 'the gearbox ground strap', ['gearbox', 'body'], below, [2, 3, 8], {
      tools: ['13 mm ratchet', 'wire brush'],
      set: { count: 1, what: 'M8×1.25 × 16, 13 mm flange' },
      access: [bothParted],
      tip: 'Hidden above the gearbox mount, left side. The one that gets forgotten.',
      nm: 20,
      back: 'Bright metal under the eye.',
    }),
    electrics.cable('starter-cable', 'the battery cable at the starter', ['starter', 'battery'], below, [3, 5, 12], {
      tools: ['13 mm ratchet', 'long extension'],
      cautions: ['battery'],
      set: { count: 1, what: 'M8 copper-faced nut, 13 mm' },
      access: [behind('undertray', 'The starter is above the undertray.'), bothParted],
      nm: 12,
      back: 'Rubber cap over the nut.',
    }),
    loomPlug('starter-signal', 'the starter signal plug', 'starter', below, {
      access: [after('starter-cable', 'The heavy cable lies over it.')],
    }),
    electrics.cable(
      'alternator-cable',
      'the charging cable at the alternator',
      ['alternator', 'loom'],
      top,
      [2, 3, 6],
      {
        tools: ['13 mm ratchet'],
        cautions: ['battery'],
        set: { count: 1, what: 'M8 nut, 13 mm' },
        access: [bothParted],
        nm: 15,
        back: 'Cap over the nut; clear of the fan.',
      },
    ),
    loomPlug('alternator-plug', 'the alternator control plug', 'alternator', top),
    loomPlug('oil-pressure', 'the oil pressure switch', 'engine', top),
    loomPlug('oil-level', 'the oil level sensor', 'engine', below, {
      when: { fuel: ['petrol-direct', 'diesel-rail'] },
      access: [behind('undertray', 'The undertray covers the sump.')],
    }),
    loomPlug('crank-sensor', 'the crankshaft sensor', 'engine', below, {
      when: { fuel: [...WITH_A_CONTROL_UNIT] },
      access: [aboveTray],
    }),
    loomPlug('cam-sensor', 'the camshaft sensor', 'engine', top, {
      when: { fuel: ['petrol-port', 'petrol-direct', 'diesel-rail'] },
      access: [underCover],
    }),
    loomPlug('knock-sensor', 'the knock sensor', 'engine', below, {
      when: { fuel: ['petrol-port', 'petrol-direct'] },
      access: [aboveTray],
      tip: 'Below the intake manifold, by feel. The plug turns if you twist it.',
    }),
    electrics.clip('loom-top-clips', 'the loom clips along the rocker cover', ['engine', 'loom'], top, [2, 4, 8], {
      tools: ['trim fork'],
      set: { count: 6, what: 'push clip 7 mm hole', singleUse: true },
      access: [
        underCover,
        ...CYLINDER_NUMBERS.map((number) => after(`injector-${number}`, 'Plugs off before the loom is pulled over.')),
      ],
      tip: 'Fold the loom back over the cowl and tie it there.',
    }),
    electrics.bolted(
      'loom-bell-clips',
      'the loom bracket on the bell housing',
      ['gearbox', 'loom'],
      below,
      [2, 4, 10],
      {
        tools: ['10 mm ratchet', 'long extension'],
        set: { count: 2, what: 'M6×1.0 × 12, 10 mm flange' },
        tip: 'The usual one that goes tight half-way up.',
        nm: 9,
      },
    ),
    electrics.plug('loom-control-unit', 'the loom at the control unit', ['loom', 'control-unit'], inside, [2, 3, 6]),
    unpowered.bolted('control-unit-bracket', 'the control unit bracket', ['control-unit', 'body'], inside, [3, 5, 10], {
      tools: ['10 mm ratchet'],
      set: [
        { count: 2, what: 'M6×1.0 × 16, 10 mm' },
        { count: 1, what: 'M6 shear-head screw', note: 'holds the shield against theft', singleUse: true },
      ],
      tip: 'The head of the shield’s screw was sheared off: slot it, or a left-hand extractor.',
    }),
    electrics.clip('loom-bulkhead', 'the loom grommet in the bulkhead', ['loom', 'body'], inside, [3, 6, 15], {
      tools: ['trim fork'],
      tip: 'Lip in from one side, then the loom through plug by plug, the widest first; tape their catches down.',
      back: 'Fed through from the bay, the lip seated all round: water follows a loom.',
    }),
    unpowered.bolted('alternator-bolts', 'the alternator', ['alternator', 'engine'], top, [5, 10, 25], {
      tools: ['16 mm ratchet'],
      set: { count: 2, what: 'M10×1.5 × 90, 16 mm' },
      nm: 45,
    }),
    unpowered.bolted('starter-bolts', 'the starter from the bell housing', ['starter', 'gearbox'], below, [5, 10, 25], {
      tools: ['16 mm ratchet', 'long extension'],
      needs: ['battery-isolated'],
      set: { count: 2, what: 'M10×1.5 × 60, 16 mm' },
      access: [
        aboveTray,
        onlyAfter('starter-cable', 'Unbolted, it hangs on its leads.', 'safety'),
        onlyAfter('starter-signal', 'Unbolted, it hangs on its leads.', 'safety'),
      ],
      tip: 'Hold it: nothing else does. Taken out, or tied up at once.',
      nm: 45,
    }),
  ],
  chores: [
    chore(
      'codes-before',
      'out',
      doing('Read the stored codes and write them down', onGround(inside), [3, 5, 12], {
        tools: ['diagnostic tester'],
        tip: 'Key on, engine off. Nothing cleared: a picture of the screen with date and mileage. No current, no tester: say so and go on.',
      }),
      {
        when: { fuel: [...WITH_A_CONTROL_UNIT] },
        why: 'A battery that was off forgets; what was there before cannot be told from what came by unplugging.',
        where: { opened: 'electrics' },
        after: [],
        before: [{ chore: 'run-dry' }, { connection: 'battery-negative' }],
      },
    ),
  ],
  conditions: [
    {
      id: 'battery-isolated',
      name: 'Battery isolated',
      makeSafe: true,
      established: { by: 'connection', connection: 'battery-negative' },
    },
  ],
};
