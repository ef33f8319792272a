import {
  afterNextRender,
  booleanAttribute,
  computed,
  Directive,
  effect,
  inject,
  Injector,
  input,
  output,
} from '@angular/core';
import { FormControl } from '@angular/forms';
import type { Choice } from './choice';
import { looksAgain } from './looks-again';
import { wrongWith } from './yup-rule';

/** One of a few. It belongs to the control of a form, or, without one, shows `value` and tells what is picked. */
@Directive()
export abstract class OnePicked<Value> {
  readonly label = input.required<string>();
  readonly choices = input.required<readonly Choice<Value>[]>();
  /** The label is read out only; what it is about stands beside it. */
  readonly unseen = input(false, { transform: booleanAttribute });

  readonly control = input<FormControl>();
  readonly value = input<Value>();
  readonly picked = output<Value>();

  private readonly injector = inject(Injector);
  private readonly own = new FormControl<Value | undefined>(undefined);
  protected readonly inUse = computed<FormControl>(() => this.control() ?? this.own);
  protected readonly wrongWith = wrongWith;

  constructor() {
    looksAgain(this.inUse);
    effect(() => this.own.setValue(this.value()));
  }

  protected tell(value: Value): void {
    this.picked.emit(value);
    // Whoever did not take it has it shown as it still is.
    afterNextRender(() => this.own.setValue(this.value()), { injector: this.injector });
  }
}
