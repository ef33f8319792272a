import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { Job } from '@brisk/contracts/job';
import { compose, completed, templateOf } from '@brisk/core/layouts';
import { applyEdit } from '@brisk/core/map-edit';
import { testJob, theirEntry } from '../../../testing/test-job';
import { choose, field, find, openView, type, write } from '../../../testing/open-job';
import { Ask } from '../../ui/ask';
import { LookAgain } from './look-again';
import { MapDraft } from '../../planning/map-draft';
import { SurveyMap } from './survey-map';

/** The map as the survey stop has it around it, with the sums of what was changed. */
@Component({
  selector: 'bl-test-survey',
  imports: [LookAgain, SurveyMap],
  providers: [MapDraft],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<bl-look-again /><bl-survey-map />
    <p class="sum">{{ sum() }}</p>
    <button (click)="draft.keep()">Keep</button><button (click)="draft.undo()">Undo</button
    ><button (click)="draft.redo()">Redo</button>`,
})
class TestSurvey {
  readonly draft = inject(MapDraft);
  sum(): string {
    const effect = this.draft.effect();
    if (!effect) return 'nothing changed';
    return effect.workable
      ? `${effect.more.length} more, ${effect.less.length} less, ${effect.minutes} min`
      : effect.problems.map(({ words }) => words).join(' ');
  }
}

const answers: Record<string, string>[] = [];
const askStub = { provide: Ask, useValue: { ask: () => Promise.resolve(answers.shift()) } };
const open = (entries: Parameters<typeof openView>[1] = [], job?: Job) =>
  openView(TestSurvey, entries, () => ({}), { ...(job ? { job } : {}), providers: [askStub] });
type Opened = Awaited<ReturnType<typeof open>>;
const sum = ({ element }: Opened) => element.querySelector('.sum')?.textContent;
const rows = ({ element }: Opened) => element.querySelectorAll('.list .row').length;
async function tapOn(view: Opened, selector: string): Promise<void> {
  const target = view.element.querySelector(selector);
  if (!target) throw new Error(`Nothing at ${selector}`);
  target.dispatchEvent(new MouseEvent('click', { bubbles: true }));
  await view.settle();
}

beforeEach(() => {
  localStorage.clear();
  answers.length = 0;
});

describe('the map of a job', () => {
  it('lists what it draws: every connection, and how it stands', async () => {
    const view = await open([
      theirEntry({ kind: 'operation-done', operation: 'open:battery-negative' }),
      theirEntry({
        kind: 'connection-found',
        alreadyOpen: false,
        connection: {
          id: 'radio',
          name: 'a radio ground',
          kind: 'ground',
          between: ['engine', 'body'],
          station: 'bay-top',
          height: 'either',
        },
      }),
    ]);
    expect(rows(view)).toBe(testJob.plan.map.connections.length + 1);
    expect(view.text()).toContain('○ open');
    expect(view.text()).toContain('◌ found while working');
    expect(view.element.querySelectorAll('.part').length).toBeGreaterThan(15);
  });

  it('finds by name, part, kind and place, and draws the rest faint', async () => {
    const view = await open();
    write(field(view.element, 'Find'), 'heater');
    await view.settle();
    expect(rows(view)).toBe(3);
    expect(view.element.querySelectorAll('.mark.faint').length).toBeGreaterThan(10);
    write(field(view.element, 'Find'), 'nothing like it');
    await view.settle();
    expect(view.text()).toContain('Nothing on the map is like that.');
    await view.press('All again');
    expect(rows(view)).toBe(testJob.plan.map.connections.length);
  });

  it('shows what is tapped on the picture, by part and by bundle, seen from all sides', async () => {
    const view = await open();
    await tapOn(view, '[data-part=alternator]');
    expect(view.text()).toContain('At the alternator');
    expect(rows(view)).toBe(
      testJob.plan.map.connections.filter(({ between }) => between.includes('alternator')).length,
    );
    await view.press(/^Below/);
    await tapOn(view, '[data-bundle]');
    expect(rows(view)).toBeGreaterThan(0);
    await view.press('Show all');
    expect(rows(view)).toBe(testJob.plan.map.connections.length);
  });
});

describe('changing the map', () => {
  async function editHose(view: Opened): Promise<void> {
    await view.press(/^The upper radiator hose/);
    await view.press('Change');
  }

  it('shows what a change does to the work at once, and keeps it with the job when told to', async () => {
    const view = await open();
    expect(sum(view)).toBe('nothing changed');
    await editHose(view);
    type(view.element, 'out-likely', '9');
    await view.press('Change it');
    expect(sum(view)).toBe('0 more, 0 less, 5 min');
    await view.press('Keep');
    expect(sum(view)).toBe('nothing changed');
    const [planning] = view.server.plannings;
    expect(planning?.revision).toBe(1);
    expect(planning?.plan.map.connections.find(({ id }) => id === 'upper-hose')?.minutes.likely).toBe(9);
  });

  it('empties what is emptied: the fluid, the tip, the weight it carries; over a reload too', async () => {
    const { plan } = testJob;
    const change = { circuit: 'coolant', tip: 'Two clamps', carriesLoad: true } as const;
    const map = applyEdit(plan.map, { kind: 'change-connection', id: 'upper-hose', change });
    const view = await open([], { ...testJob, plan: { ...plan, map } });
    await editHose(view);
    await choose(view.fixture, 'Opens the circuit of', 'nothing');
    type(view.element, 'tip', '');
    await view.press(/^It carries the weight/);
    await view.press('Change it');
    const hose = (one: Opened) =>
      one.fixture.componentInstance.draft.map()?.connections.find(({ id }) => id === 'upper-hose');
    expect(hose(view)).toBeDefined();
    for (const one of Object.keys(change)) expect(hose(view)).not.toHaveProperty(one);
    TestBed.resetTestingModule();
    const again = await open([], { ...testJob, plan: { ...plan, map } });
    for (const one of Object.keys(change)) expect(hose(again)).not.toHaveProperty(one);
  });

  it('leaves as it was what no field shows: what it sets in motion, what holds it meanwhile, how the machine stands', async () => {
    const { plan } = testJob;
    const before = plan.map.connections.find(({ id }) => id === 'upper-hose');
    if (!before) throw new Error('The test job has lost its hose.');
    const unseen = { supportedBy: ['powerpack-supported'], height: 'ground' } as const;
    const change = {
      moves: ['crank'] as const,
      refit: { ...before.refit, ...unseen, torque: { targetNm: 4, height: 'ground' as const } },
    };
    const map = applyEdit(plan.map, { kind: 'change-connection', id: 'upper-hose', change });
    const view = await open([], { ...testJob, plan: { ...plan, map } });
    await editHose(view);
    type(view.element, 'out-likely', '9');
    await view.press('Change it');
    const hose = view.fixture.componentInstance.draft.map()?.connections.find(({ id }) => id === 'upper-hose');
    expect(hose).toMatchObject({
      minutes: { likely: 9 },
      moves: ['crank'],
      refit: { ...unseen, torque: { targetNm: 4, height: 'ground' } },
    });
  });

  it('says how a joint goes together and is set, and refuses stages that do not rise', async () => {
    const view = await open();
    await editHose(view);
    const hose = () => view.fixture.componentInstance.draft.map()?.connections.find(({ id }) => id === 'upper-hose');
    type(view.element, 'nm', '5');
    await choose(view.fixture, 'Set by trying', 'every gear');
    await view.settle();
    type(view.element, 'stages', '60 30 100');
    type(view.element, 'gears', 'P R N D');
    await view.press('Change it');
    expect(view.text()).toContain('Stages have to rise in percent and end with 100');
    type(view.element, 'stages', '40 100');
    await choose(view.fixture, 'Its thread goes together', 'threadlocker');
    await view.press('Each bolt is read by itself');
    await view.press('They lie in one line, as on a selector');
    await view.press('Change it');
    expect(hose()?.refit).toMatchObject({
      torque: { targetNm: 5, stages: [0.4, 1], thread: 'threadlocker', eachRead: true },
      adjust: { what: 'gears', gears: ['P', 'R', 'N', 'D'], inLine: true },
    });
    await editHose(view);
    await choose(view.fixture, 'Set by trying', 'nothing');
    await view.press('Each bolt is read by itself');
    await view.press('Change it');
    expect(hose()?.refit).not.toHaveProperty('adjust');
    expect(hose()?.refit.torque).not.toHaveProperty('eachRead');
  });

  it('deletes, and brings back with undo, and away again with redo', async () => {
    const view = await open();
    await editHose(view);
    await view.press('Delete');
    expect(sum(view)).toMatch(/^0 more, 2 less/);
    await view.press('Undo');
    expect(sum(view)).toBe('nothing changed');
    await view.press('Redo');
    expect(sum(view)).toMatch(/2 less/);
  });

  it('adds a connection, with what has to be off first picked on the map', async () => {
    const view = await open();
    await view.press('Add a connection');
    type(view.element, 'name', 'the radio ground');
    await find(view.fixture, 'From', 'engine');
    await find(view.fixture, 'To', 'body');
    await view.press('Pick on the map');
    answers.push({ why: 'It is under the cover.' });
    await tapOn(view, '[data-part=engine-cover]');
    expect(view.text()).toContain('the engine cover off: It is under the cover.');
    type(view.element, 'held', '2 × M8 nut');
    await view.press('Add it');
    expect(sum(view)).toMatch(/^2 more, 0 less/);
    await view.press('Keep');
    expect(view.server.plannings[0]?.plan.map.connections.at(-1)).toMatchObject({
      id: 'radio-ground',
      access: [{ removed: 'engine-cover', why: 'It is under the cover.' }],
      // By its name a ground, by that of the electrics, and reckoned like the other grounds of the map.
      kind: 'ground',
      system: 'electrics',
      fasteners: [{ count: 2, what: 'M8 nut' }],
    });
  });

  it('says what is wrong with a part that nothing holds, where it is, and does not keep it', async () => {
    const view = await open();
    await view.press('Add a part');
    type(view.element, 'name', 'vacuum reservoir');
    await view.press('Add it');
    expect(sum(view)).toContain('Nothing holds the vacuum reservoir.');
    // What ties it is asked next, from the part that was just added.
    expect(view.text()).toContain('A connection more');
    type(view.element, 'name', 'the reservoir bolts');
    await view.press('Add it');
    expect(sum(view)).not.toContain('Nothing holds');
    expect(view.fixture.componentInstance.draft.map()?.connections.at(-1)?.between).toEqual([
      'vacuum-reservoir',
      'body',
    ]);
  });

  it('asks about a hose at a loom, and leaves the form as it is where it is not meant', async () => {
    const view = await open();
    const electric = testJob.plan.map.parts.find(({ system }) => system === 'electrics')?.name ?? '';
    await view.press('Add a connection');
    type(view.element, 'name', 'the odd hose');
    await find(view.fixture, 'From', 'engine');
    await find(view.fixture, 'To', electric);
    await view.press('Add it');
    await view.settle();
    expect(sum(view)).toBe('nothing changed');
    answers.push({});
    await view.press('Add it');
    await view.settle();
    expect(view.fixture.componentInstance.draft.map()?.connections.at(-1)?.name).toBe('the odd hose');
  });

  it('says what is missing in a form and changes nothing', async () => {
    const view = await open();
    await view.press('Add a connection');
    await view.press('Add it');
    expect(view.text()).toContain('Name is missing.');
    expect(view.text()).toContain('Something is missing or not right');
    expect(sum(view)).toBe('nothing changed');
  });

  it('splits a connection and a part', async () => {
    const view = await open();
    await editHose(view);
    answers.push({ name: 'the bleed hose' });
    await view.press('Split');
    await view.settle();
    expect(sum(view)).toMatch(/^2 more/);
    await view.press('Show all');
    await tapOn(view, '[data-part=alternator]');
    await view.press('Change');
    await view.press('Split');
    type(view.element, 'second', 'alternator bracket');
    await view.settle();
    await view.press('Split it');
    expect(view.text()).toContain('alternator bracket');
  });

  it('refuses to delete what comes out, with the reason', async () => {
    const view = await open();
    await tapOn(view, '[data-part=engine]');
    await view.press('Change');
    await view.press(/^Delete, with/);
    expect(sum(view)).toBe('nothing changed');
  });

  it('stands on top of what somebody else kept meanwhile, and loses neither', async () => {
    const view = await open();
    await editHose(view);
    await view.press('Delete');
    expect(localStorage.getItem(`brisk-ledger map ${testJob.id}`)).toContain('upper-hose');
    const { plan } = view.server.opened;
    const theirs = applyEdit(plan.map, { kind: 'remove-connection', id: 'breather-hose' });
    view.server.opened = { ...view.server.opened, revision: 4, plan: { ...plan, map: theirs } };
    await view.press('Keep');
    await view.settle();
    expect(view.server.plannings).toEqual([]);
    expect(sum(view)).toMatch(/2 less/);
    await view.press('Keep');
    await view.settle();
    const kept = view.server.plannings[0]?.plan.map.connections.map(({ id }) => id);
    expect(kept).not.toContain('upper-hose');
    expect(kept).not.toContain('breather-hose');
    expect(localStorage.getItem(`brisk-ledger map ${testJob.id}`)).toBeNull();
  });

  it('says which change cannot be made any more, because somebody else took the thing away', async () => {
    const view = await open();
    await editHose(view);
    type(view.element, 'out-likely', '9');
    await view.press('Change it');
    const { plan } = view.server.opened;
    const theirs = applyEdit(plan.map, { kind: 'remove-connection', id: 'upper-hose' });
    view.server.opened = { ...view.server.opened, revision: 2, plan: { ...plan, map: theirs } };
    await view.press('Keep');
    await view.settle();
    expect(view.fixture.componentInstance.draft.failed()).toEqual([
      'Change the upper radiator hose at the thermostat: There is no connection “upper-hose” on the map.',
    ]);
  });

  it('takes up what this device kept, and nothing that is none', async () => {
    localStorage.setItem(
      `brisk-ledger map ${testJob.id}`,
      '[{"edit":{"kind":"remove-connection","id":"upper-hose"},"words":"Delete"}]',
    );
    expect(sum(await open())).toMatch(/2 less/);
    TestBed.resetTestingModule();
    localStorage.setItem(`brisk-ledger map ${testJob.id}`, '{"map":7');
    expect(sum(await open())).toBe('nothing changed');
  });
});

describe('what goes back into the shop’s own maps', () => {
  it('is the map with what was found while working', async () => {
    const view = await open([
      theirEntry({
        kind: 'connection-found',
        alreadyOpen: false,
        connection: {
          id: 'radio',
          name: 'a radio ground',
          kind: 'ground',
          between: ['engine', 'body'],
          station: 'bay-top',
          height: 'either',
        },
      }),
    ]);
    expect(view.text()).toContain('1 connection found while working go along.');
    answers.push({ name: 'Tern as we know it' });
    await view.press('Keep as the shop’s own map');
    await view.settle();
    const [kept] = view.server.kept.values();
    expect(kept?.document.map.connections.at(-1)?.id).toBe('radio');
    expect(view.text()).toContain('Kept as “Tern as we know it”.');
  });

  it('goes into the map the job began from, over its newest revision', async () => {
    const survey = { layout: 'longitudinal-automatic', template: 'tern', choices: {} };
    const view = await open([], { ...testJob, survey });
    view.server.kept.set('tern', {
      revision: 3,
      updatedAt: '',
      document: { id: 'tern', name: 'Tern', layout: survey.layout, choices: {}, map: testJob.plan.map },
    });
    await view.press(/Put our changes/);
    await view.settle();
    expect(view.server.kept.get('tern')?.revision).toBe(4);
  });
});

describe('what nobody knew', () => {
  const template = templateOf('transverse-cradle');
  const choices = completed(template, { oilCooler: 'yes' }) as Readonly<Record<string, string>>;
  const job: Job = {
    ...testJob,
    survey: { layout: template.layout, choices },
    plan: {
      map: compose(template, { oilCooler: 'yes' }),
      powerpack: 'cradle',
      route: 'under',
      lookAt: [{ about: 'oilCooler', question: 'Is there an oil cooler?', taken: 'Yes' }],
    },
  };

  it('is answered on the survey, and the map follows', async () => {
    const view = await open([], job);
    expect(view.text()).toContain('Somebody look: Is there an oil cooler?');
    await view.press('No');
    await view.settle();
    const [planning] = view.server.plannings;
    expect(planning?.plan.lookAt).toEqual([]);
    expect(planning?.survey?.choices['oilCooler']).toBe('no');
    expect(planning?.plan.map.parts.map(({ id }) => id)).not.toContain('oil-cooler');
    expect(view.text()).not.toContain('Somebody look');
  });

  it('stays on the map when it is as it was taken', async () => {
    const view = await open([], job);
    await view.press('Yes, as taken');
    await view.settle();
    expect(view.server.plannings[0]?.plan.map).toEqual(job.plan.map);
  });
});
