import { BadInput, findTool, runTool } from '@plinth/core';

export { describeError } from './errors';

/** One line of a batch: `{"tool": id, "input": {...}}`. */
export function runLine(line: string): unknown {
  let parsed: { tool?: unknown; input?: unknown };
  try {
    parsed = JSON.parse(line) as typeof parsed;
  } catch {
    throw new BadInput('the line is not JSON that can be read');
  }
  if (typeof parsed?.tool !== 'string') throw new BadInput('the line names no tool: {"tool": "beam.line", "input": {...}}', 'tool');
  return runTool(findTool(parsed.tool), parsed.input);
}
