import { computed, effect, inject, Injectable, signal } from '@angular/core';
import { LIFT, raisedOnBy, type ShopTool } from '@brisk/core/planning';
import type { RaisedOn } from '@brisk/core/schedule';
import { Api } from '../api/api';
import { KeptDocument } from './kept-document';

const RAISED_ON = 'brisk-raised-on';

/** The shop’s own list of tools. */
@Injectable({ providedIn: 'root' })
export class ToolShed {
  private readonly api = inject(Api);
  private readonly list = new KeptDocument(
    () => this.api.tools(),
    (tools) => this.api.keepTools(tools),
  );
  /** What this device was told last that the shop raises machines on. */
  private readonly toldLast = signal(readRaisedOn());

  readonly trouble = this.list.trouble;
  readonly tools = computed(() => this.list.document()?.tools ?? []);
  readonly loaded = computed(() => this.list.document() !== undefined);
  /** What this shop raises machines on: on stands, where nobody has said yet. */
  readonly raisedOn = computed<RaisedOn>(() =>
    this.loaded() ? raisedOnBy(this.tools()) : (this.toldLast() ?? raisedOnBy([])),
  );
  /** Whether what it raises machines on will not be another a moment later: it was told, or nobody can be asked. */
  readonly told = computed(() => this.loaded() || this.toldLast() !== undefined || this.trouble() !== '');

  constructor() {
    effect(() => {
      if (this.loaded()) localStorage.setItem(RAISED_ON, this.raisedOn());
    });
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

function readRaisedOn(): RaisedOn | undefined {
  const kept = localStorage.getItem(RAISED_ON);
  return kept === 'lift' || kept === 'stands' ? kept : undefined;
}
