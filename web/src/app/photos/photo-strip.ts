import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { JobState, Photo } from '@brisk/core/ledger';
import { photosAt, photosOf, photosOfPart } from '@brisk/core/find';
import { Desk } from '../session/desk';
import { PhotoBox } from './photo-box';

/** Photos of one joint, before it came apart and as it goes back, side by side; those taken at one step, or of a part. */
@Component({
  selector: 'bl-photo-strip',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (row of rows(); track row.words) {
      <figure>
        <figcaption class="soft">{{ row.words }}</figcaption>
        <div>
          @for (photo of row.photos; track photo.photo) {
            <a [routerLink]="['/jobs', desk.job()?.id, 'photos', photo.photo]">
              <img
                [src]="box.address(photo.photo, true)"
                [alt]="(photo.words ?? 'Photo') + ', ' + photo.by"
                [width]="size(photo).width"
                [height]="size(photo).height"
                loading="lazy"
              />
            </a>
          }
        </div>
      </figure>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 0.75rem;
    }
    figure {
      margin: 0;
    }
    div {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
    }
    img {
      display: block;
      border: 1px solid var(--line);
      border-radius: 4px;
      object-fit: cover;
    }
  `,
})
export class PhotoStrip {
  readonly state = input.required<JobState>();
  readonly connection = input<string>();
  readonly operation = input<string>();
  /** The card of a part. */
  readonly card = input<string>();
  readonly heightPx = input(96);
  protected readonly box = inject(PhotoBox);
  protected readonly desk = inject(Desk);

  protected readonly rows = computed(() => {
    const [operation, card] = [this.operation(), this.card()];
    const { before, after } = photosOf(this.state(), this.connection() ?? '');
    return [
      { words: 'As it was marked', photos: operation === undefined ? [] : photosAt(this.state(), operation).slice(-4) },
      { words: 'Of the part', photos: card === undefined ? [] : photosOfPart(this.state(), card).slice(-4) },
      { words: 'Before', photos: before.slice(-4) },
      { words: 'As it goes back', photos: after.slice(-4) },
    ].filter(({ photos }) => photos.length > 0);
  });

  protected size({ widthPx, heightPx }: Photo) {
    const height = this.heightPx();
    return { height, width: Math.round((height * widthPx) / heightPx) };
  }
}
