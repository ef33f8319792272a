/**
 * Prints run sheets as text, to be read line by line as somebody who has to do the work tomorrow:
 * `npm run sheets -- [LAYOUT [POWERPACK/ROUTE]] [--crew 2] [--half out|bench|back] [--seconds 2]
 * [--renew clutch,water-pump|all] [--units engine:exchange,gearbox:donor]`.
 */
import { compose, TEMPLATES } from '@brisk/core/layouts';
import { waysOut } from '@brisk/core/connection-map';
import { foldLedger } from '@brisk/core/ledger';
import { prepared, usualSettings } from '@brisk/core/planning';
import { RULES_NOW } from '@brisk/core/connection-map';
import { crewSetups, scheduleOf, Search } from '@brisk/core/schedule';

const option = (name, otherwise) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? otherwise : process.argv[at + 1];
};
const named = process.argv.slice(2).filter((word, at, all) => !word.startsWith('--') && !all[at - 1]?.startsWith('--'));
const crew = ['Ines', 'Tobias', 'Ruth', 'Marit'].slice(0, Number(option('crew', '2')));
const halves = option('half') ? [option('half')] : ['out', 'bench', 'back'];
const renew = option('renew', '');
const units = option('units', '').split(',').filter(Boolean);
const until = Number(option('seconds', '2')) * 1000;

for (const template of TEMPLATES.filter(({ layout }) => !named[0] || layout === named[0])) {
  const map = compose(template);
  for (const { powerpack, route } of waysOut(map)) {
    if (named[1] && named[1] !== `${powerpack.id}/${route.id}`) continue;
    const plan = { map, powerpack: powerpack.id, route: route.id, rules: RULES_NOW };
    const wanted = renew === 'all' ? (map.renewals ?? []).map(({ id }) => id) : renew.split(',').filter(Boolean);
    const decided = [
      ...units.map((unit) => ({
        kind: 'unit-decided',
        unit: unit.split(':')[0],
        becomes: unit.split(':')[1],
        comesWith: [],
      })),
      ...(wanted.length > 0 ? [{ kind: 'renewal-decided', renewals: wanted, doIt: 'now' }] : []),
    ].map((body, index) => ({ id: `entry-${index}`, at: '2026-03-02T07:00:00.000Z', by: crew[0], ...body }));
    const state = foldLedger(plan, decided);
    for (const half of halves) {
      const { net, problem } = prepared(state, half, usualSettings(crew));
      const search = new Search(net, 1);
      const begun = Date.now();
      while (Date.now() - begun < until) search.run(500);
      const schedule = scheduleOf(net, search.best());
      process.stdout.write(
        `\n=== ${template.layout}, ${powerpack.name}, ${route.name}: ${half}, ${crew.join(' and ')}, ${Math.round(schedule.costs.finishMin)} min\n`,
      );
      for (const setup of crewSetups(schedule, problem.height)) {
        process.stdout.write(
          `${setup.moveMachine ? `  >> the machine goes ${setup.height === 'raised' ? 'up' : 'down'}\n` : ''}-- ${Math.round(setup.startMin)} ${setup.station}, ${setup.height}, ${setup.people.join(' and ') || 'from outside'}\n`,
        );
        for (const { operation, startMin, people } of setup.steps)
          process.stdout.write(
            `   ${String(Math.round(startMin)).padStart(4)} ${operation.title} [${operation.minutes.likely}${operation.hands > 1 ? (people.length > 1 ? ', two' : ', wants two') : ''}]${operation.tip ? ` (${operation.tip})` : ''}\n`,
          );
      }
    }
  }
}
