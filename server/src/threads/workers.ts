import { Piscina } from 'piscina';
import { HttpError } from '../errors';
import type { Done, Outcome, Task } from './tasks';

export interface Limits {
  readonly seconds: number;
  readonly megabytes: number;
  readonly threads: number;
}

/** Time that a thread may take to start, s: it reads the whole computation, on a machine that may be busy. */
const STARTING = 15;

/** A pool of worker threads in which one kind of work is done, each piece with limits of time and memory. */
export class WorkerPool {
  private pool: Piscina | null = null;
  /** A thread has answered since the last one was stopped: what comes next does not wait for one to start. */
  private isWarm = false;

  constructor(
    private readonly file: URL,
    private readonly limits: Limits,
  ) {}

  private get threads(): Piscina {
    return (this.pool ??= new Piscina({
      filename: this.file.href,
      execArgv: ['--import', 'tsx'],
      minThreads: 0,
      maxThreads: this.limits.threads,
      maxQueue: 500,
      idleTimeout: 60_000,
      resourceLimits: { maxOldGenerationSizeMb: this.limits.megabytes },
    }));
  }

  /**
   * Has a thread do something. It is stopped when it takes too long, or when `signal` says that nobody waits for it any more.
   * @throws HttpError 422 too-long when it went over its time or memory, 503 when too much waits; AbortError
   */
  async run<T>(task: unknown, signal?: AbortSignal): Promise<T> {
    const { seconds, megabytes } = this.limits;
    const late = new AbortController();
    let isLate = false;
    const stop = () => late.abort();
    signal?.addEventListener('abort', stop);
    if (signal?.aborted) stop();
    // waiting for a thread that works counts as well: nobody waits longer than that for anything; until one has started there is time for that
    const starting = this.isWarm && this.threads.threads.length > 0 ? 0 : STARTING;
    const timer = setTimeout(
      () => {
        isLate = true;
        stop();
      },
      (seconds + starting) * 1000,
    );
    try {
      const done = (await this.threads.run(task, { signal: late.signal })) as T;
      this.isWarm = true;
      return done;
    } catch (error) {
      if (late.signal.aborted) this.isWarm = false;
      if (isLate) throw new HttpError(422, 'too-long', `it was not done within ${seconds} seconds and was stopped; ask for less at once`);
      const { code, message } = error as { code?: string; message?: string };
      if (code === 'ERR_WORKER_OUT_OF_MEMORY')
        throw new HttpError(422, 'too-long', `it needs more than ${megabytes} MB of memory and was stopped; ask for less at once`);
      if (message?.includes('queue')) throw new HttpError(503, 'unavailable', 'too much is being calculated; try again in a few seconds');
      throw error;
    } finally {
      clearTimeout(timer);
      signal?.removeEventListener('abort', stop);
    }
  }

  async close(): Promise<void> {
    await this.pool?.destroy();
  }
}

const inThisFolder = (name: string) => new URL(name, import.meta.url);

/** The worker threads of a server: reading what comes in never waits for calculations, nor these for packages. */
export class Workers {
  private readonly reading: WorkerPool;
  private readonly calculating: WorkerPool;
  readonly packaging: WorkerPool;

  constructor(limits: Partial<Limits> = {}) {
    const tasks = inThisFolder('tasks.ts');
    this.reading = new WorkerPool(tasks, { seconds: 60, megabytes: 2048, threads: 1, ...limits });
    this.calculating = new WorkerPool(tasks, { seconds: 60, megabytes: 2048, threads: 2, ...limits });
    this.packaging = new WorkerPool(inThisFolder('../package/render.ts'), { seconds: 600, megabytes: 4096, threads: 2, ...limits });
  }

  /** @throws HttpError with what the thread refused, in the words of the thread */
  async do<K extends Task['do']>(task: Extract<Task, { do: K }>, signal?: AbortSignal): Promise<Done[K]> {
    const pool = task.do === 'tool' || task.do === 'line' || task.do === 'csv' ? this.calculating : this.reading;
    const outcome = await pool.run<Outcome<Done[K]>>(task, signal);
    if ('value' in outcome) return outcome.value;
    const { status, body } = outcome.refused;
    throw new HttpError(status, body.error.code, body.error.message, body.error);
  }

  async close(): Promise<void> {
    await Promise.all([this.reading.close(), this.calculating.close(), this.packaging.close()]);
  }
}
