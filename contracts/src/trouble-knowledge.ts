import {
  BURNS,
  TEST_STATES,
  type About,
  type Cause,
  type ForMachine,
  type OwnKnowledge,
  type TestAnswer,
  type TroubleTest,
} from '@brisk/core/diagnosis';
import { CONNECTION_KINDS, SYSTEMS } from '@brisk/core/connection-map';
import { mixed } from 'yup';
import {
  count,
  id,
  list,
  mapOf,
  name,
  oneOf,
  optionalId,
  optionalList,
  optionalText,
  positive,
  share,
  text,
} from './fields.js';
import { record } from './record.js';
import type { ToKeep } from './shop.js';

const MOST = 300;
const MOST_ANSWERS = 12;
const MOST_MINUTES = 10_000;
const MOST_WEIGHT = 1_000;

const forSchema = record<ForMachine>({
  burns: optionalList(oneOf(BURNS), BURNS.length),
  cooled: oneOf(['coolant', 'air']).optional(),
  gearbox: oneOf(['manual', 'automatic']).optional(),
});

const aboutSchema = record<About>({
  systems: optionalList(oneOf(SYSTEMS), SYSTEMS.length),
  kinds: optionalList(oneOf(CONNECTION_KINDS), CONNECTION_KINDS.length),
  connections: optionalList(id(), 100),
  circuits: optionalList(id(), 20),
  dry: optionalList(id(), 20),
  words: optionalList(name(), 40),
});

/** A test of a shop’s own. */
export const troubleTestSchema = record<TroubleTest>({
  id: id(),
  asked: text(),
  how: text(),
  minutes: positive(MOST_MINUTES),
  state: oneOf(TEST_STATES),
  cranks: mixed<true>().oneOf([true]).optional(),
  caution: optionalText(),
  for: forSchema.optional().default(undefined),
  looksAt: optionalId(),
  answers: list(record<TestAnswer>({ id: id(), words: name(), usual: share() }), MOST_ANSWERS, 2),
});

/** A cause of a shop’s own. */
export const causeSchema = record<Cause>({
  id: id(),
  name: name(),
  weight: positive(MOST_WEIGHT),
  for: forSchema.optional().default(undefined),
  about: aboutSchema,
  signs: mapOf<Readonly<Record<string, number>>>(mapOf(share(), MOST_ANSWERS), 100),
  lookMin: positive(MOST_MINUTES),
  mend: text(),
  stop: optionalText(),
  lookAfter: optionalList(id(), MOST_ANSWERS),
});

/** What a shop knows otherwise of what goes wrong. */
export const ownKnowledgeSchema = record<OwnKnowledge>({
  tests: list(troubleTestSchema, MOST),
  causes: list(causeSchema, MOST),
  without: list(id(), MOST),
});

export const keepOwnKnowledgeSchema = record<ToKeep<OwnKnowledge>>({
  revision: count(10_000_000),
  document: ownKnowledgeSchema,
});
