import { FormControl } from '@angular/forms';
import type { ConnectionMap } from '@brisk/core/connection-map';
import { list, name } from '@brisk/contracts/fields';
import type { Choice } from '../../ui/choice';
import { yupRule } from '../../ui/yup-rule';

type Rule = Parameters<typeof yupRule>[0];

/** A line that keeps to `rule`. */
export const text = (rule: Rule, initial = '') =>
  new FormControl(initial, { nonNullable: true, validators: yupRule(rule) });

/** A figure that keeps to `rule`, or none. */
export const figure = (rule: Rule, initial: number | null) => new FormControl<number | null>(initial, yupRule(rule));

/** Tools, each by its name. */
export const toolNames = () =>
  new FormControl<readonly string[]>([], { nonNullable: true, validators: yupRule(list(name().label('Tool'), 40)) });

/** `value` as a field of an object, or no field where nothing was written. */
export function given<Field extends string>(field: Field, value: string): Partial<Record<Field, string>> {
  const written = value.trim();
  return written === '' ? {} : ({ [field]: written } as Record<Field, string>);
}

/** The parts of `map` to choose from. */
export function partChoices(map: ConnectionMap | undefined): readonly Choice<string>[] {
  return (map?.parts ?? []).map(({ id, name: words }) => ({ value: id, words }));
}

/** Every tool that is named on `map`, by the alphabet. */
export function toolsOn(map: ConnectionMap | undefined): readonly string[] {
  const named = [
    ...(map?.connections ?? []).flatMap(({ tools }) => tools),
    ...(map?.parts ?? []).flatMap(({ removal }) => removal?.tools ?? []),
  ];
  return [...new Set(named)].sort((one, other) => one.localeCompare(other));
}
