/** One reading of a bench box. */
export interface BoxReading {
  /** Since it was switched on, in ms. */
  readonly atMs: number;
  readonly volts: number;
  /** What the starter draws. */
  readonly amps: number;
  readonly rpm: number;
  readonly oilBar: number;
  readonly coolantC: number;
  readonly fuelBar: number;
  /** The starter’s current at each cylinder’s compression, averaged over the burst so far; in firing order. */
  readonly peaksA?: readonly number[];
}

const FIELDS = ['atMs', 'volts', 'amps', 'rpm', 'oilBar', 'coolantC', 'fuelBar'] as const;
/** No engine gives more: what lies beyond is a broken box. */
const MOST: Readonly<Record<(typeof FIELDS)[number], readonly [number, number]>> = {
  atMs: [0, 86_400_000],
  volts: [0, 60],
  amps: [-500, 3_000],
  rpm: [0, 12_000],
  oilBar: [0, 30],
  coolantC: [-60, 200],
  fuelBar: [0, 3_500],
};
const MOST_CYLINDERS = 16;

/** The reading in a record a box sent, or nothing where a figure is missing, none, or one no engine gives. */
export function readingOf(sent: Readonly<Record<string, unknown>>): BoxReading | undefined {
  const figures = FIELDS.map((field) => sent[field]);
  const sound = figures.every((figure, at) => {
    const [least, most] = MOST[FIELDS[at] as (typeof FIELDS)[number]];
    return typeof figure === 'number' && figure >= least && figure <= most;
  });
  if (!sound) return undefined;
  const [atMs, volts, amps, rpm, oilBar, coolantC, fuelBar] = figures as readonly number[];
  const peaks = sent['peaksA'];
  const peaksSound =
    Array.isArray(peaks) &&
    peaks.length <= MOST_CYLINDERS &&
    peaks.every((peak): peak is number => typeof peak === 'number' && peak >= 0 && peak <= 3_000);
  return {
    atMs: atMs ?? 0,
    volts: volts ?? 0,
    amps: amps ?? 0,
    rpm: rpm ?? 0,
    oilBar: oilBar ?? 0,
    coolantC: coolantC ?? 0,
    fuelBar: fuelBar ?? 0,
    ...(peaksSound ? { peaksA: peaks } : {}),
  };
}
