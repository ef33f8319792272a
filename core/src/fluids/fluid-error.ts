/** A fill cannot be reckoned as asked; `message` is for whoever pours. */
export class FluidError extends Error {
  override readonly name = 'FluidError';
}
