import { TestBed } from '@angular/core/testing';
import { FakeServer } from '../../testing/fake-server';
import { testJob } from '../../testing/test-job';
import { jobProviders, tick } from '../../testing/open-job';
import { AtTheJob } from './at-the-job';
import { Awake } from './awake';
import { Desk } from './desk';
import { Person } from './person';

const OTHER = '00000000-0000-4000-8000-00000000000a';
const STEP = 'open:battery-negative';

async function open() {
  const server = new FakeServer();
  TestBed.configureTestingModule({ providers: [...jobProviders(server), Awake] });
  const at = TestBed.inject(AtTheJob);
  const desk = TestBed.inject(Desk);
  desk.open(testJob.id);
  await tick();
  TestBed.tick();
  return { server, at, desk };
}

describe('who is at the job', () => {
  it('is said with the step in hand, when it changes, and not twice', async () => {
    const { server, at } = await open();
    at.step.set(STEP);
    TestBed.tick();
    TestBed.tick();
    TestBed.inject(Person).choose('Tobias');
    TestBed.tick();
    expect(server.said.map(({ by, step }) => [by, step])).toEqual([
      ['Ines', undefined],
      ['Ines', STEP],
      ['Tobias', STEP],
    ]);
  });

  it('is told of the others by what their step says, and not of oneself', async () => {
    const { server, at } = await open();
    const here = [
      { page: OTHER, by: 'Tobias', step: STEP },
      { page: server.said[0]?.page ?? '', by: 'Ruth' },
      { page: OTHER, by: 'Ines', step: STEP },
    ];
    server.rings.next({ position: 0, revision: 1, here });
    expect(at.others()).toEqual([{ by: 'Tobias', step: STEP, title: 'Unbolt the battery negative lead' }]);
    server.rings.next('lost');
    expect(at.others()).toEqual([]);
  });
});

describe('the screen', () => {
  it('stays on while a step is in hand', async () => {
    const release = jest.fn(() => Promise.resolve());
    const request = jest.fn(() => Promise.resolve({ released: false, release }));
    Object.assign(navigator, { wakeLock: { request } });
    const { at } = await open();
    TestBed.inject(Awake);
    at.step.set(STEP);
    TestBed.tick();
    await tick();
    expect(request).toHaveBeenCalledTimes(1);
    at.step.set(undefined);
    TestBed.tick();
    await tick();
    expect(release).toHaveBeenCalled();
    Reflect.deleteProperty(navigator, 'wakeLock');
  });
});
