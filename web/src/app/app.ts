import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Router, RouterOutlet } from '@angular/router';
import { Icons } from './ui/icons';
import { Keys } from './ui/keys';
import { SheetOpener } from './shell/sheet-opener';
import { Night } from './session/night';

/** The frame around every view: it holds nothing but what is true everywhere, the keys and the light. */
@Component({
  selector: 'bl-app',
  imports: [RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<router-outlet />',
  styles: ':host { display: block; height: 100%; }',
})
export class App {
  constructor() {
    inject(Icons);
    // What was recorded and not sent yet is not to be cleared away for want of room.
    void navigator.storage?.persist?.().catch(() => false);
    const keys = inject(Keys);
    const night = inject(Night);
    const router = inject(Router);
    const sheet = inject(SheetOpener);
    keys.use(
      { key: '?', words: 'This sheet', act: () => void sheet.open() },
      { key: 'y', words: 'Go to the yard', act: () => void router.navigateByUrl('/yard') },
      { key: 'l', words: 'Day or night colours', act: () => night.toggle() },
    );
  }
}
