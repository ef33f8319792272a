import { afterNextRender, Directive, ElementRef, inject } from '@angular/core';

/** Comes into sight, and has the keys, as soon as it is there: what is asked is asked where one looks. */
@Directive({ selector: '[blInSight]', host: { tabindex: '-1' } })
export class InSight {
  constructor() {
    const element = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    afterNextRender(() => {
      element.scrollIntoView({ block: 'nearest' });
      element.focus({ preventScroll: true });
    });
  }
}
