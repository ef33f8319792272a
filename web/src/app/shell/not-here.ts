import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';

/** An address that leads nowhere. */
@Component({
  selector: 'bl-not-here',
  imports: [MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main class="stack">
      <h1>There is nothing here</h1>
      <p>The address leads to no view. Your jobs are all in the yard.</p>
      <p><a matButton="filled" routerLink="/yard">To the yard</a></p>
    </main>
  `,
  styles: 'main { max-width: 40rem; margin: 15vh auto; padding: 0 1rem; }',
})
export class NotHere {}
