import { MatButton } from '@angular/material/button';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import {
  BATTERY_KINDS,
  BatteryError,
  batteryNow,
  burstsLeft,
  cableDropV,
  chargerNamed,
  chargersIn,
  chargeTimeH,
  FUEL_DRY_S,
  whereLost,
  type BatteryKind,
  type LostAt,
} from '@brisk/core/battery';
import { machineOf } from '@brisk/core/diagnosis';
import { LONGEST_BURST_S, LOWEST_CRANKING_V, LOWEST_REST_V } from '@brisk/core/first-start';
import { several, figureIn } from '@brisk/core/words';
import { ToolShed } from '../../planning/tool-shed';
import { Desk } from '../../session/desk';
import { ChoiceKeys } from '../../ui/choice-keys';
import { EntryField } from '../../ui/entry-field';
import { StartTabs } from './start-tabs';

const KIND_WORDS: Readonly<Record<BatteryKind, string>> = { flooded: 'Flooded', agm: 'Glass mat (AGM)', gel: 'Gel' };
const LOST_WORDS: Readonly<Record<LostAt, string>> = {
  battery: 'In the battery itself: charge it, load test it, try another one.',
  ground: 'On the ground side: strap and clamp, bright metal under each.',
  plus: 'On the plus side: clamp, cable, stud at the starter.',
  starter: 'In the starter: what comes to it is right, and it turns slowly all the same.',
  nowhere: 'Nowhere: cables and battery are as they should be.',
};
/** What starters take, as a rule, in amperes. */
const USUAL_CRANK_A = { 12: 200, 24: 300 } as const;
const BOOST_FROM_H = 4;

/** What is in the battery, what a start needs of it, how long it charges, and where volts are lost while cranking. */
@Component({
  selector: 'bl-battery',
  imports: [ChoiceKeys, EntryField, MatButton, StartTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './battery.html',
  styleUrl: './battery.scss',
})
export class BatteryBoard {
  private readonly desk = inject(Desk);
  private readonly shed = inject(ToolShed);
  /** The chargers of the shop, from its list of tools. */
  private readonly chargers = computed(() => chargersIn(this.shed.tools()));
  protected readonly kinds = BATTERY_KINDS.map((value) => ({ value, words: KIND_WORDS[value] }));
  protected readonly voltages = [12, 24].map((value) => ({ value: value as 12 | 24, words: `${value} V` }));
  protected readonly paces = [
    { value: false, words: 'As always' },
    { value: true, words: 'Slowly, or not' },
  ];
  protected readonly limits = { rest: LOWEST_REST_V, crank: LOWEST_CRANKING_V, burst: LONGEST_BURST_S };

  protected readonly kind = signal<BatteryKind>('flooded');
  private readonly last = computed(() => this.desk.state()?.attempts.at(-1));
  protected readonly volts = linkedSignal<12 | 24>(() => ((this.last()?.voltsBefore ?? 12) > 16 ? 24 : 12));
  protected readonly slow = signal(false);
  protected readonly typed = linkedSignal<Readonly<Record<string, string>>>(() => ({
    capacity: '70',
    rest: this.last() ? String(this.last()?.voltsBefore) : '',
    celsius: '10',
    charger: '4',
    amps: String(USUAL_CRANK_A[this.volts()]),
    length: '2.4',
    area: '50',
    crank: this.last() ? String(this.last()?.voltsLowest) : '',
    ground: '',
    plus: '',
  }));

  private readonly figure = (field: string) => figureIn(this.typed()[field] ?? '') ?? NaN;

  protected readonly dryS = computed(() => {
    const state = this.desk.state();
    return state && FUEL_DRY_S[machineOf(state.work.plan.map).burns];
  });
  /** What it comes to, or what is wrong with what was typed. */
  protected readonly reckoned = computed(() => {
    if (Number.isNaN(this.figure('rest'))) return { wrong: '' };
    const battery = {
      kind: this.kind(),
      volts: this.volts(),
      capacityAh: this.figure('capacity'),
      restV: this.figure('rest'),
      celsius: this.figure('celsius'),
    };
    return saying(() => {
      const { charge, thereAh, tooLow } = batteryNow(battery);
      const bursts = burstsLeft(battery, this.figure('amps'), LONGEST_BURST_S);
      const needed = Math.ceil((this.dryS() ?? LONGEST_BURST_S) / LONGEST_BURST_S);
      const hours = chargeTimeH(battery.capacityAh, charge, this.figure('charger'));
      const toEighty = chargeTimeH(battery.capacityAh, charge, this.figure('charger'), 0.8);
      const chargers = this.chargers().map(({ tool, amps }) => ({
        tool,
        hours: chargeTimeH(battery.capacityAh, charge, amps).toFixed(1),
        eighty: chargeTimeH(battery.capacityAh, charge, amps, 0.8).toFixed(1),
      }));
      return {
        tooLow,
        chargers,
        charge: Math.round(charge * 100),
        there: Math.round(thereAh),
        bursts: several(bursts, 'burst'),
        few: bursts < needed,
        needed: several(needed, 'burst'),
        hours: hours.toFixed(1),
        eighty: toEighty.toFixed(1),
        boost: tooLow || (bursts < needed && hours > BOOST_FROM_H),
      };
    });
  });
  protected readonly drop = computed(() =>
    saying(() => {
      const volts = cableDropV(this.figure('amps'), this.figure('length'), this.figure('area'));
      return Number.isFinite(volts)
        ? { volts: volts.toFixed(2), much: volts > 0.5 * (this.volts() / 12) }
        : { wrong: '' };
    }),
  );
  protected readonly lost = computed(() => {
    const [crank, ground, plus] = ['crank', 'ground', 'plus'].map(this.figure);
    if ([crank, ground, plus].some((one) => one === undefined || Number.isNaN(one))) return undefined;
    return LOST_WORDS[whereLost(this.volts(), crank ?? 0, ground ?? 0, plus ?? 0, this.slow())];
  });

  /** A charger that was typed and is not among the shop’s. */
  protected readonly newCharger = computed(() => {
    const amps = this.figure('charger');
    return amps > 0 && this.shed.loaded() && !this.chargers().some((one) => one.amps === amps) ? amps : undefined;
  });

  protected async keepCharger(amps: number): Promise<void> {
    await this.shed.put({ tool: chargerNamed(amps), here: true });
  }

  protected type(field: string, words: string): void {
    this.typed.update((before) => ({ ...before, [field]: words }));
  }
}

/** What `reckon` gives, or what it says is wrong. */
function saying<Found extends object>(reckon: () => Found): Found | { readonly wrong: string } {
  try {
    return reckon();
  } catch (error) {
    if (error instanceof BatteryError) return { wrong: error.message };
    throw error;
  }
}
