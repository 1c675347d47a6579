import { HttpError } from '../errors';

/** At most so many writes of one project wait for their turn. */
const MOST_WAITING = 200;

/**
 * Writes of one project go one after the other, before any of them takes a connection of the database: a project on which much is done
 * does not take the connections that others need.
 */
export class Turns {
  private readonly last = new Map<string, Promise<unknown>>();
  private readonly waiting = new Map<string, number>();

  /** @throws HttpError 503 when too many wait for the same project; whatever `work` throws */
  async take<T>(project: string, work: () => Promise<T>): Promise<T> {
    const count = this.waiting.get(project) ?? 0;
    if (count >= MOST_WAITING)
      throw new HttpError(503, 'unavailable', 'too many changes of this project wait already; try again in a second');
    this.waiting.set(project, count + 1);
    const before = this.last.get(project) ?? Promise.resolve();
    const mine = before.then(work, work);
    const settled = mine.catch(() => undefined);
    this.last.set(project, settled);
    try {
      return await mine;
    } finally {
      this.waiting.set(project, this.waiting.get(project)! - 1);
      if (this.last.get(project) === settled) {
        this.last.delete(project);
        this.waiting.delete(project);
      }
    }
  }
}
