/**
 * Draws the demo’s photos: made up like everything else at Larkmoor, and saying so on each. Run it with
 * `npm run demo:photos`; the pictures it draws are checked in, each named by what it shows.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import sharp from 'sharp';

const WIDE = 1600;
const HIGH = 1200;

const bolt = (x, y, r, { round = false, colour = '#8d8a83' } = {}) => {
  const corners = Array.from({ length: 6 }, (_, corner) => {
    const angle = (corner / 6) * 2 * Math.PI + x;
    return `${x + r * Math.cos(angle)},${y + r * Math.sin(angle)}`;
  }).join(' ');
  const head = round
    ? `<circle cx="${x}" cy="${y}" r="${r * 0.86}" fill="${colour}" stroke="#2b2723" stroke-width="5"/>`
    : `<polygon points="${corners}" fill="${colour}" stroke="#2b2723" stroke-width="5"/>`;
  return `<circle cx="${x}" cy="${y}" r="${r * 1.4}" fill="#5c5850" stroke="#2b2723" stroke-width="4"/>${head}<circle cx="${x - r * 0.25}" cy="${y - r * 0.25}" r="${r * 0.32}" fill="#ffffff" opacity="0.22"/>`;
};
const pipe = (d, width, colour) =>
  `<path d="${d}" fill="none" stroke="#1e1b18" stroke-width="${width + 10}" stroke-linecap="round"/><path d="${d}" fill="none" stroke="${colour}" stroke-width="${width}" stroke-linecap="round"/><path d="${d}" fill="none" stroke="#ffffff" stroke-width="${width / 6}" opacity="0.18" stroke-linecap="round"/>`;
const plug = (x, y, colour, angle = 0) =>
  `<g transform="rotate(${angle} ${x} ${y})"><rect x="${x - 70}" y="${y - 45}" width="140" height="90" rx="14" fill="${colour}" stroke="#1e1b18" stroke-width="6"/><rect x="${x - 34}" y="${y - 66}" width="68" height="26" rx="8" fill="#3a3733"/><rect x="${x + 70}" y="${y - 30}" width="70" height="60" fill="#24211e"/></g>`;
const block = (x, y, w, h, colour) =>
  `<rect x="${x}" y="${y}" width="${w}" height="${h}" rx="26" fill="${colour}" stroke="#1e1b18" stroke-width="8"/><rect x="${x + 14}" y="${y + 14}" width="${w - 28}" height="${h * 0.22}" rx="16" fill="#ffffff" opacity="0.09"/>`;
const tag = (x, y, number) =>
  `<rect x="${x}" y="${y}" width="150" height="84" rx="8" fill="#f4ecd6" stroke="#1e1b18" stroke-width="4"/><text x="${x + 75}" y="${y + 62}" font-family="DejaVu Sans" font-weight="bold" font-size="58" text-anchor="middle" fill="#1d1b16">${number}</text>`;

/** What each picture shows. */
const PICTURES = {
  'turbo-nuts': [
    block(180, 240, 620, 640, '#6d5a49'),
    pipe('M980 1180 C980 900 1080 760 1000 560', 230, '#7a6a58'),
    block(620, 300, 420, 420, '#84705c'),
    bolt(700, 380, 44, { colour: '#b5794a' }),
    bolt(960, 400, 44, { round: true, colour: '#96562f' }),
    bolt(830, 660, 44, { colour: '#b5794a' }),
  ],
  'shield-before': [
    block(260, 180, 1080, 760, '#8f8b80'),
    ...[340, 620, 900, 1180].map((x) => `<path d="M${x} 200 v720" stroke="#6f6b62" stroke-width="16"/>`),
    bolt(330, 260, 34),
    bolt(1260, 270, 34),
    bolt(340, 860, 34),
    bolt(1250, 850, 34),
  ],
  'pump-aside': [
    pipe('M100 900 C400 700 500 1050 800 760', 70, '#23211f'),
    pipe('M1500 300 C1200 420 1100 250 860 520', 60, '#23211f'),
    block(640, 460, 420, 380, '#94908a'),
    `<circle cx="700" cy="660" r="180" fill="#4a4641" stroke="#1e1b18" stroke-width="10"/><circle cx="700" cy="660" r="60" fill="#8d8a83"/>`,
    `<path d="M560 380 C760 260 980 300 1150 420" fill="none" stroke="#c98b2c" stroke-width="44"/>`,
  ],
  'loom-tags': [
    pipe('M60 500 C400 420 900 620 1560 480', 90, '#2d2a27'),
    plug(520, 640, '#3d4a52', 70),
    plug(860, 700, '#6a6f3a', 80),
    plug(1180, 620, '#4b3a3a', 100),
    tag(400, 800, 11),
    tag(760, 880, 12),
    tag(1120, 820, 13),
  ],
  'undertray-screws': [
    block(160, 260, 1280, 620, '#35322f'),
    ...[240, 520, 800, 1080, 1360].map((x) => bolt(x, 330, 26)),
    ...[240, 520, 1080].map((x) => bolt(x, 810, 26)),
    ...[800, 1360].map((x) => `<circle cx="${x}" cy="810" r="26" fill="#0f0e0d" stroke="#5c5850" stroke-width="5"/>`),
  ],
  'ground-strap': [
    block(900, 200, 520, 760, '#7c7f78'),
    `<path d="M240 980 C420 820 700 900 980 560" fill="none" stroke="#9a7445" stroke-width="70" stroke-dasharray="10 6"/>`,
    bolt(990, 550, 50, { colour: '#a9a59a' }),
    bolt(250, 980, 50, { colour: '#a9a59a' }),
  ],
  'mount-out': [
    block(420, 300, 760, 520, '#4c4843'),
    `<ellipse cx="800" cy="560" rx="220" ry="150" fill="#1c1a18"/>`,
    bolt(800, 560, 70, { colour: '#9a968c' }),
    bolt(520, 760, 40),
    bolt(1080, 760, 40),
  ],
  'mount-back': [
    block(420, 300, 760, 520, '#565048'),
    `<ellipse cx="800" cy="560" rx="220" ry="150" fill="#1c1a18"/>`,
    bolt(800, 560, 70, { colour: '#b9b5aa' }),
    `<path d="M800 500 v120" stroke="#f0d23c" stroke-width="14"/>`,
    bolt(520, 760, 40),
    bolt(1080, 760, 40),
  ],
  'loose-bolts': [
    `<rect x="0" y="0" width="${WIDE}" height="${HIGH}" fill="#a58d5f"/>`,
    ...[
      [380, 420, 250],
      [420, 640, 350],
      [400, 860, 180],
    ].map(
      ([x, y, long]) =>
        `<rect x="${x}" y="${y - 26}" width="${long * 2}" height="52" fill="#8d8a83" stroke="#2b2723" stroke-width="5"/><rect x="${x - 70}" y="${y - 62}" width="80" height="124" rx="8" fill="#77736b" stroke="#2b2723" stroke-width="5"/>`,
    ),
    `<rect x="200" y="1030" width="1200" height="70" fill="#f4ecd6"/>`,
    ...Array.from(
      { length: 25 },
      (_, at) => `<path d="M${210 + at * 48} 1030 v${at % 5 ? 26 : 46}" stroke="#1d1b16" stroke-width="4"/>`,
    ),
  ],
};

const folder = new URL('photos/', import.meta.url);
mkdirSync(folder, { recursive: true });
for (const [name, shapes] of Object.entries(PICTURES)) {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDE}" height="${HIGH}">
<defs><radialGradient id="light" cx="0.45" cy="0.4" r="0.8"><stop offset="0" stop-color="#8a7f6d"/><stop offset="1" stop-color="#2e2a25"/></radialGradient>
<filter id="grain"><feTurbulence baseFrequency="0.7" numOctaves="2" seed="${name.length}"/><feColorMatrix values="0 0 0 0 0.5  0 0 0 0 0.5  0 0 0 0 0.5  0 0 0 0.16 0"/></filter></defs>
<rect width="100%" height="100%" fill="url(#light)"/>${shapes.join('')}
<rect width="100%" height="100%" filter="url(#grain)"/>
<rect x="0" y="${HIGH - 70}" width="100%" height="70" fill="#000" opacity="0.45"/>
<text x="30" y="${HIGH - 22}" font-family="DejaVu Sans" font-size="38" fill="#fff">Sample picture, drawn for the Larkmoor demo</text></svg>`;
  writeFileSync(new URL(`${name}.jpg`, folder), await sharp(Buffer.from(svg)).jpeg({ quality: 74 }).toBuffer());
  process.stdout.write(`${name}\n`);
}
