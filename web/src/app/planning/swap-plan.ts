import type { Swap } from '@brisk/contracts/swap';
import type { JobPlan } from '@brisk/core/connection-map';
import { compose, templateOf, type Choices } from '@brisk/core/layouts';
import { interfacesOf, swapWork, type Side } from '@brisk/core/swap';

/** The donor of a swap with its map. */
export function donorSide({ donor: { layout, choices, powerpack } }: Swap): Side {
  return { map: compose(templateOf(layout), choices as Choices), powerpack };
}

/** `plan` with the steps its swap asks for; whatever changes map, way out or decisions goes through here. */
export function withSwap(plan: JobPlan, swap: Swap | undefined): JobPlan {
  if (!swap) return plan;
  const host: Side = { map: plan.map, powerpack: plan.powerpack };
  return { ...plan, ...swapWork(interfacesOf(host, donorSide(swap)), swap.decisions) };
}
