import { sentence } from '@brisk/core/words';
import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { ActivatedRoute, Router, RouterLink } from '@angular/router';
import { MatProgressBar } from '@angular/material/progress-bar';
import type { JobHits } from '@brisk/contracts/house';
import type { Hit } from '@brisk/core/find';
import { catchError, debounceTime, distinctUntilChanged, map, of, switchMap, tap } from 'rxjs';
import { EntryField } from '../../ui/entry-field';
import { Api } from '../../api/api';
import { problemWords } from '../../api/problem-words';
import { OpenShop } from '../../shell/open-shop';

const PAUSE_MS = 200;
const KIND: Readonly<Record<Hit['is'], string>> = {
  joint: 'Joint',
  note: 'Note',
  part: 'Part',
  photo: 'Photo',
  page: 'Page',
};

/** Where is the starter bolt? Asked over every job of the shop. */
@Component({
  selector: 'bl-find',
  imports: [EntryField, MatProgressBar, RouterLink, OpenShop],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './find.html',
  styleUrl: './find.scss',
})
export class Find {
  private readonly api = inject(Api);
  private readonly router = inject(Router);
  private readonly route = inject(ActivatedRoute);
  protected readonly kinds = KIND;
  protected readonly sentence = sentence;
  protected readonly asking = signal(false);
  protected readonly trouble = signal('');

  private readonly asked = this.route.queryParamMap.pipe(
    map((query) => query.get('q') ?? ''),
    distinctUntilChanged(),
  );
  protected readonly query = toSignal(this.asked, { initialValue: '' });
  protected readonly found = toSignal(
    this.asked.pipe(
      debounceTime(PAUSE_MS),
      tap(() => this.asking.set(true)),
      switchMap((query) =>
        this.api.find(query).pipe(
          tap(() => this.trouble.set('')),
          catchError((error: unknown) => {
            this.trouble.set(problemWords(error));
            return of<readonly JobHits[]>([]);
          }),
        ),
      ),
      tap(() => this.asking.set(false)),
    ),
  );

  protected look(q: string): void {
    void this.router.navigate([], { queryParams: { q: q || null }, replaceUrl: true });
  }

  /** Where a hit is looked at. */
  protected linkOf(job: string, hit: Hit): readonly string[] {
    if (hit.file !== undefined) return ['/jobs', job, 'literature', hit.file, String(hit.page ?? 1)];
    if (hit.card !== undefined) return ['/jobs', job, 'bench', 'where'];
    if (hit.photo !== undefined) return ['/jobs', job, 'photos', hit.photo];
    if (hit.connection !== undefined) return ['/jobs', job, 'bags', hit.connection];
    return ['/jobs', job, hit.is === 'part' ? 'bench' : 'record'];
  }
}
