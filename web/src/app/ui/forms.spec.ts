import { TestBed } from '@angular/core/testing';
import { FormControl } from '@angular/forms';
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { amount, name, oneOf, optionalText, text } from '@brisk/contracts/fields';
import { pressable, type, wordsOf } from '../../testing/open-job';
import { AskDialog } from './ask-dialog';
import type { Answers, Asking } from './asking';
import { wrongWith, yupRule } from './yup-rule';
import { stillAndPlain } from '../../testing/still-and-plain';

describe('a Yup rule on a control', () => {
  const wrong = (rule: ReturnType<typeof yupRule>, value: unknown) => wrongWith(new FormControl(value, rule));

  it('says what is missing, too long, not a number, and nothing where it fits', () => {
    expect(wrong(yupRule(name().label('Part')), '')).toBe('Part is missing.');
    expect(wrong(yupRule(name().label('Part')), '   ')).toBe('Part is missing.');
    expect(wrong(yupRule(name().label('Part')), 'x'.repeat(121))).toBe('Part is too long: 120 characters at most.');
    expect(wrong(yupRule(amount(36).label('Volts')), null)).toBe('Volts is missing.');
    expect(wrong(yupRule(amount(36).label('Volts')), -1)).toBe('Volts is too small: 0 at least.');
    expect(wrong(yupRule(amount(36).label('Volts')), '12')).toBe('Volts has to be a number.');
    expect(wrong(yupRule(amount(36).label('Volts')), 12)).toBe('');
    expect(wrong(yupRule(optionalText().label('Note')), '')).toBe('');
  });

  it('does not mind spaces around what was typed', () => {
    expect(wrong(yupRule(name().label('Part')), ' Rear seal ')).toBe('');
  });
});

describe('the ask sheet', () => {
  const asking: Asking = {
    title: 'Stuck',
    caution: 'Eyes',
    questions: [
      {
        field: 'what',
        label: 'What happened?',
        as: 'choice',
        schema: oneOf(['seized', 'broken']).label('What happened'),
        choices: [
          { value: 'seized', words: 'Seized' },
          { value: 'broken', words: 'Broke' },
        ],
      },
      { field: 'tried', label: 'Tried', as: 'lines', schema: text().label('Tried') },
      { field: 'lost', label: 'Lost', as: 'amount', schema: amount(100).label('Lost'), initial: 5, suffix: 'min' },
      { field: 'more', label: 'More', as: 'line', schema: optionalText().label('More') },
    ],
    action: 'Record it',
  };

  function open() {
    const closed: Answers[] = [];
    TestBed.configureTestingModule({
      imports: [AskDialog],
      providers: [
        stillAndPlain,
        { provide: MAT_DIALOG_DATA, useValue: asking },
        { provide: MatDialogRef, useValue: { close: (answers: Answers) => closed.push(answers) } },
      ],
    });
    const fixture = TestBed.createComponent(AskDialog);
    fixture.detectChanges();
    const element = fixture.nativeElement as HTMLElement;
    const send = async () => {
      pressable(element, 'Record it').click();
      await fixture.whenStable();
    };
    return { element, closed, send };
  }

  it('does not close before every answer fits, and says which does not', async () => {
    const { element, closed, send } = open();
    await send();
    expect(closed).toEqual([]);
    expect(wordsOf(element)).toContain('What happened is missing.');
    expect(wordsOf(element)).toContain('Tried is missing.');
    expect(wordsOf(element)).toContain('Eyes');
  });

  it('closes with trimmed answers, leaving out what was left empty', async () => {
    const { element, closed, send } = open();
    const choice = element.querySelector<HTMLInputElement>('input[type=radio]');
    choice?.click();
    type(element, 'tried', '  heat  ');
    await send();
    expect(closed).toEqual([{ what: 'seized', tried: 'heat', lost: 5, more: undefined }]);
  });
});
