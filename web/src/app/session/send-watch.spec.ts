import { HttpErrorResponse } from '@angular/common/http';
import { SendWatch } from './send-watch';

describe('what waits and does not get through', () => {
  it('is told of after twenty seconds, with why, until something gets through', () => {
    const watch = new SendWatch();
    watch.look(3, 0);
    watch.look(3, 19_999);
    expect(watch.stalled()).toBeUndefined();
    watch.look(3, 20_000);
    expect(watch.stalled()).toEqual({ seconds: 20, why: expect.stringMatching(/does not answer/) });
    watch.failed(new HttpErrorResponse({ status: 0 }));
    watch.look(4, 31_000);
    expect(watch.stalled()).toEqual({ seconds: 30, why: expect.stringMatching(/on its network/) });
    watch.moved();
    expect(watch.stalled()).toBeUndefined();
    watch.look(1, 32_000);
    watch.look(1, 40_000);
    expect(watch.stalled()).toBeUndefined();
  });

  it('is not counted from before anything waited', () => {
    const watch = new SendWatch();
    watch.look(0, 0);
    watch.look(0, 60_000);
    watch.look(1, 61_000);
    expect(watch.stalled()).toBeUndefined();
  });
});
