import { inArray } from 'drizzle-orm';
import pg from 'pg';
import type { ProjectEvent } from '@plinth/api';
import { CHANNEL } from './commands';
import { TIMEOUTS, type Database } from './database';
import { projects } from './schema';

type Listener = (event: ProjectEvent) => void;

/** How long is waited before a broken connection is made again, ms. */
const AGAIN = 500;

/**
 * Hears of changes from every server on the database (LISTEN/NOTIFY) and tells the screens that are open here. When the
 * connection breaks it is made again, and every open screen is told the journal number of its project, so that none misses what
 * happened meanwhile.
 */
export class LiveChanges {
  private readonly listeners = new Map<string, Set<Listener>>();
  private client: pg.Client | null = null;
  private timer: NodeJS.Timeout | null = null;
  private closed = false;

  constructor(
    private readonly url: string,
    private readonly db: Database,
  ) {}

  /** @throws when the database cannot be reached */
  async start(): Promise<void> {
    const client = new pg.Client({ connectionString: this.url, connectionTimeoutMillis: TIMEOUTS.connect, keepAlive: true });
    client.on('error', () => undefined);
    client.on('notification', ({ payload }) => this.tell(JSON.parse(payload ?? '{}') as ProjectEvent));
    try {
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
    } catch (error) {
      await client.end().catch(() => undefined);
      throw error;
    }
    if (this.closed) return void (await client.end());
    this.client = client;
    client.once('end', () => {
      this.client = null;
      this.restart();
    });
  }

  private restart(): void {
    if (this.closed) return;
    this.timer = setTimeout(() => {
      this.start()
        .then(() => this.catchUp())
        .catch(() => this.restart());
    }, AGAIN);
    this.timer.unref();
  }

  /** Tells every open screen where its project stands. */
  private async catchUp(): Promise<void> {
    const open = [...this.listeners.keys()];
    if (open.length === 0) return;
    const rows = await this.db.select({ project: projects.id, version: projects.version }).from(projects).where(inArray(projects.id, open));
    for (const event of rows) this.tell(event);
  }

  private tell(event: ProjectEvent): void {
    for (const listener of this.listeners.get(event.project) ?? []) listener(event);
  }

  /** How many screens listen: to one project, or in all. */
  count(project?: string): number {
    if (project !== undefined) return this.listeners.get(project)?.size ?? 0;
    return [...this.listeners.values()].reduce((sum, set) => sum + set.size, 0);
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
    if (this.timer) clearTimeout(this.timer);
    await this.client?.end();
  }
}
