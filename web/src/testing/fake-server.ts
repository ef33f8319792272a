import type { HttpErrorResponse } from '@angular/common/http';
import type { BackupStatus } from '@brisk/contracts/backup';
import {
  appendSchema,
  newJobSchema,
  planningSchema,
  type Append,
  type Appended,
  type Job,
  type JobSummary,
  type JobWithLedger,
  type LedgerTail,
  type NewJob,
  type Planning,
  type PutRightFrom,
} from '@brisk/contracts/job';
import type { HereNow } from '@brisk/contracts/here';
import type { JobHits, KeptPhoto } from '@brisk/contracts/house';
import type { HouseKnowledge } from '@brisk/core/house';
import { jobCode } from '@brisk/core/labels';
import { ENDING_OF, type KeptLiterature, type LiteratureType } from '@brisk/core/literature';
import { foldLedger, lostBy, replay, type LedgerEntry } from '@brisk/core/ledger';
import { defer, of, type Observable, Subject } from 'rxjs';
import type { Api } from '../app/api/api';
import type { Ring, ShopRing } from '../app/api/bell-line';
import { FakeShop } from './fake-shop';
import { held, problemAnswer } from './problem-answer';
import { testJob } from './test-job';

/** A server in memory that keeps the real one's promises: once each, in order, conflicts told. It can be cut off. */
export class FakeServer extends FakeShop implements Pick<Api, keyof Api> {
  entries: LedgerEntry[] = [];
  summaries: readonly JobSummary[] = [];
  begun: NewJob[] = [];
  backedUp: BackupStatus = {};
  opened: Job = testJob;
  plannings: Planning[] = [];
  /** Pictures that were sent, and the answer to the next ones where they are refused. */
  photos: Blob[] = [];
  nextPhoto: HttpErrorResponse | undefined;
  /** Files of the literature that were sent, and the answer to the next one where it is refused. */
  literature: { readonly file: Blob; readonly type: LiteratureType }[] = [];
  nextLiterature: HttpErrorResponse | undefined;
  knowledge: HouseKnowledge = { notes: {}, troubles: {}, minutes: {}, found: [], causes: [] };
  hits: readonly JobHits[] = [];
  asked: string[] = [];
  appends: Append[] = [];
  /** Answers the next append with this instead. */
  nextAppend: HttpErrorResponse | undefined;
  /** Answers any append that has such an entry in it with this instead. */
  refuse: (entry: LedgerEntry) => HttpErrorResponse | false = () => false;

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
      held(planningSchema, planning);
      const stands = this.opened.revision ?? 1;
      if (planning.revision !== stands)
        throw problemAnswer('stale-revision', 409, 'Somebody else changed the map of this job meanwhile.');
      const [lost] = lostBy(foldLedger(this.opened.plan, this.entries), planning.plan);
      if (lost !== undefined) throw problemAnswer('refused', 422, lost);
      this.plannings.push(planning);
      const { plan: _plan, survey: _survey, swap: _swap, ...head } = this.opened;
      this.opened = { ...head, ...planning, revision: stands + 1 };
      return this.opened;
    });
  }

  append(_id: string, append: Append): Observable<Appended> {
    return this.answer(() => {
      this.appends.push(append);
      const instead = this.nextAppend;
      this.nextAppend = undefined;
      if (instead) throw instead;
      for (const entry of append.entries) {
        const refused = this.refuse(entry);
        if (refused) throw refused;
      }
      held(appendSchema, append);
      const fresh = append.entries.filter(({ id }) => this.entries.every((entry) => entry.id !== id));
      if (fresh.length > 0 && append.expectedPosition !== this.entries.length)
        throw problemAnswer('stale-position', 409, 'Somebody else wrote meanwhile.');
      const { refused } = replay(foldLedger(this.opened.plan, this.entries), fresh);
      if (refused) throw problemAnswer('refused', 422, refused.refusals[0]?.words ?? '');
      this.entries.push(...fresh);
      return {
        written: append.entries.map(({ id }) => ({
          id,
          position: 1 + this.entries.findIndex((entry) => entry.id === id),
        })),
      };
    });
  }

  keepLiterature(file: Blob, type: LiteratureType): Observable<KeptLiterature> {
    return this.answer(() => {
      const refusal = this.nextLiterature;
      this.nextLiterature = undefined;
      if (refusal) throw refusal;
      this.literature.push({ file, type });
      const name = `${String(this.literature.length).padStart(64, '0')}.${ENDING_OF[type]}`;
      return { file: name, type, pages: type === 'pdf' ? 3 : 1, bytes: file.size };
    });
  }

  /** Rings when a test says so. */
  readonly rings = new Subject<Ring>();

  /** What was said of who is where. */
  readonly said: HereNow[] = [];

  here(_job: string, now: HereNow): Observable<unknown> {
    return defer(() => {
      this.said.push(now);
      return of(undefined);
    });
  }

  gone(): Observable<unknown> {
    return of(undefined);
  }

  bell(): Observable<Ring> {
    return this.rings;
  }

  readonly shopBell = new Subject<ShopRing>();

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
      this.begun.push(held(newJobSchema, job));
      return { ...testJob, id: job.id };
    });
  }

  backup(): Observable<BackupStatus> {
    return this.answer(() => this.backedUp);
  }

  putRight(id: string): Observable<PutRightFrom> {
    return this.answer(() => {
      this.summaries = this.summaries.map(({ unreadable: _before, ...job }) => job);
      return { madeAt: '2026-03-02T20:00:00.000Z', entries: id === '2' ? 2 : 0, lost: id === '2' ? 1 : 0 };
    });
  }

  setAside(id: string, aside: boolean): Observable<unknown> {
    return this.answer(() => {
      this.summaries = this.summaries.map(({ aside: _before, ...job }) =>
        job.id === id && aside ? { ...job, aside } : { ...job, ...(_before && job.id !== id ? { aside: true } : {}) },
      );
    });
  }

  asStoredAddress(id: string): string {
    return `/api/jobs/${id}/as-stored`;
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
