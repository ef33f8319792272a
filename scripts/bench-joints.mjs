/**
 * Measures how even the order of tightening is on usual patterns and on random ones, against clockwise and, up to eight
 * bolts, against the best of all orders, and what working it out takes. Core has to be built: `npm run bench:joints`.
 */
import { positionsOf } from '@brisk/core/fasteners';
import { clockwiseOrder, tighteningOrder, unevennessOf } from '@brisk/core/torque';

const tell = (figure, value, unit, more = {}) =>
  process.stdout.write(`${JSON.stringify({ figure, value: Number(value.toFixed(3)), unit, ...more })}\n`);
const PATTERNS = {
  circle: [8, 100, 100],
  rectangle: [10, 300, 150],
  'bell-housing': [10, 340, 320],
  line: [7, 300, 0],
};
const RANDOM_SETS = 50;

for (const [shape, [count, wide, high]] of Object.entries(PATTERNS)) {
  const { holes } = positionsOf(shape, [{ count }], wide, high);
  const began = performance.now();
  const order = tighteningOrder(holes);
  const ms = Number((performance.now() - began).toFixed(1));
  const clockwise = Number(unevennessOf(holes, clockwiseOrder(holes)).toFixed(3));
  tell(`unevenness, ${shape} of ${count}`, unevennessOf(holes, order), 'of the radius', { clockwise, ms });
}

let seed = 7;
const random = () => (seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648) / 2_147_483_648;
const everyOrder = (left) =>
  left.length === 0
    ? [[]]
    : left.flatMap((bolt) => everyOrder(left.filter((one) => one !== bolt)).map((rest) => [bolt, ...rest]));
let [ours, clockwise, few, gap] = [0, 0, 0, 0];
for (let set = 0; set < RANDOM_SETS; set += 1) {
  const holes = Array.from({ length: 4 + Math.floor(random() * 13) }, () => ({
    xMm: random() * 300,
    yMm: random() * 200,
  }));
  const uneven = unevennessOf(holes, tighteningOrder(holes));
  ours += uneven / RANDOM_SETS;
  clockwise += unevennessOf(holes, clockwiseOrder(holes)) / RANDOM_SETS;
  if (holes.length > 8) continue;
  few += 1;
  const best = Math.min(...everyOrder([...holes.keys()]).map((order) => unevennessOf(holes, order)));
  gap = Math.max(gap, uneven - best);
}
tell(`unevenness, mean of ${RANDOM_SETS} random sets`, ours, 'of the radius', {
  clockwise: Number(clockwise.toFixed(3)),
});
tell('largest gap to the best of all orders, up to eight bolts', gap, 'of the radius', { sets: few });
