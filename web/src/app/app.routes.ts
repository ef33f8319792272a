import type { Routes } from '@angular/router';
import { signedIn } from './session/signed-in';

const behindTheDoor: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'yard' },
  { path: 'yard', title: 'Yard', loadComponent: () => import('./pages/yard/yard').then((m) => m.Yard) },
  { path: 'survey', title: 'New job', loadComponent: () => import('./pages/survey/new-job').then((m) => m.NewJobView) },
  {
    path: 'jobs/:job',
    loadComponent: () => import('./shell/job-shell').then((m) => m.JobShell),
    children: [
      {
        path: 'survey',
        loadComponent: () => import('./pages/survey/views').then((m) => m.Survey),
        children: [
          {
            path: '',
            pathMatch: 'full',
            title: 'Survey',
            loadComponent: () => import('./pages/survey/views').then((m) => m.SurveyMap),
          },
          {
            path: 'files',
            title: 'Files of the map',
            loadComponent: () => import('./pages/survey/views').then((m) => m.Files),
          },
          {
            path: 'donor',
            title: 'Donor',
            loadComponent: () => import('./pages/survey/views').then((m) => m.DonorView),
          },
          {
            path: 'joints',
            title: 'Joints',
            loadComponent: () => import('./pages/survey/views').then((m) => m.Joints),
          },
          {
            path: 'pull',
            title: 'Pull list',
            loadComponent: () => import('./pages/survey/views').then((m) => m.PullList),
          },
        ],
      },
      { path: 'plan', title: 'Plan', loadComponent: () => import('./pages/plan/views').then((m) => m.Plan) },
      {
        path: 'plan/ways',
        title: 'Ways out',
        loadComponent: () => import('./pages/plan/views').then((m) => m.WaysOut),
      },
      {
        path: 'plan/schools',
        title: 'Schools',
        loadComponent: () => import('./pages/plan/views').then((m) => m.Schools),
      },
      { path: 'plan/tools', title: 'Tools', loadComponent: () => import('./pages/plan/views').then((m) => m.Tools) },
      { path: 'strip', title: 'Strip', loadComponent: () => import('./pages/strip/strip').then((m) => m.Strip) },
      { path: 'lift', title: 'Lift', loadComponent: () => import('./pages/lift/views').then((m) => m.Lift) },
      {
        path: 'lift/way',
        title: 'Way through',
        loadComponent: () => import('./pages/lift/views').then((m) => m.LiftWay),
      },
      { path: 'lift/rig', title: 'Rig', loadComponent: () => import('./pages/lift/views').then((m) => m.LiftRig) },
      {
        path: 'lift/gear',
        title: 'Gear',
        loadComponent: () => import('./pages/lift/views').then((m) => m.LiftGear),
      },
      {
        path: 'lift/balance',
        title: 'Balance',
        loadComponent: () => import('./pages/lift/views').then((m) => m.LiftBalance),
      },
      { path: 'bench', title: 'Bench', loadComponent: () => import('./pages/bench/views').then((m) => m.Bench) },
      {
        path: 'bench/now-or-later',
        title: 'Now or later',
        loadComponent: () => import('./pages/bench/views').then((m) => m.NowOrLaterView),
      },
      {
        path: 'bench/looked',
        title: 'Looked at',
        loadComponent: () => import('./pages/bench/views').then((m) => m.Looked),
      },
      {
        path: 'bench/looms',
        title: 'Looms',
        loadComponent: () => import('./pages/bench/views').then((m) => m.Looms),
      },
      {
        path: 'bench/where',
        title: 'Where it is',
        loadComponent: () => import('./pages/bench/views').then((m) => m.Where),
      },
      {
        path: 'bench/parts',
        title: 'Parts and money',
        loadComponent: () => import('./pages/bench/views').then((m) => m.Parts),
      },
      { path: 'refit', title: 'Refit', loadComponent: () => import('./pages/refit/refit').then((m) => m.Refit) },
      {
        path: 'refit/first-in',
        title: 'In first',
        loadComponent: () => import('./pages/refit/views').then((m) => m.FirstInBoard),
      },
      {
        path: 'refit/together',
        title: 'Loose until in',
        loadComponent: () => import('./pages/refit/views').then((m) => m.Together),
      },
      {
        path: 'refit/set',
        title: 'Set and try',
        loadComponent: () => import('./pages/refit/views').then((m) => m.SetAndTry),
      },
      {
        path: 'refit/fluids',
        title: 'Fluids',
        loadComponent: () => import('./pages/refit/views').then((m) => m.Fluids),
      },
      {
        path: 'refit/wrenches',
        title: 'Torque wrenches',
        loadComponent: () => import('./pages/refit/views').then((m) => m.Wrenches),
      },
      {
        path: 'first-start',
        title: 'First start',
        loadComponent: () => import('./pages/first-start/views').then((m) => m.FirstStart),
      },
      {
        path: 'first-start/ready',
        title: 'What the key would do',
        loadComponent: () => import('./pages/first-start/views').then((m) => m.Ready),
      },
      {
        path: 'first-start/battery',
        title: 'Battery',
        loadComponent: () => import('./pages/first-start/views').then((m) => m.BatteryBoard),
      },
      {
        path: 'first-start/trouble',
        title: 'What is wrong',
        loadComponent: () => import('./pages/first-start/views').then((m) => m.Trouble),
      },
      {
        path: 'first-start/running-in',
        title: 'Running in',
        loadComponent: () => import('./pages/first-start/views').then((m) => m.RunningIn),
      },
      {
        path: 'first-start/known',
        title: 'What we know',
        loadComponent: () => import('./pages/first-start/views').then((m) => m.Known),
      },
      { path: 'bags', title: 'Bags', loadComponent: () => import('./pages/kept/views').then((m) => m.Bags) },
      {
        path: 'bags/:connection',
        title: 'Bag',
        loadComponent: () => import('./pages/kept/views').then((m) => m.SetCard),
      },
      {
        path: 'mystery',
        title: 'Mystery bolt',
        loadComponent: () => import('./pages/kept/views').then((m) => m.Mystery),
      },
      { path: 'photos', title: 'Photos', loadComponent: () => import('./pages/kept/views').then((m) => m.Photos) },
      {
        path: 'photos/:photo',
        title: 'Photo',
        loadComponent: () => import('./pages/kept/views').then((m) => m.PhotoView),
      },
      {
        path: 'literature',
        title: 'Literature',
        loadComponent: () => import('./pages/kept/views').then((m) => m.LiteratureList),
      },
      {
        path: 'literature/:file/:page',
        title: 'Page',
        loadComponent: () => import('./pages/kept/views').then((m) => m.PageView),
      },
      {
        path: 'record',
        title: 'Record',
        loadComponent: () => import('./pages/kept/views').then((m) => m.RecordView),
      },
      {
        path: 'handover',
        title: 'Handover',
        loadComponent: () => import('./pages/kept/views').then((m) => m.Handover),
      },
    ],
  },
  { path: 'people', title: 'People', loadComponent: () => import('./pages/shop/views').then((m) => m.PeopleView) },
  { path: 'find', title: 'Find', loadComponent: () => import('./pages/shop/views').then((m) => m.Find) },
  ...(['tag', 'bag'] as const).flatMap((is) =>
    [`${is[0]}/:code/:number`, `${is[0]}/:number`].map((path) => ({
      path,
      title: is === 'tag' ? 'Tag' : 'Bag',
      data: { is },
      loadComponent: () => import('./pages/shop/views').then((m) => m.LabelLanding),
    })),
  ),
  { path: '**', title: 'Not here', loadComponent: () => import('./pages/shop/views').then((m) => m.NotHere) },
];

/** Who has to sign in does so first, and comes back to the view that was asked for. */
export const routes: Routes = [
  {
    path: 'sign-in',
    title: 'Sign in',
    loadComponent: () => import('./pages/sign-in/sign-in').then((m) => m.SignInView),
  },
  {
    path: 'join/:code',
    title: 'Let in',
    loadComponent: () => import('./pages/sign-in/sign-in').then((m) => m.SignInView),
  },
  { path: '', canActivate: [signedIn], children: behindTheDoor },
];
