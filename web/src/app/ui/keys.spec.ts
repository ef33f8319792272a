import { TestBed } from '@angular/core/testing';
import { Keys, type KeyAction } from './keys';

function keysWith(...actions: readonly KeyAction[]): Keys {
  const keys = TestBed.inject(Keys);
  TestBed.runInInjectionContext(() => keys.use(...actions));
  return keys;
}
const press = (key: string) => document.dispatchEvent(new KeyboardEvent('keydown', { key, cancelable: true }));

describe('single keys', () => {
  const done = { key: 'd', words: 'Done', act: jest.fn() };
  const skip = { key: 's', words: 'Skip', act: jest.fn() };
  beforeEach(() => jest.clearAllMocks());

  it('act, can be given another key, and none is lost by it', () => {
    const keys = keysWith(done, skip);
    press('d');
    expect(done.act).toHaveBeenCalledTimes(1);
    keys.change(done, 's');
    expect([keys.keyOf(done), keys.keyOf(skip), keys.changed()]).toEqual(['s', 'd', true]);
    press('s');
    press('d');
    expect([done.act.mock.calls.length, skip.act.mock.calls.length]).toEqual([2, 1]);
    keys.reset();
    expect([keys.keyOf(done), keys.changed()]).toEqual(['d', false]);
  });

  it('are kept at the device, and what is kept there and is none does nothing', () => {
    keysWith(done).change(done, 'j');
    TestBed.resetTestingModule();
    expect(keysWith(done).keyOf(done)).toBe('j');
    TestBed.resetTestingModule();
    localStorage.setItem('brisk-own-keys', '{"d":7');
    expect(keysWith(done).keyOf(done)).toBe('d');
  });

  it('are switched off as one', () => {
    const keys = keysWith(done);
    keys.toggle();
    press('d');
    expect(done.act).not.toHaveBeenCalled();
  });
});
