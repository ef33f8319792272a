/** Columns of a pin table. */
export const PIN_COLUMNS = ['plug', 'pin', 'signal', 'colour', 'size', 'goesTo', 'amps', 'length'] as const;
export type PinColumn = (typeof PIN_COLUMNS)[number];

/** Under which heading each column stands. */
export type PinMapping = Readonly<Partial<Record<PinColumn, string>>>;

/** One pin of a plug of one loom. */
export interface Pin {
  readonly plug: string;
  readonly pin: string;
  readonly signal: string;
  readonly colour?: string;
  readonly sizeMm2?: number;
  readonly goesTo?: string;
  readonly amps?: number;
  /** How far it runs, one way. */
  readonly lengthM?: number;
}

/** A pin table as read: its pins, and lines that cannot be taken, with why. The first line has the headings. */
export interface PinTable {
  readonly pins: readonly Pin[];
  readonly bad: readonly { readonly line: number; readonly words: string }[];
}

type Row = Readonly<Record<string, string | undefined>>;

/**
 * Reads the rows of a pin table. A line without plug, pin or signal, a pin that stands there twice, a figure that is none,
 * and pins that go to each other in a ring are named and left out.
 */
export function readPinTable(rows: readonly Row[], mapping: PinMapping): PinTable {
  const bad: { line: number; words: string }[] = [];
  const read: { readonly pin: Pin; readonly line: number }[] = [];
  const seen = new Map<string, number>();
  rows.forEach((row, index) => {
    const at = (column: PinColumn) => (mapping[column] === undefined ? '' : (row[mapping[column]] ?? '').trim());
    if (Object.values(row).every((value) => (value ?? '').trim() === '')) return;
    const line = index + 2;
    const wrong = (words: string) => void bad.push({ line, words });
    const [plug, pin, signal] = [at('plug'), at('pin'), at('signal')];
    if (plug === '' || pin === '') return wrong('It names no plug or no pin.');
    if (signal === '') return wrong(`${plug} pin ${pin} does not say what it carries.`);
    const key = keyOf(plug, pin);
    const before = seen.get(key);
    if (before !== undefined) return wrong(`${plug} pin ${pin} stands in line ${before} already.`);
    const figures = (['size', 'amps', 'length'] as const).map(
      (column) => [column, at(column), figureIn(at(column))] as const,
    );
    const none = figures.find(([, typed, figure]) => typed !== '' && figure === undefined);
    if (none) return wrong(`${plug} pin ${pin}: “${none[1]}” is no ${none[0]}.`);
    seen.set(key, line);
    const [size, amps, length] = figures.map(([, , figure]) => figure);
    read.push({
      line,
      pin: {
        plug,
        pin,
        signal,
        ...(at('colour') === '' ? {} : { colour: at('colour') }),
        ...(at('goesTo') === '' ? {} : { goesTo: at('goesTo') }),
        ...(size === undefined ? {} : { sizeMm2: size }),
        ...(amps === undefined ? {} : { amps }),
        ...(length === undefined ? {} : { lengthM: length }),
      },
    });
  });
  const ring = inARing(read.map(({ pin }) => pin));
  for (const { pin, line } of read)
    if (ring.has(pin)) bad.push({ line, words: `${pin.plug} pin ${pin.pin} goes round in a ring and ends nowhere.` });
  return {
    pins: read.flatMap(({ pin }) => (ring.has(pin) ? [] : [pin])),
    bad: bad.sort((one, other) => one.line - other.line),
  };
}

const keyOf = (plug: string, pin: string) => `${plug} ${pin}`.toLowerCase().replace(/\s+/g, ' ');

function figureIn(typed: string): number | undefined {
  const value = Number(typed.replace(',', '.').replace(/\s*(mm²|mm2|a|m)$/i, ''));
  return typed !== '' && Number.isFinite(value) && value > 0 ? value : undefined;
}

/** Pins that lead to each other without end: “goes to” that names a plug and pin of the same table. */
function inARing(pins: readonly Pin[]): ReadonlySet<Pin> {
  const byKey = new Map(pins.map((pin) => [keyOf(pin.plug, pin.pin), pin]));
  const next = (pin: Pin) =>
    byKey.get(
      (pin.goesTo ?? '')
        .toLowerCase()
        .replace(/\bpin\b|[/:]/g, ' ')
        .replace(/\s+/g, ' ')
        .trim(),
    );
  const ring = new Set<Pin>();
  for (const start of pins) {
    const path: Pin[] = [];
    for (let at: Pin | undefined = start; at && !ring.has(at); at = next(at)) {
      const loop = path.indexOf(at);
      if (loop >= 0) {
        // Two ends of one wire name each other; three and more are a slip.
        if (path.length - loop > 2) for (const one of path.slice(loop)) ring.add(one);
        break;
      }
      path.push(at);
    }
  }
  return ring;
}
