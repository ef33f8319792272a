import { computed, inject, Injectable, signal } from '@angular/core';
import type { Kept, ToolList } from '@brisk/contracts/shop';
import { LIFT, raisedOnBy, type ShopTool } from '@brisk/core/planning';
import type { RaisedOn } from '@brisk/core/schedule';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { problemKind, problemWords } from '../api/problem-words';

/** The shop’s own list of tools, kept on the server; changes go out one after the other. */
@Injectable({ providedIn: 'root' })
export class ToolShed {
  private readonly api = inject(Api);
  private readonly kept = signal<Kept<ToolList> | undefined>(undefined);
  private turn: Promise<unknown> = Promise.resolve();

  readonly trouble = signal('');
  readonly tools = computed(() => this.kept()?.document.tools ?? []);
  /** What this shop raises machines on. */
  readonly raisedOn = computed(() => raisedOnBy(this.tools()));
  readonly loaded = computed(() => this.kept() !== undefined);

  constructor() {
    void this.load();
  }

  async load(): Promise<void> {
    try {
      this.kept.set(await firstValueFrom(this.api.tools()));
      this.trouble.set('');
    } catch (error) {
      this.trouble.set(problemWords(error));
    }
  }

  /** Writes down what this shop raises machines on. */
  raiseOn(on: RaisedOn): Promise<void> {
    return this.put({ tool: LIFT, here: on === 'lift' });
  }

  /** Writes down what holds for one tool, on top of whatever others wrote meanwhile. */
  put(tool: ShopTool): Promise<void> {
    const run = this.turn.then(() => this.write(tool, true));
    this.turn = run;
    return run;
  }

  private async write(tool: ShopTool, again: boolean): Promise<void> {
    const kept = this.kept();
    if (!kept) {
      this.trouble.set('The list is not loaded. Nothing was written.');
      return;
    }
    const others = kept.document.tools.filter((one) => one.tool !== tool.tool);
    try {
      this.kept.set(
        await firstValueFrom(this.api.keepTools({ revision: kept.revision, document: { tools: [...others, tool] } })),
      );
      this.trouble.set('');
    } catch (error) {
      if (again && problemKind(error) === 'stale-revision') {
        await this.load();
        await this.write(tool, false);
        return;
      }
      this.trouble.set(`${problemWords(error)} Nothing was written.`);
    }
  }
}
