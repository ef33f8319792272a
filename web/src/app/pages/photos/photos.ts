import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { findPhotos, type PhotoQuery } from '@brisk/core/find';
import { STATION_WORDS, several } from '@brisk/core/words';
import { STATIONS, type Station } from '@brisk/core/connection-map';
import { format } from 'date-fns';
import { PickOne } from '../../ui/pick-one';
import { EntryField } from '../../ui/entry-field';
import { choicesOf, type Choice } from '../../ui/choice';
import { Desk } from '../../session/desk';
import { PhotoBox } from '../../photos/photo-box';
import { PhotoKey } from '../../photos/photo-key';
import { Written } from '../../ui/written';

/** How many are shown before somebody asks for more. */
const PAGE = 60;

/** Every photo of a job, found by part, station, day, person and words. */
@Component({
  selector: 'bl-photos',
  imports: [EntryField, MatButton, PhotoKey, PickOne, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './photos.html',
  styleUrl: './photos.scss',
})
export class Photos {
  private readonly written = inject(Written);
  protected readonly desk = inject(Desk);
  protected readonly box = inject(PhotoBox);
  protected readonly several = several;
  protected readonly query = signal<PhotoQuery>({});
  protected readonly most = signal(PAGE);

  private readonly all = computed(() => {
    const state = this.desk.state();
    return state ? findPhotos(state, {}, dayOf) : [];
  });
  protected readonly found = computed(() => {
    const state = this.desk.state();
    return state ? findPhotos(state, this.query(), dayOf) : [];
  });
  protected readonly page = computed(() =>
    this.found()
      .slice(0, this.most())
      .map((one) => ({ ...one, when: this.written.moment(one.photo.at) })),
  );

  /** What there is to choose from. */
  protected readonly choices = computed(() => {
    const all = this.all();
    return {
      parts: allOr('Any part', distinct(all.flatMap(({ parts }) => parts))),
      stations: [
        { value: '', words: 'Anywhere' },
        ...choicesOf(
          STATION_WORDS,
          STATIONS.filter((station) => all.some((one) => one.station === station)),
        ),
      ],
      days: allOr('Any day', [...distinct(all.map(({ day }) => day))].reverse()),
      people: allOr('Anybody', distinct(all.map(({ photo }) => photo.by))),
    };
  });

  protected pick(field: 'part' | 'day' | 'by' | 'station', value: string): void {
    this.most.set(PAGE);
    this.query.update(({ [field]: _before, ...rest }) =>
      value === '' ? rest : { ...rest, [field]: value as Station & string },
    );
  }

  protected typed(words: string): void {
    this.query.update((before) => ({ ...before, words }));
  }

  protected more(): void {
    this.most.update((most) => most + PAGE);
  }
}

function dayOf(at: string): string {
  return format(new Date(at), 'yyyy-MM-dd');
}

function distinct(words: readonly string[]): readonly string[] {
  return [...new Set(words)].sort();
}

function allOr(all: string, words: readonly string[]): readonly Choice<string>[] {
  return [{ value: '', words: all }, ...words.map((value) => ({ value, words: value }))];
}
