import { bootstrapApplication } from '@angular/platform-browser';
import { App } from './app/app';
import { appConfig } from './app/app.config';
import { routes } from './app/app.routes';
import { fetchAhead } from './app/fetch-ahead';

fetchAhead(
  routes,
  location.pathname.split('/').filter((segment) => segment !== ''),
);
bootstrapApplication(App, appConfig).catch((error: unknown) => {
  document.body.append(`Brisk Ledger could not start in this browser. ${String(error)}`);
});
