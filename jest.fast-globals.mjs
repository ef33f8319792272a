/**
 * A test runs in a context of its own, where each look at something global is slow: whoever reckons looks at `Math` and `Infinity`
 * a million times. These are handed to each module instead. Nothing that a test replaces (clock, timers) may be among them.
 */
export const FAST_GLOBALS = [
  'Math',
  'Number',
  'Map',
  'Set',
  'Array',
  'Object',
  'Infinity',
  'Float64Array',
  'Uint8Array',
  'Int32Array',
];
