/// <reference lib="webworker" />
import { SearchRun, type Asked, type Found } from '@brisk/core/planning';

/** Between slices the worker hears whether it is to stop. */
const SLICE_MS = 60;

addEventListener('message', ({ data }: MessageEvent<Asked>) => {
  const run = new SearchRun(data, () => performance.now());
  const go = () => {
    const found: Found = run.slice(SLICE_MS);
    postMessage(found);
    if (!found.done) setTimeout(go);
  };
  go();
});
