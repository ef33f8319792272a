import { answer, jsonOf, problem, ref, type Json } from '../http/openapi-words.js';

const templateParameter: Json = { name: 'template', in: 'path', required: true, schema: { type: 'string' } };

/* What is said of these routes in the OpenAPI document. */

export const getTemplates: Json = {
  summary: 'The shop’s own templates',
  responses: { 200: answer('All templates.', { type: 'array' }) },
};

export const getTemplatesOne: Json = {
  summary: 'One template with its map',
  parameters: [templateParameter],
  responses: { 200: answer('The template.', ref('ShopTemplate')), 404: problem('No such template.') },
};

export const putTemplatesOne: Json = {
  summary: 'Keep a template, from the revision the sender knew; nought for a new one',
  parameters: [templateParameter],
  requestBody: { required: true, content: jsonOf(ref('ShopTemplate')) },
  responses: {
    200: answer('The template as it is now.', ref('ShopTemplate')),
    409: problem('Somebody changed it meanwhile.'),
    422: problem('It is not right.'),
  },
};

export const deleteTemplatesOne: Json = {
  summary: 'Forget a template; jobs begun from it keep their map',
  parameters: [templateParameter],
  responses: { 204: { description: 'It is gone.' } },
};

export const getInspectionSheet: Json = {
  summary: 'How the shop weighs a donor',
  responses: { 200: answer('The sheet.', ref('InspectionSheet')) },
};

export const putInspectionSheet: Json = {
  summary: 'Weigh differently, from the revision the sender knew',
  requestBody: { required: true, content: jsonOf(ref('InspectionSheet')) },
  responses: {
    200: answer('The sheet as it is now.', ref('InspectionSheet')),
    409: problem('Somebody changed it meanwhile.'),
    422: problem('It is not right.'),
  },
};

export const getTools: Json = {
  summary: 'The shop’s own list of tools: what it has, what it hires',
  responses: { 200: answer('The list.', ref('ToolList')) },
};

export const putTools: Json = {
  summary: 'Write the list anew, from the revision the sender knew',
  requestBody: { required: true, content: jsonOf(ref('ToolList')) },
  responses: {
    200: answer('The list as it is now.', ref('ToolList')),
    409: problem('Somebody changed it meanwhile.'),
    422: problem('It is not right.'),
  },
};

export const getLiftingGear: Json = {
  summary:
    'What the shop lifts with: hoists, levellers, slings, stands, jacks, dollies; made-up ones until it writes its own',
  responses: { 200: answer('The gear.', ref('LiftingGear')) },
};

export const putLiftingGear: Json = {
  summary: 'Write the gear anew, from the revision the sender knew',
  requestBody: { required: true, content: jsonOf(ref('LiftingGear')) },
  responses: {
    200: answer('The gear as it is now.', ref('LiftingGear')),
    409: problem('Somebody changed it meanwhile.'),
    422: problem('It is not right.'),
  },
};

export const getRates: Json = {
  summary: 'What the shop reckons with: its money, an hour, a litre, a fastener',
  responses: { 200: answer('The rates.', ref('Rates')) },
};

export const putRates: Json = {
  summary: 'Reckon with others, from the revision the sender knew',
  requestBody: { required: true, content: jsonOf(ref('Rates')) },
  responses: {
    200: answer('The rates as they are now.', ref('Rates')),
    409: problem('Somebody changed them meanwhile.'),
    422: problem('They are not right.'),
  },
};

export const getWriting: Json = {
  summary: 'How the shop writes: days, times of day, and the headings its spreadsheets have',
  responses: { 200: answer('How it writes.', ref('ShopWriting')) },
};

export const putWriting: Json = {
  summary: 'Write otherwise, from the revision the sender knew',
  requestBody: { required: true, content: jsonOf(ref('ShopWriting')) },
  responses: {
    200: answer('How it writes now.', ref('ShopWriting')),
    409: problem('Somebody changed it meanwhile.'),
    422: problem('It is not right.'),
  },
};

export const getTorqueWrenches: Json = {
  summary: 'What the shop tightens with, and how often each wrench was used since it was calibrated',
  responses: { 200: answer('The wrenches and adapters.', ref('TorqueWrenches')) },
};

export const putTorqueWrenches: Json = {
  summary: 'Write the wrenches and adapters anew, from the revision the sender knew',
  requestBody: { required: true, content: jsonOf(ref('TorqueWrenches')) },
  responses: {
    200: answer('The wrenches as they are now.', ref('TorqueWrenches')),
    409: problem('Somebody changed them meanwhile.'),
    422: problem('They are not right.'),
  },
};

export const getTroubleKnowledge: Json = {
  summary:
    'What the shop knows otherwise of what goes wrong: tests and causes of its own, or in place of those that ship',
  responses: { 200: answer('What it knows otherwise; nothing at first.', ref('OwnKnowledge')) },
};

export const putTroubleKnowledge: Json = {
  summary: 'Write it anew, from the revision the sender knew; it has to hold together with what ships',
  requestBody: { required: true, content: jsonOf(ref('OwnKnowledge')) },
  responses: {
    200: answer('It as it is now.', ref('OwnKnowledge')),
    409: problem('Somebody changed it meanwhile.'),
    422: problem('A name is unknown, a likelihood is none, or answers do not add up.'),
  },
};
