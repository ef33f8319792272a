import { openView } from '../../../testing/open-job';
import { Ask } from '../../ui/ask';
import type { Answers } from '../../ui/asking';
import { Wrenches } from './wrenches';

const asked = (answers: Answers) =>
  openView(Wrenches, [], undefined, {
    providers: [{ provide: Ask, useValue: { ask: () => Promise.resolve(answers) } }],
  });

describe('the torque wrenches of the shop', () => {
  it('are written down as they are printed, with handle and day', async () => {
    const view = await asked({
      name: 'The long one',
      lowestNm: 60,
      highestNm: 340,
      handleMm: 520,
      calibratedOn: '2019-01-10',
    });
    expect(view.text()).toContain('1/2 in, 40–330 N·m');
    await view.press('Another wrench');
    await view.settle();
    expect(view.server.wrenches.document.wrenches.at(-1)).toMatchObject({
      name: 'The long one',
      lowestNm: 60,
      highestNm: 340,
      handleMm: 520,
      calibratedOn: '2019-01-10',
    });
    expect(view.text()).toContain('60 to 340 N·m · handle 520 mm · calibrated on 2019-01-10, 0 uses since');
    expect(view.text()).toContain('Overdue for calibration');
    await view.press('Take away The long one');
    await view.settle();
    expect(view.text()).not.toContain('The long one');
  });

  it('are not one whose range is upside down: that is told, and nothing is written', async () => {
    const view = await asked({ name: 'Backwards', lowestNm: 300, highestNm: 60, handleMm: '', calibratedOn: '' });
    await view.press('Another wrench');
    await view.settle();
    expect(view.text()).toContain('The highest it reads has to be above the lowest.');
    expect(view.server.wrenches.revision).toBe(0);
  });

  it('have their adapters, and one wrench stays', async () => {
    const view = await asked({ name: 'Crow’s foot 17', lengthMm: 42 });
    await view.press('Another adapter');
    await view.settle();
    expect(view.server.wrenches.document.adapters).toMatchObject([{ name: 'Crow’s foot 17', lengthMm: 42 }]);
    for (const { name } of view.server.wrenches.document.wrenches) {
      await view.press(`Take away ${name}`);
      await view.settle();
    }
    expect(view.server.wrenches.document.wrenches).toHaveLength(1);
    expect(view.text()).toMatch(/list of wrenches/i);
  });
});
