import { HttpErrorResponse } from '@angular/common/http';
import type {
  Append,
  Appended,
  Job,
  JobSummary,
  JobWithLedger,
  LedgerTail,
  NewJob,
  Planning,
} from '@brisk/contracts/job';
import type { JobHits, KeptPhoto } from '@brisk/contracts/house';
import type { Problem, ProblemKind } from '@brisk/contracts/problem';
import type { Kept, ShopTemplate, ShopTemplateSummary, ToKeep, ToolList } from '@brisk/contracts/shop';
import { INSPECTION_SHEET, type InspectionSheet } from '@brisk/core/donor';
import type { HouseKnowledge } from '@brisk/core/house';
import { jobCode } from '@brisk/core/labels';
import { usualMap } from '@brisk/core/layouts';
import type { EntryBody, LedgerEntry } from '@brisk/core/ledger';
import { defer, of, throwError, type Observable } from 'rxjs';
import type { Api } from '../app/api/api';

/** The job that the web tests work on. */
export const testJob: Job = {
  id: '3f0c8a52-8f1e-4d0a-9a51-6a2b1f0e7c11',
  title: 'Minibus: slips when warm',
  machine: 'Minibus no. 7',
  reason: 'same-back',
  crew: ['Ines', 'Tobias'],
  createdAt: '2026-03-02T07:00:00.000Z',
  plan: { map: usualMap('longitudinal-automatic'), powerpack: 'engine-with-gearbox', route: 'top' },
};

/** An answer of the server with problem details. */
export function problemAnswer(kind: ProblemKind, status: number, detail: string): HttpErrorResponse {
  const error: Problem = { type: `urn:brisk-ledger:${kind}`, title: kind, status, detail };
  return new HttpErrorResponse({ status, error });
}

let made = 0;
/** An entry somebody else wrote. */
export function theirEntry(body: EntryBody): LedgerEntry {
  made += 1;
  return { id: `theirs-${made}`, at: '2026-03-02T08:00:00.000Z', by: 'Tobias', ...body } as LedgerEntry;
}

/** A server in memory that keeps the real one's promises: once each, in order, conflicts told. It can be cut off. */
export class FakeServer implements Pick<
  Api,
  | 'job'
  | 'entriesAfter'
  | 'append'
  | 'jobs'
  | 'begin'
  | 'replan'
  | 'templates'
  | 'template'
  | 'keepTemplate'
  | 'forgetTemplate'
  | 'inspectionSheet'
  | 'keepInspectionSheet'
  | 'bundleAddress'
  | 'zipAddress'
  | 'takeInZip'
  | 'takeIn'
  | 'tools'
  | 'keepTools'
  | 'keepPhoto'
  | 'house'
  | 'find'
  | 'jobByCode'
> {
  entries: LedgerEntry[] = [];
  reachable = true;
  summaries: readonly JobSummary[] = [];
  begun: NewJob[] = [];
  opened: Job = testJob;
  plannings: Planning[] = [];
  readonly kept = new Map<string, Kept<ShopTemplate>>();
  sheet: Kept<InspectionSheet> = { revision: 0, updatedAt: '', document: INSPECTION_SHEET };
  toolList: Kept<ToolList> = { revision: 0, updatedAt: '', document: { tools: [] } };
  /** Pictures that were sent, and the answer to the next ones where they are refused. */
  photos: Blob[] = [];
  nextPhoto: HttpErrorResponse | undefined;
  knowledge: HouseKnowledge = { notes: {}, troubles: {}, minutes: {} };
  hits: readonly JobHits[] = [];
  asked: string[] = [];
  appends: Append[] = [];
  /** Answers the next append with this instead. */
  nextAppend: HttpErrorResponse | undefined;

  private answer<T>(make: () => T): Observable<T> {
    return defer(() => {
      if (!this.reachable) return throwError(() => new HttpErrorResponse({ status: 0 }));
      try {
        return of(make());
      } catch (error) {
        return throwError(() => error);
      }
    });
  }

  job(id: string): Observable<JobWithLedger> {
    return this.answer(() => {
      if (id !== testJob.id) throw problemAnswer('not-found', 404, 'There is no such job here.');
      return { job: this.opened, entries: [...this.entries] };
    });
  }

  entriesAfter(_id: string, position: number): Observable<LedgerTail> {
    return this.answer(() => ({ entries: this.entries.slice(position), revision: this.opened.revision ?? 1 }));
  }

  replan(_id: string, planning: Planning): Observable<Job> {
    return this.answer(() => {
      const stands = this.opened.revision ?? 1;
      if (planning.revision !== stands)
        throw problemAnswer('stale-revision', 409, 'Somebody else changed the map of this job meanwhile.');
      this.plannings.push(planning);
      const { plan: _plan, survey: _survey, swap: _swap, ...head } = this.opened;
      this.opened = { ...head, ...planning, revision: stands + 1 };
      return this.opened;
    });
  }

  templates(): Observable<readonly ShopTemplateSummary[]> {
    return this.answer(() =>
      [...this.kept.values()].map(({ revision, updatedAt, document: { id, name, layout, map } }) => ({
        id,
        name,
        layout,
        revision,
        updatedAt,
        parts: map.parts.length,
        connections: map.connections.length,
      })),
    );
  }

  template(id: string): Observable<Kept<ShopTemplate>> {
    return this.answer(() => {
      const kept = this.kept.get(id);
      if (!kept) throw problemAnswer('not-found', 404, 'There is no such template here.');
      return kept;
    });
  }

  keepTemplate({ revision, document }: ToKeep<ShopTemplate>): Observable<Kept<ShopTemplate>> {
    return this.answer(() => {
      const kept = { revision: revision + 1, updatedAt: '2026-03-02T09:00:00.000Z', document };
      this.kept.set(document.id, kept);
      return kept;
    });
  }

  forgetTemplate(id: string): Observable<unknown> {
    return this.answer(() => {
      this.kept.delete(id);
    });
  }

  inspectionSheet(): Observable<Kept<InspectionSheet>> {
    return this.answer(() => this.sheet);
  }

  keepInspectionSheet({ revision, document }: ToKeep<InspectionSheet>): Observable<Kept<InspectionSheet>> {
    return this.answer(() => {
      this.sheet = { revision: revision + 1, updatedAt: '2026-03-02T09:00:00.000Z', document };
      return this.sheet;
    });
  }

  tools(): Observable<Kept<ToolList>> {
    return this.answer(() => this.toolList);
  }

  keepTools({ revision, document }: ToKeep<ToolList>): Observable<Kept<ToolList>> {
    return this.answer(() => {
      if (revision !== this.toolList.revision)
        throw problemAnswer('stale-revision', 409, 'Somebody else changed this meanwhile.');
      this.toolList = { revision: revision + 1, updatedAt: '2026-03-02T09:00:00.000Z', document };
      return this.toolList;
    });
  }

  append(_id: string, append: Append): Observable<Appended> {
    return this.answer(() => {
      this.appends.push(append);
      const instead = this.nextAppend;
      this.nextAppend = undefined;
      if (instead) throw instead;
      if (append.expectedPosition !== this.entries.length)
        throw problemAnswer('stale-position', 409, 'Somebody else wrote meanwhile.');
      this.entries.push(...append.entries);
      return {
        written: append.entries.map(({ id }, index) => ({ id, position: append.expectedPosition + index + 1 })),
      };
    });
  }

  keepPhoto(picture: Blob): Observable<KeptPhoto> {
    return this.answer(() => {
      if (this.nextPhoto) throw this.nextPhoto;
      this.photos.push(picture);
      return { photo: 'f'.repeat(64), widthPx: 4, heightPx: 3, bytes: picture.size };
    });
  }

  house(): Observable<HouseKnowledge> {
    return this.answer(() => this.knowledge);
  }

  find(query: string): Observable<readonly JobHits[]> {
    return this.answer(() => {
      this.asked.push(query);
      return this.hits;
    });
  }

  jobByCode(code: string): Observable<{ readonly id: string; readonly title: string }> {
    return this.answer(() => {
      if (code !== jobCode(testJob.id)) throw problemAnswer('not-found', 404, 'That label belongs to another shop.');
      return { id: testJob.id, title: testJob.title };
    });
  }

  jobs(): Observable<readonly JobSummary[]> {
    return this.answer(() => this.summaries);
  }

  begin(job: NewJob): Observable<Job> {
    return this.answer(() => {
      this.begun.push(job);
      return { ...testJob, id: job.id };
    });
  }

  zipAddress(id: string): string {
    return `/api/jobs/${id}/bundle.zip`;
  }

  takeInZip(): ReturnType<Api['takeInZip']> {
    return this.answer(() => ({ id: testJob.id, title: testJob.title, written: 5 }));
  }

  bundleAddress(id: string): string {
    return `/api/jobs/${id}/bundle`;
  }

  takeIn(): ReturnType<Api['takeIn']> {
    return this.answer(() => ({ id: testJob.id, title: testJob.title, written: 3 }));
  }
}
