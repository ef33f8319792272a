import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Drawn, drawnAfter } from './drawn';

const frame = () => jest.advanceTimersByTime(20);

describe('what waits until the page is drawn', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  it('comes in the frame after, or so many frames after, and can be called off', () => {
    const done: string[] = [];
    const drawn = TestBed.inject(Drawn);
    drawn.then(() => done.push('next'));
    drawn.then(() => done.push('after'), 2);
    const stop = drawn.then(() => done.push('never'));
    stop();
    expect(done).toEqual([]);
    frame();
    expect(done).toEqual(['next']);
    frame();
    expect(done).toEqual(['next', 'after']);
  });

  it('is done all the same on a page that nobody sees', () => {
    jest.spyOn(globalThis, 'requestAnimationFrame').mockReturnValue(1);
    const act = jest.fn();
    TestBed.inject(Drawn).then(act);
    jest.advanceTimersByTime(399);
    expect(act).not.toHaveBeenCalled();
    jest.advanceTimersByTime(2);
    expect(act).toHaveBeenCalledTimes(1);
    jest.restoreAllMocks();
  });

  it('follows what it is of, a frame later; the first at once', () => {
    const source = signal('one');
    const late = TestBed.runInInjectionContext(() => drawnAfter(source));
    TestBed.tick();
    expect(late()).toBe('one');
    source.set('two');
    TestBed.tick();
    source.set('three');
    TestBed.tick();
    expect(late()).toBe('one');
    frame();
    expect(late()).toBe('three');
  });
});
