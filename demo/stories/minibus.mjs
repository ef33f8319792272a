import { positionsOf } from '@brisk/core/fasteners';
import { isDone, setsOf } from '@brisk/core/ledger';
import { idFrom } from './crew.mjs';
import { begin, measured, photo, withNote } from './telling.mjs';

export function minibus() {
  const crew = begin('minibus', '2026-11-18', {
    title: 'Minibus: slips when warm',
    machine: 'Aldwick Tern 2.6 D, crew minibus no. 7',
    reason: 'same-back',
    crew: ['Ines', 'Tobias'],
    note: 'Gearbox slips into third when warm. Comes out with the engine; the rear seal is weeping anyway.',
    dueOn: '2026-12-04',
  });
  crew.write('Ines', 5, { kind: 'noted', text: 'Scratch on the left wing was there before. Photo on the shed phone.' });
  crew.workUntil((state) => isDone(state, 'remove:heat-shield'), {
    'open:steering-pump-bolts': (now) => {
      now.write(
        'Ines',
        2,
        photo('pump-aside', { operation: 'open:steering-pump-bolts' }, 'Pump swung aside, hoses on'),
      );
      now.step({ note: 'one 15 mm shorter, top; strap round the wing', kept: 'card' });
    },
    'open:undertray-screws': (now) => {
      now.write(
        'Tobias',
        1,
        photo('undertray-screws', { operation: 'open:undertray-screws' }, 'Two were missing already'),
      );
      now.step({ count: 10, note: 'two sheet screws were missing already' });
    },
    'open:heat-shield-nuts': (now) => {
      now.write(
        'Tobias',
        1,
        photo('shield-before', { operation: 'open:heat-shield-nuts' }, 'Shield before it came off'),
      );
      now.step();
    },
  });
  crew.write('Tobias', 4, {
    kind: 'part-needed',
    need: idFrom('minibus washers'),
    name: 'Large washers for the heat shield',
    quantity: 4,
    reason: 'Nuts pull through the shield',
  });
  measured(crew, 'Ines', { bulkhead: 372, cowl: 931, slam: 455, radiator: 44, pulley: 581, crank: 448, top: 419 });
  crew.workUntil((state) => state.progress.get('open:downpipe-turbo')?.is === 'stuck', {
    'open:downpipe-turbo': (now) =>
      now.write('Tobias', 25, {
        kind: 'operation-stuck',
        operation: 'open:downpipe-turbo',
        trouble: 'rounded',
        tried: 'Two nuts came with heat. The upper one is round; penetrant on it over night, then the extractor.',
        minutesLost: 25,
        means: ['penetrant', 'heat'],
        soakMin: 720,
      }),
  });
  crew.write('Tobias', 2, {
    kind: 'part-needed',
    need: idFrom('minibus nuts'),
    name: 'Copper nuts M8 for the turbocharger',
    quantity: 3,
    reason: 'Single use, one rounded',
    operation: 'open:downpipe-turbo',
  });
  const nuts = photo('turbo-nuts', { operation: 'open:downpipe-turbo' }, 'Upper nut at the turbocharger is round');
  crew.write('Tobias', 1, nuts, {
    kind: 'photo-marked',
    photo: nuts.photo,
    marks: [
      { kind: 'ring', from: { x: 0.6, y: 0.333 }, to: { x: 0.655, y: 0.333 }, words: 'this one' },
      { kind: 'arrow', from: { x: 0.25, y: 0.85 }, to: { x: 0.5, y: 0.57 }, words: 'came with heat' },
    ],
  });
  crew.write('Ines', 2, photo('loom-tags', { tag: 11 }, 'Plugs behind the engine, tags 11 to 13'));
  crew.write('Ines', 2, {
    kind: 'set-described',
    connection: 'steering-pump-bolts',
    sets: [
      { count: 1, what: 'M8×1.25 × 60, 13 mm', note: 'top, with the spacer', washers: ['wave', 'flat'] },
      { count: 2, what: 'M8×1.25 × 75, 13 mm' },
    ],
  });
  crew.write('Ines', 2, {
    kind: 'pattern-drawn',
    connection: 'steering-pump-bolts',
    pattern: withNote(positionsOf('circle', setsOf(crew.state, 'steering-pump-bolts'), 96, 96), 0, 'the short one'),
  });
  crew.write(
    'Tobias',
    3,
    { kind: 'fasteners-judged', connection: 'heat-shield-nuts', set: 0, count: 2, condition: 'corroded' },
    {
      kind: 'bolt-found',
      bolt: idFrom('minibus loose 1'),
      measured: { form: 'bolt', diameterMm: 7.86, lengthMm: 24.6, drive: 'hex', driveSize: 13 },
      where: 'on the crossmember, left',
    },
    {
      kind: 'bolt-found',
      bolt: idFrom('minibus loose 2'),
      measured: { form: 'bolt', diameterMm: 5.88, lengthMm: 16.3, driveSize: 10 },
      where: 'in the undertray',
    },
    {
      kind: 'bolt-found',
      bolt: idFrom('minibus loose 3'),
      measured: { form: 'screw', lengthMm: 16.2, drive: 'star', driveSize: 25 },
      where: 'swept up under the lift',
    },
    photo('loose-bolts', {}, 'Three nobody can place'),
  );
  crew.write('Ines', 3, {
    kind: 'noted',
    text: 'Old cable ties on the loom by the bell housing. New ones on the way back.',
  });
  return crew;
}
