import type { Page } from '@playwright/test';

/**
 * What is wrong with how the working step stands on the screen, in words: something that is attested, a caution or a key that is
 * cut, covered or, when “Done” is where it is pressed, not on the screen with it.
 */
export async function wrongAtStep(page: Page): Promise<readonly string[]> {
  // What a new size does to the page it does within two frames.
  await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))));
  return page.evaluate(() => {
    const wrong: string[] = [];
    const hand = document.querySelector<HTMLElement>('.hand');
    const work = document.querySelector<HTMLElement>('main');
    if (!hand || !work) return ['There is no step in hand.'];
    const named = (element: Element) =>
      `“${(element.getAttribute('aria-label') ?? element.textContent ?? '').trim().replace(/\s+/g, ' ').slice(0, 50)}”`;
    const frame = () => work.getBoundingClientRect();
    const shown = (element: Element) => {
      const { top, bottom, left, right } = element.getBoundingClientRect();
      const { top: from, bottom: to, left: begins, right: ends } = frame();
      return top >= from - 1 && bottom <= to + 1 && left >= begins - 1 && right <= ends + 1;
    };
    const covered = (element: Element) => {
      const { top, bottom, left, right } = element.getBoundingClientRect();
      const places = [
        [(left + right) / 2, (top + bottom) / 2],
        [left + 4, top + 4],
        [right - 4, bottom - 4],
      ] as const;
      for (const [x, y] of places) {
        const there = document.elementFromPoint(x, y);
        if (there !== null && !element.contains(there) && !there.contains(element))
          return `${there.tagName.toLowerCase()} ${named(there)} at ${Math.round(x)}, ${Math.round(y)}`;
      }
      return '';
    };
    const cautions = [...hand.querySelectorAll('.caution')];
    const attested = [
      ...hand.querySelectorAll(
        '.record mat-checkbox, .record bl-stepper, .record bl-keeping-choice, .record bl-entry, .record p',
      ),
    ];
    const keys = [...hand.querySelectorAll('.keys-band button')];
    for (const element of [...cautions, ...attested, ...keys]) {
      if (!shown(element)) element.scrollIntoView({ block: 'nearest' });
      const { width } = element.getBoundingClientRect();
      if (width > frame().width + 1) wrong.push(`${named(element)} is wider than the screen`);
      else if (element.getBoundingClientRect().height <= frame().height && !shown(element))
        wrong.push(`${named(element)} is cut`);
      else {
        const by = covered(element);
        if (by !== '') wrong.push(`${named(element)} lies under ${by}`);
      }
    }
    const done = hand.querySelector('button.done');
    if (done) {
      work.scrollTop = 0;
      done.scrollIntoView({ block: 'nearest' });
      const record = hand.querySelector<HTMLElement>('.record');
      if (record && record.offsetHeight + 120 < frame().height && !shown(record))
        wrong.push(`what “Done” signs for is not on the screen with it`);
    }
    work.scrollTop = 0;
    return wrong;
  });
}
