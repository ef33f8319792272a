import { keepGearSchema } from '@brisk/contracts/lifting-gear';
import { keepRatesSchema } from '@brisk/contracts/rates';
import { keepShopWritingSchema, USUAL_SHOP_WRITING, type ShopWriting } from '@brisk/contracts/shop-writing';
import {
  inspectionSheetSchema,
  toolListSchema,
  type Kept,
  type ShopTemplate,
  type ShopTemplateSummary,
  type ToolList,
} from '@brisk/contracts/shop';
import { keepOwnKnowledgeSchema } from '@brisk/contracts/trouble-knowledge';
import { keepRackSchema, type KeptRack } from '@brisk/contracts/torque-wrenches';
import {
  CAUSES,
  knowledgeOf,
  NO_OWN_KNOWLEDGE,
  problemsOfKnowledge,
  TESTS,
  type OwnKnowledge,
} from '@brisk/core/diagnosis';
import { FIRST_RACK, type WrenchRack } from '@brisk/core/torque';
import { INSPECTION_SHEET, type InspectionSheet } from '@brisk/core/donor';
import { USUAL_RATES, type Rates } from '@brisk/core/economics';
import { FIRST_GEAR, type LiftingGear } from '@brisk/core/rigging';
import type { Request } from 'express';
import type { InBackground } from '../background/tasks.js';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { bodyOf, bytesOf, jsonBody, jsonBytes, LARGEST_BODY, LARGEST_MAP } from '../http/body.js';
import { badInput, ProblemError } from '../http/problem.js';
import { leadsOnly } from '../people/guard.js';
import type { ShopStore } from './shop-store.js';

import * as docs from './openapi.js';

const SHEET = 'inspection-sheet';
const TOOLS = 'tools';
const GEAR = 'lifting-gear';
const RATES = 'shop-rates';
const WRITING = 'shop-writing';
const RACK = 'torque-wrenches';
const TROUBLE = 'trouble-knowledge';
const NO_TOOLS: ToolList = { tools: [] };

/** The shop’s own templates, its inspection sheet, its tools, its lifting gear, its torque wrenches and what it reckons with. */
export function shopRoutes(
  store: ShopStore,
  background: InBackground,
  usesOf: (rack: WrenchRack) => Promise<KeptRack['uses']>,
): ApiRouter {
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

  api.put('/templates/:template', docs.putTemplatesOne, ...jsonBytes(LARGEST_MAP), async (request, response) => {
    const toKeep = await background('read a template', bytesOf(request));
    if (toKeep.document.id !== templateIn(request))
      badInput([{ field: 'document.id', words: 'The template has another id than its address.' }]);
    response.json(await store.keep('template', toKeep.document.id, toKeep));
  });

  api.delete('/templates/:template', docs.deleteTemplatesOne, leadsOnly, async (request, response) => {
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

  api.get('/lifting-gear', docs.getLiftingGear, async (_request, response) => {
    const kept = await store.find<LiftingGear>('lifting-gear', GEAR);
    response.json(kept ?? { revision: 0, updatedAt: '', document: FIRST_GEAR });
  });

  api.put('/lifting-gear', docs.putLiftingGear, ...jsonBody(LARGEST_BODY), async (request, response) => {
    response.json(await store.keep('lifting-gear', GEAR, bodyOf(keepGearSchema, request)));
  });

  api.get('/rates', docs.getRates, async (_request, response) => {
    const kept = await store.find<Rates>('rates', RATES);
    response.json(kept ?? { revision: 0, updatedAt: '', document: USUAL_RATES });
  });

  api.put('/rates', docs.putRates, ...jsonBody(LARGEST_BODY), async (request, response) => {
    response.json(await store.keep('rates', RATES, bodyOf(keepRatesSchema, request)));
  });

  api.get('/writing', docs.getWriting, async (_request, response) => {
    response.json(await keptWriting(store));
  });

  api.put('/writing', docs.putWriting, ...jsonBody(LARGEST_BODY), async (request, response) => {
    response.json(await store.keep('writing', WRITING, bodyOf(keepShopWritingSchema, request)));
  });

  const withUses = async (kept: Kept<WrenchRack>): Promise<KeptRack> => ({
    ...kept,
    uses: await usesOf(kept.document),
  });

  api.get('/trouble-knowledge', docs.getTroubleKnowledge, async (_request, response) => {
    const kept = await store.find<OwnKnowledge>('trouble-knowledge', TROUBLE);
    response.json(kept ?? { revision: 0, updatedAt: '', document: NO_OWN_KNOWLEDGE });
  });

  api.put('/trouble-knowledge', docs.putTroubleKnowledge, ...jsonBody(LARGEST_BODY), async (request, response) => {
    const toKeep = bodyOf(keepOwnKnowledgeSchema, request);
    const problems = problemsOfKnowledge(knowledgeOf({ tests: TESTS, causes: CAUSES }, toKeep.document));
    if (problems.length > 0)
      badInput(problems.slice(0, 20).map(({ at, words }) => ({ field: `document: ${at}`, words: `${at}: ${words}` })));
    response.json(await store.keep('trouble-knowledge', TROUBLE, toKeep));
  });

  api.get('/torque-wrenches', docs.getTorqueWrenches, async (_request, response) => {
    const kept = await store.find<WrenchRack>('torque-wrenches', RACK);
    response.json(await withUses(kept ?? { revision: 0, updatedAt: '', document: FIRST_RACK }));
  });

  api.put('/torque-wrenches', docs.putTorqueWrenches, ...jsonBody(LARGEST_BODY), async (request, response) => {
    response.json(await withUses(await store.keep('torque-wrenches', RACK, bodyOf(keepRackSchema, request))));
  });

  return api;
}

function templateIn(request: Request): string {
  return String(request.params['template']);
}

function summaryOf({ revision, updatedAt, document }: Kept<ShopTemplate>): ShopTemplateSummary {
  const { id, name, layout, map } = document;
  return { id, name, layout, revision, updatedAt, parts: map.parts.length, connections: map.connections.length };
}

/** How the shop writes, as it is kept; the usual way until it says otherwise. */
export async function keptWriting(store: ShopStore): Promise<Kept<ShopWriting>> {
  const kept = await store.find<ShopWriting>('writing', WRITING);
  return kept ?? { revision: 0, updatedAt: '', document: USUAL_SHOP_WRITING };
}
