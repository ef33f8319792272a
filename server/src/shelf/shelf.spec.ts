import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { ProblemError } from '../http/problem.js';
import { Shelf } from './shelf.js';
import { hashIn, hashOf, hashOfBytes, namesOn, pathOn, putWhole } from './shelf-files.js';

const WORDS = { notHere: 'That is not here.', diskFull: 'The disk is full.' };
let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'brisk-shelf-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const bytes = (words: string) => Buffer.from(words);
const nameOf = (words: string, ending = 'pdf') => `${hashOfBytes(bytes(words))}.${ending}`;
const shelfIn = (name: string) => new Shelf(join(folder, name), WORDS);

describe('a shelf', () => {
  it('keeps a file once under its hash, and says whether it was new', async () => {
    const shelf = shelfIn('books');
    const name = nameOf('loom');
    expect(await shelf.keep(name, bytes('loom'))).toBe(true);
    expect(await shelf.keep(name, bytes('loom'))).toBe(false);
    const path = await shelf.file(name);
    expect(readFileSync(path, 'utf8')).toBe('loom');
    expect(await hashOf(path)).toBe(hashIn(name));
    expect([...(await shelf.all()).keys()]).toEqual([name]);
  });

  it('puts a file right that got damaged, by whoever sends it again', async () => {
    const shelf = shelfIn('books');
    const name = nameOf('loom');
    await shelf.keep(name, bytes('loom'));
    writeFileSync(await shelf.file(name), 'lo');
    expect(await shelf.keep(name, bytes('loom'))).toBe(true);
    expect(readFileSync(await shelf.file(name), 'utf8')).toBe('loom');
  });

  it('says what is not here, and forgets what it is told to', async () => {
    const shelf = shelfIn('books');
    await expect(shelf.file(nameOf('never'))).rejects.toMatchObject({ kind: 'not-found', message: WORDS.notHere });
    await shelf.keep(nameOf('loom'), bytes('loom'));
    await shelf.forget([nameOf('loom'), nameOf('never')]);
    expect(await shelf.all()).toEqual(new Map());
  });

  it('takes over what another one has, but not over what it holds whole', async () => {
    const [shelf, other] = [shelfIn('books'), shelfIn('coming-in')];
    for (const words of ['both', 'new']) await other.keep(nameOf(words), bytes(words));
    await shelf.keep(nameOf('both'), bytes('both'));
    await shelf.takeOver(join(folder, 'coming-in'));
    expect([...(await shelf.all()).keys()].sort()).toEqual([nameOf('both'), nameOf('new')].sort());
    expect(existsSync(pathOn(join(folder, 'coming-in'), nameOf('both')))).toBe(true);
    expect(existsSync(pathOn(join(folder, 'coming-in'), nameOf('new')))).toBe(false);
    await shelf.takeOver(join(folder, 'nowhere'));
  });

  it('says in its own words that the disk is full, and passes every other trouble on', async () => {
    const fails = (code: string) => () => Promise.reject(Object.assign(new Error(code), { code }));
    const full = new Shelf(folder, WORDS, fails('ENOSPC'));
    await expect(full.keep(nameOf('x'), bytes('x'))).rejects.toMatchObject({
      kind: 'no-room',
      message: WORDS.diskFull,
    });
    const broken = new Shelf(folder, WORDS, fails('EIO'));
    await expect(broken.keep(nameOf('x'), bytes('x'))).rejects.not.toBeInstanceOf(ProblemError);
  });

  it('lists its files and nothing that only lies about', async () => {
    const shelf = shelfIn('photos');
    const names = ['one', 'two'].map((words) => nameOf(words, 'jpg')).sort();
    for (const words of ['one', 'two']) await shelf.keep(nameOf(words, 'jpg'), bytes(words));
    const board = dirname(await shelf.file(names[0] ?? ''));
    for (const stray of ['notes.txt', `${names[0] ?? ''}.unfinished`, `${'a'.repeat(64)}.exe`])
      writeFileSync(join(board, stray), 'x');
    mkdirSync(join(folder, 'photos', 'small'));
    writeFileSync(join(folder, 'photos', 'small', names[0] ?? ''), 'x');
    expect(await namesOn(join(folder, 'photos'))).toEqual(names);
    expect(await namesOn(join(folder, 'nowhere'))).toEqual([]);
  });
});

describe('writing a file whole', () => {
  it('leaves nothing half-written where it cannot take its place', async () => {
    const path = join(folder, 'ab', 'taken');
    mkdirSync(join(path, 'in-the-way'), { recursive: true });
    await expect(putWhole(path, bytes('x'))).rejects.toThrow();
    expect(readdirSync(join(folder, 'ab'))).toEqual(['taken']);
  });
});
