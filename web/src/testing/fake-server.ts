import { HttpErrorResponse } from '@angular/common/http';
import type { BackupStatus } from '@brisk/contracts/backup';
import { check } from '@brisk/contracts/check';
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
import type { Problem, ProblemKind } from '@brisk/contracts/problem';
import {
  inspectionSheetSchema,
  shopTemplateSchema,
  toolListSchema,
  type Kept,
  type ShopTemplate,
  type ShopTemplateSummary,
  type ToKeep,
  type ToolList,
} from '@brisk/contracts/shop';
import { keepGearSchema } from '@brisk/contracts/lifting-gear';
import { keepRatesSchema } from '@brisk/contracts/rates';
import { keepRackSchema, type KeptRack } from '@brisk/contracts/torque-wrenches';
import { keepOwnKnowledgeSchema } from '@brisk/contracts/trouble-knowledge';
import { NO_OWN_KNOWLEDGE, type OwnKnowledge } from '@brisk/core/diagnosis';
import { FIRST_RACK, type WrenchRack } from '@brisk/core/torque';
import { USUAL_RATES, type Rates } from '@brisk/core/economics';
import { FIRST_GEAR, type LiftingGear } from '@brisk/core/rigging';
import { INSPECTION_SHEET, type InspectionSheet } from '@brisk/core/donor';
import type { HouseKnowledge } from '@brisk/core/house';
import { jobCode } from '@brisk/core/labels';
import { usualMap } from '@brisk/core/layouts';
import { ENDING_OF, type KeptLiterature, type LiteratureType } from '@brisk/core/literature';
import { foldLedger, lostBy, replay, type EntryBody, type LedgerEntry } from '@brisk/core/ledger';
import { defer, of, throwError, type Observable, Subject } from 'rxjs';
import type { ISchema } from 'yup';
import type { Api } from '../app/api/api';
import type { Ring } from '../app/api/bell-line';

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
  const id = `00000000-0000-4000-8000-${String(made).padStart(12, '0')}`;
  return { id, at: '2026-03-02T08:00:00.000Z', by: 'Tobias', ...body } as LedgerEntry;
}

/** A server in memory that keeps the real one's promises: once each, in order, conflicts told. It can be cut off. */
export class FakeServer implements Pick<
  Api,
  | 'job'
  | 'entriesAfter'
  | 'append'
  | 'jobs'
  | 'begin'
  | 'putRight'
  | 'setAside'
  | 'backup'
  | 'asStoredAddress'
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
  | 'keepLiterature'
  | 'torqueWrenches'
  | 'keepTorqueWrenches'
  | 'bell'
  | 'here'
  | 'gone'
  | 'troubleKnowledge'
  | 'keepTroubleKnowledge'
  | 'house'
  | 'find'
  | 'jobByCode'
> {
  entries: LedgerEntry[] = [];
  reachable = true;
  summaries: readonly JobSummary[] = [];
  begun: NewJob[] = [];
  backedUp: BackupStatus = {};
  opened: Job = testJob;
  plannings: Planning[] = [];
  readonly kept = new Map<string, Kept<ShopTemplate>>();
  sheet: Kept<InspectionSheet> = { revision: 0, updatedAt: '', document: INSPECTION_SHEET };
  shopRates: Kept<Rates> = { revision: 0, updatedAt: '', document: USUAL_RATES };
  gear: Kept<LiftingGear> = { revision: 0, updatedAt: '', document: FIRST_GEAR };
  wrenches: KeptRack = { revision: 0, updatedAt: '', document: FIRST_RACK, uses: {} };
  trouble: Kept<OwnKnowledge> = { revision: 0, updatedAt: '', document: NO_OWN_KNOWLEDGE };
  toolList: Kept<ToolList> = { revision: 0, updatedAt: '', document: { tools: [] } };
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

  keepTemplate(template: ToKeep<ShopTemplate>): Observable<Kept<ShopTemplate>> {
    return this.answer(() => {
      const { revision, document } = held(shopTemplateSchema, template);
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

  keepInspectionSheet(sheet: ToKeep<InspectionSheet>): Observable<Kept<InspectionSheet>> {
    return this.answer(() => {
      const { revision, document } = held(inspectionSheetSchema, sheet);
      this.sheet = { revision: revision + 1, updatedAt: '2026-03-02T09:00:00.000Z', document };
      return this.sheet;
    });
  }

  tools(): Observable<Kept<ToolList>> {
    return this.answer(() => this.toolList);
  }

  rates(): Observable<Kept<Rates>> {
    return this.answer(() => this.shopRates);
  }

  keepRates(rates: ToKeep<Rates>): Observable<Kept<Rates>> {
    return this.answer(() => {
      const { revision, document } = held(keepRatesSchema, rates);
      this.shopRates = { revision: revision + 1, updatedAt: '2026-03-02T09:00:00.000Z', document };
      return this.shopRates;
    });
  }

  liftingGear(): Observable<Kept<LiftingGear>> {
    return this.answer(() => this.gear);
  }

  keepLiftingGear(gear: ToKeep<LiftingGear>): Observable<Kept<LiftingGear>> {
    return this.answer(() => {
      const { revision, document } = held(keepGearSchema, gear);
      if (revision !== this.gear.revision)
        throw problemAnswer('stale-revision', 409, 'Somebody else changed this meanwhile.');
      this.gear = { revision: revision + 1, updatedAt: '2026-03-02T09:00:00.000Z', document };
      return this.gear;
    });
  }

  keepTools(tools: ToKeep<ToolList>): Observable<Kept<ToolList>> {
    return this.answer(() => {
      const { revision, document } = held(toolListSchema, tools);
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

  torqueWrenches(): Observable<KeptRack> {
    return this.answer(() => this.wrenches);
  }

  keepTorqueWrenches(sent: ToKeep<WrenchRack>): Observable<KeptRack> {
    return this.answer(() => {
      const { revision, document } = held(keepRackSchema, sent);
      this.wrenches = { ...this.wrenches, revision: revision + 1, document };
      return this.wrenches;
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

  troubleKnowledge(): Observable<Kept<OwnKnowledge>> {
    return this.answer(() => this.trouble);
  }

  keepTroubleKnowledge(sent: ToKeep<OwnKnowledge>): Observable<Kept<OwnKnowledge>> {
    return this.answer(() => {
      const { revision, document } = held(keepOwnKnowledgeSchema, sent);
      this.trouble = { revision: revision + 1, updatedAt: '', document };
      return this.trouble;
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

/** `value` as it comes over the wire, held to what the server holds it to. Throws as the server would answer. */
function held<T>(schema: ISchema<T>, value: T): T {
  const sent = JSON.parse(JSON.stringify(value)) as unknown;
  const checked = check(schema, sent);
  if ('value' in checked) return checked.value;
  const words = checked.errors.map(({ field, words: said }) => `${field}: ${said}`).join(' ');
  throw problemAnswer('bad-input', 422, words);
}
