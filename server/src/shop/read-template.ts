import { shopTemplateSchema, type ShopTemplate, type ToKeep } from '@brisk/contracts/shop';
import { MapError, problemsOf, waysOut, type ConnectionMap, type MapProblem } from '@brisk/core/connection-map';
import { workOf } from '@brisk/core/work';
import { checked } from '../http/body.js';
import { jsonIn } from '../http/json-bytes.js';
import { badInput } from '../http/problem.js';

/** A template of the shop as it was sent; its map can be worked by every way out. Throws the problem it has. */
export function readTemplate(bytes: Uint8Array): ToKeep<ShopTemplate> {
  const toKeep = checked(shopTemplateSchema, jsonIn(bytes));
  const problems = workableProblems(toKeep.document.map);
  if (problems.length > 0)
    badInput(problems.slice(0, 20).map(({ at, words }) => ({ field: `document.map: ${at}`, words })));
  return toKeep;
}

/** What keeps a map from being worked: what is wrong with it, or a loop on one of its ways out. */
function workableProblems(map: ConnectionMap): readonly MapProblem[] {
  const problems = problemsOf(map);
  if (problems.length > 0) return problems;
  return waysOut(map).flatMap(({ powerpack, route }) => {
    try {
      workOf({ map, powerpack: powerpack.id, route: route.id });
      return [];
    } catch (error) {
      if (!(error instanceof MapError)) throw error;
      return [{ at: `${powerpack.id} by ${route.id}`, words: error.message }];
    }
  });
}
