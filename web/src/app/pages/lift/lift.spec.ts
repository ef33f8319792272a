import { isDone, stopOf } from '@brisk/core/ledger';
import { openView, pressable, workedUntil } from '../../../testing/open-job';
import { theirEntry } from '../../../testing/test-job';
import { Lift } from './lift';

const stripped = workedUntil((state) => stopOf(state) === 'lift');

describe('the lift', () => {
  it('names everything that still holds it, and cannot be signed', async () => {
    const view = await openView(Lift);
    expect(view.element.querySelector('h1')?.textContent).toMatch(/55\s+still hold it/);
    expect(view.text()).toContain('The gearbox ground strap');
    expect(view.text()).toContain('carries the weight');
    expect((pressable(view.element, /missing/) as HTMLButtonElement).disabled).toBe(true);
  });

  it('offers to leave on purpose what carries no weight, and only that', async () => {
    const view = await openView(Lift);
    expect(pressable(view.element, 'Leave on purpose: the gearbox ground strap')).toBeTruthy();
    expect(() => pressable(view.element, 'Leave on purpose: the left engine mount')).toThrow();
  });

  it('tells what only drags a loose part along', async () => {
    const view = await openView(
      Lift,
      workedUntil((state) => isDone(state, 'open:radiator-brackets')),
    );
    expect(view.text()).toContain('In front, drags a loose part along');
  });

  it('goes on to the first step of the lift when nothing holds and it is signed', async () => {
    const view = await openView(Lift, stripped);
    expect(view.text()).toContain('Nothing on the map holds it');
    for (const box of view.element.querySelectorAll<HTMLInputElement>('mat-checkbox input')) box.click();
    await view.settle();
    await view.press('Sign as Ines');
    await view.settle();
    expect(view.text()).toContain('Raise 50 mm and look all round');
    // The scale stands under the cautions, and never before them.
    const watch = view.element.querySelector('bl-load-watch');
    const cautions = [...view.element.querySelectorAll('.hand .caution')];
    expect(watch).not.toBeNull();
    expect(cautions.length).toBeGreaterThan(0);
    for (const caution of cautions)
      expect(caution.compareDocumentPosition(watch as Node) & Node.DOCUMENT_POSITION_FOLLOWING).not.toBe(0);
  });

  it('shows what was left attached, with its reason', async () => {
    const left = theirEntry({
      kind: 'left-on-purpose',
      connection: 'gearbox-ground',
      reason: 'Long enough to come along',
    });
    const view = await openView(Lift, [left]);
    expect(view.text()).toContain('Left attached on purpose: The gearbox ground strap. Long enough to come along');
    expect(view.element.querySelector('h1')?.textContent).toContain('54');
  });

  it('says that it is out when it is', async () => {
    const view = await openView(
      Lift,
      workedUntil((state) => stopOf(state) === 'bench'),
    );
    expect(view.text()).toContain('It is out');
  });
});
