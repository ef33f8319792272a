import type { Half } from '@brisk/core/teardown';
import type { Job } from '@brisk/contracts/job';
import { CAUTION_WORDS, powerpackOf, routeOf } from '@brisk/core/connection-map';
import type { JobState } from '@brisk/core/ledger';
import {
  detailsOf,
  helpWords,
  RAISING,
  sheetSetups,
  USUAL_DAY,
  whenWords,
  type Planned,
  type SheetSetup,
} from '@brisk/core/planning';
import type { RaisedOn } from '@brisk/core/schedule';
import { duration, HALF_WORDS, HEIGHT_WORDS, STATION_WORDS, type Writing } from '@brisk/core/words';
import type { Column, Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';

/** A4 in points, and how it is divided. */
const PAGE = { width: 595, height: 842, margin: 28, gutter: 16, head: 62, foot: 26 } as const;
const COLUMN = (PAGE.width - 2 * PAGE.margin - PAGE.gutter) / 2;
const COLUMNS_A_PAGE = 2;
/** An ordinary job stands on so many pages. */
const USUAL_PAGES = 2;
/** Largest type, and the smallest that is still read with gloves on: before it gets smaller there are more pages. */
const TYPE = { largest: 9.5, smallest: 6.5, step: 0.25 } as const;
/** Mean width of a letter of Barlow as a share of its size, and height of a line. */
const LETTER = 0.5;
const LINE = 1.24;
/** What stands under a step is a little smaller than the step. */
const UNDER = 0.92;

/** Something on the sheet, with the lines it takes at one size of type. */
interface Block {
  readonly content: (size: number) => Content;
  readonly height: (size: number) => number;
  /** Stays with what comes after it. */
  readonly heading: boolean;
}

/**
 * What the crew carries: the setups of a plan with what hands need at each step, on two pages in type as large as that
 * allows, or on more where it would get too small. `printed`: when, as it is said in the shop.
 */
export function sheetDocument(
  job: Job,
  state: JobState,
  half: Half,
  plan: Planned,
  printed: string,
  now: Date,
  writing: Writing,
): TDocumentDefinitions {
  const on = plan.problem.crew.raisedOn ?? 'stands';
  const told = new Set<string>();
  const day = plan.problem.crew.day ?? USUAL_DAY;
  const when = (minutes: number) => whenWords(minutes, now, day, writing);
  const help = helpWords(plan.schedule.help, when);
  const blocks = [
    ...(help === '' ? [] : [first(help)]),
    ...sheetSetups(state, plan).flatMap((setup) => blocksOf(state, setup, on, told, when)),
  ];
  const { size, columns } = flowed(blocks);
  const pages = Math.ceil(columns.length / COLUMNS_A_PAGE);
  const followed = state.plans.get(half);
  const title = HALF_WORDS[half];
  const { costs } = plan.schedule;
  return {
    pageSize: 'A4',
    pageMargins: [PAGE.margin, PAGE.head, PAGE.margin, PAGE.foot],
    defaultStyle: { font: 'Barlow', fontSize: size, lineHeight: 1.08 },
    info: { title: `${job.title}: ${title.toLowerCase()}`, creator: 'Brisk Ledger' },
    header: (page: number, pages: number): Content => ({
      margin: [PAGE.margin, 18, PAGE.margin, 0],
      columns: [
        {
          stack: [
            { text: `${job.machine}: ${title.toLowerCase()}`, fontSize: 15, bold: true },
            {
              text: `${job.title}. ${powerpackOf(job.plan).name}, ${routeOf(job.plan).name.toLowerCase()}.`,
              fontSize: 9,
            },
            ...(job.unchecked
              ? [{ text: 'Brought in with work recorded that nobody here has checked.', fontSize: 8, bold: true }]
              : []),
          ],
        },
        {
          width: 'auto',
          alignment: 'right',
          stack: [
            {
              text: `${duration(costs.finishMin)}, ${plan.net.problem.crew.hands.map(({ name }) => name).join(', ')}`,
              fontSize: 11,
              bold: true,
            },
            {
              text: `${followed ? `Plan ${followed.version}` : 'Grouped by place'}, ${plan.schedule.steps.length} steps, machine moved ${costs.heightChanges}×. Page ${page} of ${pages}`,
              fontSize: 9,
            },
          ],
        },
      ],
    }),
    footer: (): Content => ({
      margin: [PAGE.margin, 4, PAGE.margin, 0],
      fontSize: 7,
      text: `Printed ${printed}. Minutes are likely ones. The maker’s literature and local rules come first; lifting gear, refrigerant, high voltage and airbags are for people licensed for them.`,
    }),
    content: Array.from({ length: pages }, (_, at) =>
      page(columns.slice(at * COLUMNS_A_PAGE, (at + 1) * COLUMNS_A_PAGE), size, at > 0),
    ),
  };
}

function page(columns: readonly (readonly Block[])[], size: number, onNew: boolean): Content {
  return {
    ...(onNew ? { pageBreak: 'before' as const } : {}),
    columnGap: PAGE.gutter,
    columns: [0, 1].map((index) => ({
      width: COLUMN,
      stack: (columns[index] ?? []).map(({ content }) => content(size)),
    })),
  };
}

/** The largest type at which the blocks fit on as many pages as usual, or on one more, and which stands where. */
function flowed(blocks: readonly Block[]): { readonly size: number; readonly columns: readonly (readonly Block[])[] } {
  const room = PAGE.height - PAGE.head - PAGE.foot - 14;
  for (let pages = USUAL_PAGES; ; pages += 1)
    for (let size: number = TYPE.largest; size >= TYPE.smallest; size -= TYPE.step) {
      const columns = filled(blocks, size, room);
      if (columns.length <= pages * COLUMNS_A_PAGE) return { size, columns };
    }
}

function filled(blocks: readonly Block[], size: number, room: number): readonly (readonly Block[])[] {
  const columns: Block[][] = [[]];
  let used = 0;
  blocks.forEach((block, index) => {
    const next = blocks[index + 1];
    const wanted = block.height(size) + (block.heading && next ? next.height(size) : 0);
    if (used + wanted > room && used > 0) {
      columns.push([]);
      used = 0;
    }
    columns.at(-1)?.push(block);
    used += block.height(size);
  });
  return columns;
}

/** What is read before anything is begun. */
const first = (words: string): Block => ({
  heading: false,
  height: (size) => lines(words, size) * size * LINE + 4,
  content: () => ({ text: words, bold: true, margin: [0, 0, 0, 4] }),
});

/** A setup: its heading with what to take and mind, then each step with a box to tick and what hands need at it. */
function blocksOf(
  state: JobState,
  setup: SheetSetup,
  on: RaisedOn,
  told: Set<string>,
  when: (minutes: number) => string,
): readonly Block[] {
  const where = `${setup.number}  ${STATION_WORDS[setup.station]}, ${HEIGHT_WORDS[setup.height]}`;
  const raising = RAISING[on][setup.height];
  const move = setup.moveMachine ? [raising.title.toUpperCase()] : [];
  const how = setup.moveMachine ? [raising.tip] : [];
  const tools = [...(setup.moveMachine ? raising.tools : []), ...setup.tools];
  const take = tools.length > 0 ? [`Take: ${[...new Set(tools)].join(', ')}`] : [];
  const trays = setup.trays.map(({ fluid, litres }) => `Catch: about ${litres} l of ${fluid}`);
  const mind = setup.cautions.map((caution) => CAUTION_WORDS[caution].split('. ')[0] ?? '');
  const who = `${setup.people.join(' and ') || 'From outside'}, ${when(setup.startMin)}, ${duration(setup.minutes.likely)}`;
  const heading: Block = {
    heading: true,
    height: (size) =>
      lines(where, size * 1.2) * size * 1.2 * LINE +
      [...move, ...how, who, ...take, ...trays].reduce((sum, words) => sum + lines(words, size) * size * LINE, 0) +
      (mind.length > 0 ? lines(`Mind: ${mind.join('. ')}.`, size) * size * LINE : 0) +
      9,
    content: (size) => ({
      margin: [0, 5, 0, 2],
      stack: [
        ...move.map((text): Content => ({ text, bold: true })),
        ...how.map((text): Content => ({ text })),
        { text: where, bold: true, fontSize: size * 1.2 },
        { text: who },
        ...[...take, ...trays].map((text): Content => ({ text })),
        ...(mind.length > 0 ? [{ text: `Mind: ${mind.join('. ')}.`, italics: true } as Content] : []),
      ],
    }),
  };
  return [
    heading,
    ...setup.steps.map(({ operation, people }) => {
      const { figures, looks } = detailsOf(state, operation);
      // What holds for many steps is told at the first of them.
      const tip = operation.tip !== undefined && !told.has(operation.tip) ? operation.tip : undefined;
      if (tip !== undefined) told.add(tip);
      return lineOf(operation, setup.people.length > 1 ? people : [], [...figures, ...(tip ? [tip] : [])], looks);
    }),
  ];
}

/** A box to tick, the words, and their minutes where there are any. */
const ticked = (size: number, words: Column, minutes?: number): Content => ({
  columnGap: 4,
  columns: [
    { width: size * 1.5, canvas: [{ type: 'rect', x: 0, y: 1.5, w: size * 0.85, h: size * 0.85, lineWidth: 0.7 }] },
    words,
    ...(minutes === undefined ? [] : [{ width: 20, text: String(minutes), alignment: 'right' as const }]),
  ],
});

function lineOf(
  { title, hands, kind, minutes }: SheetSetup['operations'][number],
  people: readonly string[],
  under: readonly string[],
  looks: readonly string[],
): Block {
  const words = `${title}${hands === 2 ? ' (two)' : ''}${people.length > 0 ? `, ${people.join(', ')}` : ''}`;
  const bold = kind === 'hold-point';
  const below = under.join('. ').replace(/\.\. /g, '. ');
  const width = (size: number) => COLUMN - 2.6 * size - 20;
  return {
    heading: false,
    height: (size) =>
      lines(words, size, width(size)) * size * LINE +
      (below === '' ? 0 : lines(below, size * UNDER, width(size)) * size * UNDER * LINE) +
      looks.reduce((sum, look) => sum + lines(look, size, width(size) - 2 * size) * size * LINE, 0) +
      1.2,
    content: (size) => ({
      margin: [0, 0, 0, 1.2],
      stack: [
        ticked(
          size,
          {
            width: '*',
            stack: [
              { text: words, bold },
              ...(below === '' ? [] : [{ text: below, fontSize: size * UNDER, color: '#444' }]),
              ...looks.map((text) => ticked(size, { width: '*', text })),
            ],
          },
          minutes.likely,
        ),
      ],
    }),
  };
}

/** How many lines `words` take, on the safe side: a line is seldom full to its end. */
function lines(words: string, size: number, width: number = COLUMN): number {
  const wide = words.length * size * LETTER;
  return wide <= width ? 1 : Math.ceil(wide / (width - 4 * size));
}
