import { createServer } from 'node:http';
import path from 'node:path';
import next from 'next';
import { root } from './steps.mjs';

// The built application on 127.0.0.1, port `PORT`. What the framework would answer with an empty failure is answered here, in words.

const METHODS = new Set(['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS']);

/** Why a request is not handed on, with the status of its answer; nothing where it is. */
function refusalOf({ method = '', url = '' }) {
  if (!METHODS.has(method))
    return {
      status: 405,
      message: `${method} is not understood. Read with GET; what can be changed is changed by POST, PATCH or DELETE.`,
    };
  try {
    decodeURIComponent(url.split('?')[0]);
    return undefined;
  } catch {
    return {
      status: 400,
      message: 'The address cannot be read: a percent sign in it begins no character. Write a percent sign as %25.',
    };
  }
}

function refuse(response, { status, message }) {
  const body = JSON.stringify({ faults: [{ code: 'bad-request', severity: 'error', message, subjects: [] }] });
  response.writeHead(status, {
    'Content-Type': 'application/json',
    'Cache-Control': 'no-store',
    'X-Content-Type-Options': 'nosniff',
  });
  response.end(body);
}

const port = Number(process.env.PORT);
const application = next({ dev: false, dir: path.join(root, 'web'), hostname: '127.0.0.1', port });
await application.prepare();
const handle = application.getRequestHandler();
const server = createServer((request, response) => {
  const refusal = refusalOf(request);
  if (refusal) refuse(response, refusal);
  else void handle(request, response);
});
// Tunnels are opened by no page.
server.on('connect', (_, socket) =>
  socket.end('HTTP/1.1 405 Method Not Allowed\r\nConnection: close\r\nContent-Length: 0\r\n\r\n'),
);
server.on('error', (error) => {
  console.error(error.message);
  process.exit(1);
});
server.listen(port, '127.0.0.1');
