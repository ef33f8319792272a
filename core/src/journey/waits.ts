import { several } from '../words/index.js';
import { holding, onTheWayOut, openItems, stopOf, unsettled, type JobState } from '../ledger/index.js';
import { STOPS, type Stop } from '../stops/index.js';
import { overtakenBy } from '../planning/index.js';

/** In a few words, what each stop of the journey waits for. */
export function waitsAt(state: JobState, stop: Stop): string {
  switch (stop) {
    case 'survey':
      return several(state.work.plan.map.connections.length, 'connection');
    case 'plan': {
      const half = onTheWayOut(state) ? 'out' : 'back';
      if (overtakenBy(state, half).length > 0) return 'overtaken: plan anew';
      if (state.progress.size === 0) return 'ready to begin';
      return state.plans.has(half) ? 'followed' : 'grouped by place';
    }
    case 'strip': {
      const left = unsettled(state, 'strip').length;
      return left === 0 ? 'all off' : `${several(left, 'step')} left`;
    }
    case 'lift': {
      if (unsettled(state, 'lift').length === 0) return 'out';
      const held = holding(state).length;
      return held > 0 ? `${held} still hold it` : 'sign and lift';
    }
    case 'bench': {
      const left = unsettled(state, 'bench').length;
      if (left > 0 && unsettled(state, 'lift').length === 0) return `${several(left, 'step')} left`;
      const waiting = [...state.needs.values()].filter(({ arrived }) => !arrived).length;
      return waiting > 0 ? `${several(waiting, 'part')} awaited` : 'nothing awaited';
    }
    case 'refit': {
      const left = unsettled(state, 'refit').length;
      return left === 0 ? 'all back' : `${several(left, 'step')} left`;
    }
    case 'first-start': {
      const issues = [...state.issues.values()].filter(({ closed }) => !closed).length;
      if (issues > 0) return `${several(issues, 'issue')} open`;
      return state.attempts.length === 0 ? 'not tried yet' : several(state.attempts.length, 'try', 'tries');
    }
    case 'handover': {
      if (state.handedOver) return 'handed over';
      return isPast(state, 'first-start') ? several(openItems(state).length, 'open item') : 'later';
    }
  }
}

/** Whether the job has gone beyond `stop`. */
export function isPast(state: JobState, stop: Stop): boolean {
  if (stop === 'survey') return true;
  return STOPS.indexOf(stop) < STOPS.indexOf(stopOf(state)) || state.handedOver !== undefined;
}
