import type { Provider } from '@angular/core';
import { MATERIAL_ANIMATIONS } from '@angular/material/core';
import { MatIconRegistry } from '@angular/material/icon';
import { FakeMatIconRegistry } from '@angular/material/icon/testing';
import { drawnAtOnce } from './drawn-at-once';

/** Nothing moves, no icon is drawn and nothing is waited for in jsdom: all of it is the browser’s. */
export const stillAndPlain: readonly Provider[] = [
  { provide: MatIconRegistry, useClass: FakeMatIconRegistry },
  { provide: MATERIAL_ANIMATIONS, useValue: { animationsDisabled: true } },
  drawnAtOnce,
];
