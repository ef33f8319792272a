/** A screw thread. */
export interface Thread {
  readonly name: string;
  readonly system: 'metric' | 'inch';
  readonly diameterMm: number;
  readonly pitchMm: number;
}

const INCH_MM = 25.4;
const metric = (diameterMm: number, ...pitchesMm: readonly number[]): readonly Thread[] =>
  pitchesMm.map((pitchMm) => ({
    name: `M${diameterMm}×${pitchMm % 1 === 0 ? pitchMm.toFixed(1) : pitchMm}`,
    system: 'metric',
    diameterMm,
    pitchMm,
  }));
const inch = (name: string, sizeIn: number, ...turnsPerInch: readonly number[]): readonly Thread[] =>
  turnsPerInch.map((turns) => ({
    name: `${name}-${turns}`,
    system: 'inch',
    diameterMm: sizeIn * INCH_MM,
    pitchMm: INCH_MM / turns,
  }));

/** Threads met on machines: metric coarse and fine (ISO 261), inch coarse and fine (ASME B1.1); the coarse one first. */
export const THREADS: readonly Thread[] = [
  ...metric(4, 0.7),
  ...metric(5, 0.8),
  ...metric(6, 1),
  ...metric(7, 1),
  ...metric(8, 1.25, 1),
  ...metric(10, 1.5, 1.25, 1),
  ...metric(12, 1.75, 1.5, 1.25, 1),
  ...metric(14, 2, 1.5),
  ...metric(16, 2, 1.5),
  ...metric(18, 2.5, 1.5),
  ...metric(20, 2.5, 1.5),
  ...metric(22, 2.5, 1.5),
  ...metric(24, 3, 1.5),
  ...metric(26, 1.5),
  ...inch('#10', 0.19, 24, 32),
  ...inch('1/4', 0.25, 20, 28),
  ...inch('5/16', 0.3125, 18, 24),
  ...inch('3/8', 0.375, 16, 24),
  ...inch('7/16', 0.4375, 14, 20),
  ...inch('1/2', 0.5, 13, 20),
  ...inch('9/16', 0.5625, 12, 18),
  ...inch('5/8', 0.625, 11, 18),
  ...inch('3/4', 0.75, 10, 16),
];

/** The thread written at the beginning of `text`, and what stands after it: `M8×1.25`, `M8` (coarse), `5/16-18`. */
export function readThread(text: string): { readonly thread: Thread; readonly rest: string } | undefined {
  const metricFound = /^M(\d+(?:\.\d+)?)(?:[×x](\d+(?:\.\d+)?)(?!\d))?/.exec(text);
  if (metricFound) {
    const diameterMm = Number(metricFound[1]);
    const pitchMm = metricFound[2] === undefined ? undefined : Number(metricFound[2]);
    // `M8×25` names a length, not a pitch.
    const isPitch = pitchMm !== undefined && pitchMm < diameterMm / 2;
    const thread = THREADS.find(
      (one) =>
        one.system === 'metric' &&
        one.diameterMm === diameterMm &&
        (!isPitch || Math.abs(one.pitchMm - pitchMm) < 0.01),
    );
    const read = isPitch ? metricFound[0] : `M${metricFound[1]}`;
    const rest = text.slice(read.length);
    if (thread) return { thread, rest };
    if (isPitch) return { thread: { name: `M${diameterMm}×${pitchMm}`, system: 'metric', diameterMm, pitchMm }, rest };
    return undefined;
  }
  const inchFound = /^(#10|\d+\/\d+)(?:-(\d+))?(?=\s|,|$|×)/.exec(text);
  if (!inchFound) return undefined;
  const thread = THREADS.find(
    ({ name }) => name === inchFound[0] || (inchFound[2] === undefined && name.startsWith(`${inchFound[1]}-`)),
  );
  return thread && { thread, rest: text.slice(inchFound[0].length) };
}

/** How far apart two threads may be and still start in each other’s holes by a few turns. */
const ALIKE_DIAMETER_MM = 0.3;
const ALIKE_PITCH_MM = 0.2;

/**
 * Threads that are taken for `thread`: a hand starts them in each other’s holes, and a few turns on they bind or strip.
 * M8×1.25 and 5/16-18 are the well-known pair.
 */
export function lookalikesOf(thread: Thread): readonly Thread[] {
  return THREADS.filter(
    (other) =>
      other.name !== thread.name &&
      Math.abs(other.diameterMm - thread.diameterMm) <= ALIKE_DIAMETER_MM &&
      Math.abs(other.pitchMm - thread.pitchMm) <= ALIKE_PITCH_MM,
  );
}
