import type { FastenerSet } from '@brisk/core/connection-map';
import { commonestSet, drawnSize, readFastener, type BoltPattern } from '@brisk/core/fasteners';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { mm } from '../printing/pdf.js';

/** What can be printed on of an A4 sheet, in millimetres, with a foot for the scale. */
const SHEET = { widthMm: 210, heightMm: 297, marginMm: 12, footMm: 22 } as const;
const ROOM = {
  widthMm: SHEET.widthMm - 2 * SHEET.marginMm,
  heightMm: SHEET.heightMm - 2 * SHEET.marginMm - SHEET.footMm,
} as const;
/** Sheets are glued together over this much. */
const OVERLAP_MM = 10;
/** Nobody glues more sheets than this. */
const MOST_SHEETS = 24;

/** A bolt card is larger than anybody would print it. */
export class CardTooLargeError extends RangeError {
  override readonly name = 'CardTooLargeError';
}

/**
 * A bolt card at true scale: each hole as large as its thread, so that the bolts can be pushed through and stay. A
 * pattern larger than a sheet goes over several. Throws {@link CardTooLargeError} above two dozen.
 */
export function cardDocument(
  name: string,
  machine: string,
  pattern: BoltPattern,
  sets: readonly FastenerSet[],
): TDocumentDefinitions {
  const edgeMm = Math.max(12, ...sets.map(({ what }) => drawnSize(readFastener(what)).headAcrossMm));
  const widthMm = pattern.widthMm + 2 * edgeMm;
  const heightMm = pattern.heightMm + 2 * edgeMm;
  const columns = sheetsFor(widthMm, ROOM.widthMm);
  const rows = sheetsFor(heightMm, ROOM.heightMm);
  if (columns * rows > MOST_SHEETS)
    throw new CardTooLargeError(`At true scale this card needs ${columns * rows} sheets. Draw it smaller.`);
  const drawing = holes(pattern, sets, edgeMm);
  const pages = Array.from({ length: columns * rows }, (_, index) => {
    const leftMm = (index % columns) * (ROOM.widthMm - OVERLAP_MM);
    const topMm = Math.floor(index / columns) * (ROOM.heightMm - OVERLAP_MM);
    return { leftMm, topMm, index };
  });
  return {
    pageSize: 'A4',
    pageMargins: 0,
    defaultStyle: { font: 'Barlow', fontSize: 9 },
    info: { title: `Bolt card: ${name}`, creator: 'Brisk Ledger' },
    content: pages.flatMap(({ leftMm, topMm, index }): Content[] => [
      {
        svg: svgOf(drawing, leftMm, topMm),
        width: mm(ROOM.widthMm),
        height: mm(ROOM.heightMm),
        absolutePosition: { x: mm(SHEET.marginMm), y: mm(SHEET.marginMm) },
        ...(index > 0 ? { pageBreak: 'before' as const } : {}),
      },
      ...foot(name, machine, sets, pages.length > 1 ? `Sheet ${index + 1} of ${pages.length}` : ''),
    ]),
  };
}

function sheetsFor(sizeMm: number, roomMm: number): number {
  return sizeMm <= roomMm ? 1 : Math.ceil((sizeMm - OVERLAP_MM) / (roomMm - OVERLAP_MM));
}

/** The holes as SVG in millimetres; every other kind than the commonest has its length beside it. */
function holes(pattern: BoltPattern, sets: readonly FastenerSet[], edgeMm: number): string {
  const usual = commonestSet(pattern);
  const lines = pattern.holes.map(({ xMm, yMm, set, note }, index) => {
    const spec = readFastener(sets[set]?.what ?? '');
    const { shankMm, headAcrossMm } = drawnSize(spec);
    const [x, y] = [xMm + edgeMm, yMm + edgeMm];
    const odd = set === usual ? '' : spec.lengthMm === undefined ? (sets[set]?.what ?? '') : `${spec.lengthMm} long`;
    const words = [odd, note ?? ''].filter((word) => word !== '').join(', ');
    const textY = y + headAcrossMm / 2 + 4;
    return `<circle cx="${x}" cy="${y}" r="${headAcrossMm / 2}" fill="none" stroke="#999" stroke-width="0.2"/>
<circle cx="${x}" cy="${y}" r="${shankMm / 2}" fill="none" stroke="#000" stroke-width="${set === usual ? 0.4 : 0.9}"/>
<path d="M${x - shankMm / 2} ${y}H${x + shankMm / 2}M${x} ${y - shankMm / 2}V${y + shankMm / 2}" stroke="#000" stroke-width="0.2"/>
<text x="${x + headAcrossMm / 2 + 0.8}" y="${y - headAcrossMm / 4}" font-family="Barlow" font-size="3.2">${index + 1}</text>
${words === '' ? '' : `<text x="${x}" y="${textY}" text-anchor="middle" font-family="Barlow" font-weight="bold" font-size="3.4">${escaped(words)}</text>`}`;
  });
  const box = `<rect x="${edgeMm}" y="${edgeMm}" width="${pattern.widthMm}" height="${pattern.heightMm}" fill="none" stroke="#bbb" stroke-width="0.2" stroke-dasharray="2 2"/>`;
  return [box, ...lines].join('\n');
}

function svgOf(drawing: string, leftMm: number, topMm: number): string {
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${leftMm} ${topMm} ${ROOM.widthMm} ${ROOM.heightMm}" width="${mm(ROOM.widthMm)}" height="${mm(ROOM.heightMm)}">${drawing}</svg>`;
}

/** Which joint it is, what goes in, and a bar to measure whether the printer kept the scale. */
function foot(name: string, machine: string, sets: readonly FastenerSet[], sheet: string): Content[] {
  const y = SHEET.heightMm - SHEET.marginMm - SHEET.footMm + 6;
  const list = sets.map(({ count, what, note }) => `${count} × ${what}${note ? ` (${note})` : ''}`).join('; ');
  return [
    {
      absolutePosition: { x: mm(SHEET.marginMm), y: mm(y) },
      columns: [
        {
          width: mm(ROOM.widthMm),
          stack: [
            { text: name, bold: true, fontSize: 13 },
            { text: [machine, list, sheet].filter((words) => words !== '').join('. ') },
            {
              svg: '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 102 5"><path d="M1 0V4M101 0V4M1 2H101" stroke="#000" stroke-width="0.4"/></svg>',
              width: mm(102),
              height: mm(5),
            },
            {
              text: 'Print at actual size. This bar is 100 mm; if it is not, the card is not at true scale.',
              fontSize: 8,
            },
          ],
        },
      ],
    },
  ];
}

function escaped(text: string): string {
  return text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
}
