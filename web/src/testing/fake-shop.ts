import { HttpErrorResponse } from '@angular/common/http';
import { keepGearSchema } from '@brisk/contracts/lifting-gear';
import { keepRatesSchema } from '@brisk/contracts/rates';
import { keepShopWritingSchema, USUAL_SHOP_WRITING, type ShopWriting } from '@brisk/contracts/shop-writing';
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
import { keepRackSchema, type KeptRack } from '@brisk/contracts/torque-wrenches';
import { keepOwnKnowledgeSchema } from '@brisk/contracts/trouble-knowledge';
import { NO_OWN_KNOWLEDGE, type OwnKnowledge } from '@brisk/core/diagnosis';
import { INSPECTION_SHEET, type InspectionSheet } from '@brisk/core/donor';
import { USUAL_RATES, type Rates } from '@brisk/core/economics';
import { FIRST_GEAR, type LiftingGear } from '@brisk/core/rigging';
import { FIRST_RACK, type WrenchRack } from '@brisk/core/torque';
import { defer, of, throwError, type Observable } from 'rxjs';
import type { ISchema } from 'yup';
import { held, problemAnswer } from './problem-answer';

/** A document of the shop before anybody has changed it. */
const asShipped = <T>(document: T): Kept<T> => ({ revision: 0, updatedAt: '', document });

/** What the shop keeps beside its jobs, in memory; as on the server a change names the revision it was made from. */
export class FakeShop {
  reachable = true;
  readonly kept = new Map<string, Kept<ShopTemplate>>();
  sheet: Kept<InspectionSheet> = asShipped(INSPECTION_SHEET);
  toolList: Kept<ToolList> = asShipped({ tools: [] });
  shopRates: Kept<Rates> = asShipped(USUAL_RATES);
  shopWriting: Kept<ShopWriting> = asShipped(USUAL_SHOP_WRITING);
  gear: Kept<LiftingGear> = asShipped(FIRST_GEAR);
  wrenches: KeptRack = { ...asShipped(FIRST_RACK), uses: {} };
  trouble: Kept<OwnKnowledge> = asShipped(NO_OWN_KNOWLEDGE);

  /** What `make` gives, or throws, where the server can be reached. */
  protected answer<T>(make: () => T): Observable<T> {
    return defer(() => {
      if (!this.reachable) return throwError(() => new HttpErrorResponse({ status: 0 }));
      try {
        return of(make());
      } catch (error) {
        return throwError(() => error);
      }
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
      const { id } = template.document;
      const kept = revised(shopTemplateSchema, template, this.kept.get(id));
      this.kept.set(id, kept);
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
    return this.answer(() => (this.sheet = revised(inspectionSheetSchema, sheet, this.sheet)));
  }

  tools(): Observable<Kept<ToolList>> {
    return this.answer(() => this.toolList);
  }

  keepTools(tools: ToKeep<ToolList>): Observable<Kept<ToolList>> {
    return this.answer(() => (this.toolList = revised(toolListSchema, tools, this.toolList)));
  }

  rates(): Observable<Kept<Rates>> {
    return this.answer(() => this.shopRates);
  }

  keepRates(rates: ToKeep<Rates>): Observable<Kept<Rates>> {
    return this.answer(() => (this.shopRates = revised(keepRatesSchema, rates, this.shopRates)));
  }

  writing(): Observable<Kept<ShopWriting>> {
    return this.answer(() => this.shopWriting);
  }

  keepWriting(writing: ToKeep<ShopWriting>): Observable<Kept<ShopWriting>> {
    return this.answer(() => (this.shopWriting = revised(keepShopWritingSchema, writing, this.shopWriting)));
  }

  liftingGear(): Observable<Kept<LiftingGear>> {
    return this.answer(() => this.gear);
  }

  keepLiftingGear(gear: ToKeep<LiftingGear>): Observable<Kept<LiftingGear>> {
    return this.answer(() => (this.gear = revised(keepGearSchema, gear, this.gear)));
  }

  torqueWrenches(): Observable<KeptRack> {
    return this.answer(() => this.wrenches);
  }

  keepTorqueWrenches(rack: ToKeep<WrenchRack>): Observable<KeptRack> {
    return this.answer(() => (this.wrenches = { ...this.wrenches, ...revised(keepRackSchema, rack, this.wrenches) }));
  }

  troubleKnowledge(): Observable<Kept<OwnKnowledge>> {
    return this.answer(() => this.trouble);
  }

  keepTroubleKnowledge(own: ToKeep<OwnKnowledge>): Observable<Kept<OwnKnowledge>> {
    return this.answer(() => (this.trouble = revised(keepOwnKnowledgeSchema, own, this.trouble)));
  }
}

/** What `sent` makes of `stands`. Throws as the server would answer where it is malformed or made from an older revision. */
function revised<T>(schema: ISchema<ToKeep<T>>, sent: ToKeep<T>, stands?: Kept<T>): Kept<T> {
  const { revision, document } = held(schema, sent);
  if (revision !== (stands?.revision ?? 0))
    throw problemAnswer('stale-revision', 409, 'Somebody else changed this meanwhile.');
  return { revision: revision + 1, updatedAt: '2026-03-02T09:00:00.000Z', document };
}
