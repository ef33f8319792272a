import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { RouterTestingHarness } from '@angular/router/testing';
import { jobCode } from '@brisk/core/labels';
import { FakeServer } from '../../../testing/fake-server';
import { testJob, theirEntry } from '../../../testing/test-job';
import { tick, type, wordsOf } from '../../../testing/open-job';
import { LabelLanding } from '../label-landing/label-landing';
import { Api } from '../../api/api';
import { provideHttpClient } from '@angular/common/http';
import { withComponentInputBinding } from '@angular/router';
import { Find } from './find';
import { stillAndPlain } from '../../../testing/still-and-plain';

async function at(address: string, server: FakeServer) {
  TestBed.configureTestingModule({
    providers: [
      stillAndPlain,
      { provide: Api, useValue: server },
      provideHttpClient(),
      provideRouter(
        [
          { path: 'find', component: Find },
          { path: 't/:code/:number', component: LabelLanding, data: { is: 'tag' } },
          { path: 't/:number', component: LabelLanding, data: { is: 'tag' } },
          { path: '**', children: [] },
        ],
        withComponentInputBinding(),
      ),
    ],
  });
  const harness = await RouterTestingHarness.create(address);
  await tick(260);
  await harness.fixture.whenStable();
  const element = harness.routeNativeElement ?? document.body;
  return { harness, element, url: () => TestBed.inject(Router).url };
}

describe('find', () => {
  it('asks the server for what the address asks, and leads to the bag', async () => {
    const server = new FakeServer();
    server.hits = [
      {
        id: testJob.id,
        title: testJob.title,
        machine: testJob.machine,
        hits: [
          { is: 'joint', words: 'the starter', where: 'bag 9, 2 in it', connection: 'starter-bolts', bag: 9 },
          { is: 'note', words: 'Starter cable chafed', where: 'note by Ines' },
        ],
      },
    ];
    const { element, harness } = await at('/find?q=starter', server);
    expect(server.asked).toEqual(['starter']);
    expect(wordsOf(element)).toContain('9 The starter bag 9, 2 in it Joint');
    const links = [...element.querySelectorAll<HTMLAnchorElement>('li a')].map((link) => link.getAttribute('href'));
    expect(links).toEqual([`/jobs/${testJob.id}/bags/starter-bolts`, `/jobs/${testJob.id}/record`]);
    type(element, 'find', 'hose');
    await tick(300);
    await harness.fixture.whenStable();
    expect(server.asked.at(-1)).toBe('hose');
  });

  it('says so when nothing answers, and when the server does not', async () => {
    const server = new FakeServer();
    expect(wordsOf((await at('/find?q=unicorn', server)).element)).toContain('Nothing on any job answers that');
    TestBed.resetTestingModule();
    const gone = new FakeServer();
    gone.reachable = false;
    expect(wordsOf((await at('/find?q=x', gone)).element)).toContain('The server does not answer');
  });
});

describe('the code of a label', () => {
  it('leads to its joint on its job', async () => {
    const server = new FakeServer();
    server.entries = [theirEntry({ kind: 'tagged', connection: 'upper-hose', tag: 31 })];
    const { url } = await at(`/t/${jobCode(testJob.id)}/31`, server);
    expect(url()).toBe(`/jobs/${testJob.id}/bags/upper-hose`);
  });

  it('of a roll is looked for on every job; of another shop it is told', async () => {
    expect((await at('/t/117', new FakeServer())).url()).toBe('/find?q=tag%20117');
    TestBed.resetTestingModule();
    const { element } = await at('/t/00000000/3', new FakeServer());
    expect(wordsOf(element)).toContain('That label belongs to another shop.');
  });
});
