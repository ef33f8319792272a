/** One answer to a question about a machine. */
export interface Choice {
  readonly words: string;
  /** What one sees on such a machine, where the words alone may not tell. */
  readonly look?: string;
}

/** Something in which two machines of one layout differ, and how it is asked. */
export interface Option {
  readonly question: string;
  readonly why: string;
  readonly choices: Readonly<Record<string, Choice>>;
}

const yesNo = (yes: string, no: string): { readonly yes: Choice; readonly no: Choice } => ({
  yes: { words: 'Yes', look: yes },
  no: { words: 'No', look: no },
});

/** Every option, in the order in which it is asked: what decides most comes first. */
export const OPTIONS = {
  fuel: {
    question: 'What does it burn, and how does it get in?',
    why: 'It decides the fuel lines, the plugs on top of the engine and how the pressure is let down.',
    choices: {
      'petrol-port': { words: 'Petrol, an injector for each port', look: 'A rail along the intake manifold' },
      'petrol-direct': {
        words: 'Petrol, direct injection',
        look: 'A small pump on the camshaft, steel pipes to the rail',
      },
      'single-point': { words: 'Petrol, one injector', look: 'It sits on top of the throttle, like a carburettor' },
      carburettor: { words: 'Petrol, carburettor', look: 'A float bowl and a choke; no rail' },
      'diesel-rail': { words: 'Diesel, common rail', look: 'One rail, short steel pipes, a plug on every injector' },
      'diesel-mechanical': { words: 'Diesel, mechanical pump', look: 'A pump with a steel pipe to every cylinder' },
    },
  },
  cylinders: {
    question: 'How many cylinders, and how do they lie?',
    why: 'Coils, injectors, plugs and pipes are as many; a V has two heads, each with its cover and its manifold.',
    choices: {
      '1': { words: 'One' },
      '2': { words: 'Two in a row' },
      '3': { words: 'Three in a row' },
      '4': { words: 'Four in a row' },
      '5': { words: 'Five in a row' },
      '6': { words: 'Six in a row' },
      v6: { words: 'Six in a V', look: 'Two heads at an angle, three cylinders each' },
      v8: { words: 'Eight in a V', look: 'Two heads at an angle, four cylinders each' },
      flat4: { words: 'Four lying flat', look: 'Two heads, one to each side' },
      flat6: { words: 'Six lying flat', look: 'Two heads, one to each side, three cylinders each' },
    },
  },
  boost: {
    question: 'Is there a turbocharger?',
    why: 'Charge pipes and a cooler cross the bay, and the exhaust hangs on the turbocharger.',
    choices: {
      turbo: { words: 'Turbocharger and charge cooler' },
      none: { words: 'It breathes by itself' },
    },
  },
  throttle: {
    question: 'How does the pedal reach the engine?',
    why: 'A cable has to come off; a motor has a plug.',
    choices: {
      electronic: { words: 'By wire', look: 'A plug and a motor; no cable from the pedal' },
      cable: { words: 'By cable', look: 'A bare cable pulls a lever' },
    },
  },
  steering: {
    question: 'What helps the steering?',
    why: 'A pump on the engine has to be swung aside with its hoses.',
    choices: {
      hydraulic: { words: 'A pump on the engine', look: 'A bottle of steering oil in the bay' },
      electric: { words: 'An electric motor', look: 'No bottle, no pump' },
      manual: { words: 'Nothing' },
    },
  },
  refrigerant: {
    question: 'Is there air conditioning, and what happens to it?',
    why: 'Swung aside, its circuit stays closed. Opened, a certified person has to recover it first.',
    choices: {
      'swung-aside': { words: 'Compressor swung aside, hoses on', look: 'The hoses are long enough to tie it up' },
      opened: { words: 'Hoses come off', look: 'Too short, or the compressor goes with the engine' },
      none: { words: 'None' },
    },
  },
  hybrid: {
    question: 'Is there a high-voltage drive?',
    why: 'Orange cables: only a qualified person switches it off.',
    choices: yesNo('Thick orange cables', 'No orange cables'),
  },
  clutch: {
    question: 'What works the clutch?',
    why: 'A cylinder is unbolted with its line on; a cable is unhooked.',
    choices: {
      hydraulic: { words: 'A cylinder and a line' },
      cable: { words: 'A cable' },
      none: { words: 'No foot: there is no pedal', look: 'Two pedals, and the drive couples the engine by itself' },
    },
  },
  fan: {
    question: 'What turns the fan?',
    why: 'A fan on the engine comes off before its shroud; an electric one goes with it.',
    choices: {
      engine: { words: 'The engine', look: 'It sits on the water pump or the crankshaft' },
      electric: { words: 'A motor', look: 'It sits on the radiator and has a plug' },
    },
  },
  brakes: {
    question: 'What does the engine do for the brakes?',
    why: 'A servo hose has to come off; with air brakes the tanks are emptied first.',
    choices: {
      vacuum: { words: 'Vacuum for a servo' },
      air: { words: 'Air from a compressor' },
      own: { words: 'Nothing' },
    },
  },
  exhaust: {
    question: 'Is there a catalyst with oxygen sensors?',
    why: 'Their plugs are unplugged before the pipe comes down, or the leads tear.',
    choices: {
      catalyst: { words: 'Yes', look: 'Sensors with leads screwed into the exhaust' },
      plain: { words: 'No' },
    },
  },
  gasReturn: {
    question: 'Does exhaust gas go back into the intake?',
    why: 'A valve and a hot pipe between exhaust and intake.',
    choices: yesNo('A metal pipe from the exhaust to a valve at the intake', 'No such valve'),
  },
  canister: {
    question: 'Is there a vapour canister?',
    why: 'One thin hose and one plug that are easily forgotten.',
    choices: yesNo('A thin hose from the intake to a black can', 'No thin hose to a can'),
  },
  oilCooler: {
    question: 'Is there an oil cooler?',
    why: 'Two lines hold the engine and have to be drained.',
    choices: yesNo('Two thick lines at the oil filter', 'No lines at the oil filter'),
  },
  heater: {
    question: 'Is there a heater fed by the engine?',
    why: 'Two hoses at the bulkhead, or two warm-air ducts.',
    choices: yesNo('Two hoses or ducts to the cabin', 'Nothing goes to the cabin'),
  },
  undertray: {
    question: 'Is there a tray underneath?',
    why: 'Nothing below is reached before it is off.',
    choices: yesNo('Sheet or plastic under the engine', 'One looks at the sump'),
  },
  driveshafts: {
    question: 'How do the drive shafts come out?',
    why: 'Hub nuts are loosened with the wheel on the ground, and the hub is swung out.',
    choices: {
      'inner-flanges': { words: 'Bolted to flanges at the gearbox' },
      'hub-nuts': { words: 'Pulled out of the gearbox', look: 'A large nut in the middle of each wheel' },
    },
  },
  propshaft: {
    question: 'Is the propeller shaft in one piece or two?',
    why: 'Two pieces hang on a centre bearing.',
    choices: {
      'two-piece': { words: 'Two, with a centre bearing' },
      'one-piece': { words: 'One' },
    },
  },
  voltage: {
    question: 'How many volts?',
    why: 'A 24 V machine has two batteries and a lead between them.',
    choices: {
      '12': { words: '12 V, one battery' },
      '24': { words: '24 V, two batteries' },
    },
  },
} as const satisfies Readonly<Record<string, Option>>;

export type OptionId = keyof typeof OPTIONS;
export type ChoiceOf<Id extends OptionId> = keyof (typeof OPTIONS)[Id]['choices'] & string;

/** What was chosen, option by option. */
export type Choices = { readonly [Id in OptionId]?: ChoiceOf<Id> };

/** Present only with these choices: every option named has to have one of the choices listed. */
export type When = { readonly [Id in OptionId]?: readonly ChoiceOf<Id>[] };

/** All option ids, in the order of asking. */
export const OPTION_IDS = Object.keys(OPTIONS) as readonly OptionId[];

/** Whether `id` names an option. */
export function isOption(id: string): id is OptionId {
  return OPTION_IDS.some((option) => option === id);
}

/** Whether `choices` fulfil `when`. */
export function fits(when: When | undefined, choices: Choices): boolean {
  if (when === undefined) return true;
  return OPTION_IDS.every((option) => {
    const wanted: readonly string[] | undefined = when[option];
    const chosen = choices[option];
    return wanted === undefined || (chosen !== undefined && wanted.includes(chosen));
  });
}
