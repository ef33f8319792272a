/** What a page is called and what it is for, in three sentences. */
export interface PageWords {
  readonly name: string;
  readonly words: string;
}

/** By the part of their address that names them. */
const PAGES: Readonly<Record<string, PageWords>> = {
  'yard': {
    name: 'Yard',
    words:
      'Every job of the shop, with its place on the journey. Each line says the next step and what blocks it. Touch one to go on where it stands.',
  },
  'find': {
    name: 'Find',
    words:
      'Finds a bag, a tag, a part, a note or a photo by its words or its number. It looks on all jobs of the shop. Touch what it finds to go there.',
  },
  'people': {
    name: 'People',
    words:
      'Who works here and who may do what. Who leads lets people and devices in, and puts them out. A code lets another device in.',
  },
  'survey': {
    name: 'Survey',
    words:
      'What this machine is and what is attached to what. The map is changed here where this machine differs. Everything else is worked out from it.',
  },
  'plan': {
    name: 'Plan',
    words:
      'In which order the work is done, by whom and when. Steps and setups can be moved and pinned, and what that breaks is told. The plan you follow comes to hand step by step.',
  },
  'strip': {
    name: 'Strip',
    words:
      'The step in hand on the way out. Do what stands there, then touch “Done”: bag, count and tag go with it. Stuck, skipped or wrong: there is a key for each.',
  },
  'lift': {
    name: 'Lift',
    words:
      'What still holds the powerpack, and the hold point before it goes up. Then move by move, with what the scale should read. Stop when it reads more.',
  },
  'bench': {
    name: 'Bench',
    words:
      'What is done while the powerpack is out. It says what pays now and what can wait. Parts and their money are kept here.',
  },
  'refit': {
    name: 'Refit',
    words:
      'The way back, step by step. Each joint comes with its torque, each circuit with its litres. What has to be in before it goes down stands under “In first”.',
  },
  'first-start': {
    name: 'First start',
    words:
      'What still speaks against the key, and the hold point before it is turned. Then each attempt is kept. When it does not run, “What is wrong” asks the next question.',
  },
  'handover': {
    name: 'Handover',
    words:
      'What is open, what was torqued and where the time went. Close it or say why it stays. Then the machine is handed over.',
  },
  'bags': {
    name: 'Bags',
    words:
      'Every bag, hole, row and card, and what came out of where. What does not come out even stands on top. Labels are printed here.',
  },
  'mystery': {
    name: 'Mystery bolt',
    words:
      'A bolt nobody can place is measured here. The homes that are still open are ranked for it. Put it where it belongs, or set it aside.',
  },
  'photos': {
    name: 'Photos',
    words:
      'Every picture of this job, by where it was taken. Draw on one to show what matters. Before and after stand side by side on the way back.',
  },
  'literature': {
    name: 'Literature',
    words:
      'The books and sheets of this machine. Pages are found by their words and pinned to steps. What you draw goes onto the working copy.',
  },
  'record': {
    name: 'Record',
    words:
      'Everything that was written, by whom and when. Nothing is ever changed; what was wrong is taken back with a reason. The seal says whether anybody altered it.',
  },
};
const ELSEWHERE: PageWords = {
  name: 'Keys',
  words:
    'Each key below does what stands beside it. They act while no field is being written in. Tab goes through everything that can be pressed.',
};

/** What the page at `address` is for. */
export function pageAt(address: string): PageWords {
  const [first = '', , stop] = address
    .replace(/[?#].*/, '')
    .split('/')
    .slice(1);
  return PAGES[first === 'jobs' ? (stop ?? '') : first] ?? ELSEWHERE;
}
