import {
  inspectionSheetSchema,
  shopTemplateSchema,
  toolListSchema,
  type Kept,
  type ShopTemplate,
  type ShopTemplateSummary,
  type ToolList,
} from '@brisk/contracts/shop';
import { MapError, problemsOf, waysOut, type ConnectionMap, type MapProblem } from '@brisk/core/connection-map';
import { INSPECTION_SHEET, type InspectionSheet } from '@brisk/core/donor';
import { workOf } from '@brisk/core/work';
import { Router, type Request } from 'express';
import { bodyOf, jsonBody, LARGEST_BODY, LARGEST_MAP } from '../http/body.js';
import { badInput, ProblemError } from '../http/problem.js';
import type { ShopStore } from './shop-store.js';

const SHEET = 'inspection-sheet';
const TOOLS = 'tools';
const NO_TOOLS: ToolList = { tools: [] };

/** The shop’s own templates, its inspection sheet and its tools. */
export function shopRoutes(store: ShopStore): Router {
  const router = Router();

  router.get('/templates', async (_request, response) => {
    const kept = await store.all<ShopTemplate>('template');
    response.json([...kept.values()].map(summaryOf));
  });

  router.get('/templates/:template', async (request, response) => {
    const kept = await store.find<ShopTemplate>('template', templateIn(request));
    if (!kept) throw new ProblemError('not-found', 'There is no such template here.');
    response.json(kept);
  });

  router.put('/templates/:template', ...jsonBody(LARGEST_MAP), async (request, response) => {
    const toKeep = bodyOf(shopTemplateSchema, request);
    if (toKeep.document.id !== templateIn(request))
      badInput([{ field: 'document.id', words: 'The template has another id than its address.' }]);
    const { map } = toKeep.document;
    const problems = workableProblems(map);
    if (problems.length > 0)
      badInput(problems.slice(0, 20).map(({ at, words }) => ({ field: `document.map: ${at}`, words })));
    response.json(await store.keep('template', toKeep.document.id, toKeep));
  });

  router.delete('/templates/:template', async (request, response) => {
    await store.forget('template', templateIn(request));
    response.status(204).end();
  });

  router.get('/inspection-sheet', async (_request, response) => {
    const kept = await store.find<InspectionSheet>('inspection-sheet', SHEET);
    response.json(kept ?? { revision: 0, updatedAt: '', document: INSPECTION_SHEET });
  });

  router.put('/inspection-sheet', ...jsonBody(LARGEST_BODY), async (request, response) => {
    response.json(await store.keep('inspection-sheet', SHEET, bodyOf(inspectionSheetSchema, request)));
  });

  router.get('/tools', async (_request, response) => {
    const kept = await store.find<ToolList>('tools', TOOLS);
    response.json(kept ?? { revision: 0, updatedAt: '', document: NO_TOOLS });
  });

  router.put('/tools', ...jsonBody(LARGEST_BODY), async (request, response) => {
    response.json(await store.keep('tools', TOOLS, bodyOf(toolListSchema, request)));
  });

  return router;
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

function templateIn(request: Request): string {
  return String(request.params['template']);
}

function summaryOf({ revision, updatedAt, document }: Kept<ShopTemplate>): ShopTemplateSummary {
  const { id, name, layout, map } = document;
  return { id, name, layout, revision, updatedAt, parts: map.parts.length, connections: map.connections.length };
}
