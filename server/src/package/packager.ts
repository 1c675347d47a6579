import { Piscina } from 'piscina';
import type { PackageRequest } from './render';

/** Sets packages in worker threads, so that other requests go on meanwhile. */
export class Packager {
  private pool: Piscina | null = null;

  async render(request: PackageRequest, signal: AbortSignal): Promise<Buffer> {
    this.pool ??= new Piscina({
      filename: new URL('./render.ts', import.meta.url).href,
      execArgv: ['--import', 'tsx'],
      maxThreads: 2,
      idleTimeout: 30_000,
    });
    return Buffer.from((await this.pool.run(request, { signal })) as Uint8Array);
  }

  async close(): Promise<void> {
    await this.pool?.destroy();
  }
}
