/** One server-sent event: its id, where it has one, and its data. */
export interface SentEvent {
  readonly id: string;
  readonly data: Readonly<Record<string, unknown>>;
}

/** The first `count` events that come from `address`; `lastId` is what was had before. Then the line is cut. */
export async function eventsFrom(address: string, count: number, lastId?: string): Promise<readonly SentEvent[]> {
  const events = await eventsUntil(address, (sent) => sent.length >= count, lastId);
  return events.slice(0, count);
}

/** The events that come from `address` until `enough` have; `lastId` is what was had before. Then the line is cut. */
export async function eventsUntil(
  address: string,
  enough: (sent: readonly SentEvent[]) => boolean,
  lastId?: string,
): Promise<readonly SentEvent[]> {
  const off = new AbortController();
  const response = await fetch(address, {
    signal: off.signal,
    ...(lastId === undefined ? {} : { headers: { 'last-event-id': lastId } }),
  });
  if (!response.headers.get('content-type')?.includes('text/event-stream'))
    throw new Error(`${response.status}: ${await response.text()}`);
  const sent: SentEvent[] = [];
  const words = new TextDecoder();
  let text = '';
  for await (const bytes of response.body as unknown as AsyncIterable<Uint8Array>) {
    text += words.decode(bytes, { stream: true });
    const events = text.split('\n\n');
    text = events.pop() ?? '';
    sent.push(...events.flatMap(eventIn));
    if (enough(sent)) break;
  }
  off.abort();
  return sent;
}

function eventIn(text: string): readonly SentEvent[] {
  const field = (name: string) =>
    text
      .split('\n')
      .find((line) => line.startsWith(`${name}: `))
      ?.slice(name.length + 2);
  const data = field('data');
  return data === undefined ? [] : [{ id: field('id') ?? '', data: JSON.parse(data) as SentEvent['data'] }];
}
