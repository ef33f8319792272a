/** One try of a linkage: where its adjuster stood, in half turns from the mark, which gears went in and which did not. */
export interface GearTry {
  readonly halfTurns: number;
  readonly went: readonly string[];
  readonly not: readonly string[];
}

/** What the tries say of a linkage. */
export interface GearsFit {
  /** Every gear went in at the last try, and none was left out. */
  readonly all: boolean;
  /** Where to turn it to, in half turns from the mark; undefined where all go in, or nothing was tried. */
  readonly goTo?: number;
  /** How likely every gear goes in there, from 0 to 1. */
  readonly chance: number;
  /** Which half turns all gears would go in at, by the tries: least to most with more than an even chance. */
  readonly window?: readonly [number, number];
  /** No place of the adjuster makes sense of the tries: something else is wrong. */
  readonly elsewhere: boolean;
}

/** Where the right place is sought, in half turns either way, and how wide it may be. */
const FURTHEST = 12;
const WIDTHS = [0.5, 1, 1.5, 2, 3, 4, 6] as const;
const CENTRE_STEP = 0.5;
/** A gear goes in by chance, or sticks for another reason, once in so many tries. */
const ODD_SHARE = 0.08;
/** Below this likelihood of all tries together, under the best place there is, the adjuster is not what is wrong. */
const SENSELESS = ODD_SHARE ** 2 * 1.5;
/** How far off the mark an adjuster usually is that was put back to it, in half turns. */
const USUAL_OFF = 4;

/**
 * Where a linkage has to be turned to so that every gear of `gears` goes in: gears are named in the order of the gate, so that
 * neighbours lie on opposite sides and fail on opposite sides of the right place; `inLine`, the first half of them lies on one
 * side and the other on the other, and one in the middle always goes in. The right place c and how far either way w
 * gears still go in are weighed together (Bayes over a grid, a normal prior on c about the mark); a gear of one side goes in
 * where t ≥ c − w, of the other where t ≤ c + w, and which side needs more turns is weighed as well.
 */
export function gearsFit(gears: readonly string[], tries: readonly GearTry[], inLine = false): GearsFit {
  const last = tries.at(-1);
  const all = last !== undefined && last.not.length === 0 && gears.every((gear) => last.went.includes(gear));
  if (tries.length === 0) return { all, chance: 0, elsewhere: false };
  const side = (gear: string) => {
    const at = gears.indexOf(gear);
    return inLine ? Math.sign((gears.length - 1) / 2 - at) : at % 2 === 0 ? 1 : -1;
  };
  const worlds: { readonly centre: number; readonly width: number; readonly weight: number }[] = [];
  let best = 0;
  for (let centre = -FURTHEST; centre <= FURTHEST; centre += CENTRE_STEP)
    for (const width of WIDTHS)
      for (const turn of [1, -1]) {
        const goesIn = (gear: string, halfTurns: number) => turn * side(gear) * (halfTurns - centre) >= -width;
        let likely = 1;
        for (const { halfTurns, went, not } of tries) {
          for (const gear of went) likely *= goesIn(gear, halfTurns) ? 1 - ODD_SHARE : ODD_SHARE;
          for (const gear of not) likely *= goesIn(gear, halfTurns) ? ODD_SHARE : 1 - ODD_SHARE;
        }
        best = Math.max(best, likely);
        worlds.push({ centre, width, weight: likely * Math.exp(-0.5 * (centre / USUAL_OFF) ** 2) });
      }
  const total = worlds.reduce((sum, { weight }) => sum + weight, 0);
  const tried = tries.reduce((sum, { went, not }) => sum + went.length + not.length, 0);
  const chanceAt = (halfTurns: number) =>
    worlds.reduce((sum, { centre, width, weight }) => (Math.abs(halfTurns - centre) <= width ? sum + weight : sum), 0) /
    total;
  const places = Array.from({ length: 2 * FURTHEST + 1 }, (_, index) => index - FURTHEST);
  // Where a gear stayed out nobody tries again, whatever the odds.
  const failed = new Set(tries.filter(({ not }) => not.length > 0).map(({ halfTurns }) => halfTurns));
  const chances = places.filter((place) => !failed.has(place)).map((place) => ({ place, chance: chanceAt(place) }));
  const here = last?.halfTurns ?? 0;
  const goTo = chances.reduce((one, other) =>
    other.chance > one.chance + 1e-9 ||
    (Math.abs(other.chance - one.chance) <= 1e-9 && Math.abs(other.place - here) < Math.abs(one.place - here))
      ? other
      : one,
  );
  const likely = chances.filter(({ chance }) => chance > 0.5).map(({ place }) => place);
  const [from, to] = [likely[0], likely.at(-1)];
  return {
    all,
    chance: goTo.chance,
    ...(all ? {} : { goTo: goTo.place }),
    ...(from === undefined || to === undefined ? {} : { window: [from, to] as const }),
    elsewhere: !all && tried > 0 && best < SENSELESS,
  };
}
