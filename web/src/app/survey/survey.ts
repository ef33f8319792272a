import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { powerpackOf, routeOf } from '@brisk/core/connection-map';
import { isOpen } from '@brisk/core/ledger';
import { operationId } from '@brisk/core/teardown';
import { Desk } from '../desk/desk';
import { Selection } from '../job/selection';
import { BayPicture } from '../picture/bay-picture';
import { sentence } from '../words/duration';
import { KIND_WORDS, STATION_WORDS, SYSTEM_WORDS } from '../words/trade-words';

/** The machine as it was surveyed: what was set out to do, and every connection of its map. */
@Component({
  selector: 'bl-survey',
  imports: [BayPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './survey.html',
  styleUrl: './survey.scss',
})
export class Survey {
  protected readonly desk = inject(Desk);
  protected readonly selection = inject(Selection);
  protected readonly search = signal('');

  protected readonly facts = computed(() => {
    const job = this.desk.job();
    const state = this.desk.state();
    if (!job || !state) return undefined;
    return {
      job,
      powerpack: powerpackOf(job.plan).name,
      route: routeOf(job.plan).name,
      parts: state.work.plan.map.parts.length,
      connections: state.work.plan.map.connections.length,
      boundary: state.work.boundary.length,
      found: state.found.length,
    };
  });

  protected readonly boundary = computed(() => this.desk.state()?.work.boundary ?? []);

  protected readonly systems = computed(() => {
    const state = this.desk.state();
    if (!state) return [];
    const wanted = this.search().trim().toLowerCase();
    const partName = new Map(state.work.plan.map.parts.map(({ id, name }) => [id, name]));
    const boundary = new Set(state.work.boundary.map(({ id }) => id));
    const found = new Set(state.found.map(({ id }) => id));
    const rows = state.work.plan.map.connections.map((connection) => ({
      id: connection.id,
      step: operationId.open(connection.id),
      planned: state.work.operations.has(operationId.open(connection.id)),
      system: connection.system,
      name: sentence(connection.name),
      between: connection.between.map((part) => partName.get(part) ?? part).join(' – '),
      kind: KIND_WORDS[connection.kind],
      where: STATION_WORDS[connection.station],
      is: isOpen(state, connection.id) ? '○ open' : '● closed',
      holds: boundary.has(connection.id) ? 'holds the powerpack' : '',
      found: found.has(connection.id) ? 'found' : '',
    }));
    const shown = rows.filter(
      ({ name, between, kind, where }) =>
        wanted === '' || `${name} ${between} ${kind} ${where}`.toLowerCase().includes(wanted),
    );
    return (Object.keys(SYSTEM_WORDS) as (keyof typeof SYSTEM_WORDS)[])
      .map((system) => ({ name: SYSTEM_WORDS[system], rows: shown.filter((row) => row.system === system) }))
      .filter(({ rows: some }) => some.length > 0);
  });

  protected type(event: Event): void {
    if (event.target instanceof HTMLInputElement) this.search.set(event.target.value);
  }
}
