/**
 * Counts, over random jobs, how many orders of work show what can hurt somebody: random layouts, choices, ways out and
 * crews, each half in the order it is first proposed, or, with `--tries 3000`, in the best of so many that a search tried.
 * `--show WORDS` names the jobs that show what begins so.
 * `npm run orders -- --jobs 300 --seed 1`; `--core FOLDER` looks at another build of core, to compare before with after. It reads orders as they come out.
 */
import { join, resolve } from 'node:path';
import { GEAR, LOOKS } from './order-looks.mjs';
import { root } from './say.mjs';

const option = (name, otherwise) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? otherwise : process.argv[at + 1];
};
const core = resolve(option('core', join(root, 'core/dist')));
const module = (name) => import(join(core, name, 'index.js'));
const [
  { compose, TEMPLATES, clashes },
  { waysOut, ...maps },
  { foldLedger, ...ledger },
  { planned, prepared, usualSettings },
  { scheduleOf, Search },
] = await Promise.all(['layouts', 'connection-map', 'ledger', 'planning', 'schedule'].map(module));
const rules = maps.RULES_NOW ?? ledger.RULES_NOW;
const jobs = Number(option('jobs', '300'));
const tries = Number(option('tries', '0'));

/** The schedule of `half`: the first one, or the best of a search. */
function scheduleFor(state, half, settings) {
  if (tries === 0) return planned(state, half, settings, undefined).schedule;
  const { net } = prepared(state, half, settings);
  const search = new Search(net, 1);
  search.run(tries);
  return scheduleOf(net, search.best());
}

let seed = Number(option('seed', '1'));
const random = () => {
  // A small generator that is the same everywhere (mulberry32).
  seed = (seed + 0x6d2b79f5) | 0;
  let mixed = Math.imul(seed ^ (seed >>> 15), 1 | seed);
  mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
  return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
};
const oneOf = (things) => things[Math.floor(random() * things.length)];

const shown = Object.fromEntries(Object.keys(LOOKS).map((look) => [look, 0]));
const HALVES = ['out', 'bench', 'back'];
const lasts = { out: [], bench: [], back: [] };
let looked = 0;
let none = 0;
while (looked < jobs) {
  const template = oneOf(TEMPLATES);
  const choices = Object.fromEntries(template.options.map(({ option: id, choices: offered }) => [id, oneOf(offered)]));
  if (clashes({ ...template.always, ...choices }).length > 0) continue;
  const crew = ['Ines', 'Tobias', 'Ruth'].slice(0, 1 + Math.floor(random() * 3));
  let map;
  try {
    map = compose(template, choices);
  } catch (error) {
    process.stdout.write(`${template.layout}: ${error.message}\n`);
    none += 1;
    if (none > jobs) break;
    continue;
  }
  const way = oneOf(waysOut(map));
  const plan = { map, powerpack: way.powerpack.id, route: way.route.id, rules };
  // What a crew may decide at the bench: any units, and about a third of what wears.
  const decided = [
    ...way.powerpack.roots
      .filter((root) => ['engine', 'gearbox'].includes(root) && random() < 0.4)
      .map((unit) => ({ kind: 'unit-decided', unit, becomes: oneOf(['exchange', 'donor']), comesWith: [] })),
    {
      kind: 'renewal-decided',
      renewals: (map.renewals ?? []).filter(() => random() < 0.33).map(({ id }) => id),
      doIt: 'now',
    },
  ].map((body, index) => ({ id: `entry-${index}`, at: '2026-03-02T07:00:00.000Z', by: 'Ines', ...body }));
  const state = foldLedger(plan, decided);
  const { work } = state;
  const halves = Object.fromEntries(HALVES.map((half) => [half, scheduleFor(state, half, usualSettings(crew))]));
  for (const half of HALVES) lasts[half].push(halves[half].costs.finishMin);
  const mounts = new Set(map.connections.filter(({ carriesLoad }) => carriesLoad).map(({ id }) => id));
  const seen = {
    template,
    way,
    choices,
    map,
    work,
    out: halves.out.steps,
    bench: halves.bench.steps,
    back: halves.back.steps,
    loaded: ({ kind, connection }) => GEAR.includes(kind) || (kind === 'disconnect' && mounts.has(connection)),
    touches: ({ connection, part }) => [
      ...(map.connections.find(({ id }) => id === connection)?.between ?? []),
      ...(part === undefined ? [] : [part]),
    ],
    opens: (which) =>
      map.connections
        .filter((one) => which(one) && work.operations.has(`open:${one.id}`))
        .map(({ id }) => `open:${id}`),
  };
  for (const [look, shows] of Object.entries(LOOKS)) {
    const half = HALVES.find((one) => shows({ ...seen, steps: seen[one], help: halves[one].help ?? [] }));
    if (half !== undefined) {
      shown[look] += 1;
      if (look.startsWith(option('show', 'none')))
        process.stdout.write(
          `${look}, ${half}: ${template.layout} ${way.powerpack.id}/${way.route.id}, ${decided.map(({ unit, becomes, renewals }) => renewals?.join(' ') ?? `${unit}:${becomes}`).join(' ')}\n`,
        );
    }
  }
  looked += 1;
}
const median = (values) => [...values].sort((one, other) => one - other)[Math.floor(values.length / 2)];
process.stdout.write(`${looked} random jobs, rules ${rules}. How many show it:\n`);
for (const [look, count] of Object.entries(shown)) process.stdout.write(`  ${String(count).padStart(4)}  ${look}\n`);
for (const [half, values] of Object.entries(lasts))
  process.stdout.write(`  ${half}: median ${median(values)} min, longest ${Math.max(...values)} min\n`);
