import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { Router } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { name, optionalName } from '@brisk/contracts/fields';
import { passphrase, pin, ROLES, said, type PersonHere, type Role, type Session } from '@brisk/contracts/people';
import { string, type Schema } from 'yup';
import type { Observable } from 'rxjs';
import { PeopleApi } from '../../api/people-api';
import { problemWords } from '../../api/problem-words';
import { Door } from '../../session/door';
import { EntryField } from '../../ui/entry-field';
import { yupRule } from '../../ui/yup-rule';

const text = (schema: Schema) => new FormControl('', { nonNullable: true, validators: yupRule(schema) });

/** Where somebody says who they are: one of those who know this device by their PIN, anybody by name and passphrase. */
@Component({
  selector: 'bl-sign-in',
  imports: [EntryField, MatButton, MatIcon, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sign-in.html',
  styleUrl: './sign-in.scss',
})
export class SignInView {
  /** The view somebody wanted to see. */
  readonly back = input<string>();
  /** A code out of a picture or read out, that lets this device in. */
  readonly code = input<string>();
  protected readonly door = inject(Door);
  private readonly api = inject(PeopleApi);
  private readonly router = inject(Router);

  protected readonly trouble = signal('');
  protected readonly busy = signal(false);
  /** Who is asked for the PIN. */
  protected readonly asked = signal<PersonHere | undefined>(undefined);
  /** Somebody who is not among those of this device. */
  protected readonly roleWords = { lead: 'leads', crew: 'crew', guest: 'looks only' } as const;
  protected readonly other = signal(false);
  protected readonly byName = computed(() => this.other() || this.door.stands().here.length === 0);

  protected readonly pinning = new FormGroup({ pin: text(pin().required()) });
  protected readonly signing = new FormGroup({
    name: text(name().label('Name')),
    passphrase: text(said().label('Passphrase')),
    device: text(optionalName()),
  });
  protected readonly first = new FormGroup({
    name: text(name().label('Name')),
    passphrase: text(passphrase().required()),
    pin: text(pin().required()),
    device: text(optionalName()),
    code: text(string().max(20)),
  });
  protected readonly joining = new FormGroup({
    code: text(name().max(20).label('Code')),
    device: text(optionalName()),
  });
  protected readonly byCode = signal(false);

  constructor() {
    void this.door.look();
    effect(() => {
      const code = this.code();
      if (code === undefined) return;
      this.byCode.set(true);
      this.joining.controls.code.setValue(code);
    });
  }

  protected touch(person: PersonHere): void {
    this.trouble.set('');
    if (this.door.inOneTouch(person)) void this.go(() => this.door.takeOver(person.id));
    else {
      this.pinning.reset();
      this.asked.set(person);
    }
  }

  /** Who leads sees most of it, and stands first; who only looks, last. */
  protected leadsFirst<One extends { readonly role: Role }>(people: readonly One[]): readonly One[] {
    const place = ({ role }: One) => ROLES.indexOf(role);
    return [...people].sort((one, other) => place(other) - place(one));
  }

  /** One of the demo’s people, by one touch. */
  protected be(called: string, passphrase: string): void {
    void this.go(() => this.door.take(this.api.signIn({ name: called, passphrase })));
  }

  protected givePin(): void {
    const person = this.asked();
    if (!person || this.pinning.invalid) return this.pinning.markAllAsTouched();
    void this.go(() => this.door.takeOver(person.id, this.pinning.getRawValue().pin));
  }

  protected signIn(): void {
    const { name: called, passphrase, device } = this.signing.getRawValue();
    this.send(this.signing, () => this.api.signIn({ name: called, passphrase, ...(device ? { device } : {}) }));
  }

  protected makeFirst(): void {
    const { name: called, passphrase, pin, device, code } = this.first.getRawValue();
    const more = { ...(device ? { device } : {}), ...(code ? { code } : {}) };
    this.send(this.first, () => this.api.first({ name: called, passphrase, pin, ...more }));
  }

  protected async join(): Promise<void> {
    const { code, device } = this.joining.getRawValue();
    if (this.joining.invalid) return this.joining.markAllAsTouched();
    const joined = await this.tried(() => this.door.take(this.api.join({ code, ...(device ? { device } : {}) })));
    // Who is at it is asked next.
    if (joined) this.byCode.set(false);
  }

  private send(form: FormGroup, ask: () => Observable<Session>): void {
    if (form.invalid) form.markAllAsTouched();
    else void this.go(() => this.door.take(ask()));
  }

  private async go(task: () => Promise<void>): Promise<void> {
    if (await this.tried(task)) await this.router.navigateByUrl(this.back() ?? '/yard');
  }

  private async tried(task: () => Promise<void>): Promise<boolean> {
    if (this.busy()) return false;
    this.busy.set(true);
    this.trouble.set('');
    try {
      await task();
      return true;
    } catch (error) {
      this.trouble.set(problemWords(error));
      return false;
    } finally {
      this.busy.set(false);
    }
  }
}
