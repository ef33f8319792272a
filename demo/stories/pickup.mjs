import { isDone, jointNow, nextUp, stopOf } from '@brisk/core/ledger';
import { begin } from './telling.mjs';

/** An exchange engine on the stand, half dressed with what the old one had. */
export function pickup() {
  const crew = begin(
    'pickup',
    '2026-11-16',
    {
      title: 'Pickup: exchange engine',
      machine: 'Aldwick Heron 2.0, apron pickup no. 1',
      reason: 'exchange',
      crew: ['Ines', 'Kamal'],
      note: 'Knocked, then stood. Exchange engine without outer parts; its own gearbox stays.',
      dueOn: '2026-12-08',
    },
    {
      layout: 'longitudinal-manual',
      choices: { fuel: 'petrol-port', throttle: 'cable', steering: 'hydraulic', refrigerant: 'none' },
      powerpack: 'engine-with-gearbox',
      route: 'top',
    },
  );
  crew.write('Ines', 4, {
    kind: 'unit-decided',
    unit: 'engine',
    becomes: 'exchange',
    comesWith: [],
    why: 'Bearing shells in the sump',
    causeOfDeath: 'Big end of cylinder 3: ran low on oil',
  });
  crew.write(
    'Kamal',
    6,
    {
      kind: 'part-priced',
      need: 'unit-engine',
      supplier: 'Norden Engine Exchange',
      number: 'NE 20-774',
      priceCents: 168_000,
      coreChargeCents: 40_000,
      coreDueOn: '2027-01-15',
    },
    { kind: 'part-moved-on', need: 'unit-engine', to: 'ordered', expectedOn: '2026-11-20' },
    { kind: 'renewal-decided', renewals: ['clutch', 'rear-crank-seal', 'release-bearing'], doIt: 'now' },
  );
  crew.workUntil((state) => stopOf(state) === 'bench');
  crew.write('Ines', 3, { kind: 'part-moved-on', need: 'unit-engine', to: 'arrived' });
  crew.write('Ines', 3, {
    kind: 'part-compared',
    need: 'unit-engine',
    compared: [
      { what: 'number on the plate', same: true },
      { what: 'bell face and bolt pattern', same: true },
      { what: 'bosses, sensors and outlets', same: true },
    ],
  });
  crew.write(
    'Ines',
    20,
    { kind: 'looked-at', look: 'filter-metal', finding: 'bad', note: 'Copper and bright flakes' },
    { kind: 'looked-at', look: 'sump-metal', finding: 'bad' },
    { kind: 'looked-at', look: 'crank-play', finding: 'bad' },
    { kind: 'looked-at', look: 'clutch-thickness', finding: 'watch' },
    { kind: 'looked-at', look: 'mount-rubber', finding: 'good' },
    { kind: 'looked-at', look: 'hoses-age', finding: 'watch' },
    {
      kind: 'unit-measured',
      reading: 'compression',
      values: [11.4, 11.2, 8.1, 11.5],
      low: 9.5,
      note: 'old engine, cold, throttle open',
    },
  );
  const place = (part, more) => ({ kind: 'part-placed', part, owner: 'host', condition: 'as-it-came', ...more });
  crew.write(
    'Kamal',
    15,
    place('bonnet', { place: 'shelf', where: 'north wall, on foam' }),
    place('radiator', { place: 'shelf', where: 'rack 2', condition: 'cleaned' }),
    place('propshaft', { place: 'shelf', where: 'rack 1', condition: 'checked' }),
    place('flywheel', { place: 'machine-shop', where: 'Pell Machining', waitsFor: 'facing', number: 'FW 2231' }),
  );
  crew.workUntil((state) => isDone(state, 'shift:change-engine'));
  crew.write('Kamal', 4, {
    kind: 'part-placed',
    part: 'flywheel',
    owner: 'host',
    place: 'bench',
    condition: 'repaired',
    reason: 'Faced by 0.3 mm',
  });
  crew.write('Kamal', 3, place('engine', { place: 'old-unit', where: 'pallet by the gate', number: '20-4417' }));
  crew.workUntil((state) => nextUp(state)?.operation.id === 'torque:bell-housing', {
    'do:clutch-on': {
      seat: [{ kind: 'seat-measured', operation: 'do:clutch-on', readingsMm: [36.4, 36.1, 36.3], figureMm: 36 }],
    },
  });
  const { order, stages } = jointNow(crew.state, 'bell-housing');
  const tight = (stage, bolts) => ({
    kind: 'bolts-tightened',
    connection: 'bell-housing',
    stage,
    bolts,
    read: { value: Number(stages[stage].nm.toFixed(1)), unit: 'N·m' },
    wrench: { id: 'half', name: '1/2 in, 40–330 N·m', range: { lowestNm: 40, highestNm: 330 } },
  });
  crew.write('Kamal', 3, tight(0, order));
  for (const bolt of order.slice(0, 3)) crew.write('Kamal', 1, tight(1, [bolt]));
  return crew;
}
