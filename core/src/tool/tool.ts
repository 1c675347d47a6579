import { z } from 'zod';
import { OutsideScope } from '../error';
import type { Kind } from '../quantity';
import { readInput } from '../schema';
import { entriesOf, Sheet, type Assumption, type Check, type Entry } from '../sheet';

export interface ToolOutput {
  readonly result: unknown;
  readonly checks?: readonly Check[];
}

/** A calculation, declared once: the command line, the HTTP API, the Bench and the sheets are made from it. */
export interface Tool {
  readonly id: string;
  readonly title: string;
  readonly summary: string;
  readonly input: z.ZodType;
  /** Kinds of the numbers in the result, by name; numbers not named are plain. */
  readonly kinds: Readonly<Record<string, Kind>>;
  /** An input that works: shown on the API page and run by the tests. */
  readonly example: unknown;
  readonly run: (input: never, sheet?: Sheet) => ToolOutput;
}

export interface ToolReply {
  readonly tool: string;
  readonly result: unknown;
  readonly kinds: Readonly<Record<string, Kind>>;
  readonly checks: readonly Check[];
  readonly steps: readonly Entry[];
  readonly assumptions: readonly Assumption[];
}

/** Keeps the types of input and run together; erased in the registry. */
export function defineTool<S extends z.ZodType>(
  tool: Omit<Tool, 'input' | 'run' | 'kinds'> & { input: S; kinds?: Tool['kinds']; run: (input: z.output<S>, sheet?: Sheet) => ToolOutput },
): Tool {
  return { kinds: {}, ...tool } as unknown as Tool;
}

/** @throws OutsideScope naming the first number of a result that is none: it would cross the API as nothing, without a word */
function requireFinite(value: unknown, name: string): void {
  if (typeof value === 'number') {
    if (Number.isFinite(value)) return;
    throw new OutsideScope(`this cannot be calculated: "${name}" has no finite value for what was typed; check sizes and units`);
  }
  if (typeof value !== 'object' || value === null) return;
  for (const [key, entry] of Object.entries(value)) requireFinite(entry, name ? `${name} ${key}` : key);
}

/** Runs a tool on raw input, with its sheet. @throws BadFields, or what the calculation throws */
export function runTool(tool: Tool, raw: unknown): ToolReply {
  const input = readInput(tool.input, raw);
  const sheet = new Sheet();
  const { result, checks = [] } = tool.run(input as never, sheet);
  requireFinite(result, '');
  for (const check of checks) requireFinite(check, check.name);
  requireFinite(sheet.entries, 'sheet');
  return { tool: tool.id, result, kinds: tool.kinds, checks, steps: sheet.entries, assumptions: entriesOf(sheet.entries, 'assumption') };
}

/** JSON Schema of a tool's input side: what may be sent. */
export function inputSchema(tool: Tool): unknown {
  return z.toJSONSchema(tool.input, { io: 'input', unrepresentable: 'any' });
}
