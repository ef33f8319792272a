/** What every story of the demo begins with: a job from its survey, and entries as the application would write them. */
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { RULES_NOW } from '@brisk/core/connection-map';
import { CAUSES, TESTS, withComplaint } from '@brisk/core/diagnosis';
import { burstOf, keptBurst, simulatedBox } from '@brisk/core/instrument';
import { completed, compose, templateOf } from '@brisk/core/layouts';
import { lookAtOf } from '@brisk/core/survey';
import { Crew, idFrom } from './crew.mjs';

const TROUBLE = withComplaint({ tests: TESTS, causes: CAUSES });

/** What a survey of the shed’s longitudinal diesels comes to: both are alike in what was asked. */
const LENGTHWISE = { layout: 'longitudinal-automatic', choices: {}, powerpack: 'engine-with-gearbox', route: 'top' };

export function surveyOf({ layout, choices, powerpack, route, unsure = [] }) {
  const template = templateOf(layout);
  const chosen = completed(template, choices);
  const lookAt = lookAtOf(unsure, chosen);
  return {
    plan: {
      map: compose(template, chosen),
      powerpack,
      route,
      ...(lookAt.length > 0 ? { lookAt } : {}),
      rules: RULES_NOW,
    },
    survey: { layout, choices: chosen },
  };
}

/** One of the sample photos, as a ledger names it, pinned where it belongs. */
export function photo(name, pinnedTo, words) {
  const file = readFileSync(new URL(`../photos/${name}.jpg`, import.meta.url));
  return {
    kind: 'photo-taken',
    photo: createHash('sha256').update(file).digest('hex'),
    widthPx: 1600,
    heightPx: 1200,
    pinnedTo,
    words,
  };
}

/** One of the sample files of the literature, as a ledger names it. */
export function literature(name, title, pages) {
  const bytes = readFileSync(new URL(`../literature/${name}`, import.meta.url));
  const [, ending] = name.split('.');
  return {
    kind: 'literature-added',
    file: `${createHash('sha256').update(bytes).digest('hex')}.${ending}`,
    title,
    type: ending === 'pdf' ? 'pdf' : 'text',
    pages,
    bytes: bytes.length,
  };
}

export function begin(name, createdOn, head, survey = LENGTHWISE) {
  const job = { id: idFrom(name), createdAt: `${createdOn}T07:00:00.000Z`, revision: 1, ...head, ...surveyOf(survey) };
  return new Crew(name, job, createdOn);
}

/** A test of the trouble board with its answer, as the board writes it. */
export function troubleTest(id, answer) {
  const { asked, answers } = TROUBLE.tests.find((test) => test.id === id);
  const { words } = answers.find((one) => one.id === answer);
  return { kind: 'trouble-test-done', test: id, asked, answer, answered: words };
}

/** A pattern with something odd about one of its holes. */
export function withNote(pattern, hole, note) {
  return { ...pattern, holes: pattern.holes.map((one, index) => (index === hole ? { ...one, note } : one)) };
}

/** What a tape gave, plane by plane. */
export function measured(crew, by, planes) {
  for (const [plane, mm] of Object.entries(planes)) crew.write(by, 1, { kind: 'machine-measured', plane, mm });
}

/** A burst as the simulated bench box reads it with `fault` over so many seconds, for an attempt. */
export function boxAttempt(fault, seconds, seed = 5) {
  const box = simulatedBox(fault, seed);
  const burst = burstOf(Array.from({ length: seconds * 10 }, () => box.next().value));
  const { voltsBefore, voltsLowest, crankSeconds, result } = burst;
  return {
    kind: 'start-attempted',
    voltsBefore,
    voltsLowest,
    crankSeconds,
    result,
    read: keptBurst(burst, 'simulated'),
  };
}
