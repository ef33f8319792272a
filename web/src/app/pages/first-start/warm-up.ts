import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { optionalAmount, optionalText } from '@brisk/contracts/fields';
import { hasRun } from '@brisk/core/ledger';
import { oddReading, warmUpOf, type WarmUpPoint } from '@brisk/core/running-in';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { Ask } from '../../ui/ask';

const MOST = 100_000;

/** The warm-up, point by point: the next one large, with its key; what is not yet so stays open. */
@Component({
  selector: 'bl-warm-up',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './warm-up.html',
  styleUrl: './warm-up.scss',
})
export class WarmUp {
  private readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);
  protected readonly ran = computed(() => {
    const state = this.desk.state();
    return state !== undefined && hasRun(state);
  });
  protected readonly points = computed(() => {
    const state = this.desk.state();
    return (state ? warmUpOf(state) : []).map((point) => ({ point, said: saidWords(point) }));
  });
  /** What is looked at next: the first nobody has said anything of. */
  protected readonly next = computed(() => this.points().find(({ point }) => !point.said)?.point);

  protected async say(point: WarmUpPoint, is: 'seen' | 'not-yet'): Promise<void> {
    const { id, words, reading } = point;
    // What is seen and not measured needs no question.
    const answers =
      is === 'seen' && !reading
        ? {}
        : await this.asker.ask({
            title: is === 'seen' ? words : `Not yet: ${words}`,
            questions: [
              ...(reading
                ? [
                    {
                      field: 'reading',
                      label: 'What was read',
                      as: 'amount' as const,
                      suffix: reading.unit,
                      schema: optionalAmount(MOST, -100).label('What was read'),
                    },
                  ]
                : []),
              { field: 'note', label: 'Note, if any', as: 'line' as const, schema: optionalText().label('Note') },
            ],
            action: is === 'seen' ? 'It is so' : 'Not yet',
          });
    if (!answers) return;
    const given: unknown = answers['reading' as keyof typeof answers];
    const read = given === undefined || given === '' ? undefined : Number(given);
    const odd = read === undefined ? '' : oddReading(point, read);
    const note = [String(answers['note' as keyof typeof answers] ?? '').trim(), odd].filter(Boolean).join(' ');
    this.recorder.record(is === 'seen' ? words : `Not yet: ${words}`, {
      kind: 'warm-up-noted',
      point: id,
      words,
      is,
      ...(read === undefined ? {} : { reading: read }),
      ...(note === '' ? {} : { note }),
    });
  }
}

function saidWords({ said, reading }: WarmUpPoint): string {
  if (!said) return '';
  return [
    said.is === 'seen' ? '' : 'Not yet',
    said.reading === undefined ? '' : `${said.reading} ${reading?.unit ?? ''}`.trim(),
    said.note ?? '',
    said.by,
  ]
    .filter(Boolean)
    .join(', ');
}
