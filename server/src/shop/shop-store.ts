import { isDeepStrictEqual } from 'node:util';
import type { Kept, ToKeep } from '@brisk/contracts/shop';
import type { OpenDatabase } from '../database/open.js';
import { plain } from '../database/plain.js';
import { ShopDocumentRows, type ShopDocumentRow } from '../database/rows.js';
import { ProblemError } from '../http/problem.js';
import { oneAtATime } from '../jobs/one-at-a-time.js';

/** What kinds of things a shop keeps. */
export type ShopKind =
  | 'template'
  | 'inspection-sheet'
  | 'tools'
  | 'lifting-gear'
  | 'rates'
  | 'writing'
  | 'torque-wrenches'
  | 'trouble-knowledge'
  | 'sign-in-notice';

/** Keeps the shop’s own documents: each is written whole, and only over the revision its writer knew. */
export class ShopStore {
  readonly #inTurn = oneAtATime();

  constructor(
    private readonly database: OpenDatabase,
    private readonly now: () => Date,
  ) {}

  /** Everything of one kind, by id. */
  async all<Document>(kind: ShopKind): Promise<ReadonlyMap<string, Kept<Document>>> {
    const rows = await this.database.fork().find(ShopDocumentRows, { kind }, { orderBy: { updatedAt: 'desc' } });
    return new Map(rows.map((row) => [row.id, keptOf<Document>(row)]));
  }

  /** One document, or undefined. */
  async find<Document>(kind: ShopKind, id: string): Promise<Kept<Document> | undefined> {
    const row = await this.database.fork().findOne(ShopDocumentRows, { id, kind });
    return row ? keptOf<Document>(row) : undefined;
  }

  /** Writes a document over the revision its writer knew. The same again is answered the same. Throws `stale-revision`. */
  async keep<Document>(kind: ShopKind, id: string, { revision, document }: ToKeep<Document>): Promise<Kept<Document>> {
    return this.#inTurn(id, async () => {
      const row = await this.database.fork().findOne(ShopDocumentRows, { id });
      if (row && row.kind !== kind)
        throw new ProblemError('exists', 'That id belongs to something else the shop keeps. Nothing was written.');
      const stored = row ? keptOf<Document>(row) : undefined;
      if (stored && stored.revision === revision + 1 && isDeepStrictEqual(stored.document, plain(document)))
        return stored;
      const stands = stored?.revision ?? 0;
      if (stands !== revision)
        throw new ProblemError(
          'stale-revision',
          'Somebody else changed this meanwhile. Nothing was written; look at theirs and do yours again.',
          { revision: stands },
        );
      const kept: Kept<Document> = { revision: revision + 1, updatedAt: this.now().toISOString(), document };
      await this.database.fork().upsert(ShopDocumentRows, {
        id,
        kind,
        revision: kept.revision,
        updatedAt: kept.updatedAt,
        document: JSON.stringify(document),
      });
      return kept;
    });
  }

  /** Forgets a document; one that is gone already is no trouble. */
  async forget(kind: ShopKind, id: string): Promise<void> {
    await this.#inTurn(id, () => this.database.fork().nativeDelete(ShopDocumentRows, { id, kind }));
  }
}

function keptOf<Document>({ revision, updatedAt, document }: ShopDocumentRow): Kept<Document> {
  return { revision, updatedAt, document: JSON.parse(document) as Document };
}
