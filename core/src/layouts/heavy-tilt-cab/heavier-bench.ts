import type { NewPart, Renewal } from '../../connection-map/index.js';
import { breaks, minutes, type Time } from '../author.js';

/** What is bought: pieces, and about what each costs, in the shop’s money. */
type Bought = readonly (readonly [what: string, count: number, each: number])[];

const worth = (time: Time, bought: Bought, more: Partial<Renewal> = {}): Partial<Omit<Renewal, 'id'>> => ({
  minutes: minutes(...time),
  parts: bought.map(([what, count, each]): NewPart => ({ what, count, guideCents: each * 100 })),
  ...more,
});

/** What wears on a heavy engine and its gearbox, in a heavy vehicle’s minutes and money. */
export const HEAVIER_RENEWALS: Readonly<Record<string, Partial<Omit<Renewal, 'id'>>>> = {
  'rear-crank-seal': worth([25, 45, 90], [['rear crank seal with its carrier', 1, 95]]),
  'front-crank-seal': worth([20, 35, 70], [['front crank seal', 1, 62]]),
  clutch: worth(
    [12, 20, 40],
    [
      ['clutch disc, 430 mm', 1, 310],
      ['clutch cover, 430 mm', 1, 540],
    ],
    {
      hands: 2,
      tools: ['calliper', 'lamp', 'hoist or gearbox jack', 'guide studs'],
      cautions: ['heavy'],
      tip: 'Disc and cover weigh as much as a wheel: in over guide studs, never by hand alone. New disc tried on the splines first.',
    },
  ),
  'release-bearing': worth([6, 12, 25], [['release bearing', 1, 140]], {
    breaks: breaks('it cuts the fingers of the clutch cover', 540, 1),
  }),
  'pilot-bearing': worth([8, 18, 40], [['pilot bearing', 1, 35]], {
    breaks: breaks('it wears the end of the input shaft', 1_900, 5),
  }),
  'input-shaft-seal': worth([20, 35, 70], [['input shaft seal', 1, 48]], {
    breaks: breaks('oil on the clutch disc, which is scrap', 310, 1),
  }),
  'timing-drive': worth([120, 200, 360], [['timing gears and idler', 1, 780]], {
    tip: 'Gears by their marks, play between them measured, in the maker’s order. Engine cold.',
    breaks: breaks('gears strip: pistons, valves and camshaft', 7_500, 14),
  }),
  'head-cover-gasket': worth([12, 25, 45], [['cylinder head cover gasket', 1, 74]]),
  'sump-gasket': worth([30, 50, 90], [['sump gasket', 1, 68]], { hands: 2 }),
  'water-pump': worth([40, 70, 140], [['water pump with gasket', 1, 290]], {
    breaks: breaks('the engine boils: head gaskets', 2_400, 5),
  }),
  thermostat: worth([12, 25, 50], [['thermostats with seals', 2, 44]], {
    breaks: breaks('the engine boils: head gaskets', 2_400, 5),
  }),
  'belt-and-tensioner': worth(
    [8, 15, 30],
    [
      ['drive belt', 1, 68],
      ['tensioner', 1, 120],
    ],
  ),
  'engine-mounts': worth([12, 25, 50], [['engine mount', 2, 130]], { hands: 2 }),
  'gearbox-mount': worth([10, 20, 40], [['gearbox mount', 2, 95]]),
  'glow-plugs': worth([18, 45, 180], [['glow plug', 6, 22]]),
  starter: worth([25, 50, 90], [['brush and solenoid set, 24 V', 1, 160]]),
  'exhaust-studs': worth(
    [25, 50, 180],
    [
      ['exhaust stud M10 with nut', 12, 7],
      ['exhaust gasket', 6, 12],
    ],
  ),
  'intake-gasket': worth([12, 25, 45], [['intake manifold gasket set', 1, 55]]),
  'turbo-oil-lines': worth(
    [20, 40, 80],
    [
      ['turbo oil feed', 1, 85],
      ['oil return with gaskets', 1, 52],
    ],
    { breaks: breaks('the turbocharger runs dry', 1_900, 4) },
  ),
};
