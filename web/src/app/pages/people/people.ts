import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { MatProgressBar } from '@angular/material/progress-bar';
import {
  passphrase as passphraseRule,
  pin as pinRule,
  ROLES,
  type Device,
  type Invitation,
  type Person,
  type PersonChange,
  type Role,
} from '@brisk/contracts/people';
import { formatDistanceToNow } from 'date-fns';
import { firstValueFrom } from 'rxjs';
import { v4 as uuid } from 'uuid';
import type { Schema } from 'yup';
import { name as nameRule, oneOf } from '@brisk/contracts/fields';
import { PeopleApi } from '../../api/people-api';
import { problemWords } from '../../api/problem-words';
import { Door } from '../../session/door';
import { Ask } from '../../ui/ask';
import type { Question } from '../../ui/asking';
import { PickOne } from '../../ui/pick-one';
import { WritingCard } from './writing-card';
import { CodePicture } from './code-picture';

const ROLE_WORDS: Readonly<Record<Role, string>> = {
  guest: 'Guest: may look',
  crew: 'Crew: works on jobs',
  lead: 'Leads: plans, people, devices',
};
const secrets = (passphrase: Schema, pin: Schema): readonly Question[] => [
  { field: 'passphrase', label: 'Passphrase', as: 'secret', schema: passphrase, hint: 'Ten letters or more.' },
  { field: 'pin', label: 'PIN', as: 'pin', schema: pin, hint: 'Four to eight figures, to take over a tablet.' },
];

/** The people of the shop and its devices: who may do what, who is put out, and how another device gets in. */
@Component({
  selector: 'bl-people',
  imports: [CodePicture, MatButton, MatIcon, MatProgressBar, PickOne, RouterLink, WritingCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './people.html',
  styleUrl: './people.scss',
})
export class PeopleView {
  protected readonly door = inject(Door);
  private readonly api = inject(PeopleApi);
  private readonly ask = inject(Ask);

  protected readonly roles = ROLES.map((value) => ({ value, words: ROLE_WORDS[value] }));
  protected readonly roleWords = ROLE_WORDS;
  protected readonly people = signal<readonly Person[] | undefined>(undefined);
  protected readonly devices = signal<readonly Device[]>([]);
  protected readonly invitation = signal<Invitation | undefined>(undefined);
  protected readonly trouble = signal('');
  protected readonly inNow = computed(() => this.people()?.filter(({ out }) => !out) ?? []);
  protected readonly outNow = computed(() => this.people()?.filter(({ out }) => out) ?? []);
  protected readonly address = computed(() => `${location.origin}/join/${this.invitation()?.code ?? ''}`);

  constructor() {
    void this.tried(() => this.fetch());
  }

  protected ago(time: string): string {
    return formatDistanceToNow(new Date(time), { addSuffix: true });
  }

  protected async add(): Promise<void> {
    const answers = await this.ask.ask({
      title: 'Somebody new',
      questions: [
        {
          field: 'name',
          label: 'Name',
          as: 'line',
          schema: nameRule().max(60).label('Name'),
          hint: 'As it will stand in the ledgers.',
        },
        { field: 'role', label: 'May', as: 'choice', schema: oneOf(ROLES), choices: this.roles, initial: 'crew' },
        ...secrets(passphraseRule().required(), pinRule().required()),
      ],
      action: 'Let them in',
    });
    if (!answers) return;
    const { name, role, passphrase, pin } = answers;
    await this.tried(async () => {
      await firstValueFrom(
        this.api.add({
          id: uuid(),
          name: String(name),
          role: role as Role,
          passphrase: String(passphrase),
          pin: String(pin),
        }),
      );
      await this.fetch();
    });
  }

  protected async newSecrets({ id, name }: Person): Promise<void> {
    const answers = await this.ask.ask({
      title: `New passphrase or PIN: ${name}`,
      words: 'What is left empty stays as it is. Wrong tries are forgotten with it.',
      questions: secrets(passphraseRule().optional(), pinRule().optional()),
      action: 'Keep it',
    });
    if (!answers) return;
    const { passphrase, pin } = answers;
    await this.change(id, {
      ...(passphrase === undefined ? {} : { passphrase: String(passphrase) }),
      ...(pin === undefined ? {} : { pin: String(pin) }),
    });
  }

  protected async change(id: string, change: PersonChange): Promise<void> {
    await this.tried(async () => {
      await firstValueFrom(this.api.change(id, change));
      await this.fetch();
    });
  }

  /** Puts somebody out of the shop, once it is sure that they are meant. */
  protected async putOutPerson({ id, name }: Person): Promise<void> {
    const answers = await this.ask.ask({
      title: `Put ${name} out?`,
      words: `${name} is out at once, on every device. The name stays in the ledgers; what waits on a device of theirs to be sent is not sent under it any more.`,
      questions: [],
      action: 'Put them out',
    });
    if (answers) await this.change(id, { out: true });
  }

  protected async putOut({ id, name, thisOne }: Device): Promise<void> {
    const answers = await this.ask.ask({
      title: thisOne ? 'Put this device out?' : `Put ${name} out?`,
      words: 'Whoever is at it has to sign in anew. What waits on it to be sent stays on it.',
      questions: [],
      action: 'Put it out',
    });
    if (!answers) return;
    await this.tried(async () => {
      await firstValueFrom(this.api.putOut(id));
      if (!thisOne) await this.fetch();
      else location.assign('/sign-in');
    });
  }

  protected async invite(): Promise<void> {
    await this.tried(async () => this.invitation.set(await firstValueFrom(this.api.invite())));
  }

  private async fetch(): Promise<void> {
    const [people, devices] = await Promise.all([
      firstValueFrom(this.api.people()),
      this.door.leads() ? firstValueFrom(this.api.devices()) : [],
    ]);
    this.people.set(people);
    this.devices.set(devices);
  }

  private async tried(task: () => Promise<void>): Promise<void> {
    this.trouble.set('');
    try {
      await task();
    } catch (error) {
      this.trouble.set(problemWords(error));
    }
  }
}
