/** Stands in for the tasks where a pool is tried: takes long, takes much, or fails. */
export default async function work({ input }) {
  if (input.waitMs) await new Promise((resolve) => setTimeout(resolve, input.waitMs));
  if (input.forEver) for (;;);
  if (input.fillMemory) for (const all = []; ;) all.push(new Array(10_000).fill(all.length));
  if (input.problem) return { problem: input.problem };
  if (input.breaks) throw new TypeError('broken');
  return { value: input };
}
