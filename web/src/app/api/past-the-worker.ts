import type { HttpInterceptorFn } from '@angular/common/http';

/** What is shown from the device when the server is away: lists of the shop, not ledgers, which the desk keeps itself. */
const KEPT_BY_THE_WORKER =
  /^\/api\/(jobs|jobs\/[^/]+\/house|layouts|templates|tools|rates|lifting-gear|torque-wrenches|trouble-knowledge|inspection-sheet|photos\/.*)$/;

/** Lets the service worker see only what it is to keep: everything else goes to the server or fails as it would without it. */
export const pastTheWorker: HttpInterceptorFn = (request, next) =>
  request.method === 'GET' && KEPT_BY_THE_WORKER.test(request.url)
    ? next(request)
    : next(request.clone({ setHeaders: { 'ngsw-bypass': 'true' } }));
