import type { Routes } from '@angular/router';

/**
 * Begins to fetch the views of the address the page was opened at, while the application itself still wakes up and asks who
 * is here. `segments` is the address, cut at its slashes. What cannot be fetched is told by the router when it wants it.
 */
export function fetchAhead(routes: Routes, segments: readonly string[]): void {
  for (const { path = '', loadComponent, children = [] } of routes) {
    const parts = path.split('/').filter((part) => part !== '');
    const fits = parts.every(
      (part, at) => segments[at] !== undefined && (part.startsWith(':') || part === segments[at]),
    );
    const rest = segments.slice(parts.length);
    if (!fits || (rest.length > 0 && children.length === 0)) continue;
    void Promise.resolve(loadComponent?.()).catch(() => undefined);
    fetchAhead(children, rest);
    if (parts.length > 0) return;
  }
}
