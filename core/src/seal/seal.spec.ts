import fc from 'fast-check';
import type { LedgerEntry } from '../ledger/index.js';
import { readSeal, sealedAt, sealOf, sealOn } from './index.js';

const job = '0b9d1bd6-7c0e-4a1b-9a52-0f5f6f2c1a10';
const noted = (text: string, index: number): LedgerEntry => ({
  id: `00000000-0000-4000-8000-${String(index).padStart(12, '0')}`,
  at: '2026-03-02T07:00:00.000Z',
  by: 'Ines',
  kind: 'noted',
  text,
});
const ledger = ['Belt off', 'M8 × 25 “snapped”', 'Hoist at 1.2 m'].map(noted);

describe('the seal of a ledger', () => {
  it('is what anybody works out from the ledger with SHA-256 and the keys in order', async () => {
    const sha256 = async (bytes: readonly number[]) => [
      ...new Uint8Array(await crypto.subtle.digest('SHA-256', new Uint8Array(bytes))),
    ];
    const utf8 = (text: string) => [...new TextEncoder().encode(text)];
    let hash = await sha256(utf8(`brisk-ledger-seal-1\n${job}`));
    for (const entry of ledger) {
      const inOrder = Object.fromEntries(Object.entries(entry).sort(([one], [other]) => (one < other ? -1 : 1)));
      hash = await sha256([...hash, ...utf8(JSON.stringify(inOrder))]);
    }
    const hex = hash.map((byte) => byte.toString(16).padStart(2, '0')).join('');
    expect(sealOf(job, ledger)).toEqual({ entries: 3, hash: hex });
  });

  it('goes on from where it stood', () => {
    for (const at of [0, 1, 3])
      expect(sealOn(sealOf(job, ledger.slice(0, at)), ledger.slice(at))).toEqual(sealOf(job, ledger));
  });

  it('does not mind in which order the fields of an entry are written', () => {
    const turned = ledger.map((entry) => Object.fromEntries(Object.entries(entry).reverse()) as unknown as LedgerEntry);
    expect(sealOf(job, turned)).toEqual(sealOf(job, ledger));
  });

  it('is another one for another job, an entry changed, left out, put in or moved', () => {
    const seal = sealOf(job, ledger).hash;
    const [first, second, third] = ledger as [LedgerEntry, LedgerEntry, LedgerEntry];
    const others = [
      sealOf('another', ledger),
      sealOf(job, [first, third]),
      sealOf(job, [second, first, third]),
      sealOf(job, [...ledger, noted('Later', 9)]),
      sealOf(job, [first, { ...second, by: 'Tobias' }, third]),
    ];
    for (const { hash } of others) expect(hash).not.toBe(seal);
  });

  it('is found again in a ledger that went on, at the position it was made, and nowhere once something changed', () => {
    fc.assert(
      fc.property(fc.array(fc.string(), { minLength: 1, maxLength: 12 }), fc.nat(), fc.nat(), (texts, at, changed) => {
        const whole = texts.map(noted);
        const position = at % (whole.length + 1);
        const read = sealOf(job, whole.slice(0, position)).hash.slice(0, 20);
        expect(sealedAt(job, whole, read)).toBe(position);
        const meddled = whole.map((entry, index) => (index === changed % whole.length ? { ...entry, by: 'X' } : entry));
        expect(sealedAt(job, meddled, read)).toBe(changed % whole.length < position ? undefined : position);
      }),
    );
  });

  it('is read off paper in groups, and not from too little', () => {
    expect(readSeal(' A1B2 c3d4-e5f6 0718 ')).toBe('a1b2c3d4e5f60718');
    for (const none of ['', 'a1b2 c3d4', 'a1b2 c3d4 e5f6 071x', 'a'.repeat(65)]) expect(readSeal(none)).toBeUndefined();
  });
});
