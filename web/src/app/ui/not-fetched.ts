import { ChangeDetectionStrategy, Component } from '@angular/core';

/** Said where a part of a page did not come over the line. */
export const NOT_FETCHED = 'This could not be fetched. Load the page again when the server is reached.';

/** Stands where a part of a page did not come over the line. */
@Component({
  selector: 'bl-not-fetched',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: ` <p class="marker" role="alert">{{ words }}</p> `,
})
export class NotFetched {
  protected readonly words = NOT_FETCHED;
}
