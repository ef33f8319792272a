import type { ConnectionMap } from '@brisk/core/connection-map';
import type { InspectionSheet } from '@brisk/core/donor';
import type { ShopTool } from '@brisk/core/planning';
import { boolean, number, type Schema } from 'yup';
import { amount, count, id, list, name, optionalText, record, text } from './fields.js';
import { connectionMapSchema } from './map.js';
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

export const shopTemplateSchema = record({
  revision: count(10_000_000),
  document: record({
    id: id(),
    name: name(),
    layout: id(),
    choices: choicesSchema(),
    map: connectionMapSchema as Schema<ConnectionMap>,
  }),
}) as unknown as Schema<ToKeep<ShopTemplate>>;

const points = () => number().integer().min(-200).max(200).required();

export const inspectionSheetSchema = record({
  revision: count(10_000_000),
  document: record({
    goodFrom: amount(400),
    closerFrom: amount(400),
    unseen: points(),
    inspections: list(
      record({
        id: id(),
        question: text(),
        look: text(),
        findings: list(
          record({
            id: id(),
            words: text(),
            weight: points(),
            reason: text(),
            next: optionalText(),
            stop: boolean().optional(),
          }),
          20,
        ).min(1),
      }),
      60,
    ).min(1),
  }).test(
    'rising',
    'A good bet has to ask for more points than a closer look.',
    ({ goodFrom, closerFrom }) => goodFrom > closerFrom,
  ),
}) as unknown as Schema<ToKeep<InspectionSheet>>;

/** What a shop has of the tools that not every shop has, and where it gets the rest. */
export interface ToolList {
  readonly tools: readonly ShopTool[];
}

export const toolListSchema = record({
  revision: count(10_000_000),
  document: record({
    tools: list(record({ tool: name(), here: boolean().required(), hire: optionalText() }), 400).test(
      'once',
      'A tool stands on the list twice.',
      (tools) => new Set((tools as readonly ShopTool[]).map(({ tool }) => tool)).size === tools.length,
    ),
  }),
}) as unknown as Schema<ToKeep<ToolList>>;
