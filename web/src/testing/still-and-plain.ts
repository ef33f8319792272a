import type { Provider } from '@angular/core';
import { MATERIAL_ANIMATIONS } from '@angular/material/core';
import { MatIconRegistry } from '@angular/material/icon';
import { FakeMatIconRegistry } from '@angular/material/icon/testing';

/** Nothing moves and no icon is drawn in jsdom: both are the browser’s. */
export const stillAndPlain: readonly Provider[] = [
  { provide: MatIconRegistry, useClass: FakeMatIconRegistry },
  { provide: MATERIAL_ANIMATIONS, useValue: { animationsDisabled: true } },
];
