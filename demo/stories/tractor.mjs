import { gateOf, isDone, isOpen, stopOf } from '@brisk/core/ledger';
import { findWay, hangingKg, legsOf, liftFor, movesToTake } from '@brisk/core/lift';
import { begin, measured } from './telling.mjs';

/** One that hangs half-way: its moves reckoned from what was measured, a snag felt, found and put on the map. */
export function tractor() {
  const crew = begin(
    'tractor',
    '2026-11-16',
    {
      title: 'Tractor 3: clutch slips',
      machine: 'Halden Mule 1.9, baggage tractor no. 3',
      reason: 'same-back',
      crew: ['Mika', 'Kamal'],
      note: 'Slips under a full train of carts. Clutch, release bearing and rear seal while it is out.',
      dueOn: '2026-12-01',
    },
    { layout: 'longitudinal-manual', choices: {}, powerpack: 'engine-with-gearbox', route: 'top' },
  );
  measured(crew, 'Mika', { bulkhead: 368, cowl: 946, slam: 462, radiator: 52, pulley: 566, crank: 452, top: 414 });
  crew.workUntil((state) => stopOf(state) === 'lift');
  const lift = liftFor(crew.state);
  const [leg] = legsOf(lift);
  const { moves, back } = last(findWay(lift, 0, () => undefined));
  crew.write('Mika', 6, {
    kind: 'moves-taken',
    ...movesToTake(crew.state.plan, lift, [{ leg, moves, ...(back ? { back: back.moves } : {}) }]),
  });
  crew.workUntil((state) => isDone(state, 'lift:first-inch'));
  crew.write('Kamal', 2, { kind: 'load-read', kg: Math.round(hangingKg(crew.state) * 1.28), lagging: 'rear' });
  crew.write('Kamal', 4, {
    kind: 'connection-found',
    alreadyOpen: false,
    connection: {
      id: 'found-bell-strap',
      name: 'the second ground strap behind the bell housing',
      kind: 'ground',
      between: ['gearbox', 'body'],
      station: 'underside',
      height: 'raised',
    },
  });
  crew.workUntil((state) => isOpen(state, 'found-bell-strap') && gateOf(state, 'pre-lift').signed !== undefined);
  crew.write('Kamal', 3, { kind: 'load-read', kg: Math.round(hangingKg(crew.state)) + 4 });
  const half = crew.state.moves.out.length / 2;
  crew.workUntil((state) => isDone(state, `lift:move-${Math.ceil(half)}`));
  return crew;
}

function last(generator) {
  for (let step = generator.next(); ; step = generator.next()) if (step.done) return step.value;
}
