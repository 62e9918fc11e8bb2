import { createServer } from 'node:net';
import { startServer } from './server.mjs';
import { build, install } from './steps.mjs';

// `npm start`: from a fresh clone to the address in one command.

if (Number(process.versions.node.split('.')[0]) < 20) {
  console.error(`Rigid Beam needs Node 20 or newer; this is ${process.version}.`);
  process.exit(1);
}

const wanted = Number(process.env.PORT ?? 3000);
if (!Number.isInteger(wanted) || wanted < 1 || wanted > 65535) {
  console.error(`PORT is “${process.env.PORT}”, which is no port. Use a number from 1 to 65535.`);
  process.exit(1);
}

const isFree = (port) =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });

/** A port that is free now may be taken by somebody else before the server listens: then the next one is tried. */
async function started() {
  for (let port = wanted; port <= Math.min(wanted + 50, 65535); port++) {
    if (!(await isFree(port))) continue;
    if (port !== wanted) console.log(`Port ${wanted} is taken; using ${port}.`);
    try {
      return { port, server: await startServer(port) };
    } catch (error) {
      if (await isFree(port)) throw error;
    }
  }
  throw new Error(`No port from ${wanted} on is free. Set PORT to another one.`);
}

try {
  install();
  build();
  const { port, server } = await started();
  console.log(`Rigid Beam is ready at http://127.0.0.1:${port}   (Ctrl+C stops it)`);
  let stopping = false;
  for (const signal of ['SIGINT', 'SIGTERM']) {
    process.on(signal, () => {
      stopping = true;
      void server.stop();
    });
  }
  const code = await server.exited;
  process.exit(stopping ? 0 : (code ?? 1));
} catch (error) {
  console.error(error.message);
  process.exit(1);
}
