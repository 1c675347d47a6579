import { commandSchema, type Command } from '@plinth/api';
import {
  BadInput,
  computeProject,
  findTool,
  memberSchedule,
  orderCsv,
  reactionCsv,
  readInput,
  readItem,
  readProjectFile,
  runTool,
  type Item,
} from '@plinth/core';
import { runLine } from '../calc';
import { describeError, notFound, type Described } from '../errors';
import { parseJson } from './json';

/** What can take long, or comes from outside and may be large: it is done in a worker thread. */
export type Task =
  | { readonly do: 'tool'; readonly id: string; readonly body: Uint8Array }
  | { readonly do: 'line'; readonly line: string }
  | { readonly do: 'parse'; readonly body: Uint8Array }
  | { readonly do: 'command'; readonly body: Uint8Array }
  | { readonly do: 'projectFile'; readonly body: Uint8Array }
  | {
      readonly do: 'csv';
      readonly what: 'reactions' | 'order' | 'members';
      readonly items: readonly Item[];
      readonly level: string | null;
    };

/** What each task gives. */
export interface Done {
  /** JSON text of the reply. */
  tool: string;
  line: string;
  parse: unknown;
  command: Command;
  projectFile: ReturnType<typeof readProjectFile>;
  csv: string;
}

export type Outcome<T> = { readonly value: T } | { readonly refused: Described };

/**
 * A command with its items read. What is wrong with an item stands at its place among the changes.
 * @throws BadInput, BadFields
 */
export function readCommand(raw: unknown): Command {
  const command = readInput(commandSchema, raw);
  const changes = command.changes.map((change, n) => {
    if (change.op === 'remove') return change;
    try {
      return { ...change, item: readItem(change.item) };
    } catch (error) {
      if (error instanceof BadInput) throw new BadInput(error.message, `changes.${n}.item${error.field ? `.${error.field}` : ''}`);
      throw error;
    }
  });
  return { ...command, changes };
}

function csv({ what, items, level }: Extract<Task, { do: 'csv' }>): string {
  const result = computeProject(items);
  if (what === 'order') return orderCsv(result);
  if (what === 'members') return memberSchedule(result);
  if (level !== null && !result.building.levels.some((entry) => entry.id === level)) throw notFound(`level "${level.slice(0, 40)}"`);
  return reactionCsv(result, level);
}

function perform(task: Task): Done[Task['do']] {
  switch (task.do) {
    case 'tool':
      return JSON.stringify(runTool(findTool(task.id), task.body.length === 0 ? undefined : parseJson(task.body)));
    case 'line':
      return JSON.stringify(runLine(task.line));
    case 'parse':
      return parseJson(task.body);
    case 'command':
      return readCommand(parseJson(task.body));
    case 'projectFile':
      return readProjectFile(parseJson(task.body));
    case 'csv':
      return csv(task);
  }
}

/** Runs in a worker thread: what is refused comes back in words, so that nothing of an error is lost on the way. */
export default function work(task: Task): Outcome<unknown> {
  try {
    return { value: perform(task) };
  } catch (error) {
    return { refused: describeError(error) };
  }
}
