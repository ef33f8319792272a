/** Something cannot be reckoned of a battery; `message` is for whoever stands before it. */
export class BatteryError extends Error {
  override readonly name = 'BatteryError';
}
