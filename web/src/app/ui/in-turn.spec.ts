import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { InTurn } from './in-turn';

@Component({
  selector: 'bl-page',
  imports: [InTurn],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (open()) {
      first {{ words() }}
      <b *blInTurn="2">third {{ words() }}</b>
      <b *blInTurn="1">second {{ words() }}</b>
    }
  `,
})
class Page {
  readonly open = signal(true);
  readonly words = signal('new');
}

const opened = () => {
  const fixture = TestBed.createComponent(Page);
  fixture.detectChanges();
  const text = () => (fixture.nativeElement as HTMLElement).textContent?.trim().replace(/\s+/g, ' ');
  return { fixture, text };
};

describe('pieces of a page in turn', () => {
  it('come one after the other, and whoever waits for the page has them all', async () => {
    const { fixture, text } = opened();
    expect(text()).toBe('first new');
    await new Promise((turn) => setTimeout(turn));
    fixture.detectChanges();
    expect(text()).toBe('first new second new');
    await fixture.whenStable();
    expect(text()).toBe('first new third new second new');
  });

  it('go along with what changes, and do not come where the page has gone', async () => {
    const { fixture, text } = opened();
    await fixture.whenStable();
    fixture.componentInstance.words.set('newer');
    await fixture.whenStable();
    expect(text()).toBe('first newer third newer second newer');

    const left = opened();
    left.fixture.componentInstance.open.set(false);
    await left.fixture.whenStable();
    expect(left.text()).toBe('');
  });
});
