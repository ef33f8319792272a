import type { ConnectionMap } from '@brisk/core/connection-map';
import type { Finding, Inspection, InspectionSheet } from '@brisk/core/donor';
import type { ShopTool } from '@brisk/core/planning';
import { number } from 'yup';
import { amount, count, id, list, name, optionalText, optionalYesOrNo, text, yesOrNo } from './fields.js';
import { connectionMapSchema } from './map.js';
import { record } from './record.js';
import { choicesSchema, type Choices } from './swap.js';

/** A map the shop keeps for its next job on such a machine. */
export interface ShopTemplate {
  readonly id: string;
  readonly name: string;
  readonly layout: string;
  /** The choices it was composed with, as far as it was. */
  readonly choices: Choices;
  readonly map: ConnectionMap;
}

/** Something the shop keeps, with how often it was changed and when. */
export interface Kept<Document> {
  readonly revision: number;
  readonly updatedAt: string;
  readonly document: Document;
}

/** A shop template as it is offered. */
export interface ShopTemplateSummary {
  readonly id: string;
  readonly name: string;
  readonly layout: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly parts: number;
  readonly connections: number;
}

/** Something to keep, made from revision `revision` of it; nought where it is new. */
export interface ToKeep<Document> {
  readonly revision: number;
  readonly document: Document;
}

const revision = () => count(10_000_000);

export const shopTemplateSchema = record<ToKeep<ShopTemplate>>({
  revision: revision(),
  document: record<ShopTemplate>({
    id: id(),
    name: name(),
    layout: id(),
    choices: choicesSchema(),
    map: connectionMapSchema,
  }),
});

const points = () => number().integer().min(-200).max(200).required();

export const inspectionSheetSchema = record<ToKeep<InspectionSheet>>({
  revision: revision(),
  document: record<InspectionSheet>({
    goodFrom: amount(400),
    closerFrom: amount(400),
    unseen: points(),
    inspections: list(
      record<Inspection>({
        id: id(),
        question: text(),
        look: text(),
        findings: list(
          record<Finding>({
            id: id(),
            words: text(),
            weight: points(),
            reason: text(),
            next: optionalText(),
            stop: optionalYesOrNo(),
          }),
          20,
          1,
        ),
      }),
      60,
      1,
    ),
  }).test(
    'rising',
    'A good bet has to ask for more points than a closer look.',
    ({ goodFrom, closerFrom }) => goodFrom > closerFrom,
  ),
});

/** What a shop has of the tools that not every shop has, and where it gets the rest. */
export interface ToolList {
  readonly tools: readonly ShopTool[];
}

export const toolListSchema = record<ToKeep<ToolList>>({
  revision: revision(),
  document: record<ToolList>({
    tools: list(record<ShopTool>({ tool: name(), here: yesOrNo(), hire: optionalText() }), 400).test(
      'once',
      'A tool stands on the list twice.',
      // Looked at before the tools themselves are, so that one may be anything yet.
      (tools: readonly (ShopTool | null)[]) => new Set(tools.map((one) => one?.tool)).size === tools.length,
    ),
  }),
});
