/** What a bench box measures, one figure a reading: by what name it is sent, what it is called, its unit, and what no engine exceeds. */
export const CHANNELS = [
  { id: 'volts', name: 'Volts at the battery', unit: 'V', digits: 1, least: 0, most: 60, always: true },
  { id: 'amps', name: 'Starter current', unit: 'A', digits: 0, least: -500, most: 3_000, always: true },
  { id: 'rpm', name: 'Revolutions', unit: 'rpm', digits: 0, least: 0, most: 12_000, always: true },
  { id: 'oilBar', name: 'Oil pressure', unit: 'bar oil', digits: 1, least: 0, most: 30, always: false },
  { id: 'coolantC', name: 'Coolant', unit: '°C', digits: 0, least: -60, most: 200, always: false },
  { id: 'fuelBar', name: 'Fuel pressure', unit: 'bar fuel', digits: 1, least: 0, most: 3_500, always: false },
  { id: 'manifoldBar', name: 'Manifold', unit: 'bar inlet', digits: 2, least: -1, most: 5, always: false },
] as const;

/** One figure a box measures. */
export type Channel = (typeof CHANNELS)[number];
export type ChannelId = Channel['id'];
