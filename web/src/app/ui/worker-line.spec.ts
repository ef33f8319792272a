import { expose } from 'comlink';
import { lineTo } from './worker-line';

interface Shelf {
  add(box: string): Promise<number>;
  spill(): Promise<void>;
}

/** The page’s end of a worker that works on this thread. */
function standIn(): Worker {
  const ends = [new EventTarget(), new EventTarget()] as const;
  const end = (mine: EventTarget, other: EventTarget) =>
    Object.assign(mine, {
      postMessage: (data: unknown) =>
        setTimeout(() => other.dispatchEvent(new MessageEvent('message', { data, origin: 'here' }))),
      terminate: jest.fn(),
    });
  const boxes: string[] = [];
  expose(
    {
      add: async (box) => boxes.push(box),
      spill: () => Promise.reject(new Error('all over the floor')),
    } satisfies Shelf,
    end(ends[1], ends[0]),
  );
  return end(ends[0], ends[1]) as Partial<Worker> as Worker;
}

describe('a line to a worker', () => {
  it('answers each question for itself, however many are on the way', async () => {
    const { ask } = lineTo<Shelf>(standIn());
    expect(await Promise.all([ask((shelf) => shelf.add('a')), ask((shelf) => shelf.add('b'))])).toEqual([1, 2]);
    await expect(ask((shelf) => shelf.spill())).rejects.toThrow('all over the floor');
    expect(await ask((shelf) => shelf.add('c'))).toBe(3);
  });

  it('fails whoever waits when the worker breaks down', async () => {
    const worker = standIn();
    const { ask } = lineTo<Shelf>(worker);
    const asked = ask(() => new Promise(() => undefined));
    worker.dispatchEvent(new Event('error'));
    await expect(asked).rejects.toThrow('stopped by itself');
  });
});
