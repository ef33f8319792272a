import { type HarnessLoader, TestKey } from '@angular/cdk/testing';
import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatAutocompleteHarness } from '@angular/material/autocomplete/testing';
import { MatChipGridHarness, MatChipInputHarness } from '@angular/material/chips/testing';
import { MatDatepickerInputHarness } from '@angular/material/datepicker/testing';
import { ErrorStateMatcher } from '@angular/material/core';
import { MatFormFieldHarness } from '@angular/material/form-field/testing';
import { MatInputHarness } from '@angular/material/input/testing';
import { MatRadioGroupHarness } from '@angular/material/radio/testing';
import { MatSelectHarness } from '@angular/material/select/testing';
import { list, name, optionalAmount } from '@brisk/contracts/fields';
import { format } from 'date-fns';
import { stillAndPlain } from '../../testing/still-and-plain';
import { ChoiceKeys } from './choice-keys';
import { DayField } from './day-field';
import { EntryField } from './entry-field';
import { LongListPick } from './long-list-pick';
import { NamesField } from './names-field';
import { PickOne } from './pick-one';
import { WhenSent } from './when-sent';
import { yupRule } from './yup-rule';

const PARTS = Array.from({ length: 40 }, (_, index) => ({ value: `p${index}`, words: `bracket ${index}` }));

@Component({
  selector: 'bl-every-field',
  imports: [ChoiceKeys, DayField, EntryField, LongListPick, NamesField, PickOne, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form [formGroup]="form" (ngSubmit)="sent.set(true)">
      <bl-entry label="Machine" field="machine" [control]="form.controls.machine" />
      <bl-pick label="Kind" [choices]="kinds" [control]="form.controls.kind" />
      <bl-choice-keys label="Reason" [choices]="kinds" [control]="form.controls.reason" [sent]="sent()" />
      <bl-names label="Crew" [known]="['Ines', 'Tobias', 'Ruth']" [control]="form.controls.crew" />
      <bl-entry type="amount" label="Torque" unit="N·m" [control]="form.controls.torque" />
      <bl-day label="Due" [control]="form.controls.due" />
      <bl-long-list-pick label="Part" field="part" [choices]="parts" [control]="form.controls.part" />
      <button type="submit">Send</button>
    </form>
    <bl-pick label="Shown" [choices]="kinds" [value]="shown()" (picked)="offer($event)" />
    <bl-entry label="Litres" type="figure" [value]="litres()" [wrong]="wrong()" (typed)="litres.set($event)" />
  `,
})
class EveryField {
  readonly kinds = [
    { value: 'plug', words: 'a plug' },
    { value: 'hose', words: 'a hose' },
    { value: 'pipe', words: 'a pipe', not: 'there is none' },
  ];
  readonly parts = PARTS;
  readonly sent = signal(false);
  readonly shown = signal('plug');
  readonly litres = signal('');
  readonly wrong = signal('');
  takes = true;
  readonly form = new FormGroup({
    machine: new FormControl('', { nonNullable: true, validators: yupRule(name().label('Machine')) }),
    kind: new FormControl('', { nonNullable: true, validators: yupRule(name().label('Kind')) }),
    reason: new FormControl('', { nonNullable: true, validators: yupRule(name().label('Reason')) }),
    crew: new FormControl<readonly string[]>([], {
      nonNullable: true,
      validators: yupRule(list(name()).min(1, 'Somebody has to be on it.')),
    }),
    torque: new FormControl<number | null>(null, yupRule(optionalAmount(1_000).label('Torque'))),
    due: new FormControl<Date | null>(null),
    part: new FormControl('', { nonNullable: true, validators: yupRule(name().label('Part')) }),
  });

  offer(kind: string): void {
    if (this.takes) this.shown.set(kind);
  }
}

async function open() {
  TestBed.configureTestingModule({
    providers: [stillAndPlain, { provide: ErrorStateMatcher, useClass: WhenSent }],
  });
  const fixture = TestBed.createComponent(EveryField);
  await fixture.whenStable();
  const loader: HarnessLoader = TestbedHarnessEnvironment.documentRootLoader(fixture);
  const labelled = (floatingLabelText: string) => loader.getHarness(MatFormFieldHarness.with({ floatingLabelText }));
  const send = async () => {
    (fixture.nativeElement as HTMLElement).querySelector<HTMLButtonElement>('button[type=submit]')?.click();
    await fixture.whenStable();
  };
  return { fixture, loader, labelled, send, page: fixture.componentInstance };
}

describe('fields', () => {
  it('say what is wrong only once the form is sent, each in the same place', async () => {
    const { labelled, send, fixture } = await open();
    for (const label of ['Machine', 'Kind', 'Crew', 'Part'])
      expect(await (await labelled(label)).getTextErrors()).toEqual([]);
    await send();
    for (const label of ['Machine', 'Kind', 'Part'])
      expect(await (await labelled(label)).getTextErrors()).toEqual([`${label} is missing.`]);
    expect(await (await labelled('Crew')).getTextErrors()).toEqual(['Somebody has to be on it.']);
    expect((fixture.nativeElement as HTMLElement).textContent).toContain('Reason is missing.');
  });

  it('follow what is set from elsewhere, and are emptied with their form', async () => {
    const { page, loader, fixture, labelled, send } = await open();
    await send();
    page.form.patchValue({ machine: 'Tug', kind: 'hose', crew: ['Ines'], part: 'p7' });
    await fixture.whenStable();
    expect(await (await labelled('Machine')).hasErrors()).toBe(false);
    const select = await (await labelled('Kind')).getControl(MatSelectHarness);
    expect(await select?.getValueText()).toBe('a hose');
    const chips = await (await loader.getHarness(MatChipGridHarness)).getRows();
    expect(await Promise.all(chips.map((chip) => chip.getText()))).toEqual(['Ines']);
    expect(await (await (await labelled('Part')).getControl(MatInputHarness))?.getValue()).toBe('bracket 7');
  });
});

describe('one of a list', () => {
  it('offers nothing that cannot be, and says why', async () => {
    const { labelled } = await open();
    const select = await (await labelled('Kind')).getControl(MatSelectHarness);
    await select?.open();
    const [plug, , pipe] = (await select?.getOptions()) ?? [];
    expect(await pipe?.getText()).toBe('a pipe: there is none');
    expect(await pipe?.isDisabled()).toBe(true);
    expect(await plug?.isDisabled()).toBe(false);
  });

  it('shows what is kept, also where what was picked is not taken', async () => {
    const { page, labelled, fixture } = await open();
    const select = await (await labelled('Shown')).getControl(MatSelectHarness);
    await select?.clickOptions({ text: 'a hose' });
    expect(page.shown()).toBe('hose');
    page.takes = false;
    await select?.clickOptions({ text: 'a plug' });
    await fixture.whenStable();
    expect(page.shown()).toBe('hose');
    expect(await select?.getValueText()).toBe('a hose');
  });

  it('is a key that is down, where there are few', async () => {
    const { page, loader } = await open();
    const keys = await loader.getHarness(MatRadioGroupHarness);
    await keys.checkRadioButton({ label: 'a hose' });
    expect(page.form.value.reason).toBe('hose');
  });

  it('is found by a piece of its name, where there are many; what is not on the list does not stay', async () => {
    const { page, loader } = await open();
    const field = await loader.getHarness(MatAutocompleteHarness.with({ selector: '[name=part]' }));
    await field.enterText('ket 33');
    expect(await Promise.all((await field.getOptions()).map((one) => one.getText()))).toEqual(['bracket 33']);
    await field.selectOption({ text: 'bracket 33' });
    expect(page.form.value.part).toBe('p33');
    await field.clear();
    await field.enterText('no such thing');
    await field.blur();
    expect(page.form.value.part).not.toBe('no such thing');
  });
});

describe('names', () => {
  it('are parted by commas, each kept once, and taken away one by one', async () => {
    const { page, loader } = await open();
    const grid = await loader.getHarness(MatChipGridHarness);
    const input = await loader.getHarness(MatChipInputHarness);
    await input.setValue('Ines,  Femi , Ines,');
    await input.blur();
    await new Promise((later) => setTimeout(later));
    expect(page.form.value.crew).toEqual(['Ines', 'Femi']);
    await input.sendSeparatorKey(TestKey.ENTER);
    const [first] = await grid.getRows();
    await (await first?.getRemoveButton())?.click();
    expect(page.form.value.crew).toEqual(['Femi']);
  });

  it('that are known are offered, those that are on the list already are not', async () => {
    const { page, loader } = await open();
    page.form.controls.crew.setValue(['Ines']);
    const known = await loader.getHarness(MatAutocompleteHarness.with({ selector: '.mat-mdc-chip-input' }));
    await known.focus();
    expect(await Promise.all((await known.getOptions()).map((one) => one.getText()))).toEqual(['Tobias', 'Ruth']);
    await known.selectOption({ text: 'Ruth' });
    expect(page.form.value.crew).toEqual(['Ines', 'Ruth']);
  });
});

describe('a day', () => {
  const day = (value: Date | null | undefined) => (value ? format(value, 'yyyy-MM-dd') : value);

  it('is read as people write it, or said to be none', async () => {
    const { page, loader, labelled, send } = await open();
    const field = await loader.getHarness(MatDatepickerInputHarness);
    for (const typed of ['2026-12-04', '4.12.2026', '4/12/2026', '4 Dec 2026']) {
      await field.setValue(typed);
      expect(day(page.form.value.due)).toBe('2026-12-04');
    }
    await field.setValue('the day after');
    await send();
    expect(page.form.valid).toBe(false);
    expect(await (await labelled('Due')).getTextErrors()).toEqual([
      'A day is needed here, as 30 Nov 2026, or nothing.',
    ]);
  });

  it('is picked from a calendar', async () => {
    const { page, loader } = await open();
    const field = await loader.getHarness(MatDatepickerInputHarness);
    await field.setValue('2026-12-04');
    await field.openCalendar();
    await (await field.getCalendar()).selectCell({ text: '18' });
    expect(day(page.form.value.due)).toBe('2026-12-18');
  });
});

describe('a figure without a form', () => {
  it('tells what is typed, and says at once what is wrong with it', async () => {
    const { page, labelled, fixture } = await open();
    const field = await labelled('Litres');
    await (await field.getControl(MatInputHarness))?.setValue('4,1');
    expect(page.litres()).toBe('4,1');
    page.wrong.set('It holds only 3 l.');
    await fixture.whenStable();
    expect(await field.getTextErrors()).toEqual(['It holds only 3 l.']);
    page.wrong.set('');
    await fixture.whenStable();
    expect(await field.hasErrors()).toBe(false);
  });

  it('is read with a point or a comma, and shows how; what could be thousands is refused', async () => {
    const { page, labelled, fixture } = await open();
    const field = await labelled('Torque');
    const input = await field.getControl(MatInputHarness);
    await input?.setValue('44,5');
    expect(page.form.value.torque).toBe(44.5);
    expect(await input?.getValue()).toBe('44,5');
    expect(await field.getTextHints()).toEqual(['= 44.5 N·m']);
    await input?.setValue('1.250');
    expect(page.form.controls.torque.errors).toEqual({ yup: 'Torque has to be a number.' });
    expect(await field.getTextHints()).toEqual(['“1.250” can be read two ways. Write 1250, or 1.25.']);
    page.form.controls.torque.setValue(61.5);
    await fixture.whenStable();
    expect(await input?.getValue()).toBe('61.5');
    page.form.controls.torque.reset();
    expect(await input?.getValue()).toBe('');
  });
});
