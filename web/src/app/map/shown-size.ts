import { afterNextRender, DestroyRef, type ElementRef, inject, signal, type Signal } from '@angular/core';

/** How large a picture is shown, in pixels, as it changes. Called where a component is made. */
export function shownSize(
  picture: () => ElementRef<SVGSVGElement>,
): Signal<{ readonly width: number; readonly height: number }> {
  const shown = signal({ width: 860, height: 520 });
  const destroyed = inject(DestroyRef);
  afterNextRender(() => {
    const watch = new ResizeObserver(([entry]) => {
      if (entry && entry.contentRect.width > 0) shown.set(entry.contentRect);
    });
    watch.observe(picture().nativeElement);
    destroyed.onDestroy(() => watch.disconnect());
  });
  return shown;
}
