/// <reference lib="webworker" />
import type { JobPlan } from '@brisk/core/connection-map';
import { findWay, inShape, minutesToTakeOff, type LiftFacts, type WayFound } from '@brisk/core/lift';
import { expose } from 'comlink';

/** Between slices the worker hears whether it is to stop. */
const SLICE_MS = 60;

/** What the page asks for: the way of one leg of a lift of `plan`. */
export interface AskedWay {
  readonly facts: LiftFacts;
  readonly leg: number;
  readonly plan: JobPlan;
}

/** What the page asks of the worker. */
export interface WayWork {
  /** Looks for the way, telling again and again what is known; done when everything is. */
  find(asked: AskedWay, told: (found: WayFound) => unknown): Promise<void>;
}

expose({
  async find({ facts, leg, plan }, told) {
    const lift = inShape(facts);
    if (!lift) return;
    const search = findWay(lift, leg, (part) => minutesToTakeOff(plan, part));
    for (let toldAt = performance.now(); ;) {
      const step = search.next();
      const news = step.value;
      if (!step.done && performance.now() - toldAt < SLICE_MS) continue;
      await told(news);
      if (step.done) return;
      toldAt = performance.now();
    }
  },
} satisfies WayWork);
