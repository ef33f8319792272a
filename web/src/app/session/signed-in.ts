import { HttpErrorResponse, type HttpInterceptorFn } from '@angular/common/http';
import { inject } from '@angular/core';
import { Router, type CanActivateFn } from '@angular/router';
import { tap } from 'rxjs';
import { problemKind } from '../api/problem-words';
import { Door } from './door';

/** Lets nobody to a view who has not said who they are, and brings them back to it afterwards. */
export const signedIn: CanActivateFn = async (_route, { url }) => {
  const door = inject(Door);
  const router = inject(Router);
  await door.look();
  return door.letsIn() || router.createUrlTree(['/sign-in'], { queryParams: { back: url } });
};

/** Where the server asks who it is, in the middle of the work, the door is shown. What was recorded stays on the device. */
export const askedWho: HttpInterceptorFn = (request, next) => {
  const door = inject(Door);
  const router = inject(Router);
  return next(request).pipe(
    tap({
      error: (error: unknown) => {
        const asked = error instanceof HttpErrorResponse && problemKind(error) === 'sign-in';
        if (!asked || request.url.startsWith('/api/session') || router.url.startsWith('/sign-in')) return;
        door.shut();
        void router.navigate(['/sign-in'], { queryParams: { back: router.url } });
      },
    }),
  );
};
