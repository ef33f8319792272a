import { completed, compose, templateOf } from '../layouts/index.js';
import { recorder } from '../testing/crew.js';
import { EVERY_BODY, JOINT } from '../testing/every-entry.js';
import { entryWords, foldLedger, type EntryBody, type EntryKind } from './index.js';

const template = templateOf('longitudinal-automatic');
const plan = {
  map: compose(template, completed(template, {})),
  powerpack: 'engine-with-gearbox',
  route: 'top',
};
const theirEntry = recorder('Tobias');

/** What a person would say of an entry of each kind. */
const said: Readonly<Record<EntryKind, RegExp>> = {
  'operation-done': /^Done: Pull off the upper radiator hose/,
  'operation-skipped': /^Put off: .*Clamp is out of reach$/,
  'operation-stuck': /^Stuck: .*Seized\. Slit it$/,
  'height-set': /^The machine stands raised$/,
  'fasteners-counted': /^2 out of .*, bag 4\. one bent$/,
  'keeping-chosen': /in the row$/,
  'set-described': /is held by 2 × worm clamp 32$/,
  'count-accepted': /accepted: On order$/,
  'fasteners-judged': /^1 of .*: galled, replaced by M8$/,
  'pattern-drawn': /^Bolt card drawn/,
  'bolt-found': /^Found loose: on the tray$/,
  'bolt-homed': /^A loose one belongs to/,
  'bolt-set-aside': /set aside: From the vice$/,
  'ground-checked': /^Ground not good: .*Paint under it$/,
  'photo-taken': /^Photo: Before$/,
  'photo-marked': /^Photo drawn on$/,
  'work-paused': /^Break$/,
  'work-resumed': /^Back at work$/,
  tagged: /^Tag 9 on/,
  'connection-found': /^Found one more: a clip behind the head$/,
  'found-still-on': /^Still on after all: /,
  'left-on-purpose': /^Left as it is: .*Comes along$/,
  'hold-point-signed': /^Signed: /,
  'bolts-tightened': /^Stage 1 of the bell housing: bolt 1, 9, 30°$/,
  'torque-read': /: 75 N·m$/,
  'torque-accepted': /accepted: No room$/,
  'moves-taken': /^The lift goes by 1 move worked out/,
  'load-read': /^340 kg on the hook, the left lags/,
  'machine-measured': /^372 mm to the bulkhead/,
  'trouble-test-done': /^Does it spark\? Missing on one\. The third$/,
  'leak-looked': /^Hose weeps\. At the clamp$/,
  'shift-handed-over': /^Shift handed over: 1 line\. Mind the dog$/,
  'help-called': /^Called Tobias to Pull off the upper radiator hose.*: Bring the 36 spanner$/,
  'help-answered': /^Seen to: a call$/,
  'second-signer-asked': /^Two sign at: /,
  'shift-read': /^Read and taken over: /,
  'warm-up-noted': /^Not yet: It charges: 12\.4$/,
  'second-look-planned': /^Second look: Wheel bolts, on 9 Mar 2026, after 50 km$/,
  'second-look-done': /^Looked once more: l\. All tight$/,
  'codes-read': /^Glow lamp; Boost low, read before the job at 12\.4 V$/,
  'cause-found': /^It was: A coil is unplugged\. Pushed home$/,
  'fluid-measured': /^6.8 l out of .* at .*, 33 % strong$/,
  'fill-planned': /^How .* is filled, down to -36 °C, water first, crank with fuel and spark off$/,
  'level-set': /^Level of .* set, -0.2 l let out at 20 °C$/,
  'joint-looked-at': /: By its mark: .*: no\. Rubs$/,
  'adjustment-tried': /^Tried .*, −2 half turns: in: N; not in: P. Accepted: Bush on order$/,
  'seat-measured': /^Seat: 21, 21.5 mm, the figure is 22 mm$/,
  noted: /^Note at .*: Chafed$/,
  'part-needed': /^To order: 2 × Seal$/,
  'part-arrived': /^Arrived: a part$/,
  'part-priced': /^A part from Hallberg at 28\.50$/,
  'part-moved-on': /^A part: wrong: goes back\. Too short$/,
  'part-compared': /^A part: not like the old one in length \(20 mm short\)$/,
  'core-returned': /^Old part went back: a part$/,
  'cost-noted': /^Tool hire: Pin kit, 12\.00$/,
  'unit-decided': /^The engine gives way to an exchange unit\. It died of: Bearing$/,
  'renewal-decided': /^Left for another time: the rear crank seal, the core plugs\. Dry$/,
  'renewal-written': /^Put up for now or later: the cracked ear of the alternator bracket$/,
  'part-placed': /^alternator: on a shelf or in a box, box 4$/,
  'looked-at': /^Old oil filter cut open: chips or flakes\. Bronze$/,
  'unit-measured': /^Compression: 11, 11, 8, 11 bar\. Cylinder 3 has 73 %/,
  'literature-added': /^Literature: “Loom notes”, PDF, 3 pages$/,
  'page-marked': /^Page 2 of “a file” drawn on$/,
  'page-pinned': /^Page 2 of “a file” pinned to: alternator$/,
  'pins-read': /^Pin table of the host’s loom: 1 pin$/,
  'splices-planned': /^Put into the plan: 1 splice$/,
  'splice-done': /^Spliced: C1\.4 to X1\.6$/,
  'life-guessed': /^The rear crank seal is given 2 years more$/,
  'terms-set': /^Reckoned with 5 years until the next time out, and 8 h to spend$/,
  'start-attempted': /^Cranked 6 s: turns, no fire\. Clicks once$/,
  'issue-opened': /^Issue: Lamp$/,
  'issue-sorted': /^Issue sorted/,
  'issue-closed': /Plug pushed home$/,
  'handed-over': /^Handed over\. Keys on the hook$/,
  'plan-followed': /^Another plan is followed$/,
  corrected: /^Taken back: an entry\. Wrong machine$/,
};

describe('an entry in words', () => {
  const state = foldLedger(plan, []);
  it.each(EVERY_BODY)('$kind is said as a person would', (body) =>
    expect(entryWords(state, theirEntry(body))).toMatch(said[body.kind]),
  );

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
    [{ kind: 'fill-planned', circuit: 'coolant' }, 'How coolant is filled'],
    [{ kind: 'fill-planned', circuit: 'coolant', school: 'mixed' }, 'How coolant is filled'],
  ])('%j is said so', (body, words) => expect(entryWords(state, theirEntry(body))).toBe(words));

  it('says what was taken back', () => {
    const wrong = theirEntry({ kind: 'tagged', connection: JOINT, tag: 9 });
    const after = foldLedger(plan, [theirEntry({ kind: 'noted', text: 'Before' }), wrong]);
    const back = theirEntry({ kind: 'corrected', corrects: wrong.id, reason: 'Other hose' });
    expect(entryWords(after, back)).toMatch(/^Taken back: Tag 9 on .*\. Other hose$/);
    // Nobody takes back what takes something back; said of it, it is an entry like any.
    const twice = theirEntry({ kind: 'corrected', corrects: back.id, reason: 'So' });
    expect(entryWords(foldLedger(plan, [wrong, back]), twice)).toBe('Taken back: an entry. So');
  });
});
