import pg from 'pg';
import type { ProjectEvent } from '@plinth/api';
import { CHANNEL } from './commands';

type Listener = (event: ProjectEvent) => void;

/**
 * Hears of changes from every server on the database (LISTEN/NOTIFY) and tells the screens that are open here. When the
 * connection breaks it is made again; screens catch up by their journal number.
 */
export class LiveChanges {
  private readonly listeners = new Map<string, Set<Listener>>();
  private client: pg.Client | null = null;
  private closed = false;

  constructor(private readonly url: string) {}

  async start(): Promise<void> {
    const client = new pg.Client({ connectionString: this.url });
    client.on('error', () => undefined);
    client.on('end', () => {
      this.client = null;
      if (!this.closed) setTimeout(() => void this.start().catch(() => undefined), 1000).unref();
    });
    client.on('notification', ({ payload }) => {
      const event = JSON.parse(payload ?? '{}') as ProjectEvent;
      for (const listener of this.listeners.get(event.project) ?? []) listener(event);
    });
    await client.connect();
    await client.query(`listen ${CHANNEL}`);
    this.client = client;
  }

  /** @returns how to stop listening */
  subscribe(project: string, listener: Listener): () => void {
    let set = this.listeners.get(project);
    if (!set) this.listeners.set(project, (set = new Set()));
    set.add(listener);
    return () => {
      set.delete(listener);
      if (set.size === 0) this.listeners.delete(project);
    };
  }

  async close(): Promise<void> {
    this.closed = true;
    await this.client?.end();
  }
}
