import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Door } from '../session/door';

/** Says, on every page, that nobody signs in here, where that is so. */
@Component({
  selector: 'bl-open-shop',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (door.open()) {
      <a routerLink="/people">Nobody signs in here</a>
    }
  `,
  styles: `
    a {
      display: inline-flex;
      align-items: center;
      min-height: 44px;
      color: var(--ink-soft);
      font-size: 0.9375rem;
    }
  `,
})
export class OpenShop {
  protected readonly door = inject(Door);
}
