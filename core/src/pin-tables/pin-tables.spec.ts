import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { readPinTable, smallestWire, spliceList, spliceSteps, WIRE_SIZES_MM2, type Pin } from './index.js';

const pin = (plug: string, at: string, signal: string, more: Partial<Pin> = {}): Pin => ({
  plug,
  pin: at,
  signal,
  ...more,
});
const one = (host: readonly Pin[], engine: readonly Pin[]) => spliceList(host, engine)[0];

describe('two looms pin by pin', () => {
  it('joins what carries the same, whatever it is called and however it is coloured', () => {
    expect(
      one(
        [pin('C1', '4', 'Coolant temp sender', { colour: 'blue', goesTo: 'gauge' })],
        [pin('X2', '11', 'water temperature sensor signal', { colour: 'green', goesTo: 'dash gauge' })],
      ),
    ).toMatchObject({ does: 'join', host: { pin: '4' }, engine: { pin: '11' } });
  });

  it('does not take injector 1 for injector 2', () => {
    const lines = spliceList(
      [pin('C1', '1', 'injector 1'), pin('C1', '2', 'injector 2')],
      [pin('X1', '7', 'inj2'), pin('X1', '8', 'inj1')],
    );
    expect(lines.map(({ host, engine }) => [host?.pin, engine?.pin])).toEqual([
      ['1', '8'],
      ['2', '7'],
    ]);
  });

  it('makes steps of what is clear, and none of what has to be measured first', () => {
    const lines = spliceList(
      [pin('C1', '1', 'battery supply', { lengthM: 3, amps: 20, sizeMm2: 2.5 }), pin('C1', '2', 'fuel pump ground')],
      [
        pin('X1', '1', 'battery supply', { lengthM: 1, amps: 20, sizeMm2: 2.5, colour: 'red' }),
        pin('X1', '2', 'fuel pump supply'),
        pin('X1', '3', 'knock sensor screen'),
      ],
    );
    expect(spliceSteps(lines)).toEqual([
      {
        id: 'splice-C1.1-X1.1',
        title: 'Lengthen C1 1, battery supply to X1 1, battery supply (red)',
        minutes: { low: 8, likely: 14, high: 30 },
        dueBy: 'start',
        tip: expect.stringMatching(/Battery off\. Tug at it, then measure it through.* Wire: [\d.]+ mm²\.$/) as string,
      },
      expect.objectContaining({ title: 'Lay anew, or tie back, X1 3, knock sensor screen' }),
    ]);
  });

  it('names what is missing and what is left over', () => {
    const lines = spliceList([pin('C1', '1', 'rev counter')], [pin('X1', '9', 'knock sensor screen')]);
    expect(lines.map(({ does }) => does)).toEqual(['missing', 'left-over']);
  });

  it('never joins a ground with a supply, and asks where two are as likely', () => {
    expect(
      one([pin('C1', '1', 'fuel pump ground')], [pin('X1', '1', 'fuel pump supply', { goesTo: 'relay' })]),
    ).toMatchObject({ does: 'conflict', words: /something burns/ });
    expect(
      one(
        [pin('C1', '1', 'lamp feed left rear')],
        [pin('X1', '1', 'lamp feed left'), pin('X1', '2', 'lamp feed rear')],
      ),
    ).toMatchObject({ does: 'conflict', words: /as likely/ });
  });

  it('moves a pin within the same plug, and lengthens a run in the wire that loses under half a volt', () => {
    expect(one([pin('C1', '4', 'oil pressure')], [pin('c1', '6', 'oil pressure')])).toMatchObject({ does: 're-pin' });
    const longer = one(
      [pin('C1', '1', 'starter feed', { lengthM: 2.4 })],
      [pin('X1', '1', 'starter feed', { lengthM: 1.5, amps: 250, sizeMm2: 25 })],
    );
    expect(longer).toMatchObject({ does: 'lengthen', wireMm2: 50, moreM: 0.9 });
  });

  it('names the same line the same, however often the tables are read', () => {
    const host = [pin('C 1', '4', 'oil pressure')];
    const engine = [pin('X1', '6', 'oil pressure')];
    expect(spliceList(host, engine).map(({ id }) => id)).toEqual(spliceList(host, [...engine]).map(({ id }) => id));
    expect(one(host, engine)?.id).toBe('C_1.4-X1.6');
    expect(spliceList([], [])).toEqual([]);
  });

  it('finds the pairs of two tables of two hundred, with half the signals renamed and all colours swapped', () => {
    const { host, engine, pairs } = tables(200, 7);
    const right = spliceList(host, engine).filter(
      ({ host: ours, engine: theirs }) => ours && theirs && pairs.get(ours.pin) === theirs.pin,
    );
    expect(right.length / pairs.size).toBeGreaterThan(0.95);
  });
});

describe('wire for a run', () => {
  it('is the smallest that loses no more than half a volt, and none where none does', () => {
    expect(smallestWire(250, 2.4)).toBe(50);
    expect(smallestWire(10, 2)).toBe(1.5);
    expect(smallestWire(0, 4)).toBe(WIRE_SIZES_MM2[0]);
    expect(smallestWire(5, 1, 2.5)).toBe(2.5);
    expect(smallestWire(600, 20)).toBeUndefined();
  });
});

describe('a pin table that is read', () => {
  const mapping = { plug: 'Plug', pin: 'Pin', signal: 'Signal', size: 'mm2', goesTo: 'To' };
  const read = (...rows: readonly Record<string, string>[]) => readPinTable(rows, mapping);

  it('names the lines that cannot be taken, and keeps the rest', () => {
    const { pins, bad } = read(
      { Plug: 'C1', Pin: '1', Signal: 'oil pressure', mm2: '0,75' },
      { Plug: 'C1', Pin: '', Signal: 'lamp' },
      { Plug: 'C1', Pin: '2', Signal: '' },
      { Plug: 'c1', Pin: '1', Signal: 'again' },
      { Plug: 'C1', Pin: '3', Signal: 'fan', mm2: 'thick' },
      { Plug: '', Pin: '', Signal: '' },
    );
    expect(pins).toEqual([{ plug: 'C1', pin: '1', signal: 'oil pressure', sizeMm2: 0.75 }]);
    expect(bad.map(({ line, words }) => `${line}: ${words}`)).toEqual([
      '3: It names no plug or no pin.',
      '4: C1 pin 2 does not say what it carries.',
      '5: c1 pin 1 stands in line 2 already.',
      '6: C1 pin 3: “thick” is no size.',
    ]);
  });

  it('leaves out pins that go to each other in a ring', () => {
    const { pins, bad } = read(
      { Plug: 'A', Pin: '1', Signal: 'x', To: 'B 1' },
      { Plug: 'B', Pin: '1', Signal: 'x', To: 'C pin 1' },
      { Plug: 'C', Pin: '1', Signal: 'x', To: 'A/1' },
      { Plug: 'D', Pin: '1', Signal: 'y', To: 'E 1' },
      { Plug: 'E', Pin: '1', Signal: 'y', To: 'D 1' },
    );
    expect(pins.map(({ plug }) => plug)).toEqual(['D', 'E']);
    expect(bad).toHaveLength(3);
    expect(bad[0]?.words).toMatch(/in a ring/);
  });
});

const THINGS = [
  'coolant',
  'oil',
  'fuel',
  'air',
  'throttle',
  'crankshaft',
  'camshaft',
  'knock',
  'exhaust',
  'boost',
  'brake',
  'clutch',
  'gearbox',
  'fan',
  'alternator',
  'starter',
  'glow',
  'vacuum',
  'canister',
  'wiper',
];
const KINDS = [
  'temperature sensor',
  'pressure sensor',
  'position sensor',
  'valve',
  'relay',
  'lamp',
  'supply',
  'ground',
  'speed signal',
  'heater',
];
const OTHERWISE: readonly (readonly [RegExp, string])[] = [
  [/coolant/, 'water'],
  [/temperature/, 'temp'],
  [/sensor/, 'sender'],
  [/pressure/, 'press'],
  [/valve/, 'solenoid'],
  [/ground/, 'earth'],
  [/crankshaft/, 'crank'],
  [/lamp/, 'light'],
  [/position/, 'pos'],
  [/signal/, 'sig'],
];
const COLOURS = ['red', 'blue', 'green', 'white', 'black', 'brown'];

/** Two looms of the same machine as two makers would write them, and which pin is which. */
function tables(count: number, seed: number) {
  const random = xoroshiro128plus(seed);
  const any = (most: number) => uniformInt(random, 0, most - 1);
  const host: Pin[] = [];
  const engine: Pin[] = [];
  const pairs = new Map<string, string>();
  for (let at = 0; at < count; at += 1) {
    const signal = `${THINGS[at % THINGS.length]} ${KINDS[Math.floor(at / THINGS.length) % KINDS.length]}`;
    const renamed = any(2) === 0 ? OTHERWISE.reduce((words, [from, to]) => words.replace(from, to), signal) : signal;
    const colour = COLOURS[any(COLOURS.length)] ?? 'red';
    host.push(pin(`C${Math.floor(at / 30)}`, `h${at}`, signal, { colour, goesTo: 'dash' }));
    engine.push(
      pin(`X${Math.floor(at / 40)}`, `e${at}`, renamed, {
        colour: COLOURS[any(COLOURS.length)] ?? 'red',
        goesTo: 'control unit',
      }),
    );
    pairs.set(`h${at}`, `e${at}`);
  }
  return { host, engine: [...engine].reverse(), pairs };
}
