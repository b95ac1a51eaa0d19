import { describe, expect, it } from 'vitest';
import { openLog } from './log';

describe('the log', () => {
  const written: string[] = [];
  const log = openLog({ write: (line: string) => void written.push(line) });

  it('is JSON lines with the reason, and without what must stay secret', () => {
    log.error(
      { err: new Error('boom'), path: '/api/sync', password: 'hunter', request: { cookie: 'c' } },
      'failed',
    );
    const line = JSON.parse(written[0]!) as Record<string, unknown>;
    expect(line).toMatchObject({ level: 50, msg: 'failed', path: '/api/sync', err: { message: 'boom' } });
    expect(written[0]).not.toContain('hunter');
    expect(line.request).toEqual({ cookie: '[Redacted]' });
  });

  it('says nothing below its level', () => {
    log.debug('too much');
    expect(written).toHaveLength(1);
  });
});
