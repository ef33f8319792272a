import { computed, inject, Injectable } from '@angular/core';
import { LIFT, raisedOnBy, type ShopTool } from '@brisk/core/planning';
import type { RaisedOn } from '@brisk/core/schedule';
import { Api } from '../api/api';
import { KeptDocument } from './kept-document';

/** The shop’s own list of tools. */
@Injectable({ providedIn: 'root' })
export class ToolShed {
  private readonly api = inject(Api);
  private readonly list = new KeptDocument(
    () => this.api.tools(),
    (tools) => this.api.keepTools(tools),
  );

  readonly trouble = this.list.trouble;
  readonly tools = computed(() => this.list.document()?.tools ?? []);
  /** What this shop raises machines on. */
  readonly raisedOn = computed(() => raisedOnBy(this.tools()));
  readonly loaded = computed(() => this.list.document() !== undefined);

  constructor() {
    void this.load();
  }

  load(): Promise<void> {
    return this.list.load();
  }

  /** Writes down what this shop raises machines on. */
  raiseOn(on: RaisedOn): Promise<void> {
    return this.put({ tool: LIFT, here: on === 'lift' });
  }

  /** Writes down what holds for one tool. */
  put(tool: ShopTool): Promise<void> {
    return this.list.change(({ tools }) => ({ tools: [...tools.filter((one) => one.tool !== tool.tool), tool] }));
  }
}
