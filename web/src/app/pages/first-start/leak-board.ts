import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { View } from '@brisk/core/bay';
import { lumpOfPlan } from '@brisk/core/connection-map';
import { hasRun, LEAK_WORDS, LEAKS, partsOut, type Leak } from '@brisk/core/ledger';
import { wetJoints } from '@brisk/core/running-in';
import { sentence } from '@brisk/core/words';
import { MapPicture, type Picked, type Standing } from '../../map/map-picture';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';

/** Leaks by place: every joint that holds fluid in, on the bay and in a list, ticked dry, weeping or dripping. */
@Component({
  selector: 'bl-leak-board',
  imports: [MapPicture, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './leak-board.html',
  styleUrl: './leak-board.scss',
})
export class LeakBoard {
  protected readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  protected readonly leaks = LEAKS.map((is) => ({ is, words: sentence(LEAK_WORDS[is]) }));
  protected readonly view = signal<View>('above');
  protected readonly ran = computed(() => {
    const state = this.desk.state();
    return state !== undefined && hasRun(state);
  });
  protected readonly joints = computed(() => {
    const state = this.desk.state();
    return (state ? wetJoints(state) : []).map((joint) => ({
      ...joint,
      name: sentence(joint.connection.name),
      says: joint.seen ? `${LEAK_WORDS[joint.seen.is]}, ${joint.seen.by}` : 'not looked at',
    }));
  });
  protected readonly left = computed(() => this.joints().filter(({ seen }) => !seen).length);
  protected readonly picked = linkedSignal<readonly string[], Picked | undefined>({
    source: () => this.joints().map(({ connection }) => connection.id),
    computation: (ids, before) => (before?.value && before.source.join() === ids.join() ? before.value : undefined),
  });
  /** What was tapped, or else everything nobody has looked at yet. */
  protected readonly shown = computed(() => {
    const picked = this.picked();
    const ids = picked?.what === 'connections' ? new Set(picked.ids) : undefined;
    return ids
      ? this.joints().filter(({ connection }) => ids.has(connection.id))
      : [...this.joints()].sort((one, other) => Number(one.seen !== undefined) - Number(other.seen !== undefined));
  });
  protected readonly map = computed(() => this.desk.state()?.work.plan.map);
  protected readonly lump = computed(() => {
    const state = this.desk.state();
    return state ? lumpOfPlan(state.work.plan) : new Set<string>();
  });
  protected readonly off = computed(() => {
    const state = this.desk.state();
    return state ? partsOut(state) : new Set<string>();
  });
  protected readonly measured = computed(() => Object.fromEntries(this.desk.state()?.measured ?? []));
  /** What is dry is drawn faint, what leaks as what is open. */
  protected readonly only = computed(
    () => new Set(this.joints().flatMap(({ connection, seen }) => (seen?.is === 'dry' ? [] : [connection.id]))),
  );
  protected readonly standing = computed(
    (): ReadonlyMap<string, Standing> =>
      new Map(
        this.joints().flatMap(({ connection, seen }) =>
          seen && seen.is !== 'dry' ? [[connection.id, 'open' as const]] : [],
        ),
      ),
  );

  protected say(connection: string, name: string, is: Leak): void {
    this.recorder.record(`${name} ${LEAK_WORDS[is]}`, { kind: 'leak-looked', connection, is });
  }

  /** Everything nobody found anything at. */
  protected restIsDry(): void {
    const rest = this.joints().filter(({ seen }) => !seen);
    this.recorder.record(
      'The rest is dry',
      ...rest.map(({ connection }) => ({
        kind: 'leak-looked' as const,
        connection: connection.id,
        is: 'dry' as const,
      })),
    );
  }
}
