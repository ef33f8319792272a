import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { FakeServer } from '../../testing/fake-server';
import { openView, pressable, tick, type, wordsOf } from '../../testing/open-job';
import { Api } from '../server/api';
import { NewJobView } from './new-job';
import { Survey } from './survey';

async function openForm() {
  const server = new FakeServer();
  TestBed.configureTestingModule({
    imports: [NewJobView],
    providers: [{ provide: Api, useValue: server }, provideRouter([{ path: '**', children: [] }])],
  });
  const fixture = TestBed.createComponent(NewJobView);
  const element = fixture.nativeElement as HTMLElement;
  const settle = async () => {
    fixture.detectChanges();
    await tick(10);
    fixture.detectChanges();
  };
  await settle();
  return {
    element,
    server,
    settle,
    send: async () => {
      pressable(element, /Work out the plan/).click();
      await settle();
    },
    text: () => wordsOf(element),
  };
}

describe('the survey of a new job', () => {
  it('chooses the only layout by itself', async () => {
    const form = await openForm();
    const chosen = [...form.element.querySelectorAll('label:has(input:checked)')].map((label) => wordsOf(label));
    expect(chosen).toEqual([
      'The same one goes back',
      expect.stringContaining('Longitudinal front engine, automatic'),
      'Engine with gearbox',
      'Out of the top',
    ]);
  });

  it('says what is missing and begins nothing', async () => {
    const form = await openForm();
    await form.send();
    for (const words of ['Machine is missing.', 'Job is missing.', 'Crew is missing.'])
      expect(form.text()).toContain(words);
    expect(form.server.begun).toEqual([]);
  });

  it('begins a job with trimmed names and goes to its plan', async () => {
    const form = await openForm();
    type(form.element, 'machine', ' Corvane Tug ');
    type(form.element, 'title', 'Knocks');
    type(form.element, 'crew', 'Ines,  Tobias , Ines,');
    type(form.element, 'dueOn', '2026-12-01');
    await form.send();
    expect(form.server.begun).toEqual([
      expect.objectContaining({
        machine: 'Corvane Tug',
        title: 'Knocks',
        crew: ['Ines', 'Tobias'],
        dueOn: '2026-12-01',
        route: 'top',
      }),
    ]);
    expect(TestBed.inject(Router).url).toMatch(/\/jobs\/.*\/plan/);
  });

  it('keeps what was typed and the same id when the server is gone', async () => {
    const form = await openForm();
    type(form.element, 'machine', 'Tug');
    type(form.element, 'title', 'Knocks');
    type(form.element, 'crew', 'Ines');
    form.server.reachable = false;
    await form.send();
    expect(form.text()).toContain('What you typed is still here.');
    form.server.reachable = true;
    await form.send();
    await form.send();
    expect(new Set(form.server.begun.map(({ id }) => id)).size).toBe(1);
  });
});

describe('the survey of a job', () => {
  it('lists every connection by system, with what holds the powerpack', async () => {
    const view = await openView(Survey);
    expect(view.text()).toContain('103 connections between 43 parts');
    expect(view.text()).toContain('● closed holds the powerpack');
    expect(view.element.querySelectorAll('.row').length).toBe(103);
  });

  it('finds by name, part, kind and place', async () => {
    const view = await openView(Survey);
    const field = view.element.querySelector('input[type=search]') as HTMLInputElement;
    field.value = 'heater';
    field.dispatchEvent(new Event('input'));
    await view.settle();
    expect(view.element.querySelectorAll('.row').length).toBe(3);
    field.value = 'nothing like it';
    field.dispatchEvent(new Event('input'));
    await view.settle();
    expect(view.text()).toContain('Nothing on the map is called that.');
  });
});
