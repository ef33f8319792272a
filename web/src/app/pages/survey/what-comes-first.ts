import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';

/** What has to come first, each with why, to be added by a tap on the map. */
@Component({
  selector: 'bl-what-comes-first',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset>
      <legend>{{ label() }}</legend>
      <ul>
        @for (one of list(); track $index) {
          <li class="row">
            <span
              >{{ one.what }}: <span class="soft">{{ one.why }}</span></span
            >
            <button matButton type="button" [attr.aria-label]="'Without ' + one.what" (click)="dropped.emit($index)">
              Not so
            </button>
          </li>
        }
      </ul>
      <button matButton="outlined" type="button" (click)="asked.emit()">{{ pick() }}</button>
    </fieldset>
  `,
})
export class WhatComesFirst {
  readonly label = input.required<string>();
  readonly pick = input.required<string>();
  readonly list = input.required<readonly { readonly what: string; readonly why: string }[]>();
  readonly dropped = output<number>();
  readonly asked = output();
}
