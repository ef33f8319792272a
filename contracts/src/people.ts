import { string } from 'yup';
import { id, list, name, oneOf, optionalName, optionalText, optionalYesOrNo, uuid } from './fields.js';
import { record } from './record.js';

/** What somebody may do: look, work on jobs, or also change plans, people and devices. */
export const ROLES = ['guest', 'crew', 'lead'] as const;
export type Role = (typeof ROLES)[number];

/** Somebody of the shop, without what they keep to themselves. */
export interface Person {
  readonly id: string;
  /** As it stands in the ledgers. */
  readonly name: string;
  readonly role: Role;
  /** Since when; ISO 8601, UTC. */
  readonly since: string;
  /** Put out: the name stays in the ledgers, nobody gets in under it. */
  readonly out: boolean;
}

/** A person a device knows: who has signed in on it. */
export interface PersonHere {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  /** Whether the PIN has to be given before they record. */
  readonly asksPin: boolean;
}

/** A device that was let in. */
export interface Device {
  readonly id: string;
  readonly name: string;
  readonly since: string;
  readonly lastSeen: string;
  /** Who has signed in on it. */
  readonly people: readonly string[];
  /** Whether it is the one that asks. */
  readonly thisOne: boolean;
}

/** How whoever asks stands with the shop. */
export interface Session {
  /** Nobody has to sign in: this machine alone is served, and the shop has no people yet. */
  readonly open: boolean;
  /** The shop has no people yet, and needs its first before anybody is let in. */
  readonly needsFirst: boolean;
  /** Who is at this device; absent while nobody is. */
  readonly me?: PersonHere;
  /** Everybody who has signed in on this device. */
  readonly here: readonly PersonHere[];
  /** Told to whoever is to sign in. */
  readonly notice?: string;
  /** Only where the demo is served: who can be tried, and the passphrase all of them have. */
  readonly demo?: Demo;
}

/** The demo, where that is what is served. */
export interface Demo {
  readonly passphrase: string;
  readonly people: readonly Pick<Person, 'name' | 'role'>[];
  /** What is worth a look: words, the job by the beginning of its title, and the view of it. */
  readonly looks: readonly { readonly words: string; readonly title: string; readonly at: string }[];
}

/** What the file of the demo says of it. */
export const demoSchema = record<Pick<Demo, 'passphrase' | 'looks'>>({
  passphrase: name(),
  looks: list(record<Demo['looks'][number]>({ words: name(), title: name(), at: name() }), 12),
});

/** A code that lets one device in, once, for a few minutes. */
export interface Invitation {
  readonly code: string;
  readonly until: string;
}

export interface FirstPerson {
  readonly name: string;
  readonly passphrase: string;
  readonly pin: string;
  /** What to call this device. */
  readonly device?: string;
  /** The code that the server said when it started; asked for where it listens to a network. */
  readonly code?: string;
  /** Told to whoever is to sign in later. */
  readonly notice?: string;
}

export interface SignIn {
  readonly name: string;
  readonly passphrase: string;
  readonly device?: string;
}

export interface JoinShed {
  readonly code: string;
  readonly device?: string;
}

/** Somebody takes over at a device: one who signed in on it, or any of the shop on a device that was let in by a code. */
export interface TakeOver {
  readonly person: string;
  readonly pin?: string;
}

export interface NewPerson {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly passphrase: string;
  readonly pin: string;
}

/** What is to be otherwise about somebody; what is left out stays. */
export interface PersonChange {
  readonly role?: Role;
  readonly passphrase?: string;
  readonly pin?: string;
  readonly out?: boolean;
}

export const SHORTEST_PASSPHRASE = 10;
const LONGEST_PASSPHRASE = 200;

/** A passphrase to be known by. */
export const passphrase = () =>
  string()
    .min(SHORTEST_PASSPHRASE, `A passphrase has ${SHORTEST_PASSPHRASE} letters or more: three words will do.`)
    .max(LONGEST_PASSPHRASE)
    .label('Passphrase');
/** A PIN to take over a device with. */
export const pin = () =>
  string()
    .matches(/^\d{4,8}$/, { message: 'A PIN has four to eight figures.', excludeEmptyString: true })
    .label('PIN');
/** What somebody says it is; whether it is that is found out elsewhere. */
export const said = () => string().max(LONGEST_PASSPHRASE).required();

export const firstPersonSchema = record<FirstPerson>({
  name: name().label('Name'),
  passphrase: passphrase().required(),
  pin: pin().required(),
  device: optionalName(),
  code: optionalName(20),
  notice: optionalText(),
});

export const signInSchema = record<SignIn>({
  name: name().label('Name'),
  passphrase: said().label('Passphrase'),
  device: optionalName(),
});

export const joinSchema = record<JoinShed>({ code: name().max(20).label('Code'), device: optionalName() });

export const takeOverSchema = record<TakeOver>({ person: id(), pin: string().max(20).optional() });

export const newPersonSchema = record<NewPerson>({
  id: uuid(),
  name: name().max(60).label('Name'),
  role: oneOf(ROLES),
  passphrase: passphrase().required(),
  pin: pin().required(),
});

export const personChangeSchema = record<PersonChange>({
  role: string<Role>().oneOf(ROLES).optional(),
  passphrase: passphrase().optional(),
  pin: pin().optional(),
  out: optionalYesOrNo(),
});
