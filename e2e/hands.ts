import { expect, type Locator, type Page } from '@playwright/test';

/** How somebody works at a page: by touch or by the keyboard alone, and how often they had to. */
export interface Hands {
  readonly press: (what: Locator) => Promise<void>;
  readonly write: (field: Locator, words: string) => Promise<void>;
  /** Takes what is called `words` from the list that `box` opens. */
  readonly pick: (box: Locator, words: string) => Promise<void>;
  /** Does what a single key does, where this way of working has one; false where it has none. */
  readonly key: (key: string) => Promise<boolean>;
  readonly touches: () => number;
}

/** A thumb on a phone: every touch counts, and so does every field that is written into. */
export function byTouch(): Hands {
  let touches = 0;
  return {
    press: async (what) => {
      touches += 1;
      await what.scrollIntoViewIfNeeded();
      await what.tap();
    },
    write: async (field, words) => {
      touches += 1;
      // A label that lies over its field takes the touch, and hands it on.
      await field.tap({ force: true });
      await field.fill(words);
    },
    pick: async (box, words) => {
      touches += 2;
      await box.tap();
      await box.page().getByRole('option', { name: words, exact: true }).tap();
    },
    key: () => Promise.resolve(false),
    touches: () => touches,
  };
}

/** Longer than this nobody goes through a page with the Tab key to find something. */
const MOST_TABS = 160;

/** The keyboard alone: what is pressed is reached with the Tab key, bears a ring that is seen, and is pressed with Enter or the space bar. */
export function byKeyboard(page: Page): Hands {
  let touches = 0;
  const reach = async (what: Locator) => {
    await expect(what).toBeVisible();
    const there = () =>
      what.evaluate((element) => element === document.activeElement || element.contains(document.activeElement));
    // From where one is, forward or backward, whichever is nearer.
    const ahead = await what.evaluate((element) => {
      const { activeElement } = document;
      return (
        !activeElement || (element.compareDocumentPosition(activeElement) & Node.DOCUMENT_POSITION_PRECEDING) !== 0
      );
    });
    for (let tabs = 0; !(await there()); tabs += 1) {
      if (tabs > MOST_TABS) throw new Error(`The Tab key does not get to ${String(what)}.`);
      await page.keyboard.press(ahead ? 'Tab' : 'Shift+Tab');
    }
    // The frame of a field is drawn a moment after the key.
    await expect.poll(() => ringAt(page), `A ring at ${String(what)}`).toBeGreaterThanOrEqual(2);
  };
  return {
    press: async (what) => {
      touches += 1;
      await reach(what);
      const isBox = await what.evaluate(
        (element) =>
          element.matches('input[type=checkbox], input[type=radio], [role=checkbox]') ||
          element.querySelector('input[type=checkbox]') !== null,
      );
      await page.keyboard.press(isBox ? 'Space' : 'Enter');
    },
    write: async (field, words) => {
      touches += 1;
      await reach(field);
      await page.keyboard.press('ControlOrMeta+a');
      await page.keyboard.type(words);
    },
    pick: async (box, words) => {
      touches += 1;
      await reach(box);
      await page.keyboard.press('Home');
      for (let down = 0; (await box.textContent())?.trim() !== words; down += 1) {
        if (down > 20) throw new Error(`“${words}” is not in the list.`);
        await page.keyboard.press('ArrowDown');
      }
    },
    key: async (key) => {
      touches += 1;
      await page.keyboard.press(key);
      return true;
    },
    touches: () => touches,
  };
}

/** How thick the ring is around what has the focus, in px, wherever it is drawn: at it, or at what the library lays around it. */
function ringAt(page: Page): Promise<number> {
  return page.evaluate(() => {
    let widest = 0;
    for (let at: Element | null = document.activeElement, up = 0; at && up < 6; at = at.parentElement, up += 1) {
      const { outlineStyle, outlineWidth, outlineColor } = getComputedStyle(at);
      if (outlineStyle !== 'none' && !/rgba\(.*, 0\)|transparent/.test(outlineColor))
        widest = Math.max(widest, parseFloat(outlineWidth));
      // A field that is written into shows it by its frame.
      const frame = at.querySelector(':scope > .mdc-notched-outline > .mdc-notched-outline__leading');
      if (frame) widest = Math.max(widest, parseFloat(getComputedStyle(frame).borderTopWidth));
      for (const indicator of at.parentElement?.querySelectorAll(':scope > .mat-focus-indicator') ?? []) {
        const { content, borderTopWidth, display } = getComputedStyle(indicator, '::before');
        if (content !== 'none' && display !== 'none') widest = Math.max(widest, parseFloat(borderTopWidth));
      }
    }
    return widest;
  });
}
