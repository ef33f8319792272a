import { CHANNELS, type ChannelId } from './channels.js';
import { readingOf, type BoxReading } from './reading.js';

/** A table that is no trace of a box; `message` says why. */
export class TraceTableError extends Error {
  override readonly name = 'TraceTableError';
}

/** Column names by which a figure goes, in small letters and digits only. */
const COLUMNS: Readonly<Record<ChannelId | 'atMs' | 'atS', readonly string[]>> = {
  atMs: ['atms', 'timems', 'ms', 'milliseconds'],
  atS: ['ats', 'times', 'time', 's', 'sec', 'seconds'],
  volts: ['volts', 'voltsv', 'v', 'battery', 'batteryv', 'voltage'],
  amps: ['amps', 'ampsa', 'a', 'current', 'currenta', 'startera', 'amperes'],
  rpm: ['rpm', 'revolutions', 'speed', 'speedrpm', 'enginespeed'],
  oilBar: ['oilbar', 'oil', 'oilpressure', 'oilpressurebar'],
  coolantC: ['coolantc', 'coolant', 'temperature', 'temperaturec', 'coolanttemperature'],
  fuelBar: ['fuelbar', 'fuel', 'fuelpressure', 'fuelpressurebar'],
  manifoldBar: ['manifoldbar', 'manifold', 'vacuum', 'boost', 'boostbar'],
};

/** Readings of ten minutes, ten a second, and as many again. */
const MOST_ROWS = 12_000;
const MOST_NAMED = 3;

/**
 * The readings in a table with a heading: time in seconds or milliseconds, volts, amperes, revolutions, and what else a box
 * measures, by their column names; other columns are passed over. Figures with a comma are read as well. Throws
 * {@link TraceTableError} where a column is missing, a row is none, or time runs backwards.
 */
export function readingsInTable(rows: readonly (readonly string[])[]): readonly BoxReading[] {
  const [heading, ...body] = rows.filter((row) => row.some((cell) => cell.trim() !== ''));
  if (!heading || body.length === 0) throw new TraceTableError('There are no readings in it.');
  if (body.length > MOST_ROWS)
    throw new TraceTableError(`It has ${body.length} rows. ${MOST_ROWS} at most: leave out what is not the burst.`);
  const named = heading.map((cell) => cell.toLowerCase().replace(/[^a-z0-9]/g, ''));
  const columnOf = (id: keyof typeof COLUMNS) => named.findIndex((name) => COLUMNS[id].includes(name));
  const inMs = columnOf('atMs');
  const inS = columnOf('atS');
  const missing = [
    ...(inMs < 0 && inS < 0 ? ['time_s'] : []),
    ...CHANNELS.filter(({ id, always }) => always && columnOf(id) < 0).map(({ id }) => id),
  ];
  if (missing.length > 0)
    throw new TraceTableError(
      `A column is missing: ${missing.join(', ')}. Its own are: ${heading
        .map((cell) => cell.trim())
        .join(', ')
        .slice(0, 200)}.`,
    );
  const columns = CHANNELS.flatMap(({ id }) => {
    const column = columnOf(id);
    return column < 0 ? [] : [{ id, column }];
  });
  const readings = body.map((row) => {
    const time = inMs >= 0 ? figureIn(row[inMs]) : (figureIn(row[inS]) ?? Number.NaN) * 1_000;
    return readingOf({
      atMs: time === undefined ? undefined : Math.round(time),
      ...Object.fromEntries(
        columns.flatMap(({ id, column }) => {
          const cell = row[column];
          // A sensor that was not on leaves its cells empty.
          return cell === undefined || cell.trim() === '' ? [] : [[id, figureIn(cell)]];
        }),
      ),
    });
  });
  const bad = readings.flatMap((reading, at) => (reading ? [] : [at + 2]));
  if (bad.length > 0)
    throw new TraceTableError(
      `No reading in row ${bad.slice(0, MOST_NAMED).join(', ')}${bad.length > MOST_NAMED ? ` and ${bad.length - MOST_NAMED} more` : ''}: a figure is missing, or one no engine gives.`,
    );
  const sound = readings.filter((reading) => reading !== undefined);
  const back = sound.findIndex(({ atMs }, at) => atMs <= (sound[at - 1]?.atMs ?? -1));
  if (back >= 0)
    throw new TraceTableError(`Time runs backwards in row ${back + 2}: two boxes in one file, or two runs.`);
  return sound;
}

function figureIn(cell: string | undefined): number | undefined {
  const text = (cell ?? '').trim().replace(',', '.');
  return text === '' ? undefined : Number(text);
}
