import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { TestBed } from '@angular/core/testing';
import { MatMenuItemHarness } from '@angular/material/menu/testing';
import { isAway, isDone, stopOf } from '@brisk/core/ledger';
import { StepCard } from './step-card';
import { HoldLine } from './hold-line';
import { JourneyRail } from './journey-rail';
import { BayHere } from '../map/bay-here';
import { theirEntry } from '../../testing/test-job';
import { openView, pressable, tick, wordsOf, workedUntil } from '../../testing/open-job';

const around = (desk: { job: () => unknown; state: () => unknown }) => ({ job: desk.job(), state: desk.state() });

describe('the journey rail', () => {
  it('has eight stops, each saying what it waits for, and shows where the job is', async () => {
    const view = await openView(
      JourneyRail,
      workedUntil((state) => isDone(state, 'open:battery-negative')),
      around,
    );
    const stops = [...view.element.querySelectorAll('li')];
    expect(stops).toHaveLength(8);
    expect(view.element.querySelector('[aria-current=step] .name')?.textContent).toBe('Strip');
    expect(wordsOf(stops[1] as Element)).toBe('Plan grouped by place');
    expect(wordsOf(stops[2] as Element)).toMatch(/Strip \d+ steps left/);
    expect(wordsOf(stops[3] as Element)).toContain('55 still hold it');
    expect(stops.map((stop) => stop.classList.contains('past'))).toEqual([
      true,
      true,
      false,
      false,
      false,
      false,
      false,
      false,
    ]);
  });
});

describe('the hold line', () => {
  it('tells what still holds it by name, and what is in force', async () => {
    const view = await openView(
      HoldLine,
      workedUntil((state) => isDone(state, 'open:battery-negative')),
      around,
    );
    expect(view.text()).toContain('55 still hold it');
    expect(view.text()).toContain('Battery isolated');
    expect(view.text()).toContain('On its wheels');
    await view.press(/55.*still hold it/);
    const sheet = () => wordsOf(document.querySelector('bl-held-sheet') ?? document.createElement('p'));
    expect(sheet()).toContain('The gearbox ground strap Underneath');
    pressable(document, 'Close').click();
    await tick(400);
    await view.settle();
    expect(sheet()).toBe('');
  });

  it('speaks of what is still open on the way back', async () => {
    const view = await openView(
      HoldLine,
      workedUntil((state) => stopOf(state) === 'refit'),
      around,
    );
    expect(view.text()).toMatch(/\d+ still open/);
  });

  it('counts stuck steps as issues', async () => {
    const stuck = theirEntry({
      kind: 'operation-stuck',
      operation: 'open:starter-cable',
      trouble: 'seized',
      tried: 'heat',
      minutesLost: 5,
    });
    const view = await openView(HoldLine, [stuck], around);
    await view.press('1 issue');
    expect(wordsOf(document.body)).toContain('Stuck: Unbolt the battery cable at the starter');
  });

  it('says what is kept while the server is gone', async () => {
    const view = await openView(HoldLine, [], around);
    view.server.reachable = false;
    view.desk.record({ kind: 'noted', text: 'x' });
    await view.settle();
    expect(view.text()).toContain('Server not reached. 1 kept on this device. Trying again.');
  });

  it('lets somebody else pick up the tablet', async () => {
    const view = await openView(HoldLine, [], around);
    await view.press('Who is recording: Ines');
    const crew = await TestbedHarnessEnvironment.documentRootLoader(view.fixture).getHarness(
      MatMenuItemHarness.with({ text: 'Tobias' }),
    );
    await crew.click();
    view.desk.record({ kind: 'noted', text: 'x' });
    await view.settle();
    expect(view.server.entries[0]?.by).toBe('Tobias');
  });
});

describe('the bench card', () => {
  const card = (step: string, entries = workedUntil(() => true)) =>
    openView(StepCard, entries, (desk) => ({ state: desk.state(), step }));

  it('explains a step: why it is there, what it waits for, what waits for it', async () => {
    const view = await card('open:downpipe-turbo');
    for (const part of [
      'It ties the powerpack to what stays.',
      'The heat shield covers the exhaust nuts.',
      'What if it were done now?',
      '3 × M8 copper nut, 13 mm, single use',
      'Torque 24 N·m',
    ])
      expect(view.text()).toContain(part);
    expect(view.text()).toMatch(/Waits for \d+/);
    expect(view.text()).toMatch(/\d+ wait for it/);
  });

  it('says who did it, with bag and tag', async () => {
    const entries = [
      theirEntry({
        kind: 'fasteners-counted',
        connection: 'battery-negative',
        direction: 'out',
        count: 1,
        bag: 9,
        note: 'clamp is worn',
      }),
      theirEntry({ kind: 'tagged', connection: 'battery-negative', tag: 4 }),
      theirEntry({ kind: 'operation-done', operation: 'open:battery-negative' }),
    ];
    const view = await card('open:battery-negative', entries);
    expect(view.text()).toMatch(/Done by Tobias, 2 Mar \d\d:\d\d/);
    expect(view.text()).toContain('Bag 9: 1 out');
    expect(view.text()).toContain('clamp is worn');
    expect(view.text()).toContain('Tag 4 on both halves');
  });

  it('says what a stuck step met', async () => {
    const stuck = theirEntry({
      kind: 'operation-stuck',
      operation: 'open:starter-cable',
      trouble: 'rounded',
      tried: 'Extractor',
      minutesLost: 12,
    });
    expect((await card('open:starter-cable', [stuck])).text()).toContain(
      'Stuck: rounded off. Tried: Extractor. 12 min lost',
    );
  });

  it('does not break on a step that is no more', async () => {
    expect((await card('open:ghost')).text()).toContain('no such step');
  });
});

describe('the bay picture', () => {
  const shown = async (connections: readonly string[], station?: string) => {
    const view = await openView(BayHere, [], (desk) => ({
      state: desk.state(),
      connections: connections.map((id) => desk.state()?.work.connections.get(id)),
      ...(station ? { station } : {}),
    }));
    const marks = [...view.element.querySelectorAll('.mark')].map((mark) =>
      (mark.getAttribute('transform')?.match(/-?\d+(\.\d+)?/g) ?? []).map(Number),
    );
    return { view, marks, says: view.element.querySelector('svg')?.getAttribute('aria-label') };
  };

  it('marks connections where they join, seen from where one stands, and says the same in words', async () => {
    const { view, marks, says } = await shown(['upper-hose', 'prop-front'], 'front');
    expect(marks).toHaveLength(2);
    const along = marks.map(([u]) => u ?? 0);
    expect(Math.max(...along) - Math.min(...along)).toBeGreaterThan(900);
    expect(says).toContain('seen from above, nose to the left');
    expect(view.text()).toContain('In front, seen from above');
  });

  it('draws what comes off meanwhile as its rim', async () => {
    const { view } = await shown(['upper-hose']);
    const isRim = (part: string) =>
      view.element.querySelector(`[data-part=${part}]`)?.classList.contains('rim-only') ?? 'not drawn';
    expect(isRim('radiator')).toBe(false);
    const state = view.desk.state();
    const progress = new Map(state?.progress).set('remove:radiator', { is: 'done', at: '', by: '' } as never);
    view.fixture.componentRef.setInput('state', { ...state, progress });
    view.fixture.detectChanges();
    expect(isRim('radiator')).toBe(true);
  });

  it('shows the powerpack on the bench by itself, and the bay without it', async () => {
    const out = workedUntil((state) => isAway(state));
    const drawnAt = async (station: string) => {
      const view = await openView(BayHere, out, (desk) => ({
        state: desk.state(),
        connections: ['bell-bolts', 'bell-housing'].flatMap((id) => desk.state()?.work.connections.get(id) ?? []),
        station,
      }));
      const solid = [...view.element.querySelectorAll('[data-part]:not(.rim-only)')];
      TestBed.resetTestingModule();
      return solid.map((part) => part.getAttribute('data-part'));
    };
    const bench = await drawnAt('bench');
    expect(bench).toContain('engine');
    expect(bench).not.toContain('radiator');
    expect(await drawnAt('front')).not.toContain('engine');
  });

  it('tells left from right at the mounts', async () => {
    const { marks } = await shown(['mount-left', 'mount-right']);
    const [left, right] = marks.map(([, v]) => v ?? 0);
    expect(left).toBeGreaterThan(100);
    expect(right).toBeLessThan(-100);
  });
});
