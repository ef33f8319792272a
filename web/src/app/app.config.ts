import { provideHttpClient, withFetch, withInterceptors } from '@angular/common/http';
import {
  inject,
  provideBrowserGlobalErrorListeners,
  provideZonelessChangeDetection,
  type ApplicationConfig,
} from '@angular/core';
import { MAT_BUTTON_TOGGLE_DEFAULT_OPTIONS } from '@angular/material/button-toggle';
import { ErrorStateMatcher } from '@angular/material/core';
import { MAT_FORM_FIELD_DEFAULT_OPTIONS } from '@angular/material/form-field';
import { MAT_SNACK_BAR_DEFAULT_OPTIONS } from '@angular/material/snack-bar';
import { MediaMatcher } from '@angular/cdk/layout';
import { ɵSharedStylesHost as SharedStylesHost } from '@angular/platform-browser';
import { provideServiceWorker } from '@angular/service-worker';
import { provideRouter, TitleStrategy, withComponentInputBinding } from '@angular/router';
import { routes } from './app.routes';
import { pastTheWorker } from './api/past-the-worker';
import { hearsTime } from './session/shed-clock';
import { askedWho } from './session/signed-in';
import { Door } from './session/door';
import { WhenSent } from './ui/when-sent';
import { WHOSE_QUESTION } from './ui/whose-question';
import { AdoptedStyles } from './shell/adopted-styles';
import { ViewTitle } from './shell/view-title';

export const appConfig: ApplicationConfig = {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideZonelessChangeDetection(),
    provideHttpClient(withFetch(), withInterceptors([askedWho, pastTheWorker, hearsTime])),
    provideRouter(routes, withComponentInputBinding()),
    provideServiceWorker('ngsw-worker.js', { registrationStrategy: 'registerWhenStable:10000' }),
    { provide: SharedStylesHost, useClass: AdoptedStyles },
    // Its own writes a style into the page, for browsers of long ago.
    { provide: MediaMatcher, useValue: { matchMedia: (query: string) => matchMedia(query) } },
    { provide: WHOSE_QUESTION, useFactory: () => inject(Door).who },
    { provide: ErrorStateMatcher, useClass: WhenSent },
    { provide: TitleStrategy, useClass: ViewTitle },
    { provide: MAT_BUTTON_TOGGLE_DEFAULT_OPTIONS, useValue: { hideSingleSelectionIndicator: true } },
    // At the top: keys stand at the bottom, and “Undo” is never where “Done” was.
    { provide: MAT_SNACK_BAR_DEFAULT_OPTIONS, useValue: { verticalPosition: 'top', horizontalPosition: 'end' } },
    { provide: MAT_FORM_FIELD_DEFAULT_OPTIONS, useValue: { appearance: 'outline', subscriptSizing: 'dynamic' } },
  ],
};
