import { sortWarning, warningsIn } from '@brisk/core/warnings';
import { sentence, several } from '@brisk/core/words';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { name, oneOf, optionalAmount, optionalText, text } from '@brisk/contracts/fields';
import { ISSUE_SORTS, likelySort, type IssueSort } from '@brisk/core/first-start';
import { readiness } from '@brisk/core/readiness';
import { gateOf, nextUp, unsettled, WHEN_READ, type Issue } from '@brisk/core/ledger';
import type { WorkPhase } from '@brisk/core/teardown';
import { v4 as uuid } from 'uuid';
import { string } from 'yup';
import { Desk } from '../../session/desk';
import { choicesOf } from '../../ui/choice';
import { Ask } from '../../ui/ask';
import { HoldPoint } from '../../working-step/hold-point';
import { Recorder } from '../../session/recorder';
import { StepInHand } from '../../working-step/step-in-hand';
import { SORT_WORDS } from '../../words/trade-words';
import { Attempts } from './attempts';
import { StartTabs } from './start-tabs';

/** As much as a tester prints. */
const MOST_TYPED = 20_000;

/** The gate, the attempts with what the battery did, and the trouble sorted into its four kinds. */
@Component({
  selector: 'bl-first-start',
  imports: [Attempts, HoldPoint, MatButton, RouterLink, StartTabs, StepInHand],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './first-start.html',
  styleUrl: './first-start.scss',
})
export class FirstStart {
  protected readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);
  protected readonly phases: readonly WorkPhase[] = ['first-start'];
  protected readonly signed = computed(() => {
    const state = this.desk.state();
    return state !== undefined && gateOf(state, 'pre-start').signed !== undefined;
  });
  protected readonly step = computed(() => {
    const state = this.desk.state();
    return state && nextUp(state, this.phases);
  });
  protected readonly finished = computed(() => {
    const state = this.desk.state();
    return state !== undefined && unsettled(state, 'first-start').length === 0;
  });
  /** Before the hold point is signed it may be cranked for oil, where the record has nothing against that. */
  protected readonly mayForOil = computed(() => {
    const state = this.desk.state();
    return (
      state !== undefined &&
      state.attempts.length + state.progress.size > 0 &&
      readiness(state).purposes.some(({ purpose, against }) => purpose === 'crank-for-oil' && against.length === 0)
    );
  });
  protected readonly openIssues = computed(() =>
    ISSUE_SORTS.map((sort) => ({
      sort,
      words: SORT_WORDS[sort],
      issues: this.issues().filter((issue) => issue.sort === sort && !issue.closed),
    })),
  );
  protected readonly closedIssues = computed(() => this.issues().filter(({ closed }) => closed));
  private readonly issues = computed(() => [...(this.desk.state()?.issues.values() ?? [])]);

  protected async openIssue(): Promise<void> {
    const state = this.desk.state();
    if (!state) return;
    const leftOff = [...state.leftAsItIs].filter(([, left]) => left.as === 'off').map(([id]) => id);
    const touched = [...state.work.connections.values()].filter(({ id }) => state.work.operations.has(`open:${id}`));
    const answers = await this.asker.ask({
      title: 'What shows or goes wrong?',
      words: 'Only the real ones need work. What is still off and what low voltage threw up sort themselves out.',
      questions: [
        { field: 'title', label: 'Warning, noise, smoke, leak…', as: 'line', schema: name().label('What it is') },
        {
          field: 'connection',
          label: 'Something we touched that could explain it',
          as: 'choice',
          schema: optionalText(),
          choices: touched.map((connection) => ({ value: connection.id, words: sentence(connection.name) })),
        },
        {
          field: 'sort',
          label: 'Which sort is it?',
          as: 'choice',
          schema: oneOf(ISSUE_SORTS).label('The sort'),
          choices: choicesOf(SORT_WORDS),
          initial: likelySort(leftOff.length > 0, state.attempts.at(-1)?.voltsLowest),
          hint: 'Proposed from what is left off and how far the battery sank.',
        },
      ],
      action: 'Open it',
    });
    if (!answers) return;
    this.recorder.record(`Open: ${answers['title']}`, {
      kind: 'issue-opened',
      issue: uuid(),
      title: String(answers['title']),
      sort: answers['sort'] as IssueSort,
      ...(answers['connection'] ? { connection: String(answers['connection']) } : {}),
    });
  }

  /** Warnings typed or pasted, one a line: each is sorted, and opened as an issue, by what stands on the record. */
  protected async readCodes(): Promise<void> {
    const state = this.desk.state();
    if (!state) return;
    const answers = await this.asker.ask({
      title: 'What the tester says',
      words: 'Every warning on a line of its own, as it stands there. Each is sorted; you may sort it otherwise.',
      questions: [
        { field: 'codes', label: 'Codes and lamps', as: 'lines', schema: string().max(MOST_TYPED).label('Codes') },
        {
          field: 'when',
          label: 'When were they read?',
          as: 'choice',
          schema: oneOf(WHEN_READ).label('When'),
          choices: [
            { value: 'since', words: 'Now' },
            { value: 'before', words: 'Before the job' },
          ],
          initial: 'since',
        },
        {
          field: 'volts',
          label: 'Volts when they came',
          as: 'amount',
          suffix: 'V',
          schema: optionalAmount(36).label('Volts'),
        },
      ],
      action: 'Sort them',
    });
    if (!answers) return;
    const warnings = warningsIn(String(answers['codes'] ?? ''));
    const when = answers['when'] === 'before' ? 'before' : 'since';
    const volts = answers['volts'] === undefined || answers['volts'] === '' ? undefined : Number(answers['volts']);
    const before = state.codes.filter((read) => read.when === 'before').flatMap((read) => read.warnings);
    const known = new Set([...state.issues.values()].map(({ title }) => title));
    const sorted =
      when === 'before'
        ? []
        : warnings.filter((one) => !known.has(one)).map((one) => sortWarning(state, one, before, volts));
    this.recorder.record(
      when === 'before' ? 'Kept for later' : `Sorted: ${several(sorted.length, 'warning')}`,
      { kind: 'codes-read', when, warnings, ...(volts === undefined ? {} : { volts }) },
      ...sorted.map(({ title, sort, connection }) => ({
        kind: 'issue-opened' as const,
        issue: uuid(),
        title,
        sort,
        ...(connection ? { connection: connection.id } : {}),
      })),
    );
  }

  /** Why an issue is sorted so, and what clears it. */
  protected whySorted({ title }: Issue): string {
    const state = this.desk.state();
    if (!state) return '';
    const before = state.codes.filter(({ when }) => when === 'before').flatMap(({ warnings }) => warnings);
    const read = state.codes.findLast(({ warnings }) => warnings.includes(title));
    if (!read) return '';
    const { why, clears } = sortWarning(state, title, before, read.volts);
    return `${why} ${clears}`;
  }

  protected async sortIssue({ issue, title, sort }: Issue): Promise<void> {
    const answers = await this.asker.ask({
      title: `Sort: ${title}`,
      questions: [
        {
          field: 'sort',
          label: 'Which sort is it?',
          as: 'choice',
          schema: oneOf(ISSUE_SORTS).label('The sort'),
          choices: choicesOf(SORT_WORDS),
          initial: sort,
        },
      ],
      action: 'Sort it',
    });
    if (answers && answers['sort'] !== sort)
      this.recorder.record('Sorted', { kind: 'issue-sorted', issue, sort: answers['sort'] as IssueSort });
  }

  protected async closeIssue({ issue, title }: Issue): Promise<void> {
    const answers = await this.asker.ask({
      title: `Close: ${title}`,
      questions: [
        { field: 'how', label: 'What it was and what was done', as: 'lines', schema: text().label('What was done') },
      ],
      action: 'Close it',
    });
    if (answers) this.recorder.record(`Closed: ${title}`, { kind: 'issue-closed', issue, how: String(answers['how']) });
  }

  protected touchedName({ connection }: Issue): string {
    const touched = connection === undefined ? undefined : this.desk.state()?.work.connections.get(connection);
    return touched ? `Look at: ${touched.name}` : '';
  }
}
