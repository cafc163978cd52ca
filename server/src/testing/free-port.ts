import { createServer, type AddressInfo } from 'node:net';

/** A port of this machine that nobody listens on now. */
export const freePort = (): Promise<number> =>
  new Promise((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => done(port));
    });
  });
