import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import type { Bundle } from '@brisk/contracts/bundle';
import type { Append, Appended, Job, JobSummary, JobWithLedger, LayoutSummary, NewJob } from '@brisk/contracts/job';
import type { LedgerEntry } from '@brisk/core/ledger';
import type { Observable } from 'rxjs';

/** What the server answers, request by request. Errors come as `HttpErrorResponse`; see `problem-words.ts`. */
@Injectable({ providedIn: 'root' })
export class Api {
  private readonly http = inject(HttpClient);

  jobs(): Observable<readonly JobSummary[]> {
    return this.http.get<readonly JobSummary[]>('/api/jobs');
  }

  layouts(): Observable<readonly LayoutSummary[]> {
    return this.http.get<readonly LayoutSummary[]>('/api/layouts');
  }

  begin(job: NewJob): Observable<Job> {
    return this.http.post<Job>('/api/jobs', job);
  }

  job(id: string): Observable<JobWithLedger> {
    return this.http.get<JobWithLedger>(`/api/jobs/${encodeURIComponent(id)}`);
  }

  entriesAfter(id: string, position: number): Observable<{ readonly entries: readonly LedgerEntry[] }> {
    return this.http.get<{ entries: readonly LedgerEntry[] }>(`/api/jobs/${encodeURIComponent(id)}/ledger`, {
      params: { after: position },
    });
  }

  append(id: string, append: Append): Observable<Appended> {
    return this.http.post<Appended>(`/api/jobs/${encodeURIComponent(id)}/ledger`, append);
  }

  bundleAddress(id: string): string {
    return `/api/jobs/${encodeURIComponent(id)}/bundle`;
  }

  takeIn(bundle: Bundle): Observable<{ readonly id: string; readonly title: string; readonly written: number }> {
    return this.http.post<{ id: string; title: string; written: number }>('/api/bundles', bundle);
  }
}
