import type { Drafts } from '../app/session/drafts';

/** Drafts in the storage of jsdom, which has no database; it is emptied before every test. */
export class DraftsInStorage implements Pick<Drafts, 'read' | 'keep'> {
  read(key: string): Promise<unknown> {
    const text = localStorage.getItem(key);
    if (text === null) return Promise.resolve(undefined);
    try {
      return Promise.resolve(JSON.parse(text));
    } catch {
      return Promise.resolve(undefined);
    }
  }

  keep(key: string, draft: unknown): Promise<void> {
    if (draft === undefined) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(draft));
    return Promise.resolve();
  }
}
