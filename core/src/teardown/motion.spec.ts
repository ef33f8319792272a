import type { Part } from '../connection-map/index.js';
import { connection, minutes } from '../layouts/author.js';
import { smallMap } from '../testing/small-map.js';
import { plainStep } from '../testing/random-net.js';
import { motionOn } from './motion.js';

const belt: Part = { id: 'belt', name: 'drive belt', zone: 'bay-front', system: 'mounts', movesWith: 'crank' };
const map = {
  ...smallMap,
  parts: [...smallMap.parts, belt],
  connections: [
    ...smallMap.connections,
    connection({
      id: 'belt-on',
      name: 'the belt',
      kind: 'clip',
      between: ['belt', 'engine'],
      system: 'mounts',
      station: 'front',
      minutes: minutes(1, 2, 3),
    }),
  ],
};
const motion = (changes: Parameters<typeof plainStep>[1]) => motionOn(map)(plainStep('step', changes));

describe('what a step sets in motion, and what hands are at', () => {
  it('is the weight, where gear takes it, carries it or gives it back', () => {
    for (const kind of ['support', 'release', 'lift', 'lower'] as const)
      expect(motion({ kind })).toEqual({ moves: ['weight'], at: ['weight'] });
  });

  it('is the weight, where a mount that carries it is undone or pulled down, and not while it is started by fingers', () => {
    expect(motion({ kind: 'disconnect', connection: 'mount-left' }).moves).toEqual(['weight']);
    expect(motion({ kind: 'connect', connection: 'mount-left' }).moves).toEqual(['weight']);
    expect(motion({ kind: 'start-by-hand', connection: 'mount-left' }).moves).toEqual([]);
    expect(motion({ kind: 'disconnect', connection: 'sensor' }).moves).toEqual([]);
  });

  it('has whoever is underneath at the weight, and whoever works where only a tilted cab gives reach', () => {
    expect(motion({ station: 'underside' })).toEqual({ moves: [], at: ['weight', 'steering'] });
    expect(motion({ station: 'wheel-left' }).at).toEqual(['steering']);
    expect(motion({ station: 'underside', moves: ['steering'] }).at).toEqual(['weight']);
    expect(motionOn({ ...map, bay: 'rear' })(plainStep('step', { station: 'wheel-left' })).at).toEqual([]);
    expect(motion({ station: 'bay-top' }).at).toEqual([]);
    const tilted = {
      ...map,
      conditions: map.conditions.map((one) => ({ ...one, givesReach: ['bay-top'] as const })),
    };
    expect(motionOn(tilted)(plainStep('step', { station: 'bay-top' })).at).toEqual(['weight']);
  });

  it('has hands at the belt at what turns with the crank, and those of who turns it themselves not', () => {
    expect(motion({ connection: 'belt-on' }).at).toEqual(['crank']);
    expect(motion({ part: 'belt' }).at).toEqual(['crank']);
    expect(motion({ connection: 'belt-on', moves: ['crank'] })).toEqual({ moves: ['crank'], at: [] });
  });

  it('has everybody at the bench at what is moved there, or turned, but for who turns it', () => {
    expect(motion({ phase: 'bench', station: 'bench' })).toEqual({ moves: [], at: ['crank', 'weight'] });
    expect(motion({ station: 'bench' }).at).toEqual(['weight']);
    expect(motion({ phase: 'bench', station: 'front' }).at).toEqual(['crank']);
    expect(motion({ phase: 'bench', station: 'bench', moves: ['crank'] })).toEqual({
      moves: ['crank'],
      at: ['weight'],
    });
  });

  it('is nothing where nothing moves', () => {
    expect(motion({ part: 'pump', connection: 'gone' })).toEqual({ moves: [], at: [] });
  });
});
