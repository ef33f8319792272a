import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { of, throwError } from 'rxjs';
import { Api } from '../../api/api';
import { tick } from '../../../testing/open-job';
import { testJob, theirEntry } from '../../../testing/test-job';
import { LabelLanding } from './label-landing';

const entries = [
  theirEntry({ kind: 'operation-done', operation: 'open:battery-negative' }),
  theirEntry({ kind: 'tagged', connection: 'battery-negative', tag: 7 }),
];

async function land(number: string, api: Partial<Record<'jobByCode' | 'job', unknown>> = {}) {
  const served = {
    jobByCode: () => of({ id: testJob.id, title: testJob.title }),
    job: () => of({ job: testJob, entries }),
  };
  TestBed.configureTestingModule({
    imports: [LabelLanding],
    providers: [{ provide: Api, useValue: { ...served, ...api } }, provideRouter([{ path: '**', children: [] }])],
  });
  const fixture = TestBed.createComponent(LabelLanding);
  fixture.componentRef.setInput('is', 'tag');
  fixture.componentRef.setInput('number', number);
  fixture.componentRef.setInput('code', 'abc');
  await fixture.whenStable();
  await tick(5);
  fixture.detectChanges();
  return { words: (fixture.nativeElement as HTMLElement).textContent ?? '', url: TestBed.inject(Router).url };
}

describe('where the code of a label leads', () => {
  it('is the joint that bears it', async () => {
    expect((await land('7')).url).toBe(`/jobs/${testJob.id}/bags/battery-negative`);
  });

  it('is told plainly where nothing has it, with where to look instead', async () => {
    const { words, url } = await land('8');
    expect(words).toContain('Tag 8');
    expect(words).toContain(`Nothing on “${testJob.title}” has it`);
    expect(words).toContain('Look for it on every job');
    expect(url).toBe('/');
  });

  it('is told where the server is not reached', async () => {
    const { words } = await land('7', { jobByCode: () => throwError(() => new Error('gone')) });
    expect(words).not.toContain('Looking where');
  });
});
