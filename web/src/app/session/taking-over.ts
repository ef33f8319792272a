import { inject, Injectable } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Router } from '@angular/router';
import { pin as pinRule, type PersonHere } from '@brisk/contracts/people';
import { PeopleApi } from '../api/people-api';
import { problemWords } from '../api/problem-words';
import { Ask } from '../ui/ask';
import { Door } from './door';

/** Two on one tablet change over: in one touch, or with the PIN the first time in a day. */
@Injectable({ providedIn: 'root' })
export class TakingOver {
  private readonly door = inject(Door);
  private readonly api = inject(PeopleApi);
  private readonly ask = inject(Ask);
  private readonly bar = inject(MatSnackBar);
  private readonly router = inject(Router);

  async over(person: PersonHere): Promise<void> {
    if (person.id === this.door.me()?.id) return;
    let pin: string | undefined;
    if (!this.door.inOneTouch(person)) {
      const answers = await this.ask.ask({
        title: person.name,
        questions: [{ field: 'pin', label: 'PIN', as: 'pin', schema: pinRule().required() }],
        action: 'It is me',
      });
      if (!answers) return;
      pin = String(answers['pin']);
    }
    await this.tried(() => this.door.takeOver(person.id, pin));
  }

  /** Somebody whom this device does not know yet. */
  somebodyElse(): void {
    void this.router.navigate(['/sign-in'], { queryParams: { back: this.router.url } });
  }

  /** Whoever is at the device signs out of it. */
  async off(): Promise<void> {
    if (await this.tried(() => this.door.take(this.api.leave()))) this.somebodyElse();
  }

  private async tried(task: () => Promise<void>): Promise<boolean> {
    try {
      await task();
      return true;
    } catch (error) {
      this.bar.open(problemWords(error), 'I see', { duration: 12_000, politeness: 'assertive' });
      return false;
    }
  }
}
