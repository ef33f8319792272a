/**
 * Writes the demo’s literature: the notes of Larkmoor’s own crew on tug 2, made up like everything else and saying so on
 * each page. Run it with `npm run demo:literature` after a build; the files it writes are checked in.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import { pdfOf } from '../server/dist/printing/pdf.js';
import { ENGINE_PINS, HOST_PINS } from './stories/tug-pins.mjs';

const INK = '#1d1b16';
const COLOURS = {
  red: '#c0392b',
  black: '#222222',
  yellow: '#e0b000',
  blue: '#2e5fa8',
  brown: '#7a4b2a',
  green: '#3c7d3c',
  white: '#ffffff',
  grey: '#8d8d8d',
  violet: '#75479c',
  orange: '#d9772b',
  pink: '#dd8fb0',
};

/** The face of a plug seen from its wires, six pins to a row. */
function plugFace(name, pins, rows) {
  const cells = Array.from({ length: rows * 6 }, (_, index) => {
    const [x, y] = [24 + (index % 6) * 44, 24 + Math.floor(index / 6) * 44];
    const carries = pins.find(({ pin }) => pin === String(index + 1));
    const fill = carries ? COLOURS[carries.colour] : '#eeeae0';
    const dark = ['white', 'yellow', 'pink'].includes(carries?.colour ?? 'white');
    return `<rect x="${x}" y="${y}" width="34" height="34" rx="5" fill="${fill}" stroke="${INK}" stroke-width="1.5"/><text x="${x + 17}" y="${y + 22}" font-size="13" text-anchor="middle" fill="${dark ? INK : '#ffffff'}">${index + 1}</text>`;
  }).join('');
  const height = 34 + rows * 44;
  return {
    unbreakable: true,
    stack: [
      { text: `Plug ${name}, seen from its wires`, bold: true, margin: [0, 8, 0, 4] },
      {
        width: 238,
        svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 292 ${height}" width="292" height="${height}"><rect x="2" y="2" width="288" height="${height - 4}" rx="14" fill="#f6f2e7" stroke="${INK}" stroke-width="3"/>${cells}</svg>`,
      },
    ],
  };
}

const at = (plug, pins) => pins.filter((one) => one.plug === plug);

function pinTable(title, pins) {
  const rows = pins.map(({ plug, pin, signal, colour, sizeMm2, goesTo }) => [
    `${plug}.${pin}`,
    signal,
    colour,
    `${sizeMm2} mm²`,
    goesTo,
  ]);
  return [
    { text: title, bold: true, margin: [0, 10, 0, 4] },
    {
      table: {
        headerRows: 1,
        widths: [36, '*', 50, 50, 80],
        body: [['Pin', 'Carries', 'Colour', 'Size', 'Goes to'], ...rows],
      },
      layout: 'lightHorizontalLines',
      fontSize: 9,
    },
  ];
}

/** The ten holes of the bell, from the engine’s side; the three long bolts are filled. */
function bell() {
  const holes = Array.from({ length: 10 }, (_, index) => {
    const angle = ((index + 0.5) / 10) * 2 * Math.PI - Math.PI / 2;
    const [x, y] = [210 + 165 * Math.cos(angle), 190 + 150 * Math.sin(angle)];
    const long = [2, 4, 7].includes(index);
    return `<circle cx="${x}" cy="${y}" r="17" fill="${long ? '#d9772b' : '#f6f2e7'}" stroke="${INK}" stroke-width="2.5"/><text x="${x}" y="${y + 5}" font-size="14" text-anchor="middle" fill="${INK}">${index + 1}</text>`;
  }).join('');
  return `<svg xmlns="http://www.w3.org/2000/svg" width="420" height="380"><ellipse cx="210" cy="190" rx="195" ry="180" fill="#e7e1d2" stroke="${INK}" stroke-width="3"/><ellipse cx="210" cy="190" rx="120" ry="110" fill="#ffffff" stroke="${INK}" stroke-width="2"/><text x="210" y="186" font-size="15" text-anchor="middle" fill="${INK}">seen from the engine</text><text x="210" y="206" font-size="12" text-anchor="middle" fill="${INK}">filled: the three long ones</text>${holes}</svg>`;
}

const heading = (text, pageBreak) => ({
  text,
  fontSize: 18,
  bold: true,
  margin: [0, 0, 0, 8],
  ...(pageBreak ? { pageBreak: 'before' } : {}),
});

const loomNotes = {
  info: { title: 'Tug 2: loom and bell notes', creationDate: new Date('2026-11-10T08:00:00Z') },
  pageMargins: [48, 48, 48, 56],
  defaultStyle: { font: 'Barlow', fontSize: 11, color: INK },
  footer: (page) => ({
    text: `Larkmoor shed, tug 2, sheet ${page}. Made up for the demo; no real machine. The maker’s sheet decides.`,
    fontSize: 8,
    margin: [48, 12, 48, 0],
  }),
  content: [
    heading('The plugs where the two looms meet'),
    'Drawn by Ruth with both looms on the bench. Unplug the battery before any of these is opened.',
    { columns: [plugFace('H1', at('H1', HOST_PINS), 2), plugFace('H2', at('H2', HOST_PINS), 1)], columnGap: 16 },
    { columns: [plugFace('E1', at('E1', ENGINE_PINS), 2), plugFace('E2', at('E2', ENGINE_PINS), 2)], columnGap: 16 },
    plugFace('E3', at('E3', ENGINE_PINS), 2),
    heading('Pin by pin', true),
    ...pinTable('The tug’s loom', HOST_PINS),
    ...pinTable('The engine’s loom', ENGINE_PINS),
    heading('Bell housing', true),
    { svg: bell() },
    {
      margin: [0, 12, 0, 0],
      ul: [
        'Seven short ones, M10 × 45, and three long ones, M10 × 90: holes 3, 5 and 8.',
        'Both dowels stay in the engine. Look that they are there before the gearbox is offered up.',
        'Hole 8 carries the loom bracket: it goes on under the head.',
        'All ten by hand first. It has to close by hand; nothing is drawn together with the bolts.',
      ],
    },
  ],
};

const cooling = `TUG 2, COOLING. Written down by Tobias, Larkmoor shed. Made up for the demo; no real machine.

What came out at the last change: 9.4 litres, from the lower hose and the plug in the block.

Filling
  1  Heater on warm. Bleed screw at the thermostat housing two turns open.
  2  Fill at the header tank, slowly. Close the screw when it runs without bubbles.
  3  Squeeze the upper hose by hand until no more comes up.
  4  First warm-up with the cap on its first notch. Fan has to come in by itself.
  5  Look again when it is cold. Never open the cap while it is hot.

Where it holds air
  The loop behind the alternator. Its hose has to rise all the way: clip pointing at the bulkhead.
`;

const folder = new URL('literature/', import.meta.url);
mkdirSync(folder, { recursive: true });
writeFileSync(new URL('tug-loom-notes.pdf', folder), await pdfOf(loomNotes));
writeFileSync(new URL('tug-cooling.txt', folder), cooling);
