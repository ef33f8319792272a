import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';
import { MatSliderModule } from '@angular/material/slider';

/** A figure set by sliding: its words, which are put between the tags, and the slider beside them. */
@Component({
  selector: 'bl-slide',
  imports: [MatSliderModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span><ng-content /></span>
    <mat-slider [min]="least()" [max]="most()" [step]="step()">
      <input matSliderThumb [attr.aria-label]="name()" [value]="value()" (valueChange)="value.set($event)" />
    </mat-slider>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
      align-items: center;
      gap: 0.75rem;
    }
  `,
})
export class Slide {
  /** What it sets, for whoever hears it. */
  readonly name = input.required<string>();
  readonly least = input.required<number>();
  readonly most = input.required<number>();
  readonly step = input(1);
  readonly value = model.required<number>();
}
