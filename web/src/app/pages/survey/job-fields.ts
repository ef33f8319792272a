import { FormControl, FormGroup } from '@angular/forms';
import { list, name, oneOf, optionalText } from '@brisk/contracts/fields';
import { JOB_REASONS, type JobReason } from '@brisk/contracts/job';
import { choicesOf } from '../../ui/choice';
import { yupRule } from '../../ui/yup-rule';
import { text } from './fields';

export const REASON_CHOICES = choicesOf<JobReason>(
  {
    'same-back': 'The same one goes back',
    exchange: 'An exchange unit goes in',
    swap: 'Another kind, from a donor',
  },
  JOB_REASONS,
);

/** What is asked of a job once its machine and its way out are known. */
export const jobFields = () =>
  new FormGroup({
    machine: text(name().label('Machine')),
    title: text(name().label('Job')),
    reason: new FormControl<JobReason>('same-back', {
      nonNullable: true,
      validators: yupRule(oneOf(JOB_REASONS).label('Reason')),
    }),
    crew: new FormControl<readonly string[]>([], {
      nonNullable: true,
      validators: yupRule(
        list(name().label('Each name'))
          .min(1, 'Somebody has to be on it.')
          .max(20, 'Twenty people at most.')
          .label('Crew'),
      ),
    }),
    dueOn: new FormControl<Date | null>(null),
    note: text(optionalText().label('Note')),
  });
