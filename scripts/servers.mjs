// Many Fellsides, one after another, in one process: what is sent as `start` (their settings) or `stop` (their port) is answered
// when it is done. A server that starts in a process of its own reads and compiles its whole program first, which a test of one
// screen takes longer over than over its questions.
import { createServer } from '../apps/server/bundle/server.js';

const running = new Map();

const does = {
  async start(settings) {
    const app = await createServer(settings);
    await app.listen(settings.port, settings.host);
    app.useLogger(['error', 'warn']);
    running.set(settings.port, app);
  },
  async stop({ port }) {
    await running.get(port).close();
    running.delete(port);
  },
};

process.on('message', ({ what, settings }) =>
  does[what](settings).then(
    () => process.send({}),
    (error) => process.send({ failed: error?.message ?? String(error) }),
  ),
);
// Its tests are over, or gone.
process.on('disconnect', () => process.exit(0));
