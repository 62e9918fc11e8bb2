import { createServer, STATUS_CODES } from 'node:http';
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

const wordsOf = (message) => JSON.stringify({ faults: [{ code: 'bad-request', severity: 'error', message, subjects: [] }] });
const HEADERS = { 'Content-Type': 'application/json', 'Cache-Control': 'no-store', 'X-Content-Type-Options': 'nosniff' };

function refuse(response, { status, message }) {
  response.writeHead(status, HEADERS);
  response.end(wordsOf(message));
}

/** Answers what is not even a request, where somebody still listens. */
function refuseRaw(socket, { status, message }) {
  if (!socket.writable) return socket.destroy();
  const body = wordsOf(message);
  const headers = { ...HEADERS, Connection: 'close', 'Content-Length': Buffer.byteLength(body) };
  const lines = Object.entries(headers).map(([name, value]) => `${name}: ${value}\r\n`);
  socket.end(`HTTP/1.1 ${status} ${STATUS_CODES[status]}\r\n${lines.join('')}\r\n${body}`);
}
const RAW = {
  HPE_HEADER_OVERFLOW: { status: 431, message: 'The head of the request is longer than 16 kB. Shorten the address.' },
  ERR_HTTP_REQUEST_TIMEOUT: { status: 408, message: 'The request did not come to its end in time. Send it again.' },
};
const NO_REQUEST = {
  status: 400,
  message: 'This is not a request of HTTP: its method or its head cannot be read. Send it again.',
};

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
server.on('connect', (request, socket) => refuseRaw(socket, refusalOf(request)));
server.on('clientError', (error, socket) =>
  error.code === 'ECONNRESET' ? socket.destroy() : refuseRaw(socket, RAW[error.code] ?? NO_REQUEST),
);
server.on('error', (error) => {
  console.error(error.message);
  process.exit(1);
});
server.listen(port, '127.0.0.1');
