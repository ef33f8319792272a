import type { SqlEntityManager } from '@mikro-orm/libsql';
import type Database from 'libsql';
import { isDiskFull } from '../http/disk-full.js';

/** Runs a statement, prepared once for each connection, with `values`. */
export type Run = (statement: string, values: readonly unknown[]) => void;

/** Has what `task` writes on the disk before it resolves, or nothing of it. Rejects with what `task` threw. */
export type Commit = (task: (run: Run) => void) => Promise<void>;

interface Waiting {
  readonly task: (run: Run) => void;
  readonly resolve: () => void;
  readonly reject: (error: unknown) => void;
}

/**
 * Small writes on the connection of `em`, those that wait at the same moment in one transaction: the disk is waited for
 * once for all of them. One that fails is undone by itself. What writes more than a few hundred rows does not belong here.
 */
export function commitsOn(em: SqlEntityManager): Commit {
  const { client } = em.getConnection().getKnex() as { readonly client: Pool };
  const prepared = new WeakMap<Database.Database, Map<string, Database.Statement>>();
  let waiting: Waiting[] = [];

  const runOn = (connection: Database.Database): Run => {
    const statements = prepared.get(connection) ?? new Map<string, Database.Statement>();
    prepared.set(connection, statements);
    return (statement, values) => {
      const ready = statements.get(statement) ?? connection.prepare(statement);
      statements.set(statement, ready);
      ready.run(values);
    };
  };

  const commitAll = async () => {
    let all: readonly Waiting[] = [];
    try {
      const connection = await client.acquireConnection();
      all = waiting;
      waiting = [];
      try {
        const settled = together(all, runOn(connection));
        for (const tell of settled) tell();
      } finally {
        await client.releaseConnection(connection);
      }
    } catch (error) {
      for (const { reject } of [...all, ...waiting.splice(0)]) reject(error);
    }
  };

  return (task) =>
    new Promise((resolve, reject) => {
      waiting.push({ task, resolve, reject });
      // Every request that has come in meanwhile is read first.
      if (waiting.length === 1) setImmediate(() => void commitAll());
    });
}

interface Pool {
  readonly acquireConnection: () => Promise<Database.Database>;
  readonly releaseConnection: (connection: Database.Database) => Promise<void>;
}

/** Does `all` in one transaction; what is to be told to each once it is on the disk. Throws where nothing was written. */
function together(all: readonly Waiting[], run: Run): readonly (() => void)[] {
  run('begin immediate', []);
  try {
    if (all.length === 1) all[0]?.task(run);
    const settled = all.map(({ task, resolve, reject }) => {
      if (all.length === 1) return resolve;
      run('savepoint one', []);
      try {
        task(run);
        run('release one', []);
        return resolve;
      } catch (error) {
        // On a full disk SQLite has undone all of it already; then nobody’s was written.
        if (isDiskFull(error)) throw error;
        run('rollback to one', []);
        run('release one', []);
        return () => reject(error);
      }
    });
    run('commit', []);
    return settled;
  } catch (error) {
    // A full disk has rolled it back already.
    try {
      run('rollback', []);
    } catch {
      // As said.
    }
    throw error;
  }
}
