import type { Operation } from '../teardown/index.js';

/** Something a shop has or has not, and where it would come from. */
export interface ShopTool {
  readonly tool: string;
  readonly here: boolean;
  /** Where it is hired or lent, for how much, until when. */
  readonly hire?: string;
}

/** What a plan needs and whether the shop has it. */
export interface ToolNeed {
  readonly tool: string;
  readonly steps: readonly Operation[];
  /** Unknown until somebody says whether the shop has it. */
  readonly stands: 'here' | 'hired' | 'lacking' | 'unknown';
  readonly hire?: string;
}

/**
 * Sizes and things that every shop which takes engines out has: sockets and spanners of the usual sizes, drivers,
 * pliers, rags. What is not among them is asked for.
 */
const IN_EVERY_SHOP = [
  /^(?:[6-9]|1[0-9]|2[0-4]) mm (?:\w+ )?(?:ratchet|socket|spanner)$/,
  /^T\d+ driver$/,
  /^(?:flat|small)? ?(?:screw)?driver$/,
  /^[\w -]*(?:extension|breaker bar|pliers|penetrant|marker|rags?|strap|straps|brush|tray|fork|bar|pick|punch|caps|lamp|blocks?|funnel|hook|cutter|torque wrench|can|extinguisher|stands|hex|syringe|filter|pads|tape|degreaser|scraper|grease|washer|gaskets|thermometer|straight edge|rule|chocks)$/,
];

/** Every tool the steps want, what the shop lacks first, then by how many steps want it. */
export function toolsNeeded(operations: readonly Operation[], shop: readonly ShopTool[]): readonly ToolNeed[] {
  const known = new Map(shop.map((one) => [one.tool, one]));
  const wanted = new Map<string, Operation[]>();
  for (const operation of operations)
    for (const tool of operation.tools) wanted.set(tool, [...(wanted.get(tool) ?? []), operation]);
  const weight = { lacking: 0, unknown: 1, hired: 2, here: 3 } as const;
  return [...wanted]
    .map(([tool, steps]): ToolNeed => {
      const own = known.get(tool);
      return {
        tool,
        steps,
        stands: standsFor(tool, own),
        ...(own?.hire ? { hire: own.hire } : {}),
      };
    })
    .sort((one, other) => weight[one.stands] - weight[other.stands] || other.steps.length - one.steps.length);
}

function standsFor(tool: string, own: ShopTool | undefined): ToolNeed['stands'] {
  if (own) return own.here ? 'here' : own.hire ? 'hired' : 'lacking';
  return IN_EVERY_SHOP.some((kind) => kind.test(tool)) ? 'here' : 'unknown';
}
