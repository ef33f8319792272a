import { TestBed } from '@angular/core/testing';
import type { EntryBody } from '@brisk/core/ledger';
import { Desk } from '../app/session/desk';
import { FakeServer } from './fake-server';
import { jobProviders, tick } from './open-job';
import { testJob } from './test-job';

/** The first two steps of the test job. */
export const first: EntryBody = { kind: 'operation-done', operation: 'do:codes-before' };
export const second: EntryBody = { kind: 'operation-done', operation: 'open:battery-negative' };
export const note = (text: string): EntryBody => ({ kind: 'noted', text });

/** A desk at which the test job is open, as `server` has it. */
export async function openDesk(server = new FakeServer()): Promise<{ desk: Desk; server: FakeServer }> {
  TestBed.configureTestingModule({ providers: jobProviders(server) });
  const desk = TestBed.inject(Desk);
  desk.open(testJob.id);
  await tick();
  return { desk, server };
}
/** What was written to `server`, in order. */
export const kinds = (server: FakeServer) => server.entries.map(({ kind }) => kind);

const SETTLED_BY_NOW_MS = 10_000;

/** Waits until `desk` has nothing left to send and stands where `server` stands. Throws where that does not come. */
export async function settled(desk: Desk, server: FakeServer): Promise<void> {
  const began = Date.now();
  while (desk.kept() > 0 || desk.state()?.position !== server.entries.length) {
    if (Date.now() - began > SETTLED_BY_NOW_MS) throw new Error(`${desk.kept()} entries still wait to be sent.`);
    await tick(2);
  }
}
