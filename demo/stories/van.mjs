import { nextUp } from '@brisk/core/ledger';
import { begin, measured } from './telling.mjs';

/** One whose way is barred: a shroud was put off, and with it on the engine does not come past the cowl. */
export function van() {
  const crew = begin(
    'van',
    '2026-11-17',
    {
      title: 'Ramp van: gearbox howls',
      machine: 'Halden Post 1.9, ramp van no. 5',
      reason: 'same-back',
      crew: ['Tobias', 'Mika'],
      note: 'Howls in third and fourth. Comes out with the engine; clutch looked at while it is apart.',
      dueOn: '2026-12-08',
    },
    { layout: 'longitudinal-manual', choices: {}, powerpack: 'engine-with-gearbox', route: 'top' },
  );
  measured(crew, 'Tobias', { bulkhead: 368, cowl: 946, slam: 462, radiator: 52, pulley: 566, crank: 452, top: 414 });
  crew.workUntil(onlyPutOff, {
    'remove:fan-shroud': (now) =>
      now.write('Tobias', 3, {
        kind: 'operation-skipped',
        operation: 'remove:fan-shroud',
        mode: 'later',
        reason: 'Lower clip is behind the hose; it may stay as it is',
      }),
  });
  return crew;
}

/** Whether what comes next is what was put off: everything else before the lift is done. */
function onlyPutOff(state) {
  const next = nextUp(state)?.operation.id;
  return next !== undefined && state.progress.get(next)?.is === 'skipped';
}
