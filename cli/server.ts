/**
 * The web server as a process of its own: Next behind one plain HTTP server, which writes the address a request
 * came from (whatever the browser sent) and ends with its launcher. Started by serve.ts; PORT, DATABASE_URL set.
 */
import { createServer } from 'node:http';
import next from 'next';
import { environment } from '../store/environment';

const { PORT: port = 0, VOBRIK_TRUST_PROXY, VOBRIK_LEASH } = environment();
const app = next({ dev: false, dir: process.cwd(), hostname: '127.0.0.1', port });
const behindProxy = VOBRIK_TRUST_PROXY === '1';

await app.prepare();
const handle = app.getRequestHandler();

const server = createServer((request, response) => {
  const forwarded = request.headers['x-forwarded-for'];
  const last = behindProxy && typeof forwarded === 'string' ? forwarded.split(',').pop()?.trim() : undefined;
  request.headers['x-vobrik-address'] = last || (request.socket.remoteAddress ?? 'unknown');
  void handle(request, response);
});
// Headers must come soon; a body may take the time an upload takes.
server.headersTimeout = 20_000;
server.requestTimeout = 900_000;
server.listen(port, '127.0.0.1');
server.on('error', (error: Error) => {
  process.stderr.write(`${error.message}\n`);
  process.exit(1);
});

const end = (): void => {
  server.close(() => process.exit(0));
  server.closeAllConnections();
  setTimeout(() => process.exit(0), 3000).unref();
};
process.on('SIGTERM', end);
process.on('SIGINT', end);
// The launcher holds this pipe open; when it is killed, nothing is left behind.
if (VOBRIK_LEASH === '1') {
  let said = '';
  process.stdin.setEncoding('utf8');
  process.stdin.on('data', (text: string) => {
    const lines = (said + text).split('\n');
    said = lines.pop() ?? '';
    // The database came back elsewhere: the next question goes there.
    for (const line of lines) process.env.DATABASE_URL = (JSON.parse(line) as { database: string }).database;
  });
  process.stdin.on('end', end);
  process.stdin.on('close', end);
}
