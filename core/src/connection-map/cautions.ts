import type { Caution } from './step.js';

/** The usual caution, naming the harm and the precaution. It never says that a step is safe. */
export const CAUTION_WORDS: Readonly<Record<Caution, string>> = {
  battery: 'A live cable can arc and burn. Negative off first, and tied back where it cannot spring home.',
  fuel: 'Fuel spray burns and blinds. Let the pressure down as the maker says; extinguisher at hand, no lamps or sparks.',
  'hot-coolant': 'Hot coolant scalds under pressure. Let it cool before the cap or a hose is touched.',
  'hot-metal': 'A hot engine or exhaust burns through a glove. Wait until a bare hand stays on it.',
  stands: 'A machine that slips off a jack crushes. Stands under the body on firm ground, wheels chocked.',
  'under-load': 'Nobody under or beside a hanging load. Lifting gear rated and inspected under local rules.',
  airbag:
    'An airbag circuit can fire. Power down and wait as the maker says; qualified people only where the rules say so.',
  refrigerant: 'Refrigerant freezes skin and is never vented. Recovery by a certified person only.',
  spring: 'A loaded spring can strike. Keep face and hands out of its line.',
  heavy: 'This is heavy and awkward. Two people, or a jack; keep fingers out from under.',
  eyes: 'Rust and grit fall in your eyes. Eye protection on.',
  'exhaust-gas': 'Exhaust gas poisons in a closed shed. Lead it outside before the engine runs.',
  'high-voltage':
    'High voltage kills. Switched off, locked and proved dead by a qualified person only, as the maker says.',
  'air-pressure':
    'Stored air whips lines and drives brake springs. Tanks empty and gauges at nought before a line is touched.',
};
