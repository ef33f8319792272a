import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import type { Bundle } from '@brisk/contracts/bundle';
import type { NewJob, Planning } from '@brisk/contracts/job';
import type { ShopTemplate, ToKeep, ToolList } from '@brisk/contracts/shop';
import { USUAL_RATES } from '@brisk/core/economics';
import { FIRST_GEAR, type LiftingGear } from '@brisk/core/rigging';
import { INSPECTION_SHEET } from '@brisk/core/donor';
import type { Observable } from 'rxjs';
import { testJob, theirEntry } from '../../testing/test-job';
import { Api } from './api';

const { plan } = testJob;
const begun: NewJob = {
  id: testJob.id,
  title: 'Tug',
  machine: 'Tug 2',
  reason: 'swap',
  crew: ['Ines'],
  layout: 'utility-belt',
  powerpack: 'engine',
  route: 'top',
};
const planning: Planning = { revision: 3, plan };
const template: ToKeep<ShopTemplate> = {
  revision: 0,
  document: { id: 'own/1', name: 'Ours', layout: 'utility-belt', choices: {}, map: plan.map } as ShopTemplate,
};
const rates = { revision: 0, document: USUAL_RATES };
const gear: ToKeep<LiftingGear> = { revision: 1, document: FIRST_GEAR };
const tools: ToKeep<ToolList> = { revision: 2, document: { tools: [] } };
const sheet = { revision: 1, document: INSPECTION_SHEET };
const append = { expectedPosition: 4, entries: [theirEntry({ kind: 'noted', text: 'Seen' })] };
const picture = new Blob(['x'], { type: 'image/webp' });
const zip = new Blob(['x']);

describe('what is asked of the server', () => {
  const open = () => {
    TestBed.configureTestingModule({ providers: [provideHttpClient(), provideHttpClientTesting()] });
    return { api: TestBed.inject(Api), http: TestBed.inject(HttpTestingController) };
  };

  it.each<[string, string, (api: Api) => Observable<unknown>, unknown]>([
    ['GET', '/api/jobs', (api) => api.jobs(), null],
    ['POST', '/api/jobs', (api) => api.begin(begun), begun],
    ['GET', '/api/jobs/a%2Fb', (api) => api.job('a/b'), null],
    ['GET', '/api/jobs/a%2Fb/ledger?after=7', (api) => api.entriesAfter('a/b', 7), null],
    ['POST', '/api/jobs/j/ledger', (api) => api.append('j', append), append],
    ['PUT', '/api/jobs/j/planning', (api) => api.replan('j', planning), planning],
    ['GET', '/api/templates', (api) => api.templates(), null],
    ['GET', '/api/templates/own%2F1', (api) => api.template('own/1'), null],
    ['PUT', '/api/templates/own%2F1', (api) => api.keepTemplate(template), template],
    ['DELETE', '/api/templates/own%2F1', (api) => api.forgetTemplate('own/1'), null],
    ['GET', '/api/inspection-sheet', (api) => api.inspectionSheet(), null],
    ['PUT', '/api/inspection-sheet', (api) => api.keepInspectionSheet(sheet), sheet],
    ['GET', '/api/tools', (api) => api.tools(), null],
    ['PUT', '/api/tools', (api) => api.keepTools(tools), tools],
    ['GET', '/api/rates', (api) => api.rates(), null],
    ['PUT', '/api/rates', (api) => api.keepRates(rates), rates],
    ['GET', '/api/lifting-gear', (api) => api.liftingGear(), null],
    ['PUT', '/api/lifting-gear', (api) => api.keepLiftingGear(gear), gear],
    ['POST', '/api/photos', (api) => api.keepPhoto(picture), picture],
    ['GET', '/api/jobs/j/house', (api) => api.house('j'), null],
    ['GET', '/api/find?q=starter%20bolt%20%26%20nut', (api) => api.find('starter bolt & nut'), null],
    ['GET', '/api/jobs-by-code/3f0c8a52', (api) => api.jobByCode('3f0c8a52'), null],
    ['POST', '/api/bundles', (api) => api.takeInZip(zip), zip],
    ['POST', '/api/bundles', (api) => api.takeIn({ ledgerLength: 0 } as Bundle), { ledgerLength: 0 }],
  ])('%s %s', (method, url, ask, body) => {
    const { api, http } = open();
    const answers: unknown[] = [];
    ask(api).subscribe((answer) => answers.push(answer));
    const asked = http.expectOne((request) => request.method === method && request.urlWithParams === url);
    expect(asked.request.body).toEqual(body);
    asked.flush({ answered: true });
    expect(answers).toEqual([{ answered: true }]);
    http.verify();
  });

  it('says what kind of thing a picture and a file with photos are', () => {
    const { api, http } = open();
    api.keepPhoto(picture).subscribe();
    expect(http.expectOne('/api/photos').request.headers.get('content-type')).toBe('image/webp');
    api.takeInZip(zip).subscribe();
    expect(http.expectOne('/api/bundles').request.headers.get('content-type')).toBe('application/zip');
  });

  it('knows where files are fetched, whatever a job is called', () => {
    const { api } = open();
    expect([api.bundleAddress('a/b'), api.zipAddress('a/b')]).toEqual([
      '/api/jobs/a%2Fb/bundle',
      '/api/jobs/a%2Fb/bundle.zip',
    ]);
  });
});
