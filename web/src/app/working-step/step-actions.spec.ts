import { check } from '@brisk/contracts/check';
import { TestBed } from '@angular/core/testing';
import { MatSnackBar } from '@angular/material/snack-bar';
import { isDone, type LedgerEntry } from '@brisk/core/ledger';
import { of, Subject } from 'rxjs';
import type { Operation } from '@brisk/core/teardown';
import type { Schema } from 'yup';
import { PeopleApi } from '../api/people-api';
import { PhotoTaking } from '../photos/photo-taking';
import { theirEntry } from '../../testing/test-job';
import { openView, workedUntil } from '../../testing/open-job';
import { Ask } from '../ui/ask';
import type { Answers, Asking } from '../ui/asking';
import { Recorder } from '../session/recorder';
import { HoldActions } from './hold-actions';
import { JointActions } from './joint-actions';
import { StepActions } from './step-actions';
import { StepInHand } from './step-in-hand';

/** Opens the job with somebody who answers every question with `answers`, or thinks better of it. */
async function asked(answers: Answers | undefined, entries: readonly LedgerEntry[] = workedUntil(() => true)) {
  const askings: Asking[] = [];
  const told: string[] = [];
  const undo = new Subject<void>();
  const view = await openView(StepInHand, entries, (desk) => ({ state: desk.state(), phases: ['strip', 'lift'] }), {
    providers: [
      {
        provide: Ask,
        useValue: {
          ask: (asking: Asking) => {
            askings.push(asking);
            return Promise.resolve(answers);
          },
        },
      },
      {
        provide: PeopleApi,
        useValue: {
          people: () =>
            of([{ name: 'Ines' }, { name: 'Ruth' }, { name: 'Kurt', out: true }, { name: 'Eva', role: 'guest' }]),
        },
      },
      {
        provide: MatSnackBar,
        useValue: {
          open: (words: string) => {
            told.push(words);
            return { onAction: () => undo };
          },
        },
      },
    ],
  });
  const sent = async () => {
    await view.settle();
    return view.server.entries.slice(entries.length);
  };
  return {
    view,
    actions: TestBed.inject(StepActions),
    holds: TestBed.inject(HoldActions),
    joints: TestBed.inject(JointActions),
    recorder: TestBed.inject(Recorder),
    askings,
    told,
    undo,
    sent,
  };
}

const shield = 'heat-shield-nuts';
const stripped = workedUntil((state) => isDone(state, `open:${shield}`));

describe('what is asked before it is written down', () => {
  it('why a step is passed over', async () => {
    const { view, sent, askings, told, actions } = await asked({ mode: 'not-here', reason: 'No airbox on this one' });
    const operation = view.desk.state()?.work.operations.get('open:airbox-bolts');
    if (!operation) throw new Error('No step');
    await actions.skip(operation);
    expect(askings[0]?.title).toBe(`Skip: ${operation.title}`);
    expect(await sent()).toMatchObject([
      { kind: 'operation-skipped', operation: operation.id, mode: 'not-here', reason: 'No airbox on this one' },
    ]);
    expect(told).toEqual([`Skipped: ${operation.title}`]);
  });

  it('who a note is for', async () => {
    const { view, sent, actions } = await asked({ text: 'Clip breaks when cold', house: 'house' });
    await actions.note(view.desk.state()?.work.operations.get('open:airbox-bolts'));
    await actions.note();
    expect(await sent()).toMatchObject([
      { kind: 'noted', text: 'Clip breaks when cold', operation: 'open:airbox-bolts', house: true },
      { kind: 'noted', text: 'Clip breaks when cold' },
    ]);
  });

  it('one picture that cannot be read leaves the others as they are, and is named', async () => {
    const { view, told, sent } = await asked(undefined);
    const files = ['one.jpg', 'two.heic', 'three.jpg', 'four.txt', 'five.png'].map((name) => new File(['x'], name));
    await TestBed.inject(PhotoTaking).take(files, {});
    await view.settle();
    expect((await sent()).map(({ kind }) => kind)).toEqual(['photo-taken', 'photo-taken', 'photo-taken']);
    expect(told.at(-1)).toMatch(
      /“two.heic” is no picture.*“four.txt” is no picture.* The other 3 photos are recorded\.$/,
    );
  });

  it('whoever is free can be called, and so can everybody who may work here', async () => {
    const { actions, askings, sent, view } = await asked({ wanted: 'Lend a hand', who: 'anybody' });
    const operation = [...(view.desk.state()?.work.operations.values() ?? [])][0] as Operation;
    await actions.call(operation);
    const who = askings.at(-1)?.questions.find(({ field }) => field === 'who');
    expect(check(who?.schema as Schema, who?.initial)).not.toHaveProperty('errors');
    expect(who?.choices?.map(({ words }) => words)).toEqual(['Whoever is free', 'Tobias', 'Ruth']);
    expect((await sent()).map(({ id: _id, at: _at, by: _by, ...entry }) => entry)).toEqual([
      { kind: 'help-called', text: 'Lend a hand', operation: operation.id },
    ]);
  });

  it('what somebody is called for, and who', async () => {
    const { view, sent, askings, actions } = await asked({
      wanted: 'Lend a hand',
      words: 'Bring the 36 spanner',
      who: 'Tobias',
    });
    const operation = view.desk.state()?.work.operations.get('open:airbox-bolts');
    if (!operation) throw new Error('No step');
    await actions.call(operation);
    const [wanted, , who] = askings[0]?.questions ?? [];
    expect(wanted?.choices?.map(({ words }) => words)).toEqual([
      'Lend a hand',
      ...operation.tools.map((tool) => `Bring the ${tool}`),
    ]);
    expect(who?.choices?.map(({ words }) => words)).toEqual(['Whoever is free', 'Tobias', 'Ruth']);
    expect(await sent()).toMatchObject([
      { kind: 'help-called', text: 'Bring the 36 spanner', operation: operation.id, who: 'Tobias' },
    ]);
  });

  it('what ties it down that the map did not have, between which ends', async () => {
    const answers = {
      name: 'the strap behind the head',
      kind: 'ground',
      from: 'engine',
      to: 'body',
      station: 'bay-top',
      height: 'either',
    };
    const { view, sent, askings, holds } = await asked(answers);
    await holds.found(false);
    const [found] = await sent();
    expect(found).toMatchObject({
      kind: 'connection-found',
      alreadyOpen: false,
      connection: { name: 'the strap behind the head', kind: 'ground', between: ['engine', 'body'] },
    });
    expect([...(view.desk.state()?.work.connections.values() ?? [])].map(({ name }) => name)).toContain(answers.name);
    // Every question refuses what is no answer to it, in words.
    for (const { schema, choices } of askings[0]?.questions ?? []) {
      expect(check(schema, '')).toHaveProperty('errors');
      if (choices) expect(check(schema, 'anything else')).toHaveProperty('errors');
      for (const { value } of choices ?? []) expect(check(schema, value)).toEqual({ value });
    }
  });

  it('why a joint stays as it is, with what may come of it', async () => {
    const { sent, askings, holds } = await asked({ reason: 'Comes along with the body' });
    await holds.leave('starter-cable', 'the starter cable', 'attached');
    expect(askings[0]?.caution).toContain('tears');
    expect(await sent()).toMatchObject([
      { kind: 'left-on-purpose', connection: 'starter-cable', reason: 'Comes along with the body' },
    ]);
    await holds.leave(shield, 'the exhaust heat shield', 'off');
    expect(askings[1]?.caution).toContain('warnings at the first start');
  });

  it('why an entry is taken back', async () => {
    const entries = [...stripped, theirEntry({ kind: 'noted', text: 'Wrong machine' })];
    const { view, sent, recorder } = await asked({ reason: 'Other bay' }, entries);
    await recorder.correct(entries.at(-1)?.id ?? '', 'Note: Wrong machine');
    expect(await sent()).toMatchObject([{ kind: 'corrected', corrects: entries.at(-1)?.id, reason: 'Other bay' }]);
    expect(view.desk.state()?.notes).toEqual([]);
  });

  it('how many went in, and why a set that is not even stays so', async () => {
    const { sent, askings, told, joints } = await asked({ count: 3, reason: 'On order', note: 'Paint' }, stripped);
    await joints.countIn(shield);
    expect(askings[0]?.words).toMatch(/^4 belong here/);
    await joints.countIn('ghost');
    await joints.acceptCount(shield, 'One is missing');
    await joints.groundBad('ghost', 'the ghost strap');
    expect(askings.map(({ title }) => title)).toEqual([
      'Count in: the exhaust heat shield',
      'Accept the count as it is',
      'Not good: the ghost strap',
    ]);
    // Counting in before anything is closed, and a ground that is not there, are refused in words.
    expect(told).toHaveLength(3);
    for (const entry of await sent()) expect(entry.kind).toMatch(/fasteners-counted|count-accepted/);
  });

  it('writes nothing when somebody thinks better of it', async () => {
    const { view, sent, askings, actions, holds, joints, recorder } = await asked(undefined, stripped);
    const operation = view.desk.state()?.work.operations.get('open:airbox-bolts');
    if (!operation) throw new Error('No step');
    await actions.skip(operation);
    await actions.note();
    await holds.found(true);
    await holds.leave(shield, 'the shield', 'off');
    await recorder.correct('x', 'Something');
    await joints.countIn(shield);
    await joints.acceptCount(shield, 'One is missing');
    await joints.groundBad('body-strap', 'the strap');
    expect(askings).toHaveLength(8);
    expect(await sent()).toEqual([]);
  });
});

describe('what was written down', () => {
  it('is taken back from the bar, by a new entry', async () => {
    const { view, undo, sent, recorder } = await asked(undefined);
    expect(recorder.record('Noted', { kind: 'noted', text: 'Wrong' })).toBe(true);
    undo.next();
    expect((await sent()).map(({ kind }) => kind)).toEqual(['noted', 'corrected']);
    expect(view.desk.state()?.notes).toEqual([]);
  });

  it('is not there to be taken back where nothing is, and what is refused says why', async () => {
    const { told, sent, recorder } = await asked(undefined);
    recorder.undoLast();
    expect(told).toEqual(['There is nothing of yours to take back.']);
    expect(recorder.record('Done', { kind: 'operation-done', operation: 'open:starter-cable' })).toBe(false);
    expect(told.at(-1)).toContain('First:');
    expect(await sent()).toEqual([]);
  });

  it('ends a break by itself', async () => {
    const { sent, told, recorder } = await asked(undefined);
    recorder.rest();
    recorder.record('Noted', { kind: 'noted', text: 'Back' });
    recorder.rest();
    recorder.rest();
    expect((await sent()).map(({ kind }) => kind)).toEqual([
      'work-paused',
      'work-resumed',
      'noted',
      'work-paused',
      'work-resumed',
    ]);
    expect(told.at(-1)).toBe('Back at work');
  });
});
