import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MapError, type LookAt } from '@brisk/core/connection-map';
import { clashes, isOption, templateOf, type Choices } from '@brisk/core/layouts';
import { choiceOf, reanswered } from '@brisk/core/survey';
import { Desk } from '../../session/desk';
import { withSwap } from '../../planning/swap-plan';

/** What nobody knew at the survey, to be answered once somebody has looked; the map follows the answer. */
@Component({
  selector: 'bl-look-again',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (open(); as open) {
      <section class="look" aria-label="To be looked at">
        <p class="question"><strong>Somebody look:</strong> {{ open.look.question }}</p>
        <div class="row">
          @for (one of open.answers; track one.choice) {
            <button matButton="outlined" type="button" [disabled]="working()" (click)="answer(open.look, one.choice)">
              {{ one.words }}{{ one.taken ? ', as taken' : '' }}
            </button>
          }
          @if (open.more > 0) {
            <span class="soft">then {{ open.more }} more</span>
          }
        </div>
        @if (trouble()) {
          <p class="marker" role="alert">{{ trouble() }}</p>
        }
      </section>
    }
  `,
  styles: `
    :host {
      display: contents;
    }
    .look {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.4rem 1rem;
      padding: 0.5rem 0.9rem;
      background: var(--marker-soft);
      border-left: 6px solid var(--marker);
    }
  `,
})
export class LookAgain {
  private readonly desk = inject(Desk);
  protected readonly trouble = signal('');
  protected readonly working = signal(false);

  protected readonly open = computed(() => {
    const job = this.desk.job();
    const [look, ...rest] = job?.plan.lookAt ?? [];
    const survey = job?.survey;
    if (!look || !survey || !isOption(look.about)) return undefined;
    const option = look.about;
    const offered = templateOf(survey.layout).options.find((one) => one.option === option)?.choices ?? [];
    const taken = survey.choices[option];
    return {
      look,
      more: rest.length,
      answers: offered
        .filter((choice) => clashes({ ...survey.choices, [option]: choice }).length === 0)
        .map((choice) => ({ choice, words: choiceOf(option, choice).words, taken: choice === taken })),
    };
  });

  protected async answer(look: LookAt, choice: string): Promise<void> {
    const job = this.desk.job();
    if (!job?.survey || this.working()) return;
    const { survey, plan, swap } = job;
    const choices = { ...survey.choices, [look.about]: choice };
    const lookAt = (plan.lookAt ?? []).filter(({ about }) => about !== look.about);
    this.working.set(true);
    try {
      const template = templateOf(survey.layout);
      const map =
        survey.choices[look.about] === choice
          ? plan.map
          : reanswered(plan.map, template, survey.choices as Choices, choices as Choices);
      this.trouble.set(
        (await this.desk.replan({
          plan: withSwap({ ...plan, map, lookAt }, swap),
          survey: { ...survey, choices },
          ...(swap ? { swap } : {}),
        })) ?? '',
      );
    } catch (error) {
      if (!(error instanceof MapError)) throw error;
      this.trouble.set(error.message);
    } finally {
      this.working.set(false);
    }
  }
}
