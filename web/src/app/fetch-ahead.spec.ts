import type { Routes } from '@angular/router';
import { fetchAhead } from './fetch-ahead';

/** Which views are fetched for an address. */
function fetchedFor(address: string): readonly string[] {
  const fetched: string[] = [];
  const view = (name: string) => () => {
    fetched.push(name);
    return Promise.resolve(class {});
  };
  const routes: Routes = [
    { path: 'sign-in', loadComponent: view('sign-in') },
    {
      path: '',
      children: [
        { path: '', pathMatch: 'full', redirectTo: 'yard' },
        { path: 'yard', loadComponent: view('yard') },
        {
          path: 'jobs/:job',
          loadComponent: view('shell'),
          children: [
            { path: 'plan', loadComponent: view('plan') },
            { path: 'plan/ways', loadComponent: view('ways') },
            {
              path: 'survey',
              loadComponent: view('survey'),
              children: [
                { path: '', pathMatch: 'full', loadComponent: view('map') },
                { path: 'files', loadComponent: view('files') },
              ],
            },
          ],
        },
        { path: '**', loadComponent: view('not here') },
      ],
    },
  ];
  fetchAhead(
    routes,
    address.split('/').filter((segment) => segment !== ''),
  );
  return fetched;
}

it.each([
  ['/yard', ['yard']],
  ['/jobs/7/plan', ['shell', 'plan']],
  ['/jobs/7/plan/ways', ['shell', 'ways']],
  ['/jobs/7/survey', ['shell', 'survey', 'map']],
  ['/jobs/7/survey/files', ['shell', 'survey', 'files']],
  ['/sign-in', ['sign-in']],
])('%s has its own views fetched, and no other', (address, views) => {
  expect(fetchedFor(address)).toEqual(views);
});

it('leaves an address nobody knows, and the way on from the first page, to the router', () => {
  expect(fetchedFor('/no/such/view')).toEqual([]);
  expect(fetchedFor('/')).toEqual([]);
});

it('says nothing of a view that cannot be fetched: the router does, when it wants it', async () => {
  const unheard = Promise.reject(new Error('Not there'));
  const heard = jest.spyOn(unheard, 'then');
  fetchAhead([{ path: 'broken', loadComponent: () => unheard as Promise<never> }], ['broken']);
  expect(heard).toHaveBeenCalledWith(undefined, expect.any(Function));
  await Promise.resolve();
});
