import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { ActivatedRoute, Router, type Params } from '@angular/router';
import { map } from 'rxjs';

/** The step a person looks at and the one they took in hand; both stand in the address, so that a reload keeps them. */
@Injectable()
export class Selection {
  private readonly router = inject(Router);
  private readonly query = inject(ActivatedRoute).queryParamMap;

  readonly step = toSignal(this.query.pipe(map((query) => query.get('step') ?? undefined)));
  /** A step taken in hand instead of the proposed one. */
  readonly hand = toSignal(this.query.pipe(map((query) => query.get('hand') ?? undefined)));

  /** Shows `step` on the bench card; the same one again puts the card away. */
  pick(step: string | undefined): void {
    this.put({ step: step === this.step() ? null : (step ?? null) });
  }

  /** Takes `step` in hand, or the proposed one again. */
  take(step: string | undefined): void {
    if (step !== this.hand()) this.put({ hand: step ?? null });
  }

  private put(queryParams: Params): void {
    void this.router.navigate([], { queryParams, queryParamsHandling: 'merge', replaceUrl: true });
  }
}
