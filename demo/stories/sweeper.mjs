import { usualSettings } from '@brisk/core/planning';
import { begin, measured } from './telling.mjs';

export function sweeper() {
  const crew = begin(
    'sweeper',
    '2026-11-20',
    {
      title: 'Sweeper: coolant in the oil',
      machine: 'Corvane Brush 3, runway sweeper',
      reason: 'same-back',
      crew: ['Tobias', 'Ruth'],
      note: 'Petrol engine of the brush. Waits for the minibus to free the lift.',
      dueOn: '2026-12-18',
    },
    {
      layout: 'transverse-cradle',
      choices: {
        fuel: 'petrol-port',
        boost: 'none',
        throttle: 'cable',
        steering: 'hydraulic',
        oilCooler: 'yes',
        gasReturn: 'yes',
      },
      unsure: ['oilCooler', 'gasReturn'],
      powerpack: 'cradle',
      route: 'under',
    },
  );
  const settings = usualSettings(crew.job.crew);
  crew.follow('Ruth', 10, { ...settings, school: { order: 'by-system', fuel: 'last' } });
  crew.follow('Tobias', 25, {
    ...settings,
    pins: [{ of: 'remove:airbox', before: 'remove:airbox', after: 'open:gear-cable-select' }],
  });
  measured(crew, 'Ruth', { radiator: 150, tail: 332 });
  return crew;
}
