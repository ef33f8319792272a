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
import type { Request } from 'express';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { bodyOf, jsonBody, LARGEST_BODY, LARGEST_MAP } from '../http/body.js';
import { badInput, ProblemError } from '../http/problem.js';
import type { ShopStore } from './shop-store.js';

const SHEET = 'inspection-sheet';
const TOOLS = 'tools';
const NO_TOOLS: ToolList = { tools: [] };
import * as docs from './openapi.js';

/** The shop’s own templates, its inspection sheet and its tools. */
export function shopRoutes(store: ShopStore): ApiRouter {
  const api = apiRouter();

  api.get('/templates', docs.getTemplates, async (_request, response) => {
    const kept = await store.all<ShopTemplate>('template');
    response.json([...kept.values()].map(summaryOf));
  });

  api.get('/templates/:template', docs.getTemplatesOne, async (request, response) => {
    const kept = await store.find<ShopTemplate>('template', templateIn(request));
    if (!kept) throw new ProblemError('not-found', 'There is no such template here.');
    response.json(kept);
  });

  api.put('/templates/:template', docs.putTemplatesOne, ...jsonBody(LARGEST_MAP), async (request, response) => {
    const toKeep = bodyOf(shopTemplateSchema, request);
    if (toKeep.document.id !== templateIn(request))
      badInput([{ field: 'document.id', words: 'The template has another id than its address.' }]);
    const { map } = toKeep.document;
    const problems = workableProblems(map);
    if (problems.length > 0)
      badInput(problems.slice(0, 20).map(({ at, words }) => ({ field: `document.map: ${at}`, words })));
    response.json(await store.keep('template', toKeep.document.id, toKeep));
  });

  api.delete('/templates/:template', docs.deleteTemplatesOne, async (request, response) => {
    await store.forget('template', templateIn(request));
    response.status(204).end();
  });

  api.get('/inspection-sheet', docs.getInspectionSheet, async (_request, response) => {
    const kept = await store.find<InspectionSheet>('inspection-sheet', SHEET);
    response.json(kept ?? { revision: 0, updatedAt: '', document: INSPECTION_SHEET });
  });

  api.put('/inspection-sheet', docs.putInspectionSheet, ...jsonBody(LARGEST_BODY), async (request, response) => {
    response.json(await store.keep('inspection-sheet', SHEET, bodyOf(inspectionSheetSchema, request)));
  });

  api.get('/tools', docs.getTools, async (_request, response) => {
    const kept = await store.find<ToolList>('tools', TOOLS);
    response.json(kept ?? { revision: 0, updatedAt: '', document: NO_TOOLS });
  });

  api.put('/tools', docs.putTools, ...jsonBody(LARGEST_BODY), async (request, response) => {
    response.json(await store.keep('tools', TOOLS, bodyOf(toolListSchema, request)));
  });

  return api;
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
