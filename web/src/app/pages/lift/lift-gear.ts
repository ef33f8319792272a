import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { boomHoleSchema, liftingGearSchema } from '@brisk/contracts/lifting-gear';
import { CAUTION_WORDS } from '@brisk/core/connection-map';
import type { BoomHole, Hoist, LiftingGear } from '@brisk/core/rigging';
import { v4 as uuid } from 'uuid';
import { GearShed } from '../../planning/gear-shed';
import { Ask } from '../../ui/ask';
import { KeptItem } from '../../ui/kept-item';
import { figureQuestions, figuresIn, figureWords, nameQuestion } from '../../ui/figures';
import { GEAR_KINDS, HOLE_FIGURES, type GearKind } from './gear-kinds';
import { LiftTabs } from './lift-tabs';

/** A piece of gear as it stands in a list. */
interface Listed {
  readonly id: string;
  readonly name: string;
}

/** What the shop lifts with, as it is stamped on it: every lift of the shop is reckoned with this. */
@Component({
  selector: 'bl-lift-gear',
  imports: [KeptItem, LiftTabs, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lift-gear.html',
  styleUrl: './lift-gear.scss',
})
export class LiftGear {
  protected readonly shed = inject(GearShed);
  private readonly asker = inject(Ask);
  protected readonly plate = CAUTION_WORDS['under-load'];
  protected readonly hoists = computed(() =>
    this.shed.gear().hoists.map((hoist) => ({
      hoist,
      holes: hoist.holes.map((hole) => ({ hole, words: figureWords(HOLE_FIGURES, hole) })),
    })),
  );
  protected readonly kinds = computed(() =>
    GEAR_KINDS.map((kind) => {
      const listed: readonly Listed[] = this.shed.gear()[kind.kind];
      return { kind, listed: listed.map((one) => ({ one, words: figureWords(kind.figures, one) })) };
    }),
  );

  /** Writes down one piece of gear, a new one or `before` as it is now. */
  protected async write({ kind, one, figures }: GearKind, before?: Listed): Promise<void> {
    const answers = await this.asker.ask({
      title: before ? before.name : `Another ${one}`,
      words: 'As it is stamped on it.',
      questions: [nameQuestion(before?.name), ...figureQuestions(figures, before)],
      action: 'Write it down',
    });
    if (!answers) return;
    const made = { id: before?.id ?? uuid(), name: String(answers['name']), ...figuresIn(figures, answers) };
    await this.put((gear) => {
      const list: readonly Listed[] = gear[kind];
      const changed = before ? list.map((each) => (each.id === before.id ? made : each)) : [...list, made];
      return { ...gear, [kind]: changed };
    });
  }

  protected async away({ kind }: GearKind, { id }: Listed): Promise<void> {
    await this.put((gear) => {
      const list: readonly Listed[] = gear[kind];
      return { ...gear, [kind]: list.filter((each) => each.id !== id) };
    });
  }

  /** Writes down a hole of a boom; without a hoist, a new hoist with its first. */
  protected async writeHole(hoist?: Hoist, before?: BoomHole): Promise<void> {
    const answers = await this.asker.ask({
      title: hoist
        ? `${hoist.name}: ${before ? `the hole at ${before.reachMm} mm` : 'one more hole'}`
        : 'Another hoist',
      words: 'As the table on the hoist says, hook heights from the floor.',
      questions: [...(hoist ? [] : [nameQuestion()]), ...figureQuestions(HOLE_FIGURES, before)],
      action: 'Write it down',
    });
    if (!answers) return;
    const hole = boomHoleSchema.cast(figuresIn(HOLE_FIGURES, answers)) as BoomHole;
    if (!hoist) {
      const made: Hoist = { id: uuid(), name: String(answers['name']), holes: [hole] };
      await this.put((gear) => ({ ...gear, hoists: [...gear.hoists, made] }));
      return;
    }
    await this.changeHoles(hoist, (holes) =>
      // There is one hole at a reach: what is written down for it again is what holds.
      [...holes.filter(({ reachMm }) => reachMm !== before?.reachMm && reachMm !== hole.reachMm), hole].sort(
        (one, other) => one.reachMm - other.reachMm,
      ),
    );
  }

  protected async holeAway(hoist: Hoist, hole: BoomHole): Promise<void> {
    if (hoist.holes.length > 1)
      return this.changeHoles(hoist, (holes) => holes.filter(({ reachMm }) => reachMm !== hole.reachMm));
    return this.put((gear) => ({ ...gear, hoists: gear.hoists.filter(({ id }) => id !== hoist.id) }));
  }

  private changeHoles({ id }: Hoist, change: (holes: readonly BoomHole[]) => readonly BoomHole[]): Promise<void> {
    return this.put((gear) => ({
      ...gear,
      hoists: gear.hoists.map((each) => (each.id === id ? { ...each, holes: change(each.holes) } : each)),
    }));
  }

  /** Writes what passes for gear; what does not is told in words, and nothing is written. */
  private put(change: (gear: LiftingGear) => object): Promise<void> {
    return this.shed.change((gear) => liftingGearSchema.validateSync(change(gear)));
  }
}
