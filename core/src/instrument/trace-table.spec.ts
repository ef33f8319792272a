import { readingsInTable, TraceTableError } from './index.js';

const heading = ['time_s', 'volts', 'amps', 'rpm', 'oil_bar', 'humidity'];
const rows = (...body: readonly (readonly string[])[]) => [heading, ...body];

describe('a trace out of a table', () => {
  it('is read by the names of its columns, others passed over, with comma or point', () => {
    expect(
      readingsInTable(rows(['0.1', '12,6', '0', '0', '', '40'], [], ['0.2', '10.5', '180', '220', '0.4', 'x'])),
    ).toEqual([
      { atMs: 100, volts: 12.6, amps: 0, rpm: 0 },
      { atMs: 200, volts: 10.5, amps: 180, rpm: 220, oilBar: 0.4 },
    ]);
    expect(
      readingsInTable([
        ['ms', 'V', 'A', 'Engine speed'],
        ['5', '12', '1', '2'],
      ]),
    ).toEqual([{ atMs: 5, volts: 12, amps: 1, rpm: 2 }]);
  });

  it.each([
    ['nothing', [], 'There are no readings in it.'],
    ['a heading alone', [heading], 'There are no readings in it.'],
    [
      'other columns',
      [
        ['Zeit', 'Spannung'],
        ['1', '2'],
      ],
      'A column is missing: time_s, volts, amps, rpm. Its own are: Zeit, Spannung.',
    ],
    [
      'figures no engine gives',
      rows(['0.1', '12', '0', '0', '0', ''], ['0.2', '1e9', '0', '0', '0', ''], ['0.3', 'NaN', '0', '0', '0', '']),
      'No reading in row 3, 4: a figure is missing, or one no engine gives.',
    ],
    [
      'time that runs backwards',
      rows(['0.2', '12', '0', '0', '0', ''], ['0.1', '12', '0', '0', '0', '']),
      'Time runs backwards in row 3: two boxes in one file, or two runs.',
    ],
  ])('with %s is none, and it says why', (_name, table, words) => {
    expect(() => readingsInTable(table)).toThrow(TraceTableError);
    expect(() => readingsInTable(table)).toThrow(words);
  });

  it('is not read where it is far too long', () => {
    const long = Array.from({ length: 12_001 }, (_, at) => [String(at), '12', '0', '0', '', '']);
    expect(() => readingsInTable(rows(...long))).toThrow(/12001 rows/);
  });
});
