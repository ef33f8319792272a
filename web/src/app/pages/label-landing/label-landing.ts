import { ChangeDetectionStrategy, Component, effect, inject, input, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { firstValueFrom } from 'rxjs';
import { Api } from '../../api/api';
import { problemWords } from '../../api/problem-words';

/** Where the code of a label leads: to its joint, on its job. */
@Component({
  selector: 'bl-label-landing',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main>
      @if (wrong()) {
        <h1>{{ is() === 'bag' ? 'Bag' : 'Tag' }} {{ number() }}</h1>
        <p>{{ wrong() }}</p>
        <p><a [routerLink]="['/find']" [queryParams]="{ q: is() + ' ' + number() }">Look for it on every job</a></p>
      } @else {
        <p role="status">Looking where {{ is() }} {{ number() }} belongs…</p>
      }
    </main>
  `,
  styles: `
    main {
      max-width: 40rem;
      margin: 0 auto;
      padding: 2rem 1.5rem;
      display: flex;
      flex-direction: column;
      gap: 0.75rem;
    }
  `,
})
export class LabelLanding {
  readonly is = input.required<'tag' | 'bag'>();
  readonly number = input.required<string>();
  readonly code = input<string>();
  private readonly api = inject(Api);
  private readonly router = inject(Router);
  protected readonly wrong = signal('');

  constructor() {
    effect(() => void this.go(this.code(), this.number()));
  }

  private async go(code: string | undefined, number: string): Promise<void> {
    const asked = `${this.is()} ${number}`;
    if (code === undefined) {
      await this.router.navigate(['/find'], { queryParams: { q: asked }, replaceUrl: true });
      return;
    }
    try {
      const { id, title } = await firstValueFrom(this.api.jobByCode(code));
      const { entries } = await firstValueFrom(this.api.job(id));
      const takenBack = new Set(entries.flatMap((entry) => (entry.kind === 'corrected' ? [entry.corrects] : [])));
      const joint = entries.findLast((entry) =>
        takenBack.has(entry.id)
          ? false
          : this.is() === 'tag'
            ? entry.kind === 'tagged' && entry.tag === Number(number)
            : entry.kind === 'fasteners-counted' && entry.bag === Number(number) && entry.direction === 'out',
      );
      if (!joint) {
        this.wrong.set(
          `Nothing on “${title}” has it: the label was printed ahead, or what was written of it was taken back.`,
        );
        return;
      }
      const path = 'connection' in joint && typeof joint.connection === 'string' ? [joint.connection] : [];
      await this.router.navigate(['/jobs', id, 'bags', ...path], { replaceUrl: true });
    } catch (error) {
      this.wrong.set(problemWords(error));
    }
  }
}
