import { gateOf } from '@brisk/core/ledger';
import { hangsFree } from '@brisk/core/lift';
import { simulatedScale, type ScaleMode, type ScaleReading } from '@brisk/core/rigging';
import { Observable, Subject } from 'rxjs';
import { LineTrouble } from '../../planning/reading-line';
import { ScaleLine } from '../../planning/scale-line';
import { Ask } from '../../ui/ask';
import { openView, workedUntil } from '../../../testing/open-job';
import { HoldActions } from '../../working-step/hold-actions';
import { LoadWatch } from './load-watch';

const hanging = workedUntil((state) => gateOf(state, 'pre-lift').signed !== undefined);
const opened = (answers: object, line?: object) =>
  openView(LoadWatch, hanging, (desk) => ({ state: desk.state() }), {
    providers: [
      HoldActions,
      { provide: Ask, useValue: { ask: () => Promise.resolve(answers) } },
      ...(line ? [{ provide: ScaleLine, useValue: line }] : []),
    ],
  });

/** A scale that has sent so many readings already, and sends no more. */
const scaleAfter = (count: number) => ({
  readings: (massKg: number, mode: ScaleMode) =>
    new Observable<ScaleReading>((listener) => {
      const scale = simulatedScale(massKg, mode, 3);
      for (let sent = 0; sent < count; sent += 1) listener.next(scale.next().value);
    }),
});

describe('the load, watched', () => {
  it('says what should hang until somebody reads the scale', async () => {
    const view = await opened({ kg: 320, lagging: 'none' });
    expect(view.text()).toMatch(/\d+ kg at most, as it comes off its mounts/);
    await view.press('Read the crane scale');
    await view.settle();
    expect(view.text()).toContain('320 of');
    expect(view.text()).toContain('About what should hang.');
    expect(view.element.querySelectorAll('li')).toHaveLength(0);
  });

  it('stops where less than all of it hangs once it has come free', async () => {
    const free = workedUntil((state) => hangsFree(state));
    const view = await openView(LoadWatch, free, (desk) => ({ state: desk.state() }), {
      providers: [
        HoldActions,
        { provide: Ask, useValue: { ask: () => Promise.resolve({ kg: 120, lagging: 'none' }) } },
      ],
    });
    expect(view.text()).toMatch(/\d+ kg should hang/);
    await view.press('Read the crane scale');
    await view.settle();
    expect(view.text()).toContain('Less than hangs on it: it rests on something.');
  });

  it('stops when the scale runs ahead, and says what is most likely still on', async () => {
    const view = await opened({ kg: 470, lagging: 'left' });
    await view.press('Read the crane scale');
    await view.settle();
    expect(view.text()).toContain('Stop and let it down. Far more than hangs on it: something holds fast.');
    expect(view.element.querySelectorAll('li')).toHaveLength(6);
    expect(view.text()).toMatch(/Recorded as off\. /);
    expect(view.desk.state()?.loads.at(-1)).toMatchObject({ kg: 470, lagging: 'left' });
  });

  it('puts a suspect on the map as found once somebody sees that it holds', async () => {
    const answers = {
      kg: 470,
      lagging: 'none',
      name: 'the ground strap behind the head',
      kind: 'ground',
      from: 'engine',
      to: 'body',
      station: 'bay-top',
      height: 'either',
    };
    const view = await opened(answers);
    await view.press('Read the crane scale');
    await view.settle();
    const before = view.desk.state()?.found.length;
    const key = view.element.querySelector<HTMLButtonElement>('li button[aria-label^="It is this"]');
    const name = (key?.getAttribute('aria-label') ?? '').replace('It is this: ', '');
    key?.click();
    await view.settle();
    // It is on the map: it is opened once more, and the way back does not ask for a second one.
    expect(view.server.entries.at(-1)).toMatchObject({ kind: 'found-still-on' });
    expect(view.desk.state()?.found).toHaveLength(before ?? 0);
    expect(view.text()).toContain('By the record it is still on.');
    expect(view.text().toLowerCase()).toContain(name.toLowerCase());
    await view.press('It is something else: put it on the map');
    await view.settle();
    expect(view.desk.state()?.found.map((found) => found.name)).toContain('the ground strap behind the head');
  });
});

describe('the simulated scale', () => {
  it('is read live, and what it reads is written down', async () => {
    const view = await opened({}, scaleAfter(50));
    await view.press('Simulated scale');
    await view.press('Comes up even');
    expect(view.text()).toContain('About what should hang.');
    await view.press('Write this down');
    await view.settle();
    expect(view.desk.state()?.loads).toHaveLength(1);
    await view.press('Switch it off');
    expect(view.element.querySelector('.live')).toBeNull();
  });

  it('stops loudly when something snags, and names what may hold', async () => {
    const view = await opened({}, scaleAfter(70));
    await view.press('Simulated scale');
    await view.press('Something snags');
    expect(view.element.querySelector('.live.stop [role=alert]')?.textContent).toMatch(/^Stop/);
    expect(view.element.querySelectorAll('li').length).toBeGreaterThan(3);
  });

  it('tells a scale that sticks from a load that hangs', async () => {
    const view = await opened({}, scaleAfter(75));
    await view.press('Simulated scale');
    await view.press('The scale sticks');
    expect(view.text()).toContain('the scale sticks. Stop until it reads again.');
  });

  it('says so when it stops, and the rest still works', async () => {
    const line = new Subject<ScaleReading>();
    const view = await opened({ kg: 320, lagging: 'none' }, { readings: () => line });
    await view.press('Simulated scale');
    await view.press('Comes up even');
    line.error(new LineTrouble('The scale sends nothing any more. Stop until it reads again.'));
    await view.settle();
    expect(view.text()).toContain('The scale sends nothing any more.');
    await view.press('Read the crane scale');
    await view.settle();
    expect(view.text()).toContain('320 of');
  });
});
