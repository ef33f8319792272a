import { create } from 'qrcode';
import type { LabelContents } from '@brisk/core/labels';

const SIZE = { width: 744, height: 348, code: 300, pad: 24 } as const;
const KIND = { tag: 'Tag', bag: 'Bag' } as const;

/** One label as a PNG, 62 × 29 mm at 12 dots a millimetre, for printers that take a picture. */
export async function labelPicture(label: LabelContents, address: string): Promise<Blob> {
  await document.fonts.ready;
  const canvas = document.createElement('canvas');
  canvas.width = SIZE.width;
  canvas.height = SIZE.height;
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error('This browser cannot draw a label.');
  pen.fillStyle = '#fff';
  pen.fillRect(0, 0, SIZE.width, SIZE.height);
  pen.fillStyle = '#000';
  drawCode(pen, `${address}${label.path}`);
  const left = SIZE.code + 2 * SIZE.pad;
  const room = SIZE.width - left - SIZE.pad;
  pen.font = '600 40px Barlow';
  pen.fillText(KIND[label.is], left, 84, room);
  pen.font = '600 108px Barlow';
  pen.fillText(String(label.number), left + 86, 104, room - 86);
  pen.font = '600 36px Barlow';
  wrapped(pen, label.title, room, 2).forEach((line, index) => pen.fillText(line, left, 168 + index * 42, room));
  pen.font = '400 30px Barlow';
  wrapped(pen, label.details.join('. '), room, 2).forEach((line, index) =>
    pen.fillText(line, left, 262 + index * 36, room),
  );
  return new Promise((resolve, reject) => {
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('The label cannot be drawn.'))), 'image/png');
  });
}

function drawCode(pen: CanvasRenderingContext2D, text: string): void {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const dot = Math.floor(SIZE.code / modules.size);
  const top = Math.floor((SIZE.height - dot * modules.size) / 2);
  for (let row = 0; row < modules.size; row += 1)
    for (let column = 0; column < modules.size; column += 1)
      if (modules.get(row, column)) pen.fillRect(SIZE.pad + column * dot, top + row * dot, dot, dot);
}

/** `text` in at most `most` lines of `room` pixels. */
function wrapped(pen: CanvasRenderingContext2D, text: string, room: number, most: number): readonly string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(' ')) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (pen.measureText(longer).width > room && line !== '') {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  if (line !== '') lines.push(line);
  return lines.slice(0, most);
}
