import { randomUUID } from 'node:crypto';
import type {
  Device,
  FirstPerson,
  Invitation,
  JoinShed,
  NewPerson,
  Person,
  PersonChange,
  PersonHere,
  Role,
  SignIn,
  TakeOver,
} from '@brisk/contracts/people';
import type { OpenDatabase } from '../database/open.js';
import {
  DevicePersonRows,
  DeviceRows,
  PersonRows,
  type DevicePersonRow,
  type DeviceRow,
  type PersonRow,
} from '../database/rows.js';
import { ProblemError } from '../http/problem.js';
import { oneAtATime } from '../jobs/one-at-a-time.js';
import { Attempts } from './attempts.js';
import { asCode, isSecret, kept, newCode, newToken, tokenHash } from './secrets.js';

/** Who gave their PIN on a device so long ago may take it over again in one touch. */
const PIN_GOOD_MS = 12 * 3_600_000;
const CODE_GOOD_MS = 10 * 60_000;
const SEEN_EVERY_MS = 10 * 60_000;
const MOST_PEOPLE = 500;
const MOST_DEVICES = 1_000;

/** Who asks: the device, who is at it, who may take it, and whose names it may write under: who showed here who they are. */
export interface Who {
  readonly device: string;
  readonly me?: PersonHere;
  readonly here: readonly PersonHere[];
  readonly signedIn: readonly PersonHere[];
}

/** What is known of the shop, as it stands in the database; few enough to be kept in memory. */
interface Known {
  readonly people: Map<string, PersonRow>;
  /** By what their token hashes to. */
  readonly devices: Map<string, DeviceRow>;
  /** By device and person. */
  readonly signedIn: Map<string, DevicePersonRow>;
}

/** The people of a shop, its devices, and who has signed in on which. Everything is on the disk before it is answered. */
export class PeopleStore {
  readonly #inTurn = oneAtATime();
  readonly #attempts: Attempts;
  /** Codes that are still good, with until when. */
  readonly #codes = new Map<string, number>();
  #known: Promise<Known> | undefined;

  constructor(
    private readonly database: OpenDatabase,
    private readonly now: () => Date,
  ) {
    this.#attempts = new Attempts(now);
  }

  /** Whether the shop has nobody yet. */
  async isEmpty(): Promise<boolean> {
    return (await this.#all()).people.size === 0;
  }

  /** Who asks with `token`; undefined where no device has it. */
  async whoIs(token: string | undefined): Promise<Who | undefined> {
    if (token === undefined) return undefined;
    const known = await this.#all();
    const device = known.devices.get(tokenHash(token));
    if (!device) return undefined;
    // That it was seen is no reason to refuse anybody, were the disk full.
    await this.#seen(device).catch(() => undefined);
    return this.#whoAt(known, device);
  }

  /** Whether somebody is at `device` still: neither it nor they have been put out. */
  async isSomebodyAt(device: string): Promise<boolean> {
    const known = await this.#all();
    const there = deviceOf(known, device);
    return there !== undefined && this.#whoAt(known, there).me !== undefined;
  }

  /** Makes the first person, who leads, and lets their device in. Returns its token. Throws where there is one already. */
  first({ name, passphrase, pin, device }: FirstPerson): Promise<string> {
    return this.#write(async (known) => {
      if (known.people.size > 0)
        throw new ProblemError('exists', 'This shop has its people already. Ask one who leads to let you in.');
      const person = await this.#made({ id: randomUUID(), name, role: 'lead', passphrase, pin });
      await this.#keepPerson(known, person);
      return this.#letIn(known, device, person, false);
    });
  }

  /**
   * Signs somebody in with their passphrase, on the device that has `token` or on a new one. Returns its token. Throws
   * `sign-in` where it is not right and `too-often` where it was wrong too often from `address`.
   */
  signIn({ name, passphrase, device }: SignIn, token: string | undefined, address: string): Promise<string> {
    return this.#write(async (known) => {
      const person = [...known.people.values()].find((one) => sameName(one.name, name));
      await this.#judge(`${person?.id ?? name.toLowerCase()}@${address}`, person?.passphraseHash, passphrase, () =>
        isIn(person),
      );
      if (!person) throw wrong();
      const here = token === undefined ? undefined : known.devices.get(tokenHash(token));
      if (!here || token === undefined) return this.#letIn(known, device, person, false);
      await this.#takes(known, here, person);
      return token;
    });
  }

  /** Lets a device in by a code, which is used up with it. Returns its token; nobody is at it yet. */
  join({ code, device }: JoinShed): Promise<string> {
    return this.#write(async (known) => {
      const typed = asCode(code);
      const until = this.#codes.get(typed);
      this.#codes.delete(typed);
      if (until === undefined || until < this.now().getTime())
        throw new ProblemError(
          'sign-in',
          'That code is not good any more, or was used already: each lets one device in, within ten minutes. Have another one shown.',
        );
      return this.#letIn(known, device, undefined, true);
    });
  }

  /**
   * Has somebody take over the device with `token`: in one touch where they gave their PIN here today, else with it.
   * Throws `sign-in` where it is not right.
   */
  takeOver({ person: id, pin }: TakeOver, token: string | undefined): Promise<void> {
    return this.#write(async (known) => {
      const device = token === undefined ? undefined : known.devices.get(tokenHash(token));
      if (!device) throw putOut();
      const here = this.#whoAt(known, device).here.find((one) => one.id === id);
      const person = known.people.get(id);
      if (!here || !person)
        throw new ProblemError('sign-in', 'They have not signed in on this device. Sign in with the passphrase first.');
      if (!here.asksPin) return this.#keepDevice(known, { ...device, personId: id });
      if (pin === undefined) throw new ProblemError('sign-in', `${person.name} has to give the PIN.`);
      await this.#judge(`${id}@${device.id}`, person.pinHash, pin, () => true);
      return this.#takes(known, device, person);
    });
  }

  /** Takes whoever is at the device with `token` off it; a device on which nobody is left is forgotten. */
  leave(token: string | undefined): Promise<void> {
    return this.#write(async (known) => {
      const device = token === undefined ? undefined : known.devices.get(tokenHash(token));
      if (!device) return;
      const { personId } = device;
      if (personId) {
        await this.database.fork().nativeDelete(DevicePersonRows, { deviceId: device.id, personId });
        known.signedIn.delete(pair(device.id, personId));
      }
      if (!device.byCode && this.#signedInOn(known, device.id).length === 0) await this.#forget(known, device);
      else await this.#keepDevice(known, { ...device, personId: null });
    });
  }

  async people(): Promise<readonly Person[]> {
    const { people } = await this.#all();
    return [...people.values()].sort((one, other) => one.name.localeCompare(other.name)).map(personOf);
  }

  /** Makes a person. The same again is answered the same. Throws `exists` where the name is taken. */
  add(made: NewPerson): Promise<Person> {
    return this.#write(async (known) => {
      const there = known.people.get(made.id);
      if (there && sameName(there.name, made.name)) return personOf(there);
      if (there) throw new ProblemError('exists', 'Somebody else has that id. Nothing was written.');
      if ([...known.people.values()].some(({ name }) => sameName(name, made.name)))
        throw new ProblemError(
          'exists',
          `There is a ${made.name} already. Two of one name cannot be told apart in a ledger: add a letter.`,
        );
      if (known.people.size >= MOST_PEOPLE)
        throw new ProblemError('no-room', `A shop has at most ${MOST_PEOPLE} people. Nothing was written.`);
      const person = await this.#made(made);
      await this.#keepPerson(known, person);
      return personOf(person);
    });
  }

  /** Changes somebody. Throws `refused` where nobody would be left who leads. */
  change(id: string, { role, passphrase, pin, out }: PersonChange): Promise<Person> {
    return this.#write(async (known) => {
      const person = known.people.get(id);
      if (!person) throw new ProblemError('not-found', 'There is nobody of that id here.');
      const outAt = out === undefined ? person.outAt : out ? (person.outAt ?? this.now().toISOString()) : null;
      const changed: PersonRow = {
        ...person,
        role: role ?? person.role,
        ...(outAt === undefined ? {} : { outAt }),
        ...(passphrase === undefined ? {} : { passphraseHash: await kept(passphrase) }),
        ...(pin === undefined ? {} : { pinHash: await kept(pin) }),
      };
      const leads = [...known.people.values()].filter((one) => one.id !== id && one.role === 'lead' && isIn(one));
      if (leads.length === 0 && (changed.role !== 'lead' || !isIn(changed)))
        throw new ProblemError('refused', 'Nobody would be left who leads. Make somebody else a lead first.');
      await this.#keepPerson(known, changed);
      this.#attempts.forgive(id);
      if (!isIn(changed)) await this.#takeOffEverywhere(known, id);
      return personOf(changed);
    });
  }

  async devices(asking: string): Promise<readonly Device[]> {
    const known = await this.#all();
    return [...known.devices.values()]
      .sort((one, other) => other.lastSeen.localeCompare(one.lastSeen))
      .map((device) => ({
        id: device.id,
        name: device.name,
        since: device.since,
        lastSeen: device.lastSeen,
        people: this.#signedInOn(known, device.id).map(({ name }) => name),
        thisOne: device.id === asking,
      }));
  }

  /** Puts a device out; one that is out already is no trouble. */
  putOut(id: string): Promise<void> {
    return this.#write(async (known) => {
      const device = deviceOf(known, id);
      if (device) await this.#forget(known, device);
    });
  }

  /** A code that lets one device in, once, within ten minutes. */
  invite(): Invitation {
    const now = this.now().getTime();
    for (const [code, until] of this.#codes) if (until < now) this.#codes.delete(code);
    const code = newCode();
    this.#codes.set(code, now + CODE_GOOD_MS);
    return { code, until: new Date(now + CODE_GOOD_MS).toISOString() };
  }

  #all(): Promise<Known> {
    this.#known ??= this.#read().catch((error: unknown) => {
      // Whoever asks next has it read anew.
      this.#known = undefined;
      throw error;
    });
    return this.#known;
  }

  async #read(): Promise<Known> {
    const [people, devices, signedIn] = await Promise.all([
      this.database.fork().find(PersonRows, {}),
      this.database.fork().find(DeviceRows, {}),
      this.database.fork().find(DevicePersonRows, {}),
    ]);
    return {
      people: new Map(people.map((row) => [row.id, { ...row }])),
      devices: new Map(devices.map((row) => [row.tokenHash, { ...row }])),
      signedIn: new Map(signedIn.map((row) => [pair(row.deviceId, row.personId), { ...row }])),
    };
  }

  #write<T>(task: (known: Known) => Promise<T>): Promise<T> {
    return this.#inTurn('people', async () => task(await this.#all()));
  }

  async #judge(key: string, hashed: string | undefined, said: string, isOne: () => boolean): Promise<void> {
    this.#attempts.refuseGuessing(key);
    if ((await isSecret(hashed, said)) && isOne()) this.#attempts.right(key);
    else throw wrong(this.#attempts.wrong(key));
  }

  async #made({ id, name, role, passphrase, pin }: NewPerson): Promise<PersonRow> {
    const [passphraseHash, pinHash] = await Promise.all([kept(passphrase), kept(pin)]);
    return { id, name, role, since: this.now().toISOString(), passphraseHash, pinHash };
  }

  async #keepPerson(known: Known, person: PersonRow): Promise<void> {
    await this.database.fork().upsert(PersonRows, person);
    known.people.set(person.id, person);
  }

  async #keepDevice(known: Known, device: DeviceRow): Promise<void> {
    await this.database.fork().upsert(DeviceRows, device);
    known.devices.set(device.tokenHash, device);
  }

  async #letIn(known: Known, name = '', person: PersonRow | undefined, byCode: boolean): Promise<string> {
    if (known.devices.size >= MOST_DEVICES)
      throw new ProblemError('no-room', `At most ${MOST_DEVICES} devices are let in. Put out those nobody uses.`);
    const token = newToken();
    const since = this.now().toISOString();
    const device: DeviceRow = {
      id: randomUUID(),
      name: name.trim() || `Device ${known.devices.size + 1}`,
      tokenHash: tokenHash(token),
      since,
      lastSeen: since,
      personId: null,
      byCode,
    };
    await this.#keepDevice(known, device);
    if (person) await this.#takes(known, device, person);
    return token;
  }

  /** Somebody showed on `device` who they are, and is at it from now on. */
  async #takes(known: Known, device: DeviceRow, person: PersonRow): Promise<void> {
    const row = { deviceId: device.id, personId: person.id, pinAt: this.now().toISOString() };
    await this.database.fork().upsert(DevicePersonRows, row);
    known.signedIn.set(pair(device.id, person.id), row);
    await this.#keepDevice(known, { ...device, personId: person.id });
  }

  async #forget(known: Known, device: DeviceRow): Promise<void> {
    await this.database.fork().nativeDelete(DevicePersonRows, { deviceId: device.id });
    await this.database.fork().nativeDelete(DeviceRows, { id: device.id });
    known.devices.delete(device.tokenHash);
    for (const [key, { deviceId }] of known.signedIn) if (deviceId === device.id) known.signedIn.delete(key);
  }

  async #takeOffEverywhere(known: Known, personId: string): Promise<void> {
    await this.database.fork().nativeDelete(DevicePersonRows, { personId });
    for (const [key, row] of known.signedIn) if (row.personId === personId) known.signedIn.delete(key);
    for (const device of [...known.devices.values()])
      if (device.personId === personId) await this.#keepDevice(known, { ...device, personId: null });
  }

  async #seen(device: DeviceRow): Promise<void> {
    const now = this.now();
    if (now.getTime() - Date.parse(device.lastSeen) < SEEN_EVERY_MS) return;
    await this.#write((known) => {
      const stands = known.devices.get(device.tokenHash);
      return stands ? this.#keepDevice(known, { ...stands, lastSeen: now.toISOString() }) : Promise.resolve();
    });
  }

  #signedInOn(known: Known, device: string): readonly PersonRow[] {
    return [...known.people.values()].filter((person) => isIn(person) && known.signedIn.has(pair(device, person.id)));
  }

  #whoAt(known: Known, { id, personId, byCode }: DeviceRow): Who {
    const mayBe = byCode ? [...known.people.values()].filter(isIn) : this.#signedInOn(known, id);
    const pinSince = this.now().getTime() - PIN_GOOD_MS;
    const here = mayBe
      .map((person): PersonHere => {
        const pinAt = known.signedIn.get(pair(id, person.id))?.pinAt;
        const asksPin = pinAt === undefined || Date.parse(pinAt) < pinSince;
        return { id: person.id, name: person.name, role: person.role as Role, asksPin };
      })
      .sort((one, other) => one.name.localeCompare(other.name));
    const me = here.find((person) => person.id === personId);
    const signedIn = here.filter((person) => known.signedIn.has(pair(id, person.id)));
    return { device: id, here, signedIn, ...(me ? { me } : {}) };
  }
}

const pair = (device: string, person: string): string => `${device} ${person}`;
const sameName = (one: string, other: string): boolean =>
  one.localeCompare(other, undefined, { sensitivity: 'accent' }) === 0;
const isIn = (person: PersonRow | undefined): boolean => person !== undefined && !person.outAt;
const deviceOf = ({ devices }: Known, id: string): DeviceRow | undefined =>
  [...devices.values()].find((device) => device.id === id);

const personOf = ({ id, name, role, since, outAt }: PersonRow): Person => ({
  id,
  name,
  role: role as Role,
  since,
  out: Boolean(outAt),
});

function wrong(left?: number): ProblemError {
  const more =
    left === undefined || left > 2 ? '' : left > 0 ? ` ${left} more tries.` : ' That was the last try for now.';
  return new ProblemError('sign-in', `That is not right, or there is nobody of that name.${more}`);
}

function putOut(): ProblemError {
  return new ProblemError(
    'sign-in',
    'This device is not let in, or was put out. Sign in again; what was recorded on it stays on it until then.',
  );
}
