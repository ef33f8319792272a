import type { Pose } from '@brisk/core/clearance';
import type { Move, MoveKind } from '@brisk/core/lift';
import { FIRST_GEAR } from '@brisk/core/rigging';
import { map, of, throwError } from 'rxjs';
import { GearShed } from '../../planning/gear-shed';
import { openView, type } from '../../../testing/open-job';
import { theirEntry } from '../../../testing/test-job';
import { OwnThreadWay } from '../../../testing/own-thread-way';
import { WaySearch } from '../../planning/way-search';
import type { AskedWay } from '../../planning/way.worker';
import { LiftWay } from './lift-way';

/** Holds a tape to `plane` and writes what it gives. */
async function tape(view: Awaited<ReturnType<typeof openView<LiftWay>>>, plane: string, mm: string): Promise<void> {
  await view.press(`Measure: ${plane}`);
  type(view.element, 'mm', mm);
  await view.press('Measured');
  await view.settle();
}

describe('the way through', () => {
  it('says how tight it is and where, how sure that is, and which moves it takes', async () => {
    const view = await openView(LiftWay);
    expect(view.text()).not.toContain('Nobody lifts like that');
    expect(view.text()).toMatch(/\d+ mm at the tightest|It does not go/);
    expect(view.text()).toMatch(/at the .+, \d+ mm up/);
    expect(view.text()).toMatch(/Not measured yet: it may be \d+ mm nearer/);
    expect(view.element.querySelectorAll('.moves li').length).toBeGreaterThan(3);
    expect(view.text()).toMatch(/look at .+ and .+, \d+ mm/);
    expect(view.element.querySelector('svg[role=img]')?.getAttribute('aria-label')).toMatch(/^The bay from the side/);
  });

  it('goes move by move, and shows what is nearest meanwhile', async () => {
    const view = await openView(LiftWay);
    const nearest = () => view.element.querySelector('.near')?.textContent;
    const seated = nearest();
    await view.press('Next move');
    expect(view.element.querySelectorAll('.moves .now')).toHaveLength(1);
    expect(nearest()).not.toBe(seated);
    await view.press('Back');
    expect(nearest()).toBe(seated);
    await view.press('From above');
    expect(view.element.querySelector('svg[role=img]')?.getAttribute('aria-label')).toMatch(/from above/);
  });

  it('notes what a tape gives, and stretches the picture to it', async () => {
    const view = await openView(LiftWay);
    await view.press('Measure: bulkhead');
    // The picture shows from where to where the tape goes.
    expect(view.element.querySelector('svg .tape text')?.textContent).toMatch(/^usually \d+ mm$/);
    await view.press('Measure: bulkhead');
    expect(view.element.querySelector('svg .tape')).toBeNull();
    await tape(view, 'bulkhead', '401');
    expect(view.element.querySelector('svg .tape')).toBeNull();
    expect(view.desk.state()?.measured.get('bulkhead')).toBe(401);
    expect(view.text()).toContain('401 mm');
  });

  it('refuses a measurement that turns something inside out, in words, and keeps the rest', async () => {
    const view = await openView(LiftWay);
    await tape(view, 'front of the crank pulley', '12');
    expect(view.text()).toMatch(
      /12 mm to the front of the crank pulley would turn the .+ inside out: measure it again\./,
    );
    expect(view.desk.state()?.measured.size).toBe(0);
  });

  it('has the first answer and the refined one side by side, and says which one the lift goes by', async () => {
    const view = await openView(LiftWay);
    const answers = [...view.element.querySelectorAll('.answers button')].map((one) => one.textContent?.trim() ?? '');
    expect(answers).toHaveLength(2);
    for (const words of answers) expect(words).toMatch(/\d+ moves\s*\d+ mm (at the tightest|too tight)/);
    await view.press(/^First answer/);
    expect(view.text()).toContain('To look at only');
    expect(view.element.querySelectorAll('.moves li')).toHaveLength(Number(/\d+/.exec(answers[0] ?? '')?.[0]));
    await view.press(/^Refined/);
    expect(view.text()).not.toContain('To look at only');
  });

  it('says that it may touch where what nobody measured may take all its room', async () => {
    class Near extends OwnThreadWay {
      override find(asked: AskedWay) {
        return super
          .find(asked)
          .pipe(
            map((found) =>
              found.way && found.way !== 'none'
                ? { ...found, way: { ...found.way, clearanceMm: 4, onTheWayMm: 4 } }
                : found,
            ),
          );
      }
    }
    const view = await openView(LiftWay, [], undefined, { providers: [{ provide: WaySearch, useClass: Near }] });
    expect(view.text()).toMatch(/It may touch: 4 mm by what is usual, not measured/);
  });

  it('says so where by the measures things are in each other where they sit', async () => {
    const view = await openView(LiftWay, [
      theirEntry({ kind: 'machine-measured', plane: 'bulkhead', mm: 365 }),
      theirEntry({ kind: 'machine-measured', plane: 'cowl', mm: 800 }),
    ]);
    expect(view.text()).toMatch(/That cannot be/);
    expect(view.text()).toMatch(/By these measures the .+ is \d+ mm in the .+ where it sits/);
  });

  it('puts one more part off into the plan', async () => {
    class WithOffer extends OwnThreadWay {
      override find(asked: AskedWay) {
        const offer = {
          part: 'alternator',
          name: 'alternator',
          clearanceMm: 40,
          gainMm: 12,
          minutes: 26,
          putOff: false,
        };
        return of({ share: 1, way: 'none' as const, moves: [], fine: true, offers: asked.leg === 0 ? [offer] : [] });
      }
    }
    const view = await openView(LiftWay, [], undefined, { providers: [{ provide: WaySearch, useClass: WithOffer }] });
    expect(view.text()).toContain('No way out within the reach of the gear');
    expect(view.text()).toContain('+12 mm for 26 min, off and on again');
    await view.press('Take it off first');
    expect(view.server.plannings[0]?.plan.practice?.offFirst).toEqual(['alternator']);
  });

  it('is pushed aside where that gives room, in the moves and on the picture', async () => {
    class Pushed extends OwnThreadWay {
      override find(asked: AskedWay) {
        const at = { xMm: 0, zMm: 60, tiltDeg: 0 };
        const seat = { ...at, zMm: 0 };
        const move = (from: Pose, to: Pose, kind: MoveKind, amount: number): Move => ({
          parts: [{ kind, amount }],
          from,
          to,
          clearanceMm: 41,
          watch: [],
        });
        const high = { ...at, zMm: 600 };
        const moves = [move(seat, at, 'raise', 60), move(at, at, 'left', 30), move(at, high, 'raise', 540)];
        const aside = {
          yMm: 30,
          at,
          before: [seat, at],
          after: [at, high],
          meanwhileMm: 44,
          clearanceMm: 41,
          gainMm: 31,
        };
        return super.find(asked).pipe(map((found) => ({ ...found, aside: { ...aside, moves } })));
      }
    }
    const view = await openView(LiftWay, [], undefined, { providers: [{ provide: WaySearch, useClass: Pushed }] });
    expect(view.text()).toContain('Pushed 30 mm to the left once it is 60 mm up, level, it passes with 41 mm.');
    const drawn = () => view.element.querySelector('.pack .rim')?.getAttribute('d')?.split(' ')[1];
    await view.press('From above');
    await view.press('Push it aside');
    const before = drawn();
    expect(view.text()).toContain('Push it to the left 30 mm');
    await view.press('Next move');
    expect(drawn()).toBe(before);
    await view.press('Next move');
    expect(drawn()).not.toBe(before);
  });

  it('makes its moves the steps of the lift and of the way back', async () => {
    const roomy = { cowl: 1_000, radiator: 20, bulkhead: 420 } as const;
    const view = await openView(
      LiftWay,
      (['cowl', 'radiator', 'bulkhead'] as const).map((plane) =>
        theirEntry({ kind: 'machine-measured', plane, mm: roomy[plane] }),
      ),
    );
    const moves = view.element.querySelectorAll('.moves li').length;
    await view.press('Work by these moves');
    expect(view.text()).toContain('The lift goes by these moves, out and back.');
    const steps = [...(view.desk.state()?.work.operations.keys() ?? [])];
    expect(steps.filter((id) => id.startsWith('lift:move-'))).toHaveLength(moves);
    expect(steps.filter((id) => id.startsWith('lower:back-'))).toHaveLength(moves);
    expect(steps).toContain('lift:set-down');
    expect(steps).not.toContain('lift:clear-nose');
  });

  it('says so where no hoist of the shop reaches over it and is rated for it', async () => {
    const weak = { reachMm: 500, ratedKg: 100, lowestHookMm: 100, highestHookMm: 2_000 };
    const gear = { ...FIRST_GEAR, hoists: [{ id: 'weak', name: 'Weak', holes: [weak] }] };
    const view = await openView(LiftWay, [], undefined, {
      providers: [{ provide: GearShed, useValue: { gear: () => gear } }],
    });
    expect(view.text()).toContain('Nobody lifts like that: see the rig');
  });

  it('says so when the search breaks down', async () => {
    const broken = { find: () => throwError(() => new Error('The search stopped by itself.')) };
    const view = await openView(LiftWay, [], undefined, { providers: [{ provide: WaySearch, useValue: broken }] });
    expect(view.text()).toContain('The search stopped by itself.');
  });
});
