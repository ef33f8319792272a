import { FIRST_GEAR } from '@brisk/core/rigging';
import { openView } from '../../../testing/open-job';
import { Ask } from '../../ui/ask';
import type { Answers } from '../../ui/asking';
import { LiftGear } from './lift-gear';
import { LiftRig } from './lift-rig';

const answering = (answers: Answers) => ({ provide: Ask, useValue: { ask: () => Promise.resolve(answers) } });
const opened = (answers: Answers = {}) => openView(LiftGear, [], undefined, { providers: [answering(answers)] });

describe('the gear of the shop', () => {
  it('says that it is made up until the shop writes down its own', async () => {
    const view = await opened({ name: 'Red sling', ratedKg: 900, lengthMm: 1_500 });
    expect(view.text()).toContain('made up');
    expect(view.text()).toContain('reach 1060 mm, rated 750 kg');
    await view.press('Another sling');
    await view.settle();
    expect(view.text()).toContain('Red sling');
    expect(view.text()).not.toContain('made up');
    expect(view.server.gear.document.slings).toHaveLength(FIRST_GEAR.slings.length + 1);
  });

  it('changes and takes away what there is, and the rig is reckoned with it', async () => {
    const view = await opened({ reachMm: 1_340, ratedKg: 900, lowestHookMm: 140, highestHookMm: 2_720 });
    await view.press('Change the hole at 1340 mm');
    await view.settle();
    expect(view.text()).toContain('reach 1340 mm, rated 900 kg');
    await view.press('Take away Low dolly');
    await view.settle();
    expect(view.server.gear.document.dollies).toEqual([]);
    expect(view.text()).toContain('None written down');
  });

  it('refuses what cannot be in words, and writes nothing', async () => {
    const view = await opened({ name: 'Stand', ratedKg: 900, lowestMm: 600, highestMm: 300 });
    await view.press('Another stand');
    await view.settle();
    expect(view.text()).toContain('Its highest has to be above its lowest. Nothing was written.');
    expect(view.server.gear.document.stands).toEqual(FIRST_GEAR.stands);
  });

  it('keeps the last hoist: nothing is lifted without one', async () => {
    const view = await opened();
    for (const reach of [920, 1_060, 1_200, 1_340, 2_400]) {
      await view.press(`Take away the hole at ${reach} mm`);
      await view.settle();
    }
    expect(view.text()).toMatch(/Nothing was written/);
    expect(view.server.gear.document.hoists).toHaveLength(1);
  });
});

describe('the rig with the gear of the shop', () => {
  it('holds the slings of the shop against the pull of a leg', async () => {
    const view = await openView(LiftRig);
    expect(view.text()).toContain('Short chain leg');
    expect(view.text()).toMatch(/too short|long enough and rated for the pull/);
  });
});
