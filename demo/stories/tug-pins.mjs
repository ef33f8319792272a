/** The two looms of tug 2, pin by pin: what the host’s plugs carry, and what the donor engine’s ask for. Made up. */
const pin = (plug, at, signal, colour, more = {}) => ({ plug, pin: at, signal, colour, ...more });

export const HOST_PINS = [
  pin('H1', '1', 'battery supply', 'red', { sizeMm2: 6, goesTo: 'fuse box', lengthM: 1.6 }),
  pin('H1', '2', 'ignition switched supply', 'black', { sizeMm2: 1.5, goesTo: 'fuse 4' }),
  pin('H1', '3', 'starter signal', 'yellow', { sizeMm2: 2.5, goesTo: 'key' }),
  pin('H1', '4', 'charge lamp', 'blue', { sizeMm2: 0.75, goesTo: 'dash' }),
  pin('H1', '5', 'oil pressure lamp', 'brown', { sizeMm2: 0.75, goesTo: 'dash' }),
  pin('H1', '6', 'coolant temp gauge', 'green', { sizeMm2: 0.75, goesTo: 'dash' }),
  pin('H1', '7', 'rev counter', 'white', { sizeMm2: 0.75, goesTo: 'dash' }),
  pin('H1', '8', 'ground', 'black', { sizeMm2: 4, goesTo: 'frame' }),
  pin('H2', '1', 'fuel pump supply', 'red', { sizeMm2: 1.5, goesTo: 'tank', lengthM: 4.2 }),
  pin('H2', '2', 'fuel gauge sender', 'grey', { sizeMm2: 0.75, goesTo: 'tank' }),
  pin('H2', '3', 'stop solenoid', 'violet', { sizeMm2: 1.5, goesTo: 'injection pump' }),
  pin('H2', '4', 'glow relay', 'orange', { sizeMm2: 2.5, goesTo: 'relay board' }),
];

export const ENGINE_PINS = [
  pin('E1', '1', 'permanent supply +', 'red', { sizeMm2: 6, amps: 40, goesTo: 'control unit', lengthM: 1.1 }),
  pin('E1', '2', 'switched supply key', 'green', { sizeMm2: 1.5, goesTo: 'control unit' }),
  pin('E1', '5', 'earth', 'brown', { sizeMm2: 4, goesTo: 'control unit' }),
  pin('E1', '9', 'starter relay signal', 'white', { sizeMm2: 2.5, goesTo: 'key' }),
  pin('E2', '3', 'alternator lamp', 'blue', { sizeMm2: 0.75, goesTo: 'dash' }),
  pin('E2', '4', 'oil press warning', 'black', { sizeMm2: 0.75, goesTo: 'dash' }),
  pin('E2', '5', 'water temperature gauge', 'yellow', { sizeMm2: 0.75, goesTo: 'dash' }),
  pin('E2', '6', 'tacho counter', 'grey', { sizeMm2: 0.75, goesTo: 'dash' }),
  pin('E2', '8', 'fuel pump feed', 'red', { sizeMm2: 1.5, amps: 8, goesTo: 'tank', lengthM: 2.6 }),
  pin('E2', '11', 'preheat relay', 'orange', { sizeMm2: 2.5, goesTo: 'relay board' }),
  pin('E3', '1', 'pedal position 1', 'violet', { sizeMm2: 0.5, goesTo: 'pedal' }),
  pin('E3', '2', 'pedal position 2', 'pink', { sizeMm2: 0.5, goesTo: 'pedal' }),
  pin('E3', '7', 'fault lamp', 'white', { sizeMm2: 0.5, goesTo: 'dash' }),
];
