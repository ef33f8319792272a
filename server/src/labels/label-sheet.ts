import type { LabelContents } from '@brisk/core/labels';
import type { CanvasElement, Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { create } from 'qrcode';
import { mm } from '../printing/pdf.js';
import type { LabelStock } from './label-stock.js';

const PAD_MM = 2.5;
const KIND_WORDS = { tag: 'Tag', bag: 'Bag' } as const;

/** `labels` on `stock`; the codes open under `address`. `machine` is said on each, so that two jobs’ bags are told apart. */
export function labelSheet(
  labels: readonly LabelContents[],
  stock: LabelStock,
  address: string,
  machine: string,
): TDocumentDefinitions {
  const perPage = stock.columns * stock.rows;
  const content = labels.flatMap((label, index): readonly Content[] => {
    const place = index % perPage;
    const xMm = stock.margin.leftMm + (place % stock.columns) * stock.label.widthMm;
    const yMm = stock.margin.topMm + Math.floor(place / stock.columns) * stock.label.heightMm;
    const parts = labelAt(label, stock, xMm, yMm, address, machine);
    return place === 0 && index > 0 ? [{ text: '', pageBreak: 'before' }, ...parts] : parts;
  });
  return {
    pageSize: { width: mm(stock.page.widthMm), height: mm(stock.page.heightMm) },
    pageMargins: 0,
    defaultStyle: { font: 'Barlow', fontSize: 8, lineHeight: 1 },
    info: { title: 'Labels', creator: 'Brisk Ledger' },
    content: content as Content[],
  };
}

function labelAt(
  label: LabelContents,
  { label: size }: LabelStock,
  xMm: number,
  yMm: number,
  address: string,
  machine: string,
): readonly Content[] {
  const codeMm = Math.min(size.heightMm - 2 * PAD_MM, 28);
  const textMm = size.widthMm - codeMm - 3 * PAD_MM;
  const small = size.heightMm < 32;
  const at = (dxMm: number, dyMm: number) => ({ x: mm(xMm + dxMm), y: mm(yMm + dyMm) });
  const kind = KIND_WORDS[label.is];
  return [
    {
      canvas: codeBars(`${address}${label.path}`, mm(codeMm)),
      absolutePosition: at(PAD_MM, (size.heightMm - codeMm) / 2),
    },
    {
      absolutePosition: at(codeMm + 2 * PAD_MM, PAD_MM),
      columns: [
        {
          width: mm(textMm),
          stack: [
            {
              text: [
                { text: `${kind} `, fontSize: small ? 9 : 11 },
                { text: String(label.number), fontSize: small ? 22 : 30, bold: true },
              ],
            },
            { text: cut(label.title, 2 * lineLetters(textMm, small ? 8 : 9)), fontSize: small ? 8 : 9, bold: true },
            ...label.details
              .slice(0, small ? 1 : 3)
              .map((text): Content => ({ text: cut(text, lineLetters(textMm, 7)), fontSize: 7 })),
            ...(machine ? [{ text: cut(machine, lineLetters(textMm, 6)), fontSize: 6 } as Content] : []),
          ],
        },
      ],
    },
  ];
}

/** `text` as a QR code of `size` points: each run of dark modules one bar, so that no hairlines show between them. */
function codeBars(text: string, size: number): CanvasElement[] {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const dot = size / modules.size;
  const bars: CanvasElement[] = [];
  for (let row = 0; row < modules.size; row += 1)
    for (let column = 0; column < modules.size; column += 1) {
      let end = column;
      while (end < modules.size && modules.get(row, end)) end += 1;
      if (end > column)
        bars.push({
          type: 'rect',
          x: column * dot,
          y: row * dot,
          w: (end - column) * dot,
          h: dot,
          color: '#000',
          lineWidth: 0,
        });
      column = end;
    }
  return bars;
}

/** Letters of `size` points in a line of `widthMm`, on the safe side. */
function lineLetters(widthMm: number, size: number): number {
  return Math.floor(mm(widthMm) / (0.52 * size));
}

function cut(text: string, letters: number): string {
  return text.length <= letters ? text : `${text.slice(0, Math.max(1, letters - 1))}…`;
}
