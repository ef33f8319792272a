import { ChangeDetectionStrategy, Component } from '@angular/core';

/** Stands where a part of a page did not come over the line. */
@Component({
  selector: 'bl-not-fetched',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="marker" role="alert">This could not be fetched. Load the page again when the server is reached.</p>
  `,
})
export class NotFetched {}
