import fc from 'fast-check';
import { jobCode, labelPath, readLabel, type LabelCode } from './index.js';

describe('label codes', () => {
  it('name the job by the beginning of its id, and a roll’s label names none', () => {
    const job = jobCode('3f0c8a52-8f1e-4d0a-9a51-6a2b1f0e7c11');
    expect(labelPath({ is: 'tag', number: 31, job })).toBe('/t/3f0c8a52/31');
    expect(labelPath({ is: 'bag', number: 4 })).toBe('/b/4');
  });

  it('are read back whatever address they were printed for', () => {
    const code = fc.record(
      {
        is: fc.constantFrom('tag', 'bag'),
        number: fc.integer({ min: 1, max: 99_999 }),
        job: fc.uuid().map(jobCode),
      },
      { requiredKeys: ['is', 'number'] },
    );
    fc.assert(
      fc.property(code, fc.webAuthority({ withPort: true }), (label, authority) => {
        expect(readLabel(`http://${authority}${labelPath(label as LabelCode)}`)).toEqual(label);
      }),
    );
  });

  it('a plain number is a tag; anything else is not ours', () => {
    expect(readLabel(' 117 ')).toEqual({ is: 'tag', number: 117 });
    for (const text of ['', '0', 'https://example.org/x/12', 'bag 4', '/t/0', '/t/xyz/4', '12345678'])
      expect(readLabel(text)).toBeUndefined();
  });
});
