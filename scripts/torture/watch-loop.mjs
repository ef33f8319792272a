/** Loaded before the server: says once a second how long its event loop was held up, and how much memory it takes. */
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { setInterval } from 'node:timers';

const delay = monitorEventLoopDelay({ resolution: 5 });
delay.enable();
setInterval(() => {
  const { rss } = process.memoryUsage();
  process.send?.({ blockedMs: delay.max / 1e6, rssMb: rss / 1e6 });
  delay.reset();
}, 1_000).unref();
