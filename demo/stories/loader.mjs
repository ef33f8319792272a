import { isDone, stopOf } from '@brisk/core/ledger';
import { idFrom } from './crew.mjs';
import { begin, photo } from './telling.mjs';

/** A small engine on a deck: its lower seal weeps onto the belt. Half back together. */
export function loader() {
  const crew = begin(
    'loader',
    '2026-11-02',
    {
      title: 'Belt loader: front crank seal',
      machine: 'Corvane Ramp 4, belt loader no. 2',
      reason: 'same-back',
      crew: ['Kamal', 'Ines'],
      note: 'Oil on the drive belt; it slips when two cases lie on it.',
      dueOn: '2026-11-30',
    },
    { layout: 'utility-belt', choices: { fuel: 'carburettor' }, powerpack: 'engine', route: 'top' },
  );
  crew.workUntil((state) => stopOf(state) === 'bench', {
    'open:deck-front': (now) => {
      now.write(
        'Kamal',
        1,
        photo('mount-out', { operation: 'open:deck-front' }, 'Where it stood on the deck, painted'),
      );
      now.step();
    },
    'open:drive-belt-off': { note: 'arrow points to the guard' },
  });
  crew.write('Ines', 4, {
    kind: 'part-needed',
    need: idFrom('loader seal'),
    name: 'Front crank seal',
    quantity: 1,
    reason: 'The reason it came out',
  });
  crew.write('Kamal', 3, {
    kind: 'part-needed',
    need: idFrom('loader belt'),
    name: 'Drive belt to the gearbox',
    quantity: 1,
    reason: 'Soaked with oil, it never grips again',
  });
  crew.comeBackOn('2026-11-19');
  crew.write('Kamal', 5, { kind: 'part-arrived', need: idFrom('loader seal') });
  // The yard is at minus twenty in February; the mix is worked out before anything is poured.
  crew.write('Kamal', 4, {
    kind: 'fill-planned',
    circuit: 'coolant',
    freezingC: -30,
    shareInside: 0.33,
    cansL: [1, 5],
  });
  crew.workUntil((state) => isDone(state, 'torque:deck-front'));
  crew.write(
    'Ines',
    2,
    photo('mount-back', { operation: 'close:deck-rear' }, 'To the paint, straight edge along the pulleys'),
  );
  crew.write('Kamal', 6, {
    kind: 'torque-read',
    connection: 'deck-rear',
    wrench: 'three-eighths',
    read: { value: 21.5, unit: 'N·m' },
  });
  crew.write('Ines', 1, { kind: 'second-signer-asked', holdPoint: 'pre-start', asked: true });
  crew.write('Ines', 1, {
    kind: 'help-called',
    text: 'Bring the straight edge from the lathe',
    operation: 'torque:deck-rear',
  });
  return crew;
}
