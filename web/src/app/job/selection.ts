import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { ActivatedRoute, Router } from '@angular/router';
import { map } from 'rxjs';

/** The operation a person has picked to look at; it stands in the address, so that a reload keeps it. */
@Injectable()
export class Selection {
  private readonly router = inject(Router);
  private readonly route = inject(ActivatedRoute);

  readonly step = toSignal(this.route.queryParamMap.pipe(map((query) => query.get('step') ?? undefined)));

  pick(step: string | undefined): void {
    void this.router.navigate([], {
      queryParams: { step: step === this.step() ? null : (step ?? null) },
      queryParamsHandling: 'merge',
      replaceUrl: true,
    });
  }
}
