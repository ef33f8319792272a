import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatIcon } from '@angular/material/icon';
import type { Station } from '@brisk/core/connection-map';
import type { PlanSettings, Wait } from '@brisk/core/ledger';
import { isLicensed } from '@brisk/core/planning';
import {
  FUEL_SCHOOLS,
  ORDER_SCHOOLS,
  RAISED_ON,
  raisedOn,
  type Hand,
  type RaisedOn,
  type Weights,
  type WorkingDay,
} from '@brisk/core/schedule';
import { STATION_WORDS, several, figureIn } from '@brisk/core/words';
import { choicesOf } from '../../ui/choice';
import { EntryField } from '../../ui/entry-field';
import { PickOne } from '../../ui/pick-one';
import { TickList } from '../../ui/tick-list';
import { TwoSign } from './two-sign';
import { Desk } from '../../session/desk';
import { PlanDraft } from '../../planning/plan-draft';
import { FUEL_WORDS, ORDER_WORDS, RAISED_ON_WORDS } from '../../planning/school-words';
import { ToolShed } from '../../planning/tool-shed';
import { clockAt, clockWords, closes, closesAfter, USUAL_DAY, workUntil } from '@brisk/core/planning';
import { roundToNearestMinutes } from 'date-fns';
import { Written } from '../../ui/written';

const MOST_HANDS = 8;

/** Who works and until when, which school they follow, what they count against an order, and what has to wait. */
@Component({
  selector: 'bl-crew-panel',
  imports: [EntryField, MatButton, MatCheckbox, MatExpansionModule, MatIcon, PickOne, TickList, TwoSign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './crew-panel.html',
  styleUrl: './crew-panel.scss',
})
export class CrewPanel {
  private readonly written = inject(Written);
  private readonly desk = inject(Desk);
  protected readonly draft = inject(PlanDraft);
  protected readonly orders = choicesOf(ORDER_WORDS, ORDER_SCHOOLS);
  protected readonly fuels = choicesOf(FUEL_WORDS, FUEL_SCHOOLS);
  protected readonly stations = choicesOf(STATION_WORDS);
  protected readonly raisings = choicesOf(RAISED_ON_WORDS, RAISED_ON);
  private readonly shed = inject(ToolShed);
  protected readonly several = several;
  protected readonly wrong = signal('');
  protected readonly helper = signal('');
  protected readonly cramped = computed(() => new Set(this.draft.settings()?.crew.cramped));
  protected readonly weights: readonly { readonly field: keyof Weights | 'moveMachineMin'; readonly words: string }[] =
    [
      { field: 'moveMachineMin', words: 'Raising or lowering it takes' },
      { field: 'heightChangeMin', words: 'and is worth avoiding for another' },
      { field: 'stationMoveMin', words: 'A walk to another station counts as' },
      { field: 'toolFetchMin', words: 'Fetching a tool counts as' },
      { field: 'jumpMin', words: 'Jumping to other work counts as' },
      { field: 'openMin', words: 'A minute for which something stands open counts as' },
    ];

  protected readonly others = computed(() => {
    const here = new Set(this.draft.settings()?.crew.hands.map(({ name }) => name));
    return (this.desk.job()?.crew ?? []).filter((name) => !here.has(name));
  });

  /** Licensed work that is still to be done, and when it is arranged for. */
  protected readonly licensed = computed(() => {
    const state = this.desk.state();
    const now = this.draft.now();
    if (!state || !now) return [];
    return now.problem.operations
      .filter(isLicensed)
      .map((operation) => ({ operation, at: this.clock(this.waitOf(operation.id)) }));
  });

  protected readonly waiting = computed(() => {
    const state = this.desk.state();
    return (this.draft.settings()?.waits ?? []).flatMap((wait) => {
      const operation = state?.work.operations.get(wait.operation);
      return operation && !isLicensed(operation) ? [{ wait, title: operation.title, at: this.clock(wait) }] : [];
    });
  });

  protected readonly day = computed(() => this.draft.settings()?.crew.day ?? USUAL_DAY);

  protected leaves({ away = [] }: Hand): string {
    const [gone] = away;
    if (!gone) return '';
    return gone.leavesAt === undefined
      ? clockWords(gone.fromMin, new Date(), this.day())
      : this.written.time(gone.leavesAt);
  }

  protected add(name: string): void {
    const trimmed = name.trim().slice(0, 120);
    const settings = this.draft.settings();
    if (!settings || trimmed === '') return;
    if (settings.crew.hands.length >= MOST_HANDS)
      return this.wrong.set(`At most ${MOST_HANDS} people are planned for.`);
    if (settings.crew.hands.some((hand) => hand.name === trimmed))
      return this.wrong.set(`${trimmed} is there already.`);
    this.wrong.set('');
    this.hands([...settings.crew.hands, { name: trimmed }], `${trimmed} helps`);
  }

  protected remove(name: string): void {
    const hands = this.draft.settings()?.crew.hands ?? [];
    if (hands.length < 2) return this.wrong.set('A plan needs at least one person.');
    this.wrong.set('');
    this.hands(
      hands.filter((hand) => hand.name !== name),
      `Without ${name}`,
    );
  }

  /** Somebody leaves at a time of day and is back when the shop opens again, or stays where it is empty. */
  protected leave(name: string, clock: string): void {
    const hands = this.draft.settings()?.crew.hands ?? [];
    const now = new Date();
    const fromMin = workUntil(clock, now, this.day());
    const leaves = fromMin === undefined ? now : roundToNearestMinutes(clockAt(fromMin, now, this.day()));
    this.hands(
      hands.map((hand): Hand => {
        if (hand.name !== name) return hand;
        return fromMin === undefined
          ? { name }
          : {
              name,
              away: [
                {
                  fromMin,
                  untilMin: closesAfter(fromMin, now, this.day()),
                  leavesAt: leaves.toISOString(),
                  backAt: closes(leaves, this.day()).toISOString(),
                },
              ],
            };
      }),
      fromMin === undefined ? `${name} stays` : `${name} leaves at ${clock}`,
    );
  }

  /** The shop opens or closes at another time. */
  protected works(change: Partial<WorkingDay>): void {
    const settings = this.draft.settings();
    const day = { ...this.day(), ...change };
    if (!settings) return;
    if (!(day.begins < day.ends)) return this.wrong.set('The shop has to open before it closes.');
    this.wrong.set('');
    this.draft.settle({ ...settings, crew: { ...settings.crew, day } }, `Work from ${day.begins} to ${day.ends}`);
  }

  protected school(change: Partial<PlanSettings['school']>): void {
    const settings = this.draft.settings();
    if (!settings) return;
    const school = { ...settings.school, ...change };
    this.draft.settle(
      { ...settings, school },
      change.order ? ORDER_WORDS[school.order] : `Fuel: ${FUEL_WORDS[school.fuel]}`,
    );
  }

  protected weigh(field: keyof Weights | 'moveMachineMin', typed: string): void {
    const settings = this.draft.settings();
    const minutes = figureIn(typed) ?? NaN;
    if (!settings) return;
    if (!(minutes >= 0 && minutes <= 600)) return this.wrong.set('Minutes are a number from 0 to 600.');
    this.wrong.set('');
    const { crew } = settings;
    const changed =
      field === 'moveMachineMin'
        ? { ...crew, moveMachineMin: minutes }
        : { ...crew, weights: { ...crew.weights, [field]: minutes } };
    this.draft.settle({ ...settings, crew: changed }, 'Counted otherwise');
  }

  protected weightOf(field: keyof Weights | 'moveMachineMin'): number {
    const crew = this.draft.settings()?.crew;
    if (!crew) return 0;
    return field === 'moveMachineMin' ? crew.moveMachineMin : (crew.weights[field] ?? 0);
  }

  protected readonly raisedOn = computed(() => this.draft.settings()?.crew.raisedOn ?? 'stands');

  /** The machine is raised on something else, here and, as the shop’s list says from now on, on other jobs. */
  protected raiseOn(on: RaisedOn): void {
    const settings = this.draft.settings();
    if (!settings) return;
    void this.shed.raiseOn(on);
    this.draft.settle({ ...settings, crew: { ...settings.crew, ...raisedOn(on) } }, RAISED_ON_WORDS[on]);
  }

  protected cramp(stations: ReadonlySet<Station>): void {
    const settings = this.draft.settings();
    if (!settings) return;
    const more = stations.size > settings.crew.cramped.length;
    const crew = { ...settings.crew, cramped: [...stations] };
    this.draft.settle({ ...settings, crew }, more ? 'Room for one' : 'Room for two');
  }

  /** A step can begin at a time of day; empty: nobody knows when. */
  protected waitUntil(operation: string, clock: string, why: string, known: 'unknown' | 'now'): void {
    const settings = this.draft.settings();
    if (!settings) return;
    const minutes = workUntil(clock, new Date(), this.day());
    const others = settings.waits.filter((wait) => wait.operation !== operation);
    const wait: readonly Wait[] =
      minutes === undefined ? (known === 'now' ? [] : [{ operation, why }]) : [{ operation, min: minutes, why }];
    this.draft.settle(
      { ...settings, waits: [...others, ...wait] },
      minutes === undefined ? 'Time open' : `Arranged for ${clock}`,
    );
  }

  private waitOf(operation: string): Wait | undefined {
    return this.draft.settings()?.waits.find((wait) => wait.operation === operation);
  }

  private clock(wait: Wait | undefined): string {
    return wait?.min === undefined ? '' : clockWords(wait.min, new Date(), this.day());
  }

  private hands(hands: readonly Hand[], words: string): void {
    const settings = this.draft.settings();
    if (settings) this.draft.settle({ ...settings, crew: { ...settings.crew, hands } }, words);
  }
}
