import { Directive, ElementRef, forwardRef, inject } from '@angular/core';
import { NG_VALUE_ACCESSOR, type ControlValueAccessor } from '@angular/forms';
import { figureIn, figureWords } from '@brisk/core/words';

/**
 * Gives the control of a text field the number that is written in it, with a point or a comma; null where nothing is, NaN where
 * it is no figure. A field of the browser’s own for numbers would let a comma vanish.
 */
@Directive({
  selector: 'input[blFigure]',
  providers: [{ provide: NG_VALUE_ACCESSOR, useExisting: forwardRef(() => FigureAccessor), multi: true }],
  host: { '(input)': 'read()', '(blur)': 'touched()' },
})
export class FigureAccessor implements ControlValueAccessor {
  private readonly field = inject<ElementRef<HTMLInputElement>>(ElementRef).nativeElement;
  private changed: (value: number | null) => void = () => undefined;
  protected touched: () => void = () => undefined;

  writeValue(value: unknown): void {
    const given = typeof value === 'string' ? figureIn(value) : value;
    // “44,” is on its way to 44,5: what is written stays where it says the same.
    if (typeof given === 'number' && (given === figureIn(this.field.value) || Number.isNaN(given))) return;
    this.field.value = typeof given === 'number' ? figureWords(given) : '';
  }

  registerOnChange(changed: (value: number | null) => void): void {
    this.changed = changed;
  }

  registerOnTouched(touched: () => void): void {
    this.touched = touched;
  }

  setDisabledState(isDisabled: boolean): void {
    this.field.disabled = isDisabled;
  }

  protected read(): void {
    this.changed(figureIn(this.field.value) ?? null);
  }
}
