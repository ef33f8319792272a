import { inject, Injectable } from '@angular/core';
import { Title } from '@angular/platform-browser';
import { TitleStrategy, type RouterStateSnapshot } from '@angular/router';

/** Names the browser tab after the view in it. */
@Injectable({ providedIn: 'root' })
export class ViewTitle extends TitleStrategy {
  private readonly title = inject(Title);

  override updateTitle(state: RouterStateSnapshot): void {
    const view = this.buildTitle(state);
    this.title.setTitle(view ? `${view} · Brisk Ledger` : 'Brisk Ledger');
  }
}
