import { FormControl, FormGroup } from '@angular/forms';
import { name, oneOf, optionalText } from '@brisk/contracts/fields';
import {
  ADJUSTED,
  THREAD_STATES,
  type AdjustmentSpec,
  type RefitData,
  type TorqueSpec,
} from '@brisk/core/connection-map';
import { THREAD_STATE_WORDS } from '@brisk/core/torque';
import { number, string } from 'yup';
import { choicesOf, type Choice } from '../../ui/choice';
import { figure, given, text } from './fields';

export const THREAD_CHOICES: readonly Choice<string>[] = [
  { value: '', words: 'not said' },
  ...choicesOf(THREAD_STATE_WORDS, THREAD_STATES),
];
export const ADJUSTED_CHOICES: readonly Choice<string>[] = [
  { value: '', words: 'nothing' },
  ...choicesOf({ gears: 'every gear', 'free-play': 'free play', tension: 'tension of a belt' }, ADJUSTED),
];

const STAGES_WRONG = 'Stages have to rise in percent and end with 100, as in 30 60 100.';
const MOST = 100_000;

/** How a joint goes together and is set: its stages and thread, hand tight, the group it stays loose with, what is tried. */
export const togetherGroup = () =>
  new FormGroup({
    stages: text(
      string()
        .max(80)
        .test('stages', STAGES_WRONG, (typed) => (typed ?? '').trim() === '' || stagesIn(typed ?? '') !== undefined)
        .label('Stages'),
    ),
    thread: text(
      oneOf(['', ...THREAD_STATES])
        .notRequired()
        .label('Thread'),
    ),
    eachRead: new FormControl(false, { nonNullable: true }),
    again: new FormControl(false, { nonNullable: true }),
    loose: text(string().max(80).label('Group')),
    handTight: text(optionalText().label('Hand tight')),
    adjusted: text(string().label('Set by trying')),
    gears: text(string().max(200).label('Gears')),
    inLine: new FormControl(false, { nonNullable: true }),
    wantedFrom: figure(number().min(0).max(MOST).nullable().label('Not under'), null),
    wantedTo: figure(number().min(0).max(MOST).nullable().label('Not over'), null),
    where: text(name().notRequired().label('Where')),
  });
export type TogetherFields = ReturnType<typeof togetherGroup>;

/** What is known of how a joint goes together, for the form. */
export function togetherValues({ torque, handTight, adjust }: RefitData) {
  return {
    stages: (torque?.stages ?? []).map((share) => Math.round(share * 100)).join(' '),
    thread: torque?.thread ?? '',
    eachRead: torque?.eachRead ?? false,
    again: torque?.again ?? false,
    loose: torque?.looseUntilAllIn ?? '',
    handTight: handTight ?? '',
    adjusted: adjust?.what ?? '',
    gears: (adjust?.gears ?? []).join(' '),
    inLine: adjust?.inLine ?? false,
    wantedFrom: adjust?.from ?? null,
    wantedTo: adjust?.to ?? null,
    where: adjust?.at ?? '',
  };
}

type Values = ReturnType<TogetherFields['getRawValue']>;

/** What the form says of a torque besides its figure. */
export function torqueBesides({ stages, thread, eachRead, again, loose }: Values): Partial<TorqueSpec> {
  const shares = stagesIn(stages);
  return {
    ...(shares && shares.length > 0 ? { stages: shares } : {}),
    ...(thread === '' ? {} : { thread: thread as NonNullable<TorqueSpec['thread']> }),
    ...(eachRead ? { eachRead } : {}),
    ...(again ? { again } : {}),
    ...given('looseUntilAllIn', loose),
  };
}

/** What the form says of how tight by hand, and of what is set by trying. */
export function setByTrying(values: Values): Pick<RefitData, 'handTight' | 'adjust'> {
  const { handTight, adjusted, gears, inLine, wantedFrom, wantedTo, where } = values;
  const names = gears.split(/[\s,;]+/).filter((gear) => gear !== '');
  const adjust: AdjustmentSpec | undefined =
    adjusted === ''
      ? undefined
      : {
          what: adjusted as AdjustmentSpec['what'],
          ...(adjusted === 'gears' && names.length > 0 ? { gears: names.slice(0, 24) } : {}),
          ...(adjusted === 'gears' && inLine ? { inLine } : {}),
          ...(adjusted === 'gears' || wantedFrom === null ? {} : { from: wantedFrom }),
          ...(adjusted === 'gears' || wantedTo === null ? {} : { to: wantedTo }),
          ...given('at', where),
        };
  return { ...given('handTight', handTight), ...(adjust ? { adjust } : {}) };
}

/** “30 60 100” as rising shares that end with all of it; none for nothing, undefined for anything else. */
function stagesIn(typed: string): readonly number[] | undefined {
  const words = typed
    .trim()
    .split(/[\s%;,]+/)
    .filter((word) => word !== '');
  const shares = words.map((word) => Number(word) / 100);
  const rises = shares.every((share, at) => share > (at === 0 ? 0 : (shares[at - 1] ?? 0)));
  return words.length <= 6 && rises && (shares.length === 0 || shares.at(-1) === 1) ? shares : undefined;
}
