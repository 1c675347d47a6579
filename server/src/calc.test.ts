import { spawn } from 'node:child_process';
import { text } from 'node:stream/consumers';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { TOOLS } from '@plinth/core';

const root = fileURLToPath(new URL('../..', import.meta.url));

/** The terminal's way in, as `./plinth calc` runs it. */
async function calc(args: readonly string[], input?: string): Promise<{ out: string; error: string; code: number | null }> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'scripts/calc.ts', ...args], { cwd: root });
  child.stdin.end(input ?? '');
  const [out, error, code] = await Promise.all([
    text(child.stdout),
    text(child.stderr),
    new Promise<number | null>((resolve) => child.once('close', resolve)),
  ]);
  return { out, error, code };
}

describe('calculations in the terminal', () => {
  it('lists every calculation', async () => {
    const { out } = await calc(['--list']);
    for (const id of TOOLS.keys()) expect(out).toContain(id);
  });
  it('shows the schema of the input side, with units and defaults', async () => {
    const schema = JSON.parse((await calc(['footing.size', '--schema'])).out) as {
      properties: Record<string, { description: string }>;
      required: string[];
    };
    expect(schema.properties['serviceLoad']!.description).toContain('a number in N');
    expect(schema.required).toContain('serviceLoad');
    expect(schema.required).not.toContain('step');
  });
  it('runs one, and its example', async () => {
    const { out: example } = await calc(['beam.line', '--example']);
    const { out, code } = await calc(['beam.line'], example);
    expect(code).toBe(0);
    const { result } = JSON.parse(out) as { result: { reactions: { force: number }[] } };
    expect(result.reactions.reduce((sum, reaction) => sum + reaction.force, 0)).toBeCloseTo(160_000, 6);
  });
  it('says what is wrong as JSON on the error stream, and ends with 1', async () => {
    const { error, code } = await calc(['beam.line'], '{"length": "5 m"}');
    expect(code).toBe(1);
    expect((JSON.parse(error) as { error: { issues: unknown[] } }).error.issues.length).toBeGreaterThan(1);
    expect((await calc(['no.such'], '{}')).error).toContain('there is no tool');
    expect((await calc(['beam.line'], 'nonsense')).error).toContain('not JSON');
  });
  it('streams a batch of 10 000 lines, a line each, faulty ones too', async () => {
    const good = '{"tool":"quantity.read","input":{"text":"3*0.85","kind":"length","system":"SI"}}';
    const lines = Array.from({ length: 10_000 }, (_, i) => (i === 4_999 ? '{"tool":"quantity.read","input":{}}' : good));
    const { out, code } = await calc([], lines.join('\n'));
    const answers = out.trim().split('\n');
    expect(answers.length).toBe(10_000);
    expect((JSON.parse(answers[0]!) as { result: { value: number } }).result.value).toBeCloseTo(2550, 9);
    expect(answers[4_999]).toContain('is missing');
    expect(code).toBe(1);
  });
});
