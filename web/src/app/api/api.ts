import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import type { BackupStatus } from '@brisk/contracts/backup';
import type { Bundle } from '@brisk/contracts/bundle';
import type {
  Append,
  Appended,
  Aside,
  Job,
  JobSummary,
  JobWithLedger,
  LedgerTail,
  NewJob,
  PutRightFrom,
  Planning,
} from '@brisk/contracts/job';
import type { Rates } from '@brisk/core/economics';
import type { LiftingGear } from '@brisk/core/rigging';
import type { Kept, ShopTemplate, ShopTemplateSummary, ToKeep, ToolList } from '@brisk/contracts/shop';
import type { ShopWriting } from '@brisk/contracts/shop-writing';
import type { KeptRack } from '@brisk/contracts/torque-wrenches';
import type { WrenchRack } from '@brisk/core/torque';
import type { HereNow } from '@brisk/contracts/here';
import type { JobHits, KeptPhoto } from '@brisk/contracts/house';
import type { InspectionSheet } from '@brisk/core/donor';
import type { OwnKnowledge } from '@brisk/core/diagnosis';
import type { HouseKnowledge } from '@brisk/core/house';
import type { KeptLiterature, LiteratureType } from '@brisk/core/literature';
import { filter, share, type Observable } from 'rxjs';
import { bellOfTheShop, type Ring } from './bell-line';

/** How files of the literature are named to the server, where the browser may not know. */
const SENT_AS: Readonly<Partial<Record<LiteratureType, string>>> = { pdf: 'application/pdf', text: 'text/plain' };

/** What the server answers, request by request. Errors come as `HttpErrorResponse`; see `problem-words.ts`. */
@Injectable({ providedIn: 'root' })
export class Api {
  private readonly http = inject(HttpClient);

  jobs(): Observable<readonly JobSummary[]> {
    return this.http.get<readonly JobSummary[]>('/api/jobs');
  }

  begin(job: NewJob): Observable<Job> {
    return this.http.post<Job>('/api/jobs', job);
  }

  job(id: string): Observable<JobWithLedger> {
    return this.http.get<JobWithLedger>(`/api/jobs/${encodeURIComponent(id)}`);
  }

  entriesAfter(id: string, position: number): Observable<LedgerTail> {
    return this.http.get<LedgerTail>(`/api/jobs/${encodeURIComponent(id)}/ledger`, { params: { after: position } });
  }

  /** How the backups go. */
  backup(): Observable<BackupStatus> {
    return this.http.get<BackupStatus>('/api/backup');
  }

  /** Has a job that cannot be read put right from the backups. */
  putRight(id: string): Observable<PutRightFrom> {
    return this.http.post<PutRightFrom>(`/api/jobs/${encodeURIComponent(id)}/put-right`, {});
  }

  /** Sets a job aside, or takes it back. */
  setAside(id: string, aside: boolean): Observable<unknown> {
    return this.http.put(`/api/jobs/${encodeURIComponent(id)}/aside`, { aside } satisfies Aside);
  }

  asStoredAddress(id: string): string {
    return `/api/jobs/${encodeURIComponent(id)}/as-stored`;
  }

  replan(id: string, planning: Planning): Observable<Job> {
    return this.http.put<Job>(`/api/jobs/${encodeURIComponent(id)}/planning`, planning);
  }

  templates(): Observable<readonly ShopTemplateSummary[]> {
    return this.http.get<readonly ShopTemplateSummary[]>('/api/templates');
  }

  template(id: string): Observable<Kept<ShopTemplate>> {
    return this.http.get<Kept<ShopTemplate>>(`/api/templates/${encodeURIComponent(id)}`);
  }

  keepTemplate(template: ToKeep<ShopTemplate>): Observable<Kept<ShopTemplate>> {
    return this.http.put<Kept<ShopTemplate>>(`/api/templates/${encodeURIComponent(template.document.id)}`, template);
  }

  forgetTemplate(id: string): Observable<unknown> {
    return this.http.delete(`/api/templates/${encodeURIComponent(id)}`);
  }

  inspectionSheet(): Observable<Kept<InspectionSheet>> {
    return this.http.get<Kept<InspectionSheet>>('/api/inspection-sheet');
  }

  keepInspectionSheet(sheet: ToKeep<InspectionSheet>): Observable<Kept<InspectionSheet>> {
    return this.http.put<Kept<InspectionSheet>>('/api/inspection-sheet', sheet);
  }

  tools(): Observable<Kept<ToolList>> {
    return this.http.get<Kept<ToolList>>('/api/tools');
  }

  liftingGear(): Observable<Kept<LiftingGear>> {
    return this.http.get<Kept<LiftingGear>>('/api/lifting-gear');
  }

  keepLiftingGear(gear: ToKeep<LiftingGear>): Observable<Kept<LiftingGear>> {
    return this.http.put<Kept<LiftingGear>>('/api/lifting-gear', gear);
  }

  rates(): Observable<Kept<Rates>> {
    return this.http.get<Kept<Rates>>('/api/rates');
  }

  keepRates(rates: ToKeep<Rates>): Observable<Kept<Rates>> {
    return this.http.put<Kept<Rates>>('/api/rates', rates);
  }

  writing(): Observable<Kept<ShopWriting>> {
    return this.http.get<Kept<ShopWriting>>('/api/writing');
  }

  keepWriting(writing: ToKeep<ShopWriting>): Observable<Kept<ShopWriting>> {
    return this.http.put<Kept<ShopWriting>>('/api/writing', writing);
  }

  keepTools(tools: ToKeep<ToolList>): Observable<Kept<ToolList>> {
    return this.http.put<Kept<ToolList>>('/api/tools', tools);
  }

  append(id: string, append: Append): Observable<Appended> {
    return this.http.post<Appended>(`/api/jobs/${encodeURIComponent(id)}/ledger`, append);
  }

  /** Sends one picture; the answer says under which name it is kept. */
  keepPhoto(picture: Blob): Observable<KeptPhoto> {
    return this.http.post<KeptPhoto>('/api/photos', picture, { headers: { 'content-type': picture.type } });
  }

  /** Sends one file of the literature; the answer says under which name it is kept. */
  keepLiterature(file: Blob, type: LiteratureType): Observable<KeptLiterature> {
    return this.http.post<KeptLiterature>('/api/literature', file, {
      headers: { 'content-type': SENT_AS[type] ?? file.type },
    });
  }

  torqueWrenches(): Observable<KeptRack> {
    return this.http.get<KeptRack>('/api/torque-wrenches');
  }

  keepTorqueWrenches(rack: ToKeep<WrenchRack>): Observable<KeptRack> {
    return this.http.put<KeptRack>('/api/torque-wrenches', rack);
  }

  troubleKnowledge(): Observable<Kept<OwnKnowledge>> {
    return this.http.get<Kept<OwnKnowledge>>('/api/trouble-knowledge');
  }

  keepTroubleKnowledge(own: ToKeep<OwnKnowledge>): Observable<Kept<OwnKnowledge>> {
    return this.http.put<Kept<OwnKnowledge>>('/api/trouble-knowledge', own);
  }

  /** Says that somebody is at a job, and at which step. */
  here(job: string, now: HereNow): Observable<unknown> {
    return this.http.post(`/api/jobs/${encodeURIComponent(job)}/here`, now);
  }

  /** Says that a page has left a job. */
  gone(job: string, page: string): Observable<unknown> {
    return this.http.delete(`/api/jobs/${encodeURIComponent(job)}/here/${encodeURIComponent(page)}`);
  }

  /** Rings whenever something is written to a job; never fails. */
  bell(job: string): Observable<Ring> {
    return this.shopBell.pipe(filter((ring) => typeof ring === 'string' || ring.job === job));
  }

  /** Rings whenever something is written to any job; never fails. One line, however many listen. */
  readonly shopBell = bellOfTheShop().pipe(share());

  house(job: string): Observable<HouseKnowledge> {
    return this.http.get<HouseKnowledge>(`/api/jobs/${encodeURIComponent(job)}/house`);
  }

  find(query: string): Observable<readonly JobHits[]> {
    return this.http.get<readonly JobHits[]>('/api/find', { params: { q: query } });
  }

  jobByCode(code: string): Observable<{ readonly id: string; readonly title: string }> {
    return this.http.get<{ id: string; title: string }>(`/api/jobs-by-code/${encodeURIComponent(code)}`);
  }

  bundleAddress(id: string): string {
    return `/api/jobs/${encodeURIComponent(id)}/bundle`;
  }

  /** Where a job comes as one file with its photos. */
  zipAddress(id: string): string {
    return `/api/jobs/${encodeURIComponent(id)}/bundle.zip`;
  }

  /** Takes a job in from a file with its photos. */
  takeInZip(file: Blob): Observable<{ readonly id: string; readonly title: string; readonly written: number }> {
    return this.http.post<{ id: string; title: string; written: number }>('/api/bundles', file, {
      headers: { 'content-type': 'application/zip' },
    });
  }

  takeIn(bundle: Bundle): Observable<{ readonly id: string; readonly title: string; readonly written: number }> {
    return this.http.post<{ id: string; title: string; written: number }>('/api/bundles', bundle);
  }
}
