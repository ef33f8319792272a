/** `value` as it comes back from JSON, so that two of them can be compared. */
export function plain<T>(value: T): T {
  return JSON.parse(JSON.stringify(value)) as T;
}
