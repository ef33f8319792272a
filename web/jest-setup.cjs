const { env } = require('node:process');

if (env.VIEWS_AS_SHIPPED) globalThis.ngDevMode = false;

const { setupZonelessTestEnv } = require('jest-preset-angular/setup-env/zoneless/index.js');

setupZonelessTestEnv();

// What a browser has and jsdom has not.
Object.defineProperty(window, 'matchMedia', {
  value: (query) => ({
    matches: false,
    media: query,
    addListener: () => undefined,
    removeListener: () => undefined,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }),
});
globalThis.ResizeObserver = class {
  observe() {}
  disconnect() {}
};
// Whatever is looked out for is on the screen.
globalThis.IntersectionObserver = class {
  constructor(tell) {
    this.tell = tell;
  }
  observe() {
    queueMicrotask(() => this.tell([{ isIntersecting: true }]));
  }
  disconnect() {}
};
Element.prototype.scrollIntoView = () => undefined;
beforeEach(() => localStorage.clear());
URL.createObjectURL = () => 'blob:picture';
URL.revokeObjectURL = () => undefined;
