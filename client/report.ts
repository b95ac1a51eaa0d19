/** Asks for a report on paper and hears how far it is: a line of JSON before each section, then the file. */

export interface Line {
  readonly done?: number;
  readonly of?: number;
  readonly problem?: string;
  readonly name?: string;
  readonly pdf?: string;
}

export const NO_ANSWER = 'The server does not answer; nothing was printed.';

/** Hears a problem in words, or the file, last; rejects where the network ends. */
export async function buildReport(
  order: object,
  signal: AbortSignal,
  hear: (line: Line) => void,
): Promise<void> {
  const response = await fetch('/api/report', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(order),
    signal,
  });
  if (!response.ok || !response.body) {
    const said = (await response.json().catch(() => null)) as { error?: string } | null;
    return hear({ problem: said?.error ?? NO_ANSWER });
  }
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  let text = '';
  let whole = false;
  for (;;) {
    const { value, done } = await reader.read();
    if (done) break;
    text += value;
    const lines = text.split('\n');
    text = lines.pop()!;
    for (const line of lines) {
      const said = JSON.parse(line) as Line;
      whole ||= said.pdf !== undefined || said.problem !== undefined;
      hear(said);
    }
  }
  if (!whole) hear({ problem: NO_ANSWER });
}

export const pdfOf = (base64: string): Blob =>
  new Blob([Uint8Array.from(atob(base64), (c) => c.charCodeAt(0))], { type: 'application/pdf' });
