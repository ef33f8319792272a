import type { JobPlan, System } from '../connection-map/index.js';

/** One answer to a look: nothing, worth watching, or bad. */
export interface LookAnswer {
  readonly id: string;
  readonly words: string;
  readonly grade: 0 | 1 | 2;
}

/** One thing to look at on the unit on the stand. */
export interface Look {
  readonly id: string;
  readonly system: System | 'inside';
  /** Parts of the map one of which has to be there. */
  readonly on: readonly string[];
  readonly what: string;
  readonly answers: readonly [LookAnswer, LookAnswer, LookAnswer];
  /** What it proposes to renew when it is not in order. */
  readonly proposes: readonly string[];
}

const look = (
  id: string,
  system: Look['system'],
  on: readonly string[],
  what: string,
  [good, watch, bad]: readonly [string, string, string],
  proposes: readonly string[] = [],
): Look => ({
  id,
  system,
  on,
  what,
  answers: [
    { id: 'good', words: good, grade: 0 },
    { id: 'watch', words: watch, grade: 1 },
    { id: 'bad', words: bad, grade: 2 },
  ],
  proposes,
});

/** What is looked at, by system, in the order one goes round an engine and gearbox on the stand. */
export const LOOKS: readonly Look[] = [
  look(
    'filter-metal',
    'inside',
    ['engine'],
    'Old oil filter cut open',
    ['Clean', 'Fine grey dust', 'Chips or flakes'],
    ['oil-pickup'],
  ),
  look(
    'sump-metal',
    'inside',
    ['sump'],
    'What lies in the sump',
    ['Nothing', 'Sludge', 'Metal or bits of guide'],
    ['sump-gasket', 'oil-pickup', 'timing-drive'],
  ),
  look(
    'crank-play',
    'inside',
    ['engine'],
    'Crank pushed to and fro by hand',
    ['No play to feel', 'Just felt', 'It clicks'],
    [],
  ),
  look(
    'front-seal-wear',
    'inside',
    ['front-pulley'],
    'Front crank seal and its track',
    ['Dry', 'Damp', 'Runs, or a groove'],
    ['front-crank-seal'],
  ),
  look(
    'rear-seal-wear',
    'inside',
    ['flywheel', 'flexplate'],
    'Rear crank seal',
    ['Dry', 'Damp', 'Oil runs down'],
    ['rear-crank-seal'],
  ),
  look(
    'head-cover-weep',
    'inside',
    ['head-cover'],
    'Round the cylinder head cover',
    ['Dry', 'Damp', 'Runs'],
    ['head-cover-gasket'],
  ),
  look('sump-weep', 'inside', ['sump'], 'Round the sump', ['Dry', 'Damp', 'Drips'], ['sump-gasket']),
  look('block-cracks', 'inside', ['engine'], 'Block and head, washed and dry', ['Whole', 'A line to watch', 'Cracked']),
  look(
    'core-plug-rust',
    'inside',
    ['engine'],
    'Core plugs',
    ['Dry and whole', 'Rust marks', 'Weeping'],
    ['core-plugs'],
  ),
  look(
    'chain-slack',
    'inside',
    ['timing-cover'],
    'Timing drive through the filler or cover',
    ['Tight', 'Some slack', 'Slack, frayed or worn guides'],
    ['timing-drive'],
  ),
  look(
    'pump-weep',
    'cooling',
    ['engine'],
    'Water pump: weep hole and play',
    ['Dry, no play', 'Traces', 'Wet, or it rocks'],
    ['water-pump'],
  ),
  look(
    'ports-scale',
    'cooling',
    ['engine'],
    'Water ports and hose stubs',
    ['Bare metal', 'Scale', 'Eaten away'],
    ['thermostat', 'core-plugs'],
  ),
  look(
    'hoses-age',
    'cooling',
    ['engine'],
    'Hoses squeezed and bent',
    ['Supple', 'Hard', 'Cracked or soft'],
    ['rear-hoses'],
  ),
  look(
    'belt-age',
    'cooling',
    ['drive-belt', 'drive-vbelt'],
    'Drive belt bent backwards',
    ['No cracks', 'Fine cracks', 'Ribs missing or glazed'],
    ['belt-and-tensioner', 'fan-belt'],
  ),
  look(
    'plug-face',
    'electrics',
    ['engine'],
    'Spark plugs by their faces, or glow plugs by resistance',
    ['All alike', 'One differs', 'Oiled, burnt or dead'],
    ['spark-plugs', 'glow-plugs', 'lever-plugs'],
  ),
  look(
    'loom-rubbed',
    'electrics',
    ['loom'],
    'Loom over hot and sharp places',
    ['Whole', 'Tape gone', 'Copper to be seen'],
    ['loom-repair'],
  ),
  look(
    'starter-teeth',
    'electrics',
    ['starter'],
    'Starter pinion and ring gear',
    ['Even', 'Worn on one edge', 'Chewed'],
    ['starter'],
  ),
  look(
    'alternator-spin',
    'electrics',
    ['alternator'],
    'Alternator spun by hand',
    ['Silent', 'It grates a little', 'It rumbles or rocks'],
    ['alternator', 'alternator-brushes'],
  ),
  look(
    'intake-cracks',
    'air',
    ['intake-manifold'],
    'Intake gaskets and hoses',
    ['Tight', 'Hard', 'Cracked'],
    ['intake-gasket', 'intake-gaskets'],
  ),
  look(
    'turbo-play',
    'air',
    ['turbo'],
    'Turbocharger shaft, up and down and in and out',
    ['Hardly any', 'To be felt, no rub', 'Wheels rub'],
    ['turbo-oil-lines'],
  ),
  look(
    'studs',
    'exhaust',
    ['engine'],
    'Exhaust studs and flange',
    ['Whole', 'Rusted thin', 'One missing or broken'],
    ['exhaust-studs', 'exhaust-gaskets'],
  ),
  look(
    'clutch-thickness',
    'driveline',
    ['flywheel'],
    'Clutch disc, by calliper and by eye',
    ['More than half left', 'Near the rivets', 'Oiled, burnt or at the rivets'],
    ['clutch', 'release-bearing', 'pilot-bearing'],
  ),
  look(
    'gearbox-seals',
    'driveline',
    ['gearbox'],
    'Gearbox seals at both ends',
    ['Dry', 'Damp', 'Runs'],
    ['input-shaft-seal', 'output-seal', 'converter-seal'],
  ),
  look(
    'gearbox-oil',
    'driveline',
    ['gearbox'],
    'What came out of the gearbox',
    ['Clear', 'Dark or grey', 'Burnt, or glitter'],
    ['gearbox-filter'],
  ),
  look(
    'mount-rubber',
    'mounts',
    ['engine'],
    'Mounts pulled by a bar',
    ['Whole', 'Fine cracks', 'Torn or soaked in oil'],
    ['engine-mounts', 'gearbox-mount'],
  ),
];

/** The looks of a job: those whose part is on its map. */
export function looksFor({ map }: JobPlan): readonly Look[] {
  const there = new Set(map.parts.map(({ id }) => id));
  return LOOKS.filter(({ on }) => on.some((part) => there.has(part)));
}

/** What a finding proposes to renew, of the renewals the job has. */
export function proposedBy(look: Look, grade: number, { map }: JobPlan): readonly string[] {
  if (grade === 0) return [];
  const there = new Set(map.renewals?.map(({ id }) => id));
  return look.proposes.filter((id) => there.has(id));
}
