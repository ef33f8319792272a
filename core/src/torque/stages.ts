import type { TorqueSpec } from '../connection-map/index.js';

/** One stage of tightening a joint: to a share of its figure, or by an angle from there. */
export type TighteningStage =
  | { readonly is: 'torque'; readonly share: number; readonly nm: number }
  | { readonly is: 'angle'; readonly degrees: number };

/** So many bolts are brought up in three stages; fewer in two, a single one at once. */
const IN_THREE = 4;
const SHARES_OF_MANY = [0.3, 0.6, 1] as const;
const SHARES_OF_FEW = [0.5, 1] as const;

/** Small bolts that hold a panel and seal nothing go to their figure at once: nothing is drawn down evenly there. */
const PANEL_NM = 12;

/**
 * What a joint is, as far as it is drawn down evenly: a panel at once, a mount that seals nothing in two stages, a
 * flange in three.
 */
export type JointIs = 'panel' | 'mount' | 'flange';

/**
 * The stages a joint of `bolts` bolts is brought to its figure in, once all of them are in by hand: the maker’s own where
 * the map has them, else 30, 60 and 100 % (a few, and mounts: half, then all; one, and small bolts of a panel: at once), then the angle if there is one.
 */
export function tighteningStages(
  { targetNm, stages, angleDeg }: TorqueSpec,
  bolts: number,
  is: JointIs = 'flange',
): readonly TighteningStage[] {
  const shares =
    stages ??
    (bolts === 1 || (is === 'panel' && targetNm <= PANEL_NM)
      ? [1]
      : bolts >= IN_THREE && is !== 'mount'
        ? SHARES_OF_MANY
        : SHARES_OF_FEW);
  return [
    ...shares.map((share): TighteningStage => ({ is: 'torque', share, nm: share * targetNm })),
    ...(angleDeg === undefined ? [] : [{ is: 'angle', degrees: angleDeg } as const]),
  ];
}

/** A stage in words, such as “60 %, 27 N·m” or “then 90°”. */
export function stageWords(stage: TighteningStage): string {
  return stage.is === 'angle'
    ? `then ${stage.degrees}°`
    : `${Math.round(stage.share * 100)} %, ${Number(stage.nm.toPrecision(3))} N·m`;
}
