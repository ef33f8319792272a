import type { SYSTEMS } from '../connection-map/index.js';
import { TEMPLATES } from '../layouts/index.js';
import { CAUSES } from './index.js';

const pieces = TEMPLATES.flatMap((template) => template.pieces);
const connections = new Map(pieces.flatMap((piece) => (piece.connections ?? []).map((one) => [one.id, one] as const)));
const circuits = new Set(pieces.flatMap((piece) => (piece.circuits ?? []).map(({ id }) => id)));

/** Systems whose joints have nothing to do with an engine that does not run right, whatever they are called. */
const BESIDE_THE_POINT: readonly (typeof SYSTEMS)[number][] = ['body', 'refrigerant'];

describe.each(CAUSES.map((cause) => [cause.id, cause.about] as const))('what “%s” has to do with', (_id, about) => {
  it('is named, never guessed from words', () => expect(about.words).toBeUndefined());

  it('is on some machine', () => {
    expect((about.connections ?? []).filter((id) => !connections.has(id))).toEqual([]);
    expect([...(about.circuits ?? []), ...(about.dry ?? [])].filter((id) => !circuits.has(id))).toEqual([]);
  });

  it('is no cover, no panel and nothing of the air conditioning', () => {
    const beside = (about.connections ?? []).filter((id) => {
      const system = connections.get(id)?.system;
      return system !== undefined && BESIDE_THE_POINT.includes(system);
    });
    expect(beside).toEqual([]);
    expect((about.systems ?? []).filter((system) => BESIDE_THE_POINT.includes(system))).toEqual([]);
  });

  it('names each once', () => {
    expect(new Set(about.connections).size).toBe((about.connections ?? []).length);
  });
});

it('an engine cover, a bracket and a hand-brake cable speak for no cause at all', () => {
  const raised = (id: string) =>
    CAUSES.filter(({ about }) => {
      const joint = connections.get(id);
      return (
        about.connections?.includes(id) ||
        about.kinds?.some((kind) => kind === joint?.kind) ||
        about.systems?.some((system) => system === joint?.system)
      );
    }).map((cause) => cause.id);
  for (const id of ['engine-cover-posts', 'oil-cooler-bracket', 'hand-brake-clips', 'pedal-cable-clips', 'bay-seal'])
    expect([id, raised(id)]).toEqual([id, []]);
});
