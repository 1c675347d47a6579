import { request as send } from 'node:http';
import type { HostileRequest } from './requests';

export interface Answer {
  readonly status: number;
  readonly type: string;
  readonly text: string;
  readonly milliseconds: number;
}

/** Sends one request as it stands, header by header, and takes the whole answer. */
export function ask(url: string, { method, path, headers, body }: HostileRequest): Promise<Answer> {
  const { hostname, port } = new URL(url);
  const began = performance.now();
  return new Promise((resolve, reject) => {
    const length = body && method !== 'GET' && method !== 'HEAD' ? { 'content-length': String(body.length) } : {};
    let isAnswered = false;
    const sent = send({ hostname, port, method, path, headers: { ...headers, ...length }, agent: false }, (response) => {
      isAnswered = true;
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () =>
        resolve({
          status: response.statusCode!,
          type: response.headers['content-type'] ?? '',
          text: Buffer.concat(parts).toString('utf8'),
          milliseconds: performance.now() - began,
        }),
      );
      response.on('error', reject);
    });
    // a server that has answered need not read the rest of what is sent
    sent.on('error', (error) => {
      if (!isAnswered) reject(error);
    });
    if (body && length['content-length']) sent.write(body);
    sent.end();
  });
}

/** What no answer may take, ms. */
const LATE = 30_000;

/** Words of libraries and of the language, which an engineer is never shown. */
const RAW =
  /Invalid (input|option|string|key|element|type)|Unrecognized|Expected (?!Loads)|Cannot (read|set|convert)|undefined|is not (a function|iterable|defined)|\bNaN\b|Infinity|Zod|Unexpected (token|end)|JSON at position|syntax error|node_modules|\bat \w+ \(/;

const readable = (text: string): unknown => {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
};

function judgeError(body: unknown): string | null {
  const { error } = (body ?? {}) as { error?: { code?: unknown; message?: unknown; issues?: { message?: unknown }[] } };
  if (typeof error?.code !== 'string' || typeof error.message !== 'string') return 'not the one shape of an error';
  for (const message of [error.message, ...(error.issues ?? []).map((issue) => issue.message)]) {
    if (typeof message !== 'string' || message.length < 8) return `no message: ${String(message)}`;
    // what was typed is told back in quotes, and may be anything
    const found = RAW.exec(message.replace(/"[^"]*"/g, '""'));
    if (found) return `a raw message: ${message.slice(0, 160)}`;
    if (message.length > 3000) return 'a message without end';
  }
  return null;
}

/** What is wrong with an answer; null when it is as it should be. */
export function judge(asked: HostileRequest, { status, type, text, milliseconds }: Answer): string | null {
  if (status >= 500) return `status ${status}: ${text.slice(0, 200)}`;
  if (milliseconds > LATE) return `late: ${Math.round(milliseconds)} ms`;
  if (asked.what.startsWith('a stranger') && asked.path.startsWith('/api') && status < 400) return 'let a stranger in';
  const isPage = asked.path === '/api' || asked.path === '/api/docs' || !asked.path.startsWith('/api');
  if (type.includes('html') && !isPage) return 'HTML';
  if (asked.method === 'HEAD' || asked.method === 'OPTIONS') return null;
  if (type.includes('ndjson')) {
    for (const line of text.split('\n').filter((entry) => entry !== '')) {
      const answer = readable(line);
      if (answer === undefined) return `a line that is not JSON: ${line.slice(0, 80)}`;
      const fault = (answer as { error?: unknown } | null)?.error ? judgeError(answer) : null;
      if (fault) return fault;
    }
    return null;
  }
  if (status >= 400) return judgeError(readable(text));
  return null;
}
