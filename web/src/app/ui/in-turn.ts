import {
  Directive,
  DestroyRef,
  inject,
  input,
  PendingTasks,
  TemplateRef,
  ViewContainerRef,
  type OnInit,
} from '@angular/core';

/**
 * Draws what it stands on once all that comes before it is drawn: a page that is drawn in one piece lets no touch through
 * meanwhile. `blInTurn` is how many pieces come before, the page itself being the first.
 */
@Directive({ selector: '[blInTurn]' })
export class InTurn implements OnInit {
  readonly blInTurn = input.required<number>();
  private readonly place = inject(ViewContainerRef);
  private readonly piece = inject<TemplateRef<void>>(TemplateRef);
  /** Whoever waits for the page waits for its pieces. */
  private readonly drawn = inject(PendingTasks).add();
  private timer?: ReturnType<typeof setTimeout>;

  constructor() {
    inject(DestroyRef).onDestroy(() => {
      clearTimeout(this.timer);
      this.drawn();
    });
  }

  ngOnInit(): void {
    this.wait(this.blInTurn());
  }

  private wait(turns: number): void {
    this.timer = setTimeout(() => {
      if (turns > 1) return this.wait(turns - 1);
      this.place.createEmbeddedView(this.piece);
      this.drawn();
    });
  }
}
