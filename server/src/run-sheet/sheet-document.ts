import type { Half } from '@brisk/core/teardown';
import type { Job } from '@brisk/contracts/job';
import { CAUTION_WORDS, powerpackOf, routeOf } from '@brisk/core/connection-map';
import type { JobState } from '@brisk/core/ledger';
import { sheetSetups, type Planned, type SheetSetup } from '@brisk/core/planning';
import { duration, HEIGHT_WORDS, MOVE_WORDS, STATION_WORDS } from '@brisk/core/words';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';

/** A4 in points, and how it is divided. */
const PAGE = { width: 595, height: 842, margin: 28, gutter: 16, head: 62, foot: 26 } as const;
const COLUMN = (PAGE.width - 2 * PAGE.margin - PAGE.gutter) / 2;
const COLUMNS = 4;
/** Smallest and largest type that hands with gloves on still read at arm’s length or close by. */
const TYPE = { largest: 9.5, smallest: 5.5, step: 0.25 } as const;
/** Mean width of a letter of Barlow as a share of its size, and height of a line. */
const LETTER = 0.5;
const LINE = 1.24;

/** Something on the sheet, with the lines it takes at one size of type. */
interface Block {
  readonly content: (size: number) => Content;
  readonly height: (size: number) => number;
  /** Stays with what comes after it. */
  readonly heading: boolean;
}

/** What the crew carries: the setups of a plan on two pages, in type as large as that allows. */
export function sheetDocument(
  job: Job,
  state: JobState,
  half: Half,
  plan: Planned,
  printedAt: Date,
): TDocumentDefinitions {
  const blocks = sheetSetups(state, plan).flatMap(blocksOf);
  const { size, columns } = flowed(blocks);
  const followed = state.plans.get(half);
  const title = half === 'out' ? 'The way out' : 'The way back';
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
      text: `Printed ${printedAt.toISOString().slice(0, 16).replace('T', ' ')} UTC. Minutes are likely ones. The maker’s literature and local rules come first; lifting gear, refrigerant, high voltage and airbags are for people licensed for them.`,
    }),
    content: [page(columns.slice(0, 2), size, false), page(columns.slice(2), size, true)],
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

/** The largest type at which the blocks fit into the columns of two pages, and which stands where. */
function flowed(blocks: readonly Block[]): { readonly size: number; readonly columns: readonly (readonly Block[])[] } {
  const room = PAGE.height - PAGE.head - PAGE.foot - 14;
  for (let size: number = TYPE.largest; ; size -= TYPE.step) {
    const columns = filled(blocks, size, room);
    if (columns.length <= COLUMNS || size - TYPE.step < TYPE.smallest) return { size, columns };
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

/** A setup: its heading with what to take and mind, then a line for each step with a box to tick. */
function blocksOf(setup: SheetSetup): readonly Block[] {
  const where = `${setup.number}  ${STATION_WORDS[setup.station]}, ${HEIGHT_WORDS[setup.height]}`;
  const move = setup.moveMachine ? [MOVE_WORDS[setup.height].toUpperCase()] : [];
  const take = setup.tools.length > 0 ? [`Take: ${setup.tools.join(', ')}`] : [];
  const trays = setup.trays.map(({ fluid, litres }) => `Catch: about ${litres} l of ${fluid}`);
  const mind = setup.cautions.map((caution) => CAUTION_WORDS[caution].split('. ')[0] ?? '');
  const who = `${setup.people.join(' and ') || 'From outside'}, ${duration(setup.minutes.likely)}, after ${duration(setup.startMin)}`;
  const heading: Block = {
    heading: true,
    height: (size) =>
      lines(where, size * 1.2) * size * 1.2 * LINE +
      [...move, who, ...take, ...trays].reduce((sum, words) => sum + lines(words, size) * size * LINE, 0) +
      (mind.length > 0 ? lines(`Mind: ${mind.join('. ')}.`, size) * size * LINE : 0) +
      9,
    content: (size) => ({
      margin: [0, 5, 0, 2],
      stack: [
        ...move.map((text): Content => ({ text, bold: true })),
        { text: where, bold: true, fontSize: size * 1.2 },
        { text: who },
        ...[...take, ...trays].map((text): Content => ({ text })),
        ...(mind.length > 0 ? [{ text: `Mind: ${mind.join('. ')}.`, italics: true } as Content] : []),
      ],
    }),
  };
  return [
    heading,
    ...setup.steps.map(({ operation, people }) => lineOf(operation, setup.people.length > 1 ? people : [])),
  ];
}

function lineOf({ title, hands, kind, minutes }: SheetSetup['operations'][number], people: readonly string[]): Block {
  const words = `${title}${hands === 2 ? ' (two)' : ''}${people.length > 0 ? `, ${people.join(', ')}` : ''}`;
  const bold = kind === 'hold-point';
  return {
    heading: false,
    height: (size) => lines(words, size, COLUMN - 2.6 * size - 20) * size * LINE + 1.2,
    content: (size) => ({
      margin: [0, 0, 0, 1.2],
      columnGap: 4,
      columns: [
        { width: size * 1.5, canvas: [{ type: 'rect', x: 0, y: 1.5, w: size * 0.85, h: size * 0.85, lineWidth: 0.7 }] },
        { width: '*', text: words, bold },
        { width: 20, text: String(minutes.likely), alignment: 'right' },
      ],
    }),
  };
}

/** How many lines `words` take, on the safe side: a line is seldom full to its end. */
function lines(words: string, size: number, width: number = COLUMN): number {
  const wide = words.length * size * LETTER;
  return wide <= width ? 1 : Math.ceil(wide / (width - 4 * size));
}
