import { TestBed } from '@angular/core/testing';
import { AdoptedStyles } from './adopted-styles';

/** jsdom has no sheets that are made by hand. */
class Sheet {
  css = '';
  replaceSync(css: string): void {
    this.css = css;
  }
}
const page = document as unknown as { adoptedStyleSheets: readonly Sheet[] };

let before: unknown;
beforeEach(() => {
  before = globalThis.CSSStyleSheet;
  Object.assign(globalThis, { CSSStyleSheet: Sheet });
  page.adoptedStyleSheets = [];
  TestBed.configureTestingModule({ providers: [AdoptedStyles] });
});
afterEach(() => Object.assign(globalThis, { CSSStyleSheet: before }));
const sheets = () => page.adoptedStyleSheets.map(({ css }) => css);

it('adopts each sheet once, in order, and lets go of it with the last that uses it', () => {
  const styles = TestBed.inject(AdoptedStyles);
  styles.addStyles(['a{}', 'b{}']);
  styles.addStyles(['b{}', 'c{}']);
  expect(sheets()).toEqual(['a{}', 'b{}', 'c{}']);
  styles.removeStyles(['b{}', 'a{}']);
  expect(sheets()).toEqual(['b{}', 'c{}']);
  styles.removeStyles(['b{}']);
  expect(sheets()).toEqual(['c{}']);
});

it('leaves alone what is none of its own', () => {
  const theirs = new Sheet();
  page.adoptedStyleSheets = [theirs];
  const styles = TestBed.inject(AdoptedStyles);
  styles.removeStyles(['never added']);
  styles.addStyles(['a{}']);
  styles.removeStyles(['a{}']);
  expect(page.adoptedStyleSheets).toEqual([theirs]);
});
