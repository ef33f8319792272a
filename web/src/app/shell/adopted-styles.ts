import { DOCUMENT, inject, Injectable } from '@angular/core';

/** How many components use some styles, and the sheet they are in. */
interface Adopted {
  readonly sheet: CSSStyleSheet;
  usage: number;
}

/**
 * Gives the page the styles of its components as sheets it adopts, in place of elements with text: no page then has to carry
 * a mark that its styles are told by, so that it is the same each time and may be kept on a device. Takes the place of
 * Angular’s own host of shared styles.
 */
@Injectable()
export class AdoptedStyles {
  private readonly page = inject(DOCUMENT);
  private readonly adopted = new Map<string, Adopted>();

  addStyles(styles: readonly string[]): void {
    for (const css of styles) {
      const known = this.adopted.get(css);
      if (known) {
        known.usage += 1;
        continue;
      }
      const sheet = new CSSStyleSheet();
      sheet.replaceSync(css);
      this.adopted.set(css, { sheet, usage: 1 });
      this.page.adoptedStyleSheets = [...this.page.adoptedStyleSheets, sheet];
    }
  }

  removeStyles(styles: readonly string[]): void {
    for (const css of styles) {
      const known = this.adopted.get(css);
      if (!known) continue;
      known.usage -= 1;
      if (known.usage > 0) continue;
      this.adopted.delete(css);
      this.page.adoptedStyleSheets = this.page.adoptedStyleSheets.filter((sheet) => sheet !== known.sheet);
    }
  }

  /** Nothing here has a root of its own that styles would have to be brought to. */
  addHost(): void {
    return;
  }

  removeHost(): void {
    return;
  }
}
