/** What an order of work may show that can hurt somebody, or costs for nothing. It shares no rule with core. */

if (!Object.groupBy)
  Object.groupBy = (things, keyOf) =>
    things.reduce((groups, one) => ({ ...groups, [keyOf(one)]: [...(groups[keyOf(one)] ?? []), one] }), {});

/** What is done with lifting gear. */
export const GEAR = ['support', 'release', 'lift', 'lower', 'shift'];
const TURNS = ['drive-belt', 'fan', 'flywheel', 'flexplate', 'converter'];
const overlap = (one, other) => one.startMin < other.endMin - 1e-6 && other.startMin < one.endMin - 1e-6;
const pairs = (steps, bad) =>
  steps.some((one, at) =>
    steps.slice(at + 1).some((other) => overlap(one, other) && (bad(one, other) || bad(other, one))),
  );

/** Steps of the way in that bring the faces of engine and gearbox together. */
const MEETS = /^lower:(gearbox-home|onto-gearbox|onto-shaft|push-home)$/;

/** Each look: what is counted, and whether a job shows it. */
export const LOOKS = {
  'weight taken or given with somebody underneath': ({ steps, loaded }) =>
    pairs(steps, (one, other) => loaded(one.operation) && other.operation.station === 'underside'),
  'two pieces of lifting gear worked in the same minute': ({ steps }) =>
    pairs(steps, ({ operation: one }, { operation: other }) => GEAR.includes(one.kind) && GEAR.includes(other.kind)),
  'hands at what turns while the crank is turned': ({ steps, touches }) =>
    pairs(
      steps,
      ({ operation: one }, { operation: other }) =>
        /converter bolts|turn the crank/i.test(one.title) && touches(other).some((part) => TURNS.includes(part)),
    ),
  'gearbox drawn off an engine that only the hoist holds': ({ way, map }) =>
    way.route.id === 'split' && !way.route.supports.some((id) => /stand|beam|held/.test(nameOf(map.conditions, id))),
  'the powerpack moved while somebody else has hands on it': ({ bench }) =>
    pairs(
      bench,
      ({ operation: one }, { operation: other }) =>
        one.kind === 'shift' && other.station === 'bench' && other.kind !== 'wait',
    ),
  'a crank turned on the bench with somebody else’s hands at it': ({ bench }) =>
    pairs(bench, ({ operation: one }) => one.moves?.includes('crank') ?? false),
  'a powerpack undone before it stands by itself': ({ bench, work }) =>
    work.operations.has('shift:stand') &&
    bench.some(
      ({ operation }) => operation.id === 'open:bell-housing' && !before(work, operation.id).has('shift:stand'),
    ),
  'a unit shifted by one alone': ({ bench }) =>
    bench.some(({ operation, people }) => operation.kind === 'shift' && people.length < 2 && operation.hands < 2),
  'a flywheel, clutch or seal done with the gearbox on': ({ bench, work }) =>
    bench.some(
      ({ operation }) =>
        /^(open:flywheel-bolts|open:flexplate-bolts|renew:(clutch|rear-crank-seal|pilot-bearing|input-shaft-seal))$/.test(
          operation.id,
        ) && ![...before(work, operation.id)].some((id) => /^(shift:apart|open:bell-|lift:)/.test(id)),
    ),
  'a crank seal behind a flywheel or pulley that is on again': ({ bench, work }) =>
    bench.some(({ operation }) => {
      const part = { 'renew:rear-crank-seal': 'flywheel', 'renew:front-crank-seal': 'front-pulley' }[operation.id];
      const fit = `fit:${part}`;
      return part !== undefined && work.operations.has(fit) && !before(work, fit).has(operation.id);
    }),
  'a seal or timing drive renewed on a unit that is then given away': ({ bench, work }) =>
    [...work.bench.replaced.keys()].some((unit) =>
      bench.some(
        ({ operation: { id } }) =>
          unit === 'engine' &&
          /^renew:(rear-crank-seal|front-crank-seal|timing-drive|water-pump|intake-gaskets?)$/.test(id) &&
          work.operations.has(`shift:change-${unit}`) &&
          !before(work, id).has(`shift:change-${unit}`),
      ),
    ),
  'a gearbox offered up before the other engine has its dowels': ({ bench, work }) =>
    bench.some(
      ({ operation: { id } }) =>
        /^shift:together-/.test(id) &&
        work.operations.has('shift:carry-engine') &&
        !before(work, id).has('shift:carry-engine'),
    ),
  'timing opened and nothing marked or pinned before it': ({ bench, work }) =>
    bench.some(
      ({ operation }) => operation.id === 'renew:timing-drive' && !before(work, operation.id).has('do:crank-locked'),
    ),
  'something opened at the bench and not closed before it goes down': ({ bench, work }) =>
    bench.some(
      ({ operation }) =>
        operation.kind === 'disconnect' && !before(work, 'hold:pre-lower').has(operation.id.replace('open:', 'close:')),
    ),
  'fuel opened that nothing closed or let down before': ({ work, opens }) =>
    opens(
      ({ system, kind, cautions }) => system === 'fuel' && ['hose', 'pipe'].includes(kind) && cautions.includes('fuel'),
    ).some((id) => ![...before(work, id)].some((one) => /^make:.*(fuel|tank)/.test(one))),
  'fuel opened before the negative lead is off': ({ work, opens }) =>
    [
      ...opens(
        ({ system, kind, cautions }) =>
          system === 'fuel' && ['hose', 'pipe'].includes(kind) && cautions.includes('fuel'),
      ),
      ...[...work.operations.keys()].filter((id) => /^make:.*(fuel|tank)/.test(id)),
    ].some((id) => !before(work, id).has('open:battery-negative')),
  'whole cradle taken apart at its roll mount': ({ way, work }) =>
    way.powerpack.id === 'cradle' && work.operations.get('open:roll-gearbox')?.phase === 'strip',
  'gearbox alone, and the engine’s own mount undone': ({ way, work }) =>
    way.powerpack.id === 'gearbox' && work.operations.has('open:mount-right'),
  'one of the crew planned onto an orange cable': ({ steps }) =>
    steps.some(({ operation, people }) => operation.cautions.includes('high-voltage') && people.length > 0),
  'refrigerant or high voltage never brought back': ({ work }) =>
    ['refrigerant-recovered', 'high-voltage-off'].some(
      (id) => work.operations.has(`make:${id}`) && !work.operations.has(`release:${id}`),
    ),
  'a part over 4 kg hangs between its last fastener and its lowering': ({ steps, map, work }) =>
    heavy(map, work).some((part) => {
      const off = steps.find(({ operation }) => operation.id === `remove:${part.id}`);
      const last = latest(steps.filter(({ operation }) => holds(map, operation, 'open:', part.id)));
      return off && last && !straightOn(last, off);
    }),
  'a part over 4 kg is let go before it is fastened': ({ steps, map, work }) =>
    heavy(map, work).some((part) => {
      const on = steps.find(({ operation }) => operation.id === `fit:${part.id}`);
      const first = earliest(steps.filter(({ operation }) => holds(map, operation, '(start|close):', part.id)));
      return on && first && !straightOn(on, first);
    }),
  'work in the bay under a bonnet that is still to come off': ({ out }) => {
    const off = out.find(({ operation }) => operation.id === 'remove:bonnet');
    return (
      off !== undefined &&
      out.some(
        ({ operation, startMin }) =>
          operation.kind === 'disconnect' && operation.station === 'bay-top' && startMin < off.endMin - 1e-6,
      )
    );
  },
  'the cab tilted before anybody signed that it is made safe': ({ out }) => {
    const tilt = out.find(({ operation }) => operation.id === 'make:cab-tilted');
    const signed = out.find(({ operation }) => operation.id === 'hold:made-safe');
    return tilt !== undefined && signed !== undefined && tilt.startMin < signed.startMin;
  },
  'somebody under the cab while it goes up or comes down': ({ steps }) =>
    pairs(
      steps,
      ({ operation: one }, { operation: other }) => /:cab-tilted$/.test(one.id) && other.station === 'bay-top',
    ),
  'the machine let down onto a hub without its nut': ({ back, map }) =>
    ['left', 'right'].some((side) => {
      if (!map.connections.some(({ id }) => id === `hub-${side}-nut`)) return false;
      const wheel = back.find(({ operation }) => operation.id === `fit:wheel-${side}`);
      const nut = back.find(({ operation }) => operation.id === `close:hub-${side}-nut`);
      return (
        wheel !== undefined &&
        nut !== undefined &&
        back.some(({ height, startMin }) => height === 'ground' && startMin > wheel.startMin && startMin < nut.endMin)
      );
    }),
  'machine off its wheels before anybody signed that it is made safe': ({ out }) => {
    const signed = out.find(({ operation }) => operation.id === 'hold:made-safe');
    return out.some(({ height, startMin }) => height === 'raised' && startMin < (signed?.endMin ?? 0) - 1e-6);
  },
  'undertray or skid plate on before anybody looked for leaks': ({ back }) => {
    const leaks = back.find(({ operation }) => operation.id === 'check:leaks');
    return back.some(
      ({ operation, startMin }) =>
        ['fit:undertray', 'fit:skid-plate'].includes(operation.id) && leaks !== undefined && startMin < leaks.startMin,
    );
  },
  'panels over a truck’s engine closed before anybody looked at what they hide': ({ work }) =>
    work.operations.has('fit:engine-tunnel') &&
    work.operations.has('fill:coolant') &&
    work.lump.has('engine') &&
    !['do:look-from-above', 'check:leaks'].some((id) => before(work, 'fit:engine-tunnel').has(id)),
  'a battery taken off before its codes were written down': ({ map, work }) =>
    map.parts.some(({ id }) => id === 'control-unit') &&
    work.operations.has('open:battery-negative') &&
    !before(work, 'open:battery-negative').has('do:codes-before'),
  'a sensor of crank or cam plugged in before the timing was turned through by hand': ({ steps }) =>
    timeOf(steps, /^close:(crank|cam)-sensor$/, earliest) < timeOf(steps, /^do:crank-turned$/, latest),
  'a starter unbolted that hangs on its leads': ({ out }) => {
    const bolts = out.find(({ operation }) => operation.id === 'open:starter-bolts');
    const cable = out.find(({ operation }) => operation.id === 'open:starter-cable');
    return bolts !== undefined && cable !== undefined && bolts.startMin < cable.endMin - 1e-6;
  },
  'the words of taking out on putting in': ({ back }) =>
    back.some(
      ({ operation }) => operation.kind === 'fit' && /tape over|hold it: it|bend|Stand it/i.test(operation.tip ?? ''),
    ),
  'coolant or exhaust opened with no time to cool': ({ out, work }) =>
    out.some(
      ({ operation }) =>
        /^(drain:coolant|open:(downpipe-(turbo|manifold)|flex-clamp-turbo|silencer-nuts))$/.test(operation.id) &&
        ![...before(work, operation.id)].some((id) => work.operations.get(id)?.kind === 'wait'),
    ),
  'exhaust torqued joint by joint, before all of it is in': ({ back }) => {
    const joints = back.filter(({ operation }) => /^close:(downpipe|silencer)-(?!straps)/.test(operation.id));
    return back.some(
      ({ operation, startMin }) =>
        /^torque:(downpipe|silencer)-/.test(operation.id) && joints.some(({ endMin }) => endMin > startMin + 1e-6),
    );
  },
  'a torque left for later, though its joint could have had it at once': ({ back, work }) =>
    back.some(({ operation, startMin }) => {
      const closed = back.find(({ operation: one }) => one.id === operation.id.replace('torque:', 'close:'));
      if (operation.kind !== 'torque' || !closed || closed.operation === operation) return false;
      const waits = [...(work.into.get(operation.id) ?? [])].filter(({ before: one }) => one !== closed.operation.id);
      const own = new Set((work.into.get(closed.operation.id) ?? []).map(({ before: one }) => one));
      const free = waits.every(({ before: one }) => own.has(one));
      const alike = closed.operation.hands === operation.hands && closed.operation.height === operation.height;
      return free && alike && startMin > closed.endMin + 1e-6;
    }),
  'no tool named that fits a fastener': ({ map, opens }) =>
    opens(() => true).some((id) => {
      const { fasteners, tools } = map.connections.find((one) => `open:${one.id}` === id);
      return fasteners.some(({ what }) => {
        const size = /, (\d+ mm)/.exec(what)?.[1];
        return size !== undefined && !tools.some((tool) => tool.includes(size));
      });
    }),
  'fuel, steering or refrigerant pipe opened with nothing to cap it': ({ map, opens }) =>
    opens(
      ({ kind, system }) => ['pipe', 'hose'].includes(kind) && ['fuel', 'steering', 'refrigerant'].includes(system),
    ).some((id) => !map.connections.find((one) => `open:${one.id}` === id).tools.includes('plugs and caps')),
  'two steps of one job in the same words': ({ work }) => {
    const titles = [...work.operations.values()].map(({ title, phase }) => `${phase} ${title}`);
    return new Set(titles).size < titles.length;
  },
  'something bolted that is “unhooked”': ({ map, work }) =>
    map.connections.some(
      ({ id, fasteners }) =>
        /^Unhook/.test(work.operations.get(`open:${id}`)?.title ?? '') &&
        fasteners.some(({ what }) => /\bM\d+\b.*(nut|\d mm)/.test(what)),
    ),
  'engine and gearbox parted, and nobody looks at clutch or converter': ({ work, choices }) =>
    choices.clutch !== 'none' &&
    [...work.operations.keys()].some((id) => /^open:bell-/.test(id)) &&
    ![...work.operations.values()].some(({ title }) => /disc|converter home|drive plate/i.test(title)),
  'oil drained, and no plug, filter or strainer seen to': ({ work }) =>
    work.operations.has('drain:engine-oil') &&
    ![...work.operations.values()].some(({ title }) => /oil filter|oil strainer/i.test(title)),
  'shaft in one piece undone with nothing slung under it': ({ map, work }) =>
    map.connections.some(({ id }) => id === 'prop-sling') &&
    work.operations.has('open:prop-front') &&
    ![...before(work, 'open:prop-front')].some((id) => /sling/i.test(work.operations.get(id)?.title ?? '')),
  'steering or suspension parted, and the wheels never measured': ({ work }) =>
    [...work.operations.keys()].some((id) => /^open:(track-rod|hub-\w+-ball|toe-link|steering-coupling)/.test(id)) &&
    ![...work.operations.values()].some(({ title }) => /wheels measured/i.test(title)),
  'a row of injectors or coils gone through up and down': ({ steps }) =>
    Object.values(
      Object.groupBy(
        steps.filter(({ operation }) => /^(open|close):(.*)-\d+$/.test(operation.id)),
        ({ operation, people }) => `${operation.id.replace(/-\d+$/, '')} ${people.join()}`,
      ),
    ).some((row) => {
      const numbers = row
        .toSorted((one, other) => one.startMin - other.startMin)
        .map(({ operation }) => Number(/\d+$/.exec(operation.id)[0]));
      return numbers.some((number, at) => at > 0 && number < numbers[at - 1]);
    }),
  'a row of injectors or coils split between hands, or left and taken up again': ({ steps, map }) => {
    const rows = Object.groupBy(
      steps.filter(({ operation }) => {
        const [, , row] = /^(open|close):(.*)-\d+$/.exec(operation.id) ?? [];
        return row !== undefined && map.connections.some(({ id, kind }) => id === `${row}-1` && kind === 'plug');
      }),
      ({ operation }) => operation.id.replace(/-\d+$/, ''),
    );
    return Object.values(rows).some((row) => {
      const inTurn = row.toSorted((one, other) => one.startMin - other.startMin);
      return inTurn.some((one, at) => at > 0 && !straightOn(inTurn[at - 1], one));
    });
  },
  'an order told for safety or the load path not turned round': ({ map, work }) =>
    map.connections.some(({ id, access }) =>
      access.some(
        ({ open, because, firstBackToo }) =>
          !firstBackToo &&
          because !== undefined &&
          because !== 'access' &&
          open !== undefined &&
          work.operations.has(`close:${id}`) &&
          work.operations.has(`close:${open}`) &&
          work.operations.has(`open:${open}`) &&
          ![...before(work, work.operations.has(`torque:${open}`) ? `torque:${open}` : `close:${open}`)].some(
            (one) => one === `close:${id}` || one === `start:${id}`,
          ),
      ),
    ),
  'a bell undone before its converter is free of the plate': ({ steps }) =>
    timeOf(steps, /^open:bell-/, latest) < timeOf(steps, /^open:converter-bolts$/, latest) &&
    steps.some(({ operation: { id } }) => /^open:bell-/.test(id)),
  'a converter bolted to its plate before the bell is closed': ({ steps }) =>
    timeOf(steps, /^(start|close):converter-bolts$/, earliest) < timeOf(steps, /^(close|seat):bell-/, latest),
  'a converter measured before it is on its shaft': ({ steps }) =>
    timeOf(steps, /^do:converter-home$/, earliest) < timeOf(steps, /^close:converter-shaft$/, latest),
  'a converter pushed home and not measured and held by the same hands at once': ({ steps }) => {
    const joined = steps.find(({ operation: { id } }) => id === 'close:converter-shaft');
    const held = steps.find(({ operation: { id } }) => id === 'do:converter-home');
    return joined !== undefined && held !== undefined && !straightOn(joined, held);
  },
  'an automatic with a stick filled from beneath': ({ map, work }) =>
    map.circuits.some(
      ({ id, level }) =>
        id === 'gearbox-oil' && level.by === 'stick' && work.operations.get(`fill:${id}`)?.station === 'underside',
    ),
  'faces that met, and nothing put into them by the same hands at once': ({ steps }) =>
    steps.some(
      (meets) =>
        (/^shift:together-/.test(meets.operation.id) || MEETS.test(meets.operation.id)) &&
        steps.some(({ operation: { id } }) => /^(start|close):bell-/.test(id)) &&
        !steps.some((one) => /^(start|close):bell-/.test(one.operation.id) && straightOn(meets, one)),
    ),
  'a mount drawn up before the bell between engine and gearbox is closed': ({ back, map }) =>
    map.connections.some(({ id, carriesLoad }) => {
      const drawnUp = timeOf(back, new RegExp(`^close:${id}$`), earliest);
      return (
        carriesLoad &&
        !/^bell-/.test(id) &&
        drawnUp < timeOf(back, /^close:bell-/, latest) &&
        !(drawnUp < timeOf(back, MEETS, latest))
      );
    }),
  'a gearbox pushed home on an engine that no mount holds': ({ way, back }) =>
    way.route.id === 'split' && timeOf(back, MEETS, earliest) < timeOf(back, /^close:(mount-|engine-mount)/, latest),
  'wheel bolts broken loose in the air': ({ out }) =>
    out.some(
      ({ operation: { id, connection }, startMin }) =>
        /^open:.*wheel-.*bolts$|^open:wheel-/.test(id) &&
        !out.some(
          (one) =>
            /crack .*wheel bolts/i.test(one.operation.title) &&
            one.height === 'ground' &&
            one.operation.id.endsWith(connection.replace('-bolts', '')) &&
            one.endMin <= startMin,
        ),
    ),
  'a bar on the crank while pins hold it': ({ bench, map }) => {
    const turning = new Set(map.parts.filter(({ movesWith }) => movesWith === 'crank').map(({ id }) => id));
    const loading = bench.filter(
      ({ operation: { id, connection } }) =>
        !/^do:/.test(id) &&
        map.connections.some(
          ({ id: joint, kind, between }) =>
            joint === connection && kind === 'bolted' && between.some((end) => turning.has(end)),
        ),
    );
    return [
      [/^do:pump-pinned$/, /^remove:high-pressure-pump$/],
      [/^do:pump-set$/, /^do:pump-pin-out$/],
      [/^do:crank-locked$/, /^do:crank-turned$/],
    ].some(([from, to]) =>
      loading.some(({ startMin }) => startMin > timeOf(bench, from, earliest) && startMin < timeOf(bench, to, latest)),
    );
  },
  'another unit goes in dry, and nothing fills it': ({ template, work }) =>
    [...work.bench.replaced.values()].some((stays) =>
      Object.entries(OILS).some(
        ([unit, circuit]) =>
          stays.has(unit) &&
          template.pieces.some((piece) => piece.circuits?.some(({ id }) => id === circuit)) &&
          !work.operations.has(`fill:${circuit}`),
      ),
    ),
  'a converter that goes onto another gearbox dry': ({ map, work }) =>
    map.parts.some(({ id }) => id === 'converter') &&
    [...work.bench.replaced.values()].some((stays) => stays.has('gearbox')) &&
    [...work.operations.keys()].some(
      (id) =>
        (/^shift:together-/.test(id) || (id === 'hold:pre-lower' && !work.lump.has('flexplate'))) &&
        !before(work, id).has('shift:charge-converter'),
    ),
  'oil filled before the powerpack is in its place': ({ work }) =>
    [...work.operations.keys()].some(
      (id) => /^fill:.*oil$/.test(id) && ![...before(work, id)].some((one) => /^lower:/.test(one)),
    ),
  'weight taken by gear that nobody has looked at yet': ({ map, work }) =>
    map.conditions.some(
      ({ id, takesLoad }) =>
        takesLoad && work.operations.has(`make:${id}`) && !before(work, `make:${id}`).has('hold:pre-weight'),
    ),
  'gear said to be rated for less than it carries': ({ map, work }) => {
    const off = [...work.operations.values()].flatMap(({ kind, part }) => (kind === 'remove' && part ? [part] : []));
    const gone = (part) => off.includes(part) || (ridesOn(map, part) !== undefined && gone(ridesOn(map, part)));
    const rides = (part, roots) =>
      roots.includes(part) || (ridesOn(map, part) !== undefined && rides(ridesOn(map, part), roots));
    return map.conditions.some(({ id, takesLoad, carries, name }) => {
      const step = work.operations.get(`make:${id}`);
      if (!takesLoad || !step || step.phase !== 'strip') return false;
      const kg = map.parts.reduce(
        (sum, { id: part, massKg = 0 }) =>
          sum + (!gone(part) && (carries ? rides(part, carries) : work.lump.has(part)) ? massKg : 0),
        0,
      );
      const rated = Number(/rated for (\d+) kg/.exec(step.tip ?? '')?.[1] ?? 0);
      return rated < kg * 1.25 || name === '';
    });
  },
  'somebody beneath what hangs in slings and stands on nothing': ({ out, back, map, work, way }) => {
    const gear = map.conditions.filter(
      ({ id }) => way.route.supports.includes(id) && work.operations.has(`make:${id}`),
    );
    const stands = gear.some(({ id }) =>
      /jack|stand|dolly|trolley|deck|saddle/i.test(`${id} ${work.operations.get(`make:${id}`)?.tools}`),
    );
    const onDeck = map.connections.some(({ id }) => id === 'deck-rear');
    return (
      gear.length > 0 &&
      !stands &&
      !onDeck &&
      [...out, ...back].some(
        ({ operation: { station, connection, kind } }) =>
          station === 'underside' &&
          ['disconnect', 'start-by-hand', 'connect'].includes(kind) &&
          map.connections.some(({ id, carriesLoad }) => id === connection && carriesLoad),
      )
    );
  },
  'nobody under it is signed, and the next step sends somebody there': ({ map, work, out, back }) =>
    [
      ['pre-lift', out],
      ['pre-lower', back],
    ].some(([hold, steps]) => {
      const asked = (work.holdPoints ?? map.holdPoints).find(({ id }) => id === hold)?.confirmations ?? [];
      const at = steps.findIndex(({ operation }) => operation.id === `hold:${hold}`);
      return (
        at >= 0 &&
        asked.some(({ words }) => /^nobody under/i.test(words)) &&
        steps[at + 1]?.operation.station === 'underside'
      );
    }),
  'made safe is signed and does not ask for what this machine has': ({ map, work, out }) => {
    const asked = ((work.holdPoints ?? map.holdPoints).find(({ id }) => id === 'made-safe')?.confirmations ?? [])
      .map(({ words }) => words)
      .join('. ');
    const has = (id) => work.operations.has(id);
    return (
      (has('make:high-voltage-off') && !/proved dead/i.test(asked)) ||
      (has('make:air-released') && !/air gauge/i.test(asked)) ||
      (has('make:refrigerant-recovered') && !/recovered/i.test(asked)) ||
      (map.connections.some(({ id, cautions }) => cautions.includes('airbag') && has(`open:${id}`)) &&
        !/airbag/i.test(asked)) ||
      (has('do:airbag-wait') && timeOf(out, /^do:airbag-wait$/, latest) > timeOf(out, /^hold:made-safe$/, earliest))
    );
  },
  'high voltage back on before its coolant is bled': ({ work }) =>
    work.operations.has('release:high-voltage-off') &&
    work.operations.has('fill:inverter-coolant') &&
    !before(work, 'release:high-voltage-off').has('do:bleed-inverter'),
  'a pump run by command before the 12 V is on': ({ work }) =>
    [...work.operations.values()].some(
      ({ id, title, tip }) =>
        /pump (is )?run by command/i.test(`${title} ${tip}`) && !before(work, id).has('close:battery-negative'),
    ),
  'a clutch pedal, a gate or a starter on a machine that has none': ({ choices, work, back }) =>
    choices.hybrid === 'yes' &&
    back.some(
      ({ operation: { title, tip, connection } }) =>
        /clutch pedal|press the clutch|bursts of ten seconds/i.test(`${title} ${tip}`) ||
        (work.connections.get(connection)?.refit.adjust?.gears ?? []).includes('5'),
    ),
  'worked at what is hot, or beneath it, while it cools': ({ out, map }) => {
    const cools = out.find(({ operation }) => operation.id === 'do:cool-down');
    if (!cools) return false;
    const made = timeOf(out, /^hold:made-safe$/, earliest);
    return out.some(
      ({ operation: { station, kind, connection, part, cautions }, startMin }) =>
        kind !== 'wait' &&
        kind !== 'hold-point' &&
        startMin < cools.endMin - 1e-6 &&
        startMin > made &&
        (station === 'underside' ||
          cautions.includes('hot-coolant') ||
          /heat-shield|downpipe|turbo|flex-pipe/.test(
            [part, ...(map.connections.find(({ id }) => id === connection)?.between ?? [])].join(),
          )),
    );
  },
  'fuel opened before its pressure was let down its own way': ({ work, choices }) => {
    const down = 'make:fuel-depressurised';
    if (!work.operations.has(down)) return false;
    const first = { 'petrol-port': 'run-dry', 'single-point': 'run-dry' }[choices.fuel] ?? 'rail-wait';
    return (
      !before(work, down).has(`do:${first}`) ||
      (first === 'run-dry' && !before(work, 'open:battery-negative').has('do:run-dry')) ||
      !/tray/.test((work.operations.get(down)?.tools ?? []).join())
    );
  },
  'two are wanted, one is planned, and nobody is told when': ({ steps, help }) =>
    steps.some(
      ({ operation, people, startMin, endMin }) =>
        people.length > 0 &&
        operation.hands > people.length &&
        !help.some(
          ({ fromMin, untilMin, steps: told }) =>
            fromMin <= startMin && endMin <= untilMin && told.some(({ id }) => id === operation.id),
        ),
    ),
  'pedal, wheel or gears worked under a tilted cab, or without air': ({ work }) =>
    [...work.operations.values()].some(({ id, phase, moves = [], station }) => {
      if (phase !== 'refit') return false;
      const earlier = before(work, id);
      return (
        (work.operations.has('release:cab-tilted') &&
          (moves.includes('pedal') || moves.includes('steering') || station === 'cabin') &&
          !earlier.has('release:cab-tilted')) ||
        (work.operations.has('release:air-released') && moves.includes('pedal') && !earlier.has('release:air-released'))
      );
    }),
  'somebody in the cab when it is tilted': ({ work }) =>
    work.operations.has('make:cab-tilted') &&
    [...work.operations.values()].some(
      ({ id, phase, station }) => phase === 'strip' && station === 'cabin' && !before(work, 'make:cab-tilted').has(id),
    ),
  'a part unbolted for more than half an hour before it comes off': ({ steps, map }) =>
    looseFor(steps, map).some(({ minutes }) => minutes > 30),
  'the machine moved while a part is unbolted and still in it': ({ steps, map }) =>
    looseFor(steps, map).some(({ moved }) => moved),
  'somebody beneath or in an arch while the wheels are turned from lock to lock': ({ steps, map }) =>
    (map.bay ?? 'front') === 'front' &&
    pairs(
      steps,
      ({ operation: one }, { operation: other }) =>
        one.moves?.includes('steering') === true && /^(underside|wheel-)/.test(other.station) && other.kind !== 'wait',
    ),
  'front panels on before anybody looked for leaks': ({ back }) => {
    const leaks = back.find(({ operation }) => operation.id === 'check:leaks');
    return back.some(
      ({ operation, startMin }) =>
        operation.id === 'fit:slam-panel' && leaks !== undefined && startMin < leaks.startMin,
    );
  },
  'a cover off or a line open on the bench an hour longer than what is done for it meanwhile': ({ bench, work, map }) =>
    openLonger(bench, work, map).some((minutes) => minutes > 60),
  'torque more than half an hour after the joint was closed': ({ steps, work }) =>
    steps.some(({ operation: { id, kind, connection }, startMin }) => {
      if (kind !== 'torque') return false;
      const closed = steps.find(({ operation }) => operation.id === `close:${connection}`);
      // Told why: something else comes before its figure.
      const told = (work.into.get(id) ?? []).some(
        (edge) => edge.before !== `close:${connection}` && !/^start:/.test(edge.before),
      );
      return closed && startMin - closed.endMin > 30 && !told;
    }),
  'a second look at torque on a machine that is still hot': ({ back }) => {
    const hot = back.find(({ operation }) => operation.id === 'check:warm-up' || operation.id === 'check:run-warm');
    const again = back.find(({ operation }) => operation.id === 'check:heat-cycle');
    return hot !== undefined && again !== undefined && again.startMin - hot.endMin < 180;
  },
  'what is torqued again lies behind something that is on again': ({ map, work }) =>
    map.connections.some(
      ({ id, access, refit }) =>
        refit.torque?.again &&
        work.operations.has(`torque:${id}`) &&
        access.some(
          ({ removed }) =>
            removed !== undefined &&
            work.operations.has(`fit:${removed}`) &&
            !before(work, `fit:${removed}`).has('check:heat-cycle'),
        ),
    ),
  'a crossmember fitted from beneath while the powerpack hangs by nothing else': ({ map, work }) =>
    [...work.operations.keys()].some((id) => {
      if (!/^fit:(crossmember|gearbox-bearer)$/.test(id)) return false;
      const engine = map.connections.filter(
        ({ id: joint, carriesLoad, between }) =>
          carriesLoad &&
          between.includes('engine') &&
          between.includes(map.body) &&
          work.operations.has(`start:${joint}`),
      );
      return engine.some(({ id: joint }) => !before(work, id).has(`start:${joint}`));
    }),
};

/** When the earliest or the latest step of the name begins; never, where there is none. */
function timeOf(steps, name, which) {
  return which(steps.filter(({ operation: { id } }) => name.test(id)))?.startMin ?? NaN;
}

/** Parts that nothing holds any more and that are still in: for how long, and whether the machine was moved meanwhile. */
function looseFor(steps, map) {
  return steps.flatMap(({ operation: { kind, part }, startMin, height }) => {
    if (kind !== 'remove') return [];
    const undone = steps.filter(
      ({ operation: one }) =>
        /^open:/.test(one.id) &&
        map.connections.some(({ id, between }) => id === one.connection && between.includes(part)),
    );
    const last = latest(undone);
    return last ? [{ part, minutes: startMin - last.endMin, moved: last.height !== height }] : [];
  });
}

/** By how many minutes each cover and line of the bench stands open beyond the steps that have to come in between. */
function openLonger(bench, work, map) {
  const of = (id) => bench.find(({ operation }) => operation.id === id);
  const pairs = [
    ...map.parts
      .filter(({ id }) => /^(head-cover|sump|timing-cover|intake-manifold|turbo)/.test(id))
      .map(({ id }) => [`remove:${id}`, `fit:${id}`]),
    ...map.connections
      .filter(({ kind, tools }) => (kind === 'pipe' || kind === 'hose') && tools.includes('plugs and caps'))
      .map(({ id }) => [`open:${id}`, `close:${id}`]),
  ];
  return pairs.flatMap(([from, until]) => {
    const [opened, closed] = [of(from), of(until)];
    if (!opened || !closed) return [];
    const first = before(work, until);
    const between = bench.filter(
      ({ operation, startMin }) =>
        startMin >= opened.endMin - 1e-6 && startMin < closed.startMin && first.has(operation.id),
    );
    // What goes over to another unit is off until that stands there.
    if (between.some(({ operation }) => /^shift:(change|carry)-/.test(operation.id))) return [];
    const needed = between.reduce((sum, one) => sum + one.endMin - one.startMin, 0);
    return [closed.startMin - opened.endMin - needed];
  });
}

/** What each unit holds, and is empty without. */
const OILS = { engine: 'engine-oil', gearbox: 'gearbox-oil', 'transfer-box': 'transfer-oil' };

const ridesOn = (map, part) => map.parts.find(({ id }) => id === part)?.ridesWith;

function nameOf(list, id) {
  return `${id} ${list.find((one) => one.id === id)?.name ?? ''}`.toLowerCase();
}

function before(work, id) {
  const seen = new Set();
  const waiting = [id];
  for (let at = waiting.pop(); at !== undefined; at = waiting.pop())
    for (const edge of work.into.get(at) ?? [])
      if (!seen.has(edge.before)) {
        seen.add(edge.before);
        waiting.push(edge.before);
      }
  return seen;
}

function heavy(map, work) {
  return map.parts.filter(({ id, massKg = 0 }) => massKg > 4 && work.operations.has(`remove:${id}`));
}

function holds(map, { id, connection }, as, part) {
  const one = map.connections.find((other) => other.id === connection);
  return new RegExp(`^${as}`).test(id) && (one?.between.includes(part) ?? false);
}

const latest = (steps) => steps.reduce((last, one) => (!last || one.endMin > last.endMin ? one : last), undefined);
const earliest = (steps) =>
  steps.reduce((first, one) => (!first || one.startMin < first.startMin ? one : first), undefined);

function straightOn(one, other) {
  return (
    Math.abs(other.startMin - one.endMin) < 1e-6 &&
    one.height === other.height &&
    [...one.people].sort().join() === [...other.people].sort().join()
  );
}
