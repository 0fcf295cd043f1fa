/** Reads events of a stream as they come; signs of life are left out. */
export async function* eventsOf(
  response: Response,
): AsyncGenerator<{ readonly event: string; readonly data: string }, void> {
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
  if (reader === undefined) throw new Error('no stream');
  let text = '';
  for (;;) {
    const { value, done } = await reader.read();
    if (done) return;
    text += value;
    for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
      const lines = text.slice(0, end).split('\n');
      text = text.slice(end + 2);
      const field = (name: string) =>
        lines.find((line) => line.startsWith(`${name}: `))?.slice(name.length + 2);
      const event = field('event') ?? '';
      if (event !== 'alive') yield { event, data: field('data') ?? '' };
    }
  }
}

/** The next event of a stream. @throws Error where it is over */
export async function nextOf<T>(events: AsyncGenerator<T, void>): Promise<T> {
  const told = await events.next();
  if (told.done === true) throw new Error('the stream is over');
  return told.value;
}
