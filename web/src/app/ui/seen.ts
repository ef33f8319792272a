import { DestroyRef, Directive, ElementRef, inject, input, output } from '@angular/core';

/** Tells `blSeen` once what it stands on was on the screen. */
@Directive({ selector: '[blSeen]' })
export class Seen {
  readonly blSeen = input.required<string>();
  readonly seen = output<string>();

  constructor() {
    const observer = new IntersectionObserver((entries) => {
      if (entries.some(({ isIntersecting }) => isIntersecting)) this.seen.emit(this.blSeen());
    });
    observer.observe(inject<ElementRef<HTMLElement>>(ElementRef).nativeElement);
    inject(DestroyRef).onDestroy(() => observer.disconnect());
  }
}
