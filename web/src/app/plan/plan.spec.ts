import { openView, pressable, tick, workedUntil } from '../../testing/open-job';
import { isDone } from '@brisk/core/ledger';
import { Router } from '@angular/router';
import { TestBed } from '@angular/core/testing';
import { Plan } from './plan';
import { WaysOut } from './ways-out';

describe('the plan', () => {
  it('shows setups with where, how high, how long and what to carry', async () => {
    const view = await openView(Plan);
    const first = view.element.querySelector('.setup')?.textContent?.replace(/\s+/g, ' ') ?? '';
    for (const part of ['Over the bay, on its wheels', 'Take rags', 'Let the fuel pressure down', 'Sign: Made safe'])
      expect(first).toContain(part);
    expect(view.text()).toContain('102');
    expect(view.text()).toContain('▲ Raise the machine onto stands');
  });

  it('draws the machine’s height under the setups', async () => {
    const view = await openView(Plan);
    expect(view.element.querySelector('bl-height-line svg')?.getAttribute('aria-label')).toMatch(
      /setups, the machine moved up or down 1 times/,
    );
    expect(view.element.querySelectorAll('bl-height-line rect').length).toBe(
      view.element.querySelectorAll('.setup').length,
    );
  });

  it('shows the way back too', async () => {
    const view = await openView(Plan, [], () => ({ way: 'back' }));
    expect(view.text()).toContain('Sign: Ready to go back in');
    expect(view.text()).toContain('Torque the left engine mount');
    expect(view.text()).not.toContain('Let the fuel pressure down');
  });

  it('leaves out what is done', async () => {
    const view = await openView(
      Plan,
      workedUntil((state) => isDone(state, 'open:battery-negative')),
    );
    expect(view.text()).not.toContain('Unbolt the battery negative lead');
    expect(pressable(view.element, 'Go on stripping')).toBeTruthy();
  });

  it('puts the picked step into the address', async () => {
    const view = await openView(Plan);
    await view.press(/Unbolt the front pipe at the turbocharger/);
    await tick(20);
    expect(TestBed.inject(Router).url).toContain('step=open:downpipe-turbo');
  });
});

describe('ways out', () => {
  it('stand side by side, and another one is taken while nothing stands against it', async () => {
    const view = await openView(WaysOut);
    expect(view.text()).toContain('Gearbox alone Down and out below');
    expect(view.text()).toContain('this plan');
    const way = [...view.element.querySelectorAll('li')].find((row) => row.textContent?.includes('Gearbox alone'));
    (way?.querySelector('button') as HTMLButtonElement).click();
    await view.settle();
    expect(view.server.plannings[0]?.plan).toMatchObject({ powerpack: 'gearbox', route: 'under' });
  });

  it('say why it is too late for one', async () => {
    const view = await openView(
      WaysOut,
      workedUntil((state) => state.progress.has('open:upper-hose')),
    );
    expect(view.text()).toContain('recorded already; it has to stay in the plan.');
  });
});
