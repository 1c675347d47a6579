import { createServer, request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';

/** How the way to the server is: as it should be; cut; slow; or every answer to a write is lost after the server has done it; only reading goes through. */
export type Way = 'open' | 'cut' | 'slow' | 'answersLost' | 'noWrites';

/** Stands between a browser and the server, and can be in the way. */
export class Proxy {
  way: Way = 'open';
  private constructor(
    private readonly server: Server,
    readonly url: string,
  ) {}

  static async before(target: string): Promise<Proxy> {
    const { hostname, port } = new URL(target);
    const server = createServer((incoming, outgoing) => {
      if (proxy.way === 'cut') return void incoming.destroy();
      const isWrite = incoming.method === 'POST';
      if (isWrite && proxy.way === 'noWrites') return void incoming.destroy();
      const onward = request({ hostname, port, path: incoming.url, method: incoming.method, headers: incoming.headers }, (answer) => {
        if (isWrite && proxy.way === 'answersLost') {
          answer.resume();
          outgoing.destroy();
          return;
        }
        outgoing.writeHead(answer.statusCode!, answer.headers);
        answer.pipe(outgoing);
        // a stream that the server ends, or that was cut, ends here too
        answer.on('error', () => outgoing.destroy());
      });
      onward.on('error', () => outgoing.destroy());
      outgoing.on('close', () => onward.destroy());
      const go = () => incoming.pipe(onward);
      if (isWrite && proxy.way === 'slow') setTimeout(go, 1500);
      else go();
    });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const proxy = new Proxy(server, `http://127.0.0.1:${(server.address() as AddressInfo).port}`);
    return proxy;
  }

  /** Cuts the way, and whatever is open on it. */
  cut(): void {
    this.way = 'cut';
    this.server.closeAllConnections();
  }

  close(): void {
    this.server.closeAllConnections();
    this.server.close();
  }
}
