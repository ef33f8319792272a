import { InjectionToken, type Signal } from '@angular/core';

/** Who is at this device, where anybody says so: what is asked of one is not answered by another. */
export const WHOSE_QUESTION = new InjectionToken<Signal<string>>('whose question');
