import { hasRun, isDone, openItems, stopOf } from '@brisk/core/ledger';
import { idFrom } from './crew.mjs';
import { begin, photo, troubleTest } from './telling.mjs';

/** A heavy one under a tilting cab, finished: the record of a whole job, with one connection nobody knew of. */
export function tender() {
  const crew = begin(
    'tender',
    '2026-09-07',
    {
      title: 'Fire tender: broken mount',
      machine: 'Holmgate Rescue 2, fire tender',
      reason: 'same-back',
      crew: ['Ines', 'Kamal'],
      note: 'Front mount torn through. The gantry of the fire station is lent for two days.',
      dueOn: '2026-09-30',
    },
    {
      layout: 'heavy-tilt-cab',
      choices: { fuel: 'diesel-rail', voltage: '12' },
      powerpack: 'engine-with-gearbox',
      route: 'top',
    },
  );
  crew.workUntil((state) => stopOf(state) === 'bench', {
    'open:flex-clamp-turbo': (now) => {
      if (!now.state.progress.has('open:flex-clamp-turbo'))
        now.write(
          'Kamal',
          20,
          {
            kind: 'operation-stuck',
            operation: 'open:flex-clamp-turbo',
            trouble: 'seized',
            tried: 'Soaked, then the T bolt turned round in the band',
            minutesLost: 20,
            means: ['penetrant', 'leverage'],
            soakMin: 30,
          },
          {
            kind: 'noted',
            text: 'Band clamps of the hot side are cut and bought new: an hour saved each time.',
            operation: 'open:flex-clamp-turbo',
            house: true,
          },
          photo('ground-strap', { connection: 'engine-ground' }, 'Engine strap, both ends'),
        );
    },
    'open:range-switches': (now) =>
      now.write(
        'Ines',
        6,
        {
          kind: 'connection-found',
          alreadyOpen: false,
          connection: {
            id: 'found-siren-ground',
            name: 'a siren ground on the gearbox bolt',
            kind: 'ground',
            between: ['gearbox', 'body'],
            station: 'underside',
            height: 'either',
          },
        },
        {
          kind: 'operation-skipped',
          operation: 'open:range-switches',
          mode: 'later',
          reason: 'Siren ground is in front of it',
        },
      ),
  });
  crew.comeBackOn('2026-09-21');
  crew.workUntil((state) => stopOf(state) === 'first-start');
  crew.workUntil((state) => isDone(state, 'check:prime-fuel'));
  crew.write('Ines', 3, {
    kind: 'start-attempted',
    voltsBefore: 12.7,
    voltsLowest: 10.6,
    crankSeconds: 7,
    result: 'cranks',
  });
  crew.write('Ines', 2, troubleTest('complaint', 'no-start'));
  crew.write('Kamal', 6, troubleTest('bubbles', 'bubbles'));
  crew.write('Kamal', 12, {
    kind: 'cause-found',
    cause: 'air-in-fuel',
    name: 'There is air in the fuel: not bled, or a joint draws it',
    mended: 'Union of the tank feed was finger tight; tightened, bled at the filter',
  });
  crew.write('Ines', 2, {
    kind: 'start-attempted',
    voltsBefore: 12.5,
    voltsLowest: 10.4,
    crankSeconds: 5,
    result: 'runs',
  });
  crew.workUntil((state) => hasRun(state) && isDone(state, 'check:on-its-wheels'));
  crew.write('Ines', 10, {
    kind: 'handed-over',
    openItems: openItems(crew.state).length,
    note: 'Siren ground is on the map now.',
  });
  const looks = [
    { look: idFrom('tender cold'), what: 'Cold, next morning: every level', dueOn: '2026-10-01' },
    {
      look: idFrom('tender mount'),
      what: 'New front mount: its nut, the rubber, the gap',
      dueOn: '2026-11-20',
      afterKm: 200,
    },
  ];
  crew.write('Ines', 4, ...looks.map((look) => ({ kind: 'second-look-planned', ...look })));
  crew.comeBackOn('2026-10-01');
  crew.write('Kamal', 9, { kind: 'second-look-done', look: looks[0].look, note: 'A quarter litre of coolant' });
  return crew;
}
