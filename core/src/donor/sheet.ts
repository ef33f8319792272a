/** One thing that may be seen on a donor, and what it says about it. */
export interface Finding {
  readonly id: string;
  readonly words: string;
  /** Points: above nought speaks for the donor, below against it. */
  readonly weight: number;
  /** Why, in the crew's words. */
  readonly reason: string;
  /** What to look at next because of it. */
  readonly next?: string;
  /** With this, nobody should buy it, whatever else is right. */
  readonly stop?: boolean;
}

/** One look at a donor. */
export interface Inspection {
  readonly id: string;
  readonly question: string;
  readonly look: string;
  readonly findings: readonly Finding[];
}

/** The whole inspection sheet, which a shop may weigh in its own way. */
export interface InspectionSheet {
  readonly inspections: readonly Inspection[];
  /** Points from which a donor is a good bet, and from which it is worth a closer look. 100 is a donor nothing speaks against. */
  readonly goodFrom: number;
  readonly closerFrom: number;
  /** Points taken off for a look nobody took. */
  readonly unseen: number;
}

/** The sheet a shop begins with. */
export const INSPECTION_SHEET: InspectionSheet = {
  goodFrom: 80,
  closerFrom: 55,
  unseen: -6,
  inspections: [
    {
      id: 'impact',
      question: 'Where was it hit?',
      look: 'Walk round once. Follow the line of the blow to the powerpack.',
      findings: [
        { id: 'behind', words: 'Behind or nowhere', weight: 0, reason: 'The blow never reached the powerpack.' },
        {
          id: 'front-light',
          words: 'In front, panels only',
          weight: -8,
          reason: 'The nose took it; pulley and mounts may have felt it.',
          next: 'Crank pulley and front mounts from below',
        },
        {
          id: 'side',
          words: 'At the side, by the powerpack',
          weight: -20,
          reason: 'A blow from the side cracks a housing where nobody looks.',
          next: 'Gearbox housing and mount lugs, with a lamp',
        },
        {
          id: 'front-hard',
          words: 'In front, radiator pushed back',
          weight: -28,
          reason: 'The radiator was pushed into the front cover.',
          next: 'Front cover, pulley, sensor ring',
        },
        {
          id: 'rolled',
          words: 'It lay on its roof or side',
          weight: -14,
          reason: 'Oil may stand in the cylinders.',
          next: 'Plugs or glow plugs out before it is turned',
        },
      ],
    },
    {
      id: 'intake',
      question: 'What is in the intake?',
      look: 'Duct off, lamp in, finger round the mouth.',
      findings: [
        { id: 'clean', words: 'Nothing', weight: 0, reason: 'Nothing was swallowed.' },
        {
          id: 'dirt',
          words: 'Dust past the filter',
          weight: -10,
          reason: 'Dust past the filter wears rings and bores.',
          next: 'Compression, or how it breathes at the filler',
        },
        {
          id: 'pieces',
          words: 'Broken pieces, engine stood',
          weight: -12,
          reason: 'Pieces lie in the intake, but it was not running.',
          next: 'Everything out of the manifold before it is cranked',
        },
        {
          id: 'swallowed',
          words: 'Broken pieces, and it ran',
          weight: -60,
          reason: 'It swallowed broken pieces while it ran.',
          stop: true,
        },
      ],
    },
    {
      id: 'front-cover',
      question: 'Is the front cover whole?',
      look: 'Below the alternator, round every bolt.',
      findings: [
        { id: 'whole', words: 'Whole', weight: 0, reason: 'The front cover is whole.' },
        { id: 'scratched', words: 'Scratched', weight: -4, reason: 'It was touched, not broken.' },
        {
          id: 'cracked',
          words: 'Cracked or a lug gone',
          weight: -26,
          reason: 'A cracked front cover leaks and lets the chain or belt go.',
          next: 'Price of a cover, and what it takes to change it',
        },
      ],
    },
    {
      id: 'pulley',
      question: 'Does the crank pulley run true?',
      look: 'Turn it by hand and watch its edge against the cover.',
      findings: [
        { id: 'true', words: 'True', weight: 0, reason: 'The pulley runs true.' },
        { id: 'chipped', words: 'Chipped', weight: -8, reason: 'A chipped pulley is a new pulley.' },
        {
          id: 'wobbles',
          words: 'It wobbles',
          weight: -36,
          reason: 'A pulley that wobbles may sit on a bent crankshaft.',
          next: 'A dial gauge on the crank nose',
        },
      ],
    },
    {
      id: 'harness',
      question: 'How is the harness?',
      look: 'Every plug, and where it was cut.',
      findings: [
        { id: 'whole', words: 'Whole, all plugs on', weight: 4, reason: 'The harness is whole.' },
        {
          id: 'cut-long',
          words: 'Cut, with a hand of lead',
          weight: -8,
          reason: 'It can be joined, wire by wire.',
          next: 'Wiring diagram of both machines',
        },
        {
          id: 'cut-short',
          words: 'Cut at the plugs',
          weight: -18,
          reason: 'No lead left to join to.',
          next: 'Where plug bodies can be had',
        },
        { id: 'burnt', words: 'Burnt or chewed', weight: -24, reason: 'A burnt harness has to be made anew.' },
      ],
    },
    {
      id: 'mounts',
      question: 'How are the mounts?',
      look: 'Rubber and lugs, from below.',
      findings: [
        { id: 'whole', words: 'Whole', weight: 0, reason: 'The mounts are whole.' },
        { id: 'torn', words: 'Rubber torn', weight: -4, reason: 'New rubber is cheap.' },
        {
          id: 'lug',
          words: 'A lug broken off the block',
          weight: -34,
          reason: 'A lug off the block is a welder’s job on a casting.',
          next: 'Can a bracket bridge it?',
        },
      ],
    },
    {
      id: 'turns',
      question: 'Does it turn by hand?',
      look: 'A bar on the crank, two whole turns.',
      findings: [
        { id: 'even', words: 'Evenly, two turns', weight: 6, reason: 'It turns evenly by hand.' },
        {
          id: 'tight',
          words: 'With a tight spot',
          weight: -34,
          reason: 'A tight spot is a bearing, a bent rod or something in a cylinder.',
          next: 'Plugs out, turn again, lamp in the cylinders',
        },
        { id: 'not', words: 'Not at all', weight: -70, reason: 'It does not turn.', stop: true },
      ],
    },
    {
      id: 'oil',
      question: 'What is on the dipstick?',
      look: 'Colour, smell, and between two fingers.',
      findings: [
        { id: 'clean', words: 'Clean, to the mark', weight: 2, reason: 'The oil was looked after.' },
        { id: 'black', words: 'Black, to the mark', weight: -3, reason: 'Overdue, no more.' },
        {
          id: 'fuel',
          words: 'Smells of fuel',
          weight: -10,
          reason: 'Fuel in the oil washes bearings.',
          next: 'Injectors, or why it was cranked so long',
        },
        {
          id: 'milky',
          words: 'Milky',
          weight: -32,
          reason: 'Water in the oil.',
          next: 'Head gasket or cooler: pressure test',
        },
        {
          id: 'none',
          words: 'None',
          weight: -45,
          reason: 'It ran, or stood, without oil.',
          next: 'Sump off, look at a bearing',
        },
      ],
    },
    {
      id: 'filter',
      question: 'Is there metal in the filter?',
      look: 'Cut it open, pleats spread, magnet over it.',
      findings: [
        { id: 'none', words: 'None', weight: 4, reason: 'No metal in the filter.' },
        {
          id: 'shimmer',
          words: 'A fine shimmer',
          weight: -16,
          reason: 'Something wears.',
          next: 'Magnet: iron or bearing metal?',
        },
        { id: 'flakes', words: 'Flakes', weight: -60, reason: 'Flakes of bearing in the filter.', stop: true },
      ],
    },
    {
      id: 'ran',
      question: 'Was it running when it was wrecked?',
      look: 'Ask, and look whether the airbags say so.',
      findings: [
        { id: 'ran', words: 'Yes, it ran', weight: 10, reason: 'A wrecked runner is a better bet than a retired one.' },
        {
          id: 'retired',
          words: 'Taken off the road with age',
          weight: -8,
          reason: 'Somebody had a reason to retire it.',
          next: 'Compression',
        },
        {
          id: 'stopped',
          words: 'It stopped by itself',
          weight: -28,
          reason: 'It stopped by itself; nobody says why.',
          next: 'Timing, compression, what its control unit stored',
        },
      ],
    },
    {
      id: 'distance',
      question: 'How far has it gone?',
      look: 'Counter, service stickers, pedal rubbers.',
      findings: [
        { id: 'low', words: 'Under 80,000 km', weight: 4, reason: 'Little distance.' },
        { id: 'middle', words: '80,000 to 160,000 km', weight: 0, reason: 'The usual distance.' },
        { id: 'high', words: '160,000 to 250,000 km', weight: -8, reason: 'It has gone far.' },
        {
          id: 'very-high',
          words: 'More than that',
          weight: -16,
          reason: 'It has gone very far.',
          next: 'Price of seals, chain and clutch on top',
        },
      ],
    },
    {
      id: 'underside',
      question: 'How is it underneath?',
      look: 'Sump, gearbox pan, joints, on your back with a lamp.',
      findings: [
        { id: 'dry', words: 'Dry and whole', weight: 2, reason: 'Dry underneath.' },
        { id: 'damp', words: 'Damp', weight: -4, reason: 'It weeps; new seals while it is out.' },
        {
          id: 'dented',
          words: 'Sump dented',
          weight: -10,
          reason: 'A dented sump may have touched the pick-up.',
          next: 'Sump off before it goes in',
        },
        {
          id: 'holed',
          words: 'Sump or pan holed',
          weight: -34,
          reason: 'It may have run dry.',
          next: 'Did it run after the hole?',
        },
      ],
    },
    {
      id: 'complete',
      question: 'Is everything still on it?',
      look: 'Pedal, control unit, diagnostic socket, starter, mounts, brackets.',
      findings: [
        { id: 'all', words: 'All of it', weight: 4, reason: 'Nothing was taken off it.' },
        {
          id: 'few',
          words: 'A few things gone',
          weight: -6,
          reason: 'A few things are gone.',
          next: 'The pull list: which of them does this swap need?',
        },
        {
          id: 'stripped',
          words: 'Stripped',
          weight: -18,
          reason: 'Others have been at it already.',
          next: 'Price the missing things before the engine',
        },
      ],
    },
  ],
};
