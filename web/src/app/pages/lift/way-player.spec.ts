import { WayPlayer } from './way-player';

const playerOf = (moves: number, littleMotion = false) =>
  new WayPlayer(
    () => moves,
    () => littleMotion,
  );

describe('the player of moves', () => {
  let now = 0;
  let frames: FrameRequestCallback[] = [];
  beforeEach(() => {
    now = 0;
    frames = [];
    jest.spyOn(performance, 'now').mockImplementation(() => now);
    jest.spyOn(window, 'requestAnimationFrame').mockImplementation((frame) => frames.push(frame));
  });
  afterEach(() => jest.restoreAllMocks());
  const pass = (ms: number, everyMs = 100) => {
    for (let passed = 0; passed < ms; passed += everyMs) {
      now += everyMs;
      const due = frames;
      frames = [];
      due.forEach((frame) => frame(now));
    }
  };

  it('goes by hand to the next whole move and back, and not beyond either end', () => {
    const player = playerOf(3);
    player.at.set(1.4);
    player.step(1);
    expect(player.at()).toBe(2);
    player.at.set(1.4);
    player.step(-1);
    expect(player.at()).toBe(1);
    player.step(-1);
    player.step(-1);
    expect(player.at()).toBe(0);
    for (let step = 0; step < 5; step += 1) player.step(1);
    expect(player.at()).toBe(3);
  });

  it('plays to the end and stops there; then from the start again', () => {
    const player = playerOf(2);
    player.toggle();
    pass(1_000);
    expect(player.at()).toBeGreaterThan(0.5);
    expect(player.at()).toBeLessThan(1.2);
    pass(3_000);
    expect([player.at(), player.playing()]).toEqual([2, false]);
    expect(frames).toEqual([]);
    player.toggle();
    expect(player.at()).toBe(0);
  });

  it('stops when it is told to, or somebody takes it by hand', () => {
    const player = playerOf(4);
    player.toggle();
    pass(1_000);
    player.toggle();
    const at = player.at();
    pass(2_000);
    expect(player.at()).toBe(at);
    player.toggle();
    player.goTo(3);
    expect(player.playing()).toBe(false);
  });

  it('shows whoever wants little motion only where each move ends', () => {
    const player = playerOf(3, true);
    player.toggle();
    const seen = new Set<number>();
    for (let step = 0; step < 50; step += 1) {
      pass(100);
      seen.add(player.at());
    }
    expect([...seen]).toEqual([0, 1, 2, 3]);
  });
});
