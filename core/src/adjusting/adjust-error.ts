/** Something cannot be reckoned from what was measured; `message` is for whoever measured it. */
export class AdjustError extends Error {
  override readonly name = 'AdjustError';
}
