import type { MachineHeight, Station, StepHeight, ThreePointMinutes } from '../connection-map/index.js';
import type { Operation, OperationId } from '../teardown/index.js';

/** A run of operations at one machine height and station, with what to carry there. */
export interface Setup {
  readonly height: MachineHeight;
  readonly station: Station;
  /** The machine has to be raised or let down before this setup begins. */
  readonly moveMachine: boolean;
  readonly operations: readonly Operation[];
  readonly tools: readonly string[];
  readonly hands: 1 | 2;
  readonly minutes: ThreePointMinutes;
}

/** How the first of `order` from `place` on that does not go either way wants the machine; either way where none does. */
export function standsAhead(order: readonly Operation[], place: number): StepHeight {
  return order.slice(place).find(({ height }) => height !== 'either')?.height ?? 'either';
}

/**
 * Cuts an order into setups, starting with the machine at `height`. `moveFirst`: steps before which it is moved already
 * for what comes after them.
 */
export function setupsOf(
  order: readonly Operation[],
  height: MachineHeight,
  moveFirst: ReadonlySet<OperationId> = new Set(),
): readonly Setup[] {
  const setups: Setup[] = [];
  let run: Operation[] = [];
  let standing = height;
  let moved = false;
  const close = () => {
    const [first] = run;
    if (first) setups.push(setupOf(run, first.station, standing, moved));
    run = [];
    moved = false;
  };
  for (const [place, operation] of order.entries()) {
    const wanted = moveFirst.has(operation.id) ? standsAhead(order, place) : operation.height;
    const needed = wanted === 'either' ? standing : wanted;
    if (needed !== standing) {
      close();
      moved = true;
      standing = needed;
    } else if (run[0] && run[0].station !== operation.station) {
      close();
    }
    run.push(operation);
  }
  close();
  return setups;
}

function setupOf(
  operations: readonly Operation[],
  station: Station,
  height: MachineHeight,
  moveMachine: boolean,
): Setup {
  return {
    height,
    station,
    moveMachine,
    operations,
    tools: [...new Set(operations.flatMap(({ tools }) => tools))],
    hands: operations.some(({ hands }) => hands === 2) ? 2 : 1,
    minutes: totalMinutes(operations),
  };
}

/** Sum of the three-point minutes of `operations`. */
export function totalMinutes(operations: readonly Operation[]): ThreePointMinutes {
  return operations.reduce<ThreePointMinutes>(
    (sum, { minutes }) => ({
      low: sum.low + minutes.low,
      likely: sum.likely + minutes.likely,
      high: sum.high + minutes.high,
    }),
    { low: 0, likely: 0, high: 0 },
  );
}
