import type { Routes } from '@angular/router';

export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'yard' },
  { path: 'yard', title: 'Yard', loadComponent: () => import('./yard/yard').then((m) => m.Yard) },
  { path: 'survey', title: 'New job', loadComponent: () => import('./survey/new-job').then((m) => m.NewJobView) },
  {
    path: 'jobs/:job',
    loadComponent: () => import('./job/job-shell').then((m) => m.JobShell),
    children: [
      {
        path: 'survey',
        loadComponent: () => import('./survey/survey').then((m) => m.Survey),
        children: [
          {
            path: '',
            pathMatch: 'full',
            title: 'Survey',
            loadComponent: () => import('./survey/survey-map').then((m) => m.SurveyMap),
          },
          {
            path: 'files',
            title: 'Files of the map',
            loadComponent: () => import('./exchange/files').then((m) => m.Files),
          },
          { path: 'donor', title: 'Donor', loadComponent: () => import('./donor/donor').then((m) => m.DonorView) },
          { path: 'joints', title: 'Joints', loadComponent: () => import('./donor/joints').then((m) => m.Joints) },
          {
            path: 'pull',
            title: 'Pull list',
            loadComponent: () => import('./donor/pull-list').then((m) => m.PullList),
          },
        ],
      },
      { path: 'plan', title: 'Plan', loadComponent: () => import('./plan/plan').then((m) => m.Plan) },
      { path: 'plan/ways', title: 'Ways out', loadComponent: () => import('./plan/ways-out').then((m) => m.WaysOut) },
      {
        path: 'plan/schools',
        title: 'Schools',
        loadComponent: () => import('./plan/schools').then((m) => m.Schools),
      },
      { path: 'plan/tools', title: 'Tools', loadComponent: () => import('./plan/tools').then((m) => m.Tools) },
      { path: 'strip', title: 'Strip', loadComponent: () => import('./strip/strip').then((m) => m.Strip) },
      { path: 'lift', title: 'Lift', loadComponent: () => import('./lift/lift').then((m) => m.Lift) },
      { path: 'bench', title: 'Bench', loadComponent: () => import('./bench/bench').then((m) => m.Bench) },
      { path: 'refit', title: 'Refit', loadComponent: () => import('./refit/refit').then((m) => m.Refit) },
      {
        path: 'first-start',
        title: 'First start',
        loadComponent: () => import('./first-start/first-start').then((m) => m.FirstStart),
      },
      { path: 'bags', title: 'Bags', loadComponent: () => import('./bags/bags').then((m) => m.Bags) },
      {
        path: 'bags/:connection',
        title: 'Bag',
        loadComponent: () => import('./bags/set-card').then((m) => m.SetCard),
      },
      {
        path: 'mystery',
        title: 'Mystery bolt',
        loadComponent: () => import('./mystery/mystery').then((m) => m.Mystery),
      },
      { path: 'photos', title: 'Photos', loadComponent: () => import('./photos/photos').then((m) => m.Photos) },
      {
        path: 'photos/:photo',
        title: 'Photo',
        loadComponent: () => import('./photos/photo-view').then((m) => m.PhotoView),
      },
      { path: 'record', title: 'Record', loadComponent: () => import('./record/record').then((m) => m.RecordView) },
      {
        path: 'handover',
        title: 'Handover',
        loadComponent: () => import('./handover/handover').then((m) => m.Handover),
      },
    ],
  },
  { path: 'find', title: 'Find', loadComponent: () => import('./find/find').then((m) => m.Find) },
  ...(['tag', 'bag'] as const).flatMap((is) =>
    [`${is[0]}/:code/:number`, `${is[0]}/:number`].map((path) => ({
      path,
      title: is === 'tag' ? 'Tag' : 'Bag',
      data: { is },
      loadComponent: () => import('./labels/label-landing').then((m) => m.LabelLanding),
    })),
  ),
  { path: '**', title: 'Not here', loadComponent: () => import('./yard/not-here').then((m) => m.NotHere) },
];
