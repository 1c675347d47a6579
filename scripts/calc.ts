import { createInterface } from 'node:readline';
import { once } from 'node:events';
import { text } from 'node:stream/consumers';
import { findTool, inputSchema, runTool, TOOLS } from '../core/src';
import { describeError, runLine } from '../server/src/calc';
import { main, Plain } from './system';

const say = (value: unknown) => console.log(JSON.stringify(value, null, 2));

/** A line in, a line out, as they come. */
async function batch(): Promise<number> {
  let failed = 0;
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (!line.trim()) continue;
    let answer: unknown;
    try {
      answer = runLine(line);
    } catch (error) {
      failed += 1;
      answer = describeError(error).body;
    }
    if (!process.stdout.write(`${JSON.stringify(answer)}\n`)) await once(process.stdout, 'drain');
  }
  return failed ? 1 : 0;
}

main(async () => {
  const [first, second] = process.argv.slice(2);
  if (first === '--list') {
    for (const tool of TOOLS.values()) console.log(`${tool.id.padEnd(28)} ${tool.title}`);
    return 0;
  }
  if (first === undefined) {
    if (process.stdin.isTTY) throw new Plain('Name a calculation (./plinth calc --list), or send lines of {"tool": …, "input": …}.');
    return batch();
  }
  try {
    const tool = findTool(first);
    if (second === '--schema') {
      say(inputSchema(tool));
      return 0;
    }
    if (second === '--example') {
      say(tool.example);
      return 0;
    }
    if (process.stdin.isTTY)
      throw new Plain(`Send the input as JSON: ./plinth calc ${first} < input.json   (an example: ./plinth calc ${first} --example)`);
    let input: unknown;
    try {
      input = JSON.parse(await text(process.stdin));
    } catch {
      throw new Plain('The input is not JSON that can be read.');
    }
    say(runTool(tool, input));
    return 0;
  } catch (error) {
    if (error instanceof Plain) throw error;
    console.error(JSON.stringify(describeError(error).body, null, 2));
    return 1;
  }
});
