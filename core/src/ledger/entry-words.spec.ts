import { completed, compose, templateOf } from '../layouts/index.js';
import { crewOf, NO_SCHOOL } from '../schedule/index.js';
import { recorder } from '../testing/crew.js';
import { entryWords, foldLedger, type EntryBody, type EntryKind } from './index.js';

const template = templateOf('longitudinal-automatic');
const plan = {
  map: compose(template, completed(template, {})),
  powerpack: 'engine-with-gearbox',
  route: 'top',
};
const theirEntry = recorder('Tobias');

const joint = 'upper-hose';
/** An entry of every kind, and what a person would say of it. */
const said: { readonly [Kind in EntryKind]: readonly [Omit<Extract<EntryBody, { kind: Kind }>, 'kind'>, RegExp] } = {
  'operation-done': [{ operation: `open:${joint}` }, /^Done: Pull off the upper radiator hose/],
  'operation-skipped': [
    { operation: `open:${joint}`, mode: 'later', reason: 'Clamp is out of reach' },
    /^Put off: .*Clamp is out of reach$/,
  ],
  'operation-stuck': [
    { operation: `open:${joint}`, trouble: 'seized', tried: 'Slit it', minutesLost: 4 },
    /^Stuck: .*Seized\. Slit it$/,
  ],
  'height-set': [{ height: 'raised' }, /^The machine stands raised$/],
  'fasteners-counted': [
    { connection: joint, direction: 'out', count: 2, bag: 4, note: 'one bent' },
    /^2 out of .*, bag 4\. one bent$/,
  ],
  'keeping-chosen': [{ keeping: 'row' }, /in the row$/],
  'set-described': [
    { connection: joint, sets: [{ count: 2, what: 'worm clamp 32' }] },
    /is held by 2 × worm clamp 32$/,
  ],
  'count-accepted': [{ connection: joint, reason: 'On order' }, /accepted: On order$/],
  'fasteners-judged': [
    { connection: joint, set: 0, count: 1, condition: 'galled', replacedBy: 'M8' },
    /^1 of .*: galled, replaced by M8$/,
  ],
  'pattern-drawn': [
    { connection: joint, pattern: { shape: 'line', widthMm: 9, heightMm: 0, holes: [] } },
    /^Bolt card drawn/,
  ],
  'bolt-found': [{ bolt: 'b', measured: { lengthMm: 20 }, where: 'on the tray' }, /^Found loose: on the tray$/],
  'bolt-homed': [{ bolt: 'b', connection: joint, set: 0 }, /^A loose one belongs to/],
  'bolt-set-aside': [{ bolt: 'b', reason: 'From the vice' }, /set aside: From the vice$/],
  'ground-checked': [
    { connection: 'engine-ground', good: false, note: 'Paint under it' },
    /^Ground not good: .*Paint under it$/,
  ],
  'photo-taken': [{ photo: 'a', widthPx: 4, heightPx: 3, pinnedTo: {}, words: 'Before' }, /^Photo: Before$/],
  'photo-marked': [{ photo: 'a', marks: [] }, /^Photo drawn on$/],
  'work-paused': [{}, /^Break$/],
  'work-resumed': [{}, /^Back at work$/],
  tagged: [{ connection: joint, tag: 9 }, /^Tag 9 on/],
  'connection-found': [
    {
      alreadyOpen: false,
      connection: {
        id: 'found-1',
        name: 'a clip behind the head',
        kind: 'clip',
        between: ['engine', 'body'],
        station: 'front',
        height: 'either',
      },
    },
    /^Found one more: a clip behind the head$/,
  ],
  'left-on-purpose': [{ connection: joint, reason: 'Comes along' }, /^Left as it is: .*Comes along$/],
  'hold-point-signed': [{ holdPoint: 'made-safe', confirmed: [] }, /^Signed: /],
  'bolts-tightened': [
    { connection: 'bell-housing', stage: 0, bolts: [0, 4], degrees: 30 },
    /^Stage 1 of the bell housing: bolt 1, 9, 30°$/,
  ],
  'torque-read': [{ connection: joint, wrench: 'half', read: { value: 75, unit: 'N·m' } }, /: 75 N·m$/],
  'torque-accepted': [{ connection: joint, reason: 'No room' }, /accepted: No room$/],
  'moves-taken': [
    {
      out: [{ title: 'Raise 40 mm', minutes: { low: 1, likely: 2, high: 4 } }],
      back: [{ title: 'Raise 40 mm', minutes: { low: 1, likely: 2, high: 4 } }],
      powerpack: 'engine',
      route: 'top',
      off: [],
      measured: {},
      carriedBy: 'hoist',
      drawnOff: false,
    },
    /^The lift goes by 1 move worked out/,
  ],
  'load-read': [{ kg: 340, lagging: 'left' }, /^340 kg on the hook, the left lags/],
  'machine-measured': [{ plane: 'bulkhead', mm: 372 }, /^372 mm to the bulkhead/],
  'trouble-test-done': [
    { test: 'spark', asked: 'Does it spark?', answer: 'one', answered: 'Missing on one', note: 'The third' },
    /^Does it spark\? Missing on one\. The third$/,
  ],
  'leak-looked': [{ connection: 'hose', is: 'weeps', note: 'At the clamp' }, /^Hose weeps\. At the clamp$/],
  'shift-handed-over': [
    { lines: [{ sort: 'leave', words: 'Battery isolated' }], added: 'Mind the dog' },
    /^Shift handed over: 1 line\. Mind the dog$/,
  ],
  'help-called': [
    { text: 'Bring the 36 spanner', operation: `open:${joint}`, who: 'Tobias' },
    /^Called Tobias to Pull off the upper radiator hose.*: Bring the 36 spanner$/,
  ],
  'help-answered': [{ call: 'nobody' }, /^Seen to: a call$/],
  'second-signer-asked': [{ holdPoint: 'pre-lift', asked: true }, /^Two sign at: /],
  'shift-read': [{ shift: 'nobody' }, /^Read and taken over: /],
  'warm-up-noted': [
    { point: 'charging', words: 'It charges', is: 'not-yet', reading: 12.4 },
    /^Not yet: It charges: 12\.4$/,
  ],
  'second-look-planned': [
    { look: 'l', what: 'Wheel bolts', dueOn: '2026-03-09', afterKm: 50 },
    /^Second look: Wheel bolts, on 2026-03-09, after 50 km$/,
  ],
  'second-look-done': [{ look: 'l', note: 'All tight' }, /^Looked once more: l\. All tight$/],
  'codes-read': [
    { when: 'before', warnings: ['Glow lamp', 'Boost low'], volts: 12.4 },
    /^Glow lamp; Boost low, read before the job at 12\.4 V$/,
  ],
  'cause-found': [
    { cause: 'coil-plug', name: 'A coil is unplugged', mended: 'Pushed home' },
    /^It was: A coil is unplugged\. Pushed home$/,
  ],
  'fluid-measured': [
    { circuit: 'coolant', direction: 'out', litres: 6.8, joint, share: 0.33 },
    /^6.8 l out of .* at .*, 33 % strong$/,
  ],
  'fill-planned': [
    { circuit: 'coolant', freezingC: -36, school: 'water-first', priming: 'crank' },
    /^How .* is filled, down to -36 °C, water first, crank with fuel and spark off$/,
  ],
  'level-set': [{ circuit: 'coolant', addedL: -0.2, celsius: 20 }, /^Level of .* set, -0.2 l let out at 20 °C$/],
  'joint-looked-at': [
    { connection: joint, looks: ['way'], good: false, note: 'Rubs' },
    /: By its mark: .*: no\. Rubs$/,
  ],
  'adjustment-tried': [
    { connection: joint, halfTurns: -2, went: ['N'], not: ['P'], accepted: 'Bush on order' },
    /^Tried .*, −2 half turns: in: N; not in: P. Accepted: Bush on order$/,
  ],
  'seat-measured': [
    { operation: `open:${joint}`, readingsMm: [21, 21.5], figureMm: 22 },
    /^Seat: 21, 21.5 mm, the figure is 22 mm$/,
  ],
  noted: [{ text: 'Chafed', operation: `open:${joint}` }, /^Note at .*: Chafed$/],
  'part-needed': [{ need: 'n', name: 'Seal', quantity: 2, reason: 'Weeps' }, /^To order: 2 × Seal$/],
  'part-arrived': [{ need: 'n' }, /^Arrived: a part$/],
  'part-priced': [{ need: 'n', supplier: 'Hallberg', priceCents: 2_850 }, /^A part from Hallberg at 28\.50$/],
  'part-moved-on': [{ need: 'n', to: 'wrong', note: 'Too short' }, /^A part: wrong: goes back\. Too short$/],
  'part-compared': [
    { need: 'n', compared: [{ what: 'length', same: false, note: '20 mm short' }] },
    /^A part: not like the old one in length \(20 mm short\)$/,
  ],
  'core-returned': [{ need: 'n' }, /^Old part went back: a part$/],
  'cost-noted': [{ cost: 'c', sort: 'tool-hire', name: 'Pin kit', cents: 1_200 }, /^Tool hire: Pin kit, 12\.00$/],
  'unit-decided': [
    { unit: 'engine', becomes: 'exchange', comesWith: [], causeOfDeath: 'Bearing' },
    /^The engine gives way to an exchange unit\. It died of: Bearing$/,
  ],
  'renewal-decided': [
    { renewals: ['rear-crank-seal', 'core-plugs'], doIt: 'later', reason: 'Dry' },
    /^Left for another time: the rear crank seal, the core plugs\. Dry$/,
  ],
  'renewal-written': [
    {
      renewal: {
        id: 'own-1',
        name: 'cracked ear of the alternator bracket',
        title: 'Weld it',
        at: 'engine',
        station: 'bench',
        height: 'either',
        hands: 1,
        tools: [],
        minutes: { low: 10, likely: 20, high: 40 },
        cautions: [],
        reach: [],
        why: 'It shakes loose',
        parts: [],
        lastsYears: 10,
      },
    },
    /^Put up for now or later: the cracked ear of the alternator bracket$/,
  ],
  'part-placed': [
    { part: 'alternator', owner: 'host', place: 'shelf', where: 'box 4' },
    /^alternator: on a shelf or in a box, box 4$/,
  ],
  'looked-at': [
    { look: 'filter-metal', finding: 'bad', note: 'Bronze' },
    /^Old oil filter cut open: chips or flakes\. Bronze$/,
  ],
  'unit-measured': [
    { reading: 'compression', values: [11, 11, 8, 11] },
    /^Compression: 11, 11, 8, 11 bar\. Cylinder 3 has 73 %/,
  ],
  'literature-added': [
    { file: `${'a'.repeat(64)}.pdf`, title: 'Loom notes', type: 'pdf', pages: 3, bytes: 9_000 },
    /^Literature: “Loom notes”, PDF, 3 pages$/,
  ],
  'page-marked': [{ file: `${'a'.repeat(64)}.pdf`, page: 2, marks: [] }, /^Page 2 of “a file” drawn on$/],
  'page-pinned': [
    { file: `${'a'.repeat(64)}.pdf`, page: 2, to: { part: 'alternator' } },
    /^Page 2 of “a file” pinned to: alternator$/,
  ],
  'pins-read': [
    { loom: 'host', pins: [{ plug: 'C1', pin: '4', signal: 'oil' }] },
    /^Pin table of the host’s loom: 1 pin$/,
  ],
  'splices-planned': [
    {
      steps: [
        {
          id: 'splice-a',
          title: 'Join C1 4 to X1 6',
          minutes: { low: 4, likely: 8, high: 18 },
          dueBy: 'start' as const,
        },
      ],
    },
    /^Put into the plan: 1 splice$/,
  ],
  'splice-done': [{ splice: 'C1.4-X1.6' }, /^Spliced: C1\.4 to X1\.6$/],
  'life-guessed': [{ renewal: 'rear-crank-seal', yearsLeft: 2 }, /^The rear crank seal is given 2 years more$/],
  'terms-set': [{ yearsIn: 5, budgetHours: 8 }, /^Reckoned with 5 years until the next time out, and 8 h to spend$/],
  'start-attempted': [
    { voltsBefore: 12.6, voltsLowest: 10, crankSeconds: 6, result: 'cranks', note: 'Clicks once' },
    /^Cranked 6 s: turns, no fire\. Clicks once$/,
  ],
  'issue-opened': [{ issue: 'i', title: 'Lamp', sort: 'real' }, /^Issue: Lamp$/],
  'issue-sorted': [{ issue: 'i', sort: 'stored' }, /^Issue sorted/],
  'issue-closed': [{ issue: 'i', how: 'Plug pushed home' }, /Plug pushed home$/],
  'handed-over': [{ openItems: 0, note: 'Keys on the hook' }, /^Handed over\. Keys on the hook$/],
  'plan-followed': [
    {
      half: 'out',
      order: [],
      crew: crewOf(['Ines']),
      school: NO_SCHOOL,
      pins: [],
      waits: [],
      finishMin: 1,
      heightChanges: 0,
    },
    /^Another plan is followed$/,
  ],
  corrected: [{ corrects: 'nobody', reason: 'Wrong machine' }, /^Taken back: an entry\. Wrong machine$/],
};

describe('an entry in words', () => {
  const state = foldLedger(plan, []);
  it.each(Object.entries(said))('%s is said as a person would', (kind, [fields, words]) => {
    expect(entryWords(state, theirEntry({ kind, ...fields } as EntryBody))).toMatch(words);
  });

  it.each<readonly [EntryBody, string]>([
    [
      { kind: 'renewal-decided', renewals: ['rear-crank-seal'], doIt: 'now', reason: '' },
      'Renewed while it is out: the rear crank seal',
    ],
    [{ kind: 'renewal-decided', renewals: ['gone'], doIt: 'now', reason: '' }, 'Renewed while it is out: the gone'],
    [
      {
        kind: 'shift-handed-over',
        lines: [
          { sort: 'leave', words: 'Battery isolated' },
          { sort: 'leave', words: 'Drain open' },
        ],
      },
      'Shift handed over: 2 lines',
    ],
    [{ kind: 'help-called', text: 'Hold the lamp' }, 'Called whoever is free: Hold the lamp'],
  ])('%j is said so', (body, words) => expect(entryWords(state, theirEntry(body))).toBe(words));

  it('says what was taken back', () => {
    const wrong = theirEntry({ kind: 'tagged', connection: joint, tag: 9 });
    const after = foldLedger(plan, [wrong]);
    const back = theirEntry({ kind: 'corrected', corrects: wrong.id, reason: 'Other hose' });
    expect(entryWords(after, back)).toMatch(/^Taken back: Tag 9 on .*\. Other hose$/);
  });
});
