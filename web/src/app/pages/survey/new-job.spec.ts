import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { compose, templateOf, usualMap, type Choices } from '@brisk/core/layouts';
import { FakeServer } from '../../../testing/fake-server';
import { pressable, tick, type, wordsOf } from '../../../testing/open-job';
import { Api } from '../../api/api';
import { leastAnswers } from './least-answers';
import { NewJobView } from './new-job';
import { keepDraft, readDraft } from './survey-draft';
import { stillAndPlain } from '../../../testing/still-and-plain';

async function openSurvey(server = new FakeServer()) {
  TestBed.configureTestingModule({
    imports: [NewJobView],
    providers: [stillAndPlain, { provide: Api, useValue: server }, provideRouter([{ path: '**', children: [] }])],
  });
  const fixture = TestBed.createComponent(NewJobView);
  const element = fixture.nativeElement as HTMLElement;
  let taps = 0;
  const settle = async () => {
    fixture.detectChanges();
    await tick(5);
    fixture.detectChanges();
  };
  await settle();
  return {
    element,
    server,
    settle,
    taps: () => taps,
    text: () => wordsOf(element),
    tap: async (words: string | RegExp) => {
      pressable(element, words).click();
      taps += 1;
      await settle();
    },
    close: () => fixture.destroy(),
  };
}
type Survey = Awaited<ReturnType<typeof openSurvey>>;

/** Answers every question that is left with its first answer that can be. */
async function answerTheRest(survey: Survey): Promise<void> {
  for (;;) {
    const answer = survey.element.querySelector<HTMLElement>('.answers .answer:not([aria-disabled]):not(.way)');
    if (!answer) return;
    answer.click();
    await survey.settle();
  }
}
async function fillJob(survey: Survey): Promise<void> {
  type(survey.element, 'machine', ' Corvane Tug ');
  type(survey.element, 'title', 'Knocks');
  type(survey.element, 'crew', 'Ines,  Tobias , Ines,');
  await survey.settle();
}

beforeEach(() => sessionStorage.clear());

describe('the survey of a new machine', () => {
  it('asks one thing at a time, and begins a job within 25 taps', async () => {
    const survey = await openSurvey();
    await survey.tap(/Transverse front engine on a cradle, front drive/);
    for (const answer of [
      /Petrol, an injector for each port/,
      /Four in a row/,
      /It breathes by itself/,
      /^By wire/,
      /An electric motor/,
      /Compressor swung aside/,
      /^No\b/,
      /A cylinder and a line/,
      /Vacuum for a servo/,
      /^Yes/,
      /^No\b/,
      /^Yes/,
      /^No\b/,
      /^Yes/,
      /^Yes/,
      /Pulled out of the gearbox/,
    ])
      await survey.tap(answer);
    await survey.tap(/Whole cradle/);
    await fillJob(survey);
    await survey.tap(/Work out the plan/);
    expect(survey.taps()).toBeLessThanOrEqual(25);
    const [job] = survey.server.begun;
    expect(job).toMatchObject({
      machine: 'Corvane Tug',
      crew: ['Ines', 'Tobias'],
      layout: 'transverse-cradle',
      powerpack: 'cradle',
      route: 'under',
      unsure: [],
    });
    expect(job?.choices).toMatchObject({ fuel: 'petrol-port', driveshafts: 'hub-nuts', hybrid: 'no' });
    expect(() => compose(templateOf('transverse-cradle'), job?.choices as Choices)).not.toThrow();
    expect(TestBed.inject(Router).url).toMatch(/\/jobs\/.*\/plan/);
  });

  it('lets the map grow with the answers', async () => {
    const survey = await openSurvey();
    await survey.tap(/Longitudinal front engine, manual/);
    const size = () => Number(survey.element.querySelector('.so-far .figure')?.textContent);
    const before = size();
    await survey.tap(/Diesel, common rail/);
    const fuelled = size();
    await survey.tap(/Eight in a V/);
    expect(size()).toBeGreaterThan(fuelled);
    await survey.tap(/Turbocharger and charge cooler/);
    expect(fuelled).toBeGreaterThan(before);
    expect(size()).toBeGreaterThan(fuelled);
  });

  it('says why an answer cannot be, and does not take it', async () => {
    const survey = await openSurvey();
    await survey.tap(/Longitudinal front engine, manual/);
    await survey.tap(/Petrol, carburettor/);
    expect(survey.text()).not.toContain('Is there a turbocharger?');
    await survey.tap('Back');
    await survey.tap(/Petrol, direct injection/);
    await survey.tap(/Six in a row/);
    await survey.tap(/Turbocharger/);
    await survey.tap(/^By wire/);
    await survey.tap(/A pump on the engine/);
    await answerTheRest(survey);
    expect(survey.text()).toContain('What comes out, and which way?');
    expect(survey.text()).toContain('Split: gearbox down, engine up');
  });

  it('takes “don’t know” for an answer and keeps it with the job', async () => {
    const survey = await openSurvey();
    await survey.tap(/Small utility machine/);
    await survey.tap(/Petrol, carburettor/);
    while (!survey.text().includes('What comes out')) await survey.tap(/Don’t know/);
    await survey.tap(/Up off the deck/);
    expect(survey.text()).toContain('nobody knew: kept with the job, to be looked at.');
    await fillJob(survey);
    await survey.tap(/Work out the plan/);
    expect(survey.server.begun[0]?.unsure?.length).toBeGreaterThan(0);
    expect(survey.server.begun[0]?.choices).toMatchObject({ oilCooler: 'yes' });
  });

  it('stands where it stood after a reload, and forgets when the job has begun', async () => {
    const first = await openSurvey();
    await first.tap(/Transverse mid engine/);
    await first.tap(/Petrol, direct injection/);
    first.close();
    TestBed.resetTestingModule();
    const again = await openSurvey();
    expect(again.text()).toContain('How many cylinders');
    await answerTheRest(again);
    await again.tap(/Engine with gearbox/);
    await fillJob(again);
    await again.tap(/Work out the plan/);
    expect(again.server.begun[0]?.choices).toMatchObject({ fuel: 'petrol-direct' });
    expect(readDraft()).toBeUndefined();
  });

  it('does not trip over a draft that was spoiled', () => {
    for (const spoiled of ['{', 'null', '7', '{"layout":1}']) {
      sessionStorage.setItem('brisk-ledger survey', spoiled);
      expect(readDraft()).toBeUndefined();
    }
    keepDraft(undefined);
    expect(sessionStorage.length).toBe(0);
  });

  it('offers what the shop knows already, without questions', async () => {
    const server = new FakeServer();
    server.kept.set('tern', {
      revision: 2,
      updatedAt: '2026-03-02T09:00:00.000Z',
      document: {
        id: 'tern',
        name: 'Tern as we know it',
        layout: 'longitudinal-automatic',
        choices: {},
        map: usualMap('longitudinal-automatic'),
      },
    });
    const survey = await openSurvey(server);
    await survey.tap(/Tern as we know it/);
    expect(survey.text()).toContain('What comes out, and which way?');
    await survey.tap(/Bare engine/);
    await fillJob(survey);
    await survey.tap(/Work out the plan/);
    expect(server.begun[0]).toMatchObject({ template: 'tern', powerpack: 'engine', route: 'top-engine' });
    expect(server.begun[0]).not.toHaveProperty('choices');
  });

  it('forgets one of the shop’s own, and brings it back', async () => {
    const server = new FakeServer();
    const map = usualMap('utility-belt');
    server.kept.set('mower', {
      revision: 1,
      updatedAt: '',
      document: { id: 'mower', name: 'Mower', layout: map.layout, choices: {}, map },
    });
    const survey = await openSurvey(server);
    await survey.tap('Forget it: Mower');
    await survey.settle();
    expect(survey.text()).toContain('“Mower” is forgotten');
    expect(server.kept.size).toBe(0);
    await survey.tap('Undo');
    await survey.settle();
    expect(survey.text()).toContain('Or one the shop knows already');
  });

  it('says what is missing and begins nothing', async () => {
    const survey = await openSurvey();
    await survey.tap(/Small utility machine/);
    await answerTheRest(survey);
    await survey.tap(/Up off the deck/);
    await survey.tap(/Work out the plan/);
    for (const words of ['Machine is missing.', 'Job is missing.', 'Somebody has to be on it.'])
      expect(survey.text()).toContain(words);
    expect(survey.server.begun).toEqual([]);
  });

  it('keeps what was typed and the same id when the server is gone', async () => {
    const survey = await openSurvey();
    await survey.tap(/Small utility machine/);
    await answerTheRest(survey);
    await survey.tap(/Up off the deck/);
    await fillJob(survey);
    survey.server.reachable = false;
    await survey.tap(/Work out the plan/);
    expect(survey.text()).toContain('What you typed is still here.');
    survey.server.reachable = true;
    await survey.tap(/Work out the plan/);
    await survey.tap(/Work out the plan/);
    expect(new Set(survey.server.begun.map(({ id }) => id)).size).toBe(1);
  });

  it('begins its picture with the fewest connections a layout can have', () => {
    const template = templateOf('transverse-cradle');
    expect(leastAnswers(template)).toMatchObject({ refrigerant: 'none', oilCooler: 'no', hybrid: 'no' });
    expect(leastAnswers(template)).toBe(leastAnswers(template));
  });
});
