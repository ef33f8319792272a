/** What goes wrong with each kind of part: what is held against the old one on the day it comes. */
const BY_KIND: readonly { readonly kind: RegExp; readonly asks: readonly string[] }[] = [
  { kind: /hose|pipe|line\b|feed|return/i, asks: ['length', 'bore at both ends', 'bends and which way they point'] },
  {
    kind: /sensor|switch|solenoid|coil|injector/i,
    asks: ['shape of the plug', 'thread or fixing', 'length below the flange'],
  },
  { kind: /alternator|starter|regulator/i, asks: ['fixing side and ears', 'plug and posts', 'pulley ribs or teeth'] },
  { kind: /belt/i, asks: ['length', 'ribs or teeth', 'width'] },
  {
    kind: /seal|o-ring|gasket/i,
    asks: ['inner diameter', 'outer diameter or outline', 'width, and which way the lip points'],
  },
  { kind: /clutch|disc|cover/i, asks: ['diameter', 'splines on the shaft', 'height of the fingers'] },
  { kind: /bearing/i, asks: ['inner and outer diameter', 'width', 'seals or cage on the same side'] },
  { kind: /exhaust|downpipe|flange/i, asks: ['bore', 'bolt pattern of the flange', 'length to the next hanger'] },
  { kind: /bolt|stud|nut|screw|plug\b/i, asks: ['thread and pitch', 'length under the head', 'head or drive'] },
  { kind: /mount|bush/i, asks: ['bolt spacing', 'height', 'which side it is for'] },
  { kind: /pump/i, asks: ['fixing holes', 'outlets and their bore', 'which way it turns'] },
  { kind: /filter|strainer/i, asks: ['thread or fixing', 'height', 'bypass or none'] },
  {
    kind: /engine|gearbox/i,
    asks: ['number on the plate', 'bell face and bolt pattern', 'bosses, sensors and outlets'],
  },
];
const ANY = ['size', 'fixing holes or threads', 'plug, outlet or side'] as const;

/** The two or three things that go wrong with a part called `name`, to be held against the old one. */
export function comparisonsFor(name: string): readonly string[] {
  return BY_KIND.find(({ kind }) => kind.test(name))?.asks ?? ANY;
}
