import { computed, inject, Injectable, signal } from '@angular/core';
import type { PersonHere, Session } from '@brisk/contracts/people';
import { firstValueFrom, type Observable } from 'rxjs';
import { PeopleApi } from '../api/people-api';
import { JobsHere } from './jobs-here';

const KEY = 'brisk-session';
/** Until the server says otherwise: a device that never heard of it is shown what is open. */
const UNKNOWN: Session = { open: true, needsFirst: false, here: [] };

/**
 * How this device stands with the shop: whether anybody has to sign in, who has, and who is at it. What was so last is kept,
 * so that it is known without the server too.
 */
@Injectable({ providedIn: 'root' })
export class Door {
  private readonly api = inject(PeopleApi);
  private readonly jobsHere = inject(JobsHere);
  private readonly session = signal<Session>(kept());
  private looked: Promise<void> | undefined;

  readonly stands = this.session.asReadonly();
  readonly me = computed(() => this.session().me);
  /** The id of who is at this device; empty where nobody says so. */
  readonly who = computed(() => this.me()?.id ?? '');
  /** Nobody signs in here: whoever is at this machine may write. */
  readonly open = computed(() => this.session().open);
  readonly leads = computed(() => this.open() || this.me()?.role === 'lead');
  /** Whether what is behind the door may be shown. */
  readonly letsIn = computed(() => this.open() || this.me() !== undefined);

  /** Asks the server once how it stands; where it does not answer, what was so last holds. */
  look(): Promise<void> {
    this.looked ??= this.take(this.api.session()).catch(() => undefined);
    return this.looked;
  }

  /** Does what `answer` does, and takes on how it stands then. Throws what the server says against it. */
  async take(answer: Observable<Session>): Promise<void> {
    const session = await firstValueFrom(answer);
    localStorage.setItem(KEY, JSON.stringify(session));
    this.session.set(session);
  }

  /** The server does not know this device, or nobody is at it: what it kept of the shop goes; what waits to be sent stays. */
  shut(): void {
    void this.jobsHere.forget();
    void forgetAnswers();
    this.session.update(({ me: _me, ...session }) => ({ ...session, open: false }));
    localStorage.removeItem(KEY);
    // Who knows this device now is asked anew.
    this.looked = undefined;
  }

  /** Whether `person` takes over with one touch. */
  inOneTouch({ id, asksPin }: PersonHere): boolean {
    return !asksPin || id === this.me()?.id;
  }

  /** Somebody takes over this device. Throws what the server says against it. */
  takeOver(person: string, pin?: string): Promise<void> {
    return this.take(this.api.takeOver({ person, ...(pin === undefined ? {} : { pin }) }));
  }
}

/** Answers that the service worker kept. */
async function forgetAnswers(): Promise<void> {
  if (!('caches' in globalThis)) return;
  const names = await caches.keys();
  await Promise.all(names.filter((name) => /:data:/.test(name)).map((name) => caches.delete(name)));
}

function kept(): Session {
  try {
    const session: unknown = JSON.parse(localStorage.getItem(KEY) ?? 'null');
    return typeof session === 'object' && session !== null && 'here' in session ? (session as Session) : UNKNOWN;
  } catch {
    return UNKNOWN;
  }
}
