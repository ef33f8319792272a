import { isDone, stopOf } from '@brisk/core/ledger';
import { idFrom } from './crew.mjs';
import { begin, boxAttempt, troubleTest } from './telling.mjs';

export function deicer() {
  const crew = begin('de-icer', '2026-10-19', {
    title: 'De-icer: exchange engine',
    machine: 'Marram Frost 8, de-icer carrier',
    reason: 'exchange',
    crew: ['Ruth', 'Kamal'],
    note: 'Burns a litre of oil a day. Exchange engine from stock, own gearbox.',
    dueOn: '2026-11-27',
  });
  crew.workUntil((state) => stopOf(state) === 'lift', {
    'open:loom-bell-clips': { note: 'upper bolt only with the long extension from behind' },
    'open:downpipe-turbo': (now) => {
      if (!now.state.progress.has('open:downpipe-turbo'))
        now.write(
          'Kamal',
          20,
          {
            kind: 'operation-stuck',
            operation: 'open:downpipe-turbo',
            trouble: 'seized',
            tried: 'Penetrant and half an hour, then the six-point socket on a long bar',
            minutesLost: 20,
            means: ['penetrant', 'leverage'],
            soakMin: 30,
          },
          {
            kind: 'noted',
            text: 'Never without soaking: half an hour of penetrant, six-point socket, then they come whole.',
            operation: 'open:downpipe-turbo',
            house: true,
          },
        );
    },
    'open:oil-pressure': (now) => {
      now.write('Ruth', 1, {
        kind: 'noted',
        text: 'The catch is brittle: warm it with the hand first, then press from below.',
        operation: 'open:oil-pressure',
        house: true,
      });
      now.step();
    },
  });
  crew.workUntil((state) => stopOf(state) === 'bench');
  crew.write('Ruth', 6, {
    kind: 'part-needed',
    need: idFrom('de-icer seal'),
    name: 'Rear crank seal',
    quantity: 1,
    reason: 'New while it is out: eleven hours to reach it later',
  });
  crew.write('Ruth', 3, {
    kind: 'part-needed',
    need: idFrom('de-icer mounts'),
    name: 'Engine mount',
    quantity: 2,
    reason: 'Rubber torn on the left one',
  });
  crew.write('Kamal', 4, {
    kind: 'part-needed',
    need: idFrom('de-icer plug'),
    name: 'Plug body for the exhaust temperature sensor',
    quantity: 1,
    reason: 'Catch broke off',
  });
  crew.write('Kamal', 10, {
    kind: 'noted',
    text: 'Exchange engine came without the oil level sensor. Ours moved over, new washer.',
  });
  crew.comeBackOn('2026-11-09');
  crew.write(
    'Ruth',
    5,
    { kind: 'part-arrived', need: idFrom('de-icer seal') },
    { kind: 'part-arrived', need: idFrom('de-icer mounts') },
  );
  crew.workUntil((state) => stopOf(state) === 'first-start', {
    'close:exhaust-sensor': (now) =>
      now.write('Kamal', 2, {
        kind: 'left-on-purpose',
        connection: 'exhaust-sensor',
        reason: 'Plug body is on order; warning lamp is expected until then.',
      }),
    'close:compressor-bolts': { count: 2, countAccepted: 'Third hole is stripped; insert on order' },
    'torque:mount-left': { torque: [66.0, 75.4] },
    'torque:downpipe-turbo': {
      torque: [21.5],
      accepted: 'No straight reach for the wrench; checked cold, again after the heat cycle',
    },
  });
  crew.workUntil((state) => isDone(state, 'check:prime-fuel'));
  const attempt = (minutes, voltsBefore, voltsLowest, crankSeconds, result) =>
    crew.write('Ruth', minutes, { kind: 'start-attempted', voltsBefore, voltsLowest, crankSeconds, result });
  attempt(4, 12.3, 10.1, 9, 'cranks');
  attempt(3, 12.1, 9.7, 10, 'cranks');
  attempt(4, 11.9, 9.3, 10, 'cranks');
  crew.write('Ruth', 2, troubleTest('complaint', 'no-start'));
  crew.write('Kamal', 5, troubleTest('bubbles', 'bubbles'));
  crew.write(
    'Kamal',
    6,
    {
      kind: 'issue-opened',
      issue: idFrom('de-icer lamp'),
      title: 'Exhaust temperature lamp',
      sort: 'still-unplugged',
      connection: 'exhaust-sensor',
    },
    {
      kind: 'issue-opened',
      issue: idFrom('de-icer gearbox'),
      title: 'Gearbox warning while cranking',
      sort: 'low-voltage',
    },
    {
      kind: 'issue-opened',
      issue: idFrom('de-icer fuel'),
      title: 'Turns, no fuel pressure at the rail',
      sort: 'real',
      connection: 'rail-sensor',
    },
  );
  crew.write('Ruth', 5, {
    kind: 'issue-opened',
    issue: idFrom('de-icer glow'),
    title: 'Glow lamp fault from before',
    sort: 'stored',
  });
  crew.write('Ruth', 4, { kind: 'issue-closed', issue: idFrom('de-icer glow'), how: 'Cleared; did not come back' });
  crew.write('Kamal', 3, { kind: 'noted', text: 'Battery on the 4 A charger over night. No more cranking today.' });
  crew.comeBackOn('2026-11-20');
  crew.write('Ruth', 4, {
    kind: 'noted',
    text: 'Off the charger: 12.7 V after an hour of rest. The second burst of the day before was one too many.',
  });
  const turned = boxAttempt('air-in-fuel', 14);
  crew.write('Ruth', 3, turned);
  return crew;
}
