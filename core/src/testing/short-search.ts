import type { Planned } from '../planning/index.js';
import { scheduleOf, Search, type Schedule } from '../schedule/index.js';

/** The plan a short search finds. */
export const searched = ({ net }: Planned, tries = 600): Schedule => {
  const search = new Search(net, 1);
  search.run(tries);
  return scheduleOf(net, search.best());
};
