import { DestroyRef, Directive, ElementRef, inject } from '@angular/core';

/**
 * At least as high as what is left of its scrolling page below where it begins: what stands at its end is always at the same
 * place, and what has more to say makes the page longer instead of lying over something.
 */
@Directive({ selector: '[blFillsRest]' })
export class FillsRest {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  constructor() {
    const page = this.host.closest('main') ?? document.documentElement;
    if (typeof ResizeObserver === 'undefined') return;
    const observer = new ResizeObserver(() => this.fill());
    const destroyed = inject(DestroyRef);
    destroyed.onDestroy(() => observer.disconnect());
    // What stands above it moves it down, and makes what holds both longer.
    queueMicrotask(() => {
      for (let around: Element | null = this.host; around; around = around.parentElement) {
        observer.observe(around);
        if (around.tagName === page.tagName) break;
      }
    });
  }

  private fill(): void {
    const page = this.host.closest('main') ?? document.documentElement;
    const { top } = this.host.getBoundingClientRect();
    const { paddingBottom } = getComputedStyle(page);
    const above = top - page.getBoundingClientRect().top + page.scrollTop;
    const height = Math.max(0, Math.floor(page.clientHeight - above - parseFloat(paddingBottom)));
    const wanted = `${height}px`;
    if (this.host.style.minHeight !== wanted) this.host.style.minHeight = wanted;
  }
}
