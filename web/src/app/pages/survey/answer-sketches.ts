/** Small drawings beside answers that words alone may not tell: strokes on a sheet of 72 by 44. */
export const ANSWER_SKETCHES: Readonly<Record<string, string>> = {
  'fuel.petrol-port': 'M8 12 H64 M16 12 V24 M30 12 V24 M44 12 V24 M58 12 V24 M8 30 H64 V38 H8 Z',
  'fuel.petrol-direct': 'M8 8 H24 V18 H8 Z M24 13 H60 M32 13 V30 M44 13 V30 M56 13 V30 M8 30 H64 V38 H8 Z',
  'fuel.single-point': 'M26 4 H46 V14 H26 Z M36 14 V26 M30 20 L36 26 L42 20 M10 28 H62 V38 H10 Z',
  'fuel.carburettor': 'M22 4 H50 V10 H22 Z M28 10 V28 H44 V10 M44 14 H58 V26 H44 M10 32 H62 V40 H10 Z',
  'fuel.diesel-rail': 'M8 10 H64 V16 H8 Z M16 16 V32 M30 16 V32 M44 16 V32 M58 16 V32',
  'fuel.diesel-mechanical':
    'M6 16 H24 V36 H6 Z M10 16 C10 2 34 2 34 24 M14 16 C14 6 48 6 48 24 M18 16 C18 10 60 10 60 24',
  'boost.turbo':
    'M20 22 A12 12 0 1 0 44 22 A12 12 0 1 0 20 22 M44 22 H66 V32 H40 M26 22 A6 6 0 1 0 38 22 A6 6 0 1 0 26 22',
  'throttle.cable': 'M6 34 C20 34 22 12 40 12 M40 6 H60 V30 H40 Z M50 18 L40 12',
  'throttle.electronic': 'M24 6 H48 V34 H24 Z M48 14 H60 V26 H48 M60 17 H66 M60 23 H66',
  'steering.hydraulic': 'M10 22 A10 10 0 1 0 30 22 A10 10 0 1 0 10 22 M30 18 H52 M30 26 H52 M52 8 H66 V36 H52 Z',
  'steering.electric': 'M8 24 H64 M24 14 H46 V34 H24 Z M32 14 V8 M38 14 V8',
  'refrigerant.swung-aside': 'M8 18 H30 V34 H8 Z M30 22 C44 22 44 8 62 8 M30 30 C48 30 48 16 62 16 M18 18 V6',
  'refrigerant.opened': 'M8 18 H30 V34 H8 Z M30 22 H38 M30 30 H38 M46 22 C54 22 54 8 64 8 M46 30 C56 30 56 16 64 16',
  'clutch.hydraulic': 'M8 16 H34 V30 H8 Z M34 23 H46 M8 23 C2 23 2 6 14 6 H62',
  'clutch.cable': 'M8 34 C26 34 22 10 44 10 M44 10 L54 34 M40 10 H58',
  'fan.engine':
    'M10 8 H30 V36 H10 Z M30 22 H42 M48 22 L60 6 M48 22 L66 26 M48 22 L50 40 M42 22 A6 6 0 1 0 54 22 A6 6 0 1 0 42 22',
  'fan.electric':
    'M8 6 H18 V38 H8 Z M18 12 H40 V32 H18 M24 22 A5 5 0 1 0 34 22 A5 5 0 1 0 24 22 M40 20 H56 V26 H40 M56 21 H64 M56 25 H64',
  'exhaust.catalyst': 'M4 22 H18 M18 12 H48 V32 H18 Z M48 22 H68 M26 12 V4 M42 12 V4',
  'gasReturn.yes': 'M6 36 H66 M6 10 H66 M22 36 V24 M22 22 V10 M16 18 H28 V28 H16 Z',
  'canister.yes': 'M8 8 H30 V38 H8 Z M30 14 H44 C56 14 52 34 66 34',
  'oilCooler.yes': 'M8 8 H30 V36 H8 Z M14 8 V36 M20 8 V36 M26 8 V36 M30 14 H52 M30 30 H52 M52 10 H66 V34 H52 Z',
  'driveshafts.inner-flanges':
    'M4 14 H18 V30 H4 Z M18 10 H24 V34 H18 M24 22 H58 M21 14 V14.1 M21 22 V22.1 M21 30 V30.1 M58 14 H64 V30 H58 Z',
  'driveshafts.hub-nuts': 'M4 22 H38 M38 6 H48 V38 H38 Z M48 16 H58 V28 H48 Z M58 19 H64 V25 H58 Z',
  'propshaft.two-piece': 'M4 18 H30 V26 H4 Z M30 12 H38 V32 H30 Z M38 18 H68 V26 H38 Z M34 12 V4',
  'propshaft.one-piece': 'M4 18 H68 V26 H4 Z',
  'voltage.24': 'M4 14 H32 V36 H4 Z M40 14 H68 V36 H40 Z M26 14 V8 H46 V14',
  'voltage.12': 'M20 14 H52 V36 H20 Z M28 14 V9 M44 14 V9',
  'brakes.vacuum': 'M8 22 A16 16 0 1 0 40 22 A16 16 0 1 0 8 22 M40 22 H54 C62 22 60 8 68 8',
  'brakes.air': 'M6 16 Q6 10 14 10 H40 Q48 10 48 16 V28 Q48 34 40 34 H14 Q6 34 6 28 Z M48 22 H68',
  'hybrid.yes': 'M8 8 H32 V36 H8 Z M32 14 H66 M32 22 H66 M32 30 H66 M22 12 L16 24 H22 L18 34',
};
