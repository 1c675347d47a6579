import { gzipSync } from 'node:zlib';
import { ebbwickSailLoft, quillfernToolLibrary, TOOLS, writeProjectFile } from '@plinth/core';

/** One request that a well-meaning client would not send. */
export interface HostileRequest {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: Buffer | null;
  /** What was done to it, for the report. */
  readonly what: string;
}

/** Numbers from 0 to 1 that follow from a seed (mulberry32). */
export function chance(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

type Draw = <T>(list: readonly T[]) => T;

const ODD_TEXT = [
  '',
  ' ',
  '\u0000',
  'a\u0000b',
  '\ud800',
  '\u202e1.2',
  '-',
  '1/0',
  '1e400',
  '9'.repeat(400),
  'x'.repeat(30_000),
  '('.repeat(3000),
  '3 apples',
  '<b>1</b>',
  "1'; drop table items; --",
  '=cmd|x',
  '__proto__',
  'constructor',
  '1e-14 m',
  '1e30 m',
  'NaN',
  '-5 m',
];

const ODD_VALUES: readonly unknown[] = [
  null,
  0,
  -0,
  -1,
  1e-14,
  1e-320,
  1e30,
  -1e30,
  1.7e308,
  2 ** 53,
  0.1,
  1000,
  true,
  false,
  [],
  {},
  [[]],
  [null],
  { $ref: 1 },
  ...ODD_TEXT,
];

type Path = readonly (string | number)[];

function places(value: unknown, path: Path = [], found: Path[] = []): Path[] {
  found.push(path);
  if (Array.isArray(value)) value.slice(0, 40).forEach((entry, i) => places(entry, [...path, i], found));
  else if (typeof value === 'object' && value !== null)
    for (const [key, entry] of Object.entries(value)) places(entry, [...path, key], found);
  return found;
}

/** A copy with one place changed: deleted, replaced, doubled, scaled, or with a field more. */
function spoiled(value: unknown, draw: Draw, next: () => number): { value: unknown; what: string } {
  const copy = structuredClone(value);
  const path = draw(places(copy));
  if (path.length === 0) {
    const odd = draw(ODD_VALUES);
    return { value: odd, what: `all = ${String(JSON.stringify(odd)).slice(0, 30)}` };
  }
  const owner = path.slice(0, -1).reduce<unknown>((at, key) => (at as never)[key], copy) as Record<string | number, unknown>;
  const key = path.at(-1)!;
  const at = path.join('.');
  const old = owner[key];
  switch (Math.floor(next() * 7)) {
    case 0:
      if (Array.isArray(owner)) owner.splice(Number(key), 1);
      else delete owner[key];
      return { value: copy, what: `${at} deleted` };
    case 1:
      owner[Array.isArray(owner) ? owner.length : `${key}x`] = old;
      return { value: copy, what: `a field beside ${at}` };
    case 2:
      if (typeof old === 'number') owner[key] = old * draw([-1, 1e-9, 1e-3, 1e3, 1e9, 0]);
      else if (Array.isArray(old)) owner[key] = [...(old as unknown[]), ...(old as unknown[])];
      else owner[key] = draw(ODD_VALUES);
      return { value: copy, what: `${at} scaled or doubled` };
    case 3: {
      let deep: unknown = 1;
      for (let n = 0; n < 300; n++) deep = [deep];
      owner[key] = draw([deep, Array.from({ length: 3000 }, () => old)]);
      return { value: copy, what: `${at} nested or repeated` };
    }
    default: {
      const odd = draw(ODD_VALUES);
      owner[key] = odd;
      return { value: copy, what: `${at} = ${String(JSON.stringify(odd)).slice(0, 30)}` };
    }
  }
}

const IDS = ['%00', '..%2f..', '%E0%A4%A', 'a'.repeat(3000), '%F0%9F%98%80', "x'--", '-', '..', '%25', 'EBBWICK', '__proto__', 'nobody'];

const READS = [
  '',
  '/changes?after=0',
  '/changes?after=-1',
  '/changes?after=1e99',
  '/changes?after=%00',
  '/changes?after=1&after=2',
  '/journal',
  '/journal?limit=99999999999',
  '/journal?limit[]=1',
  '/export',
  '/at/1',
  '/at/0',
  '/at/x',
  '/reactions.csv',
  '/reactions.csv?level=%00',
  '/reactions.csv?level[a]=1',
  '/order.csv',
  '/members.csv',
];

const VERBS = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS', 'SEARCH', 'PROPFIND', 'LOCK'];
const TYPES = [
  'application/json',
  'application/json; charset=utf-8',
  'application/json; charset=utf-7',
  'application/json; charset=utf-16',
  'application/json;charset="x"',
  'text/plain',
  'text/html',
  'multipart/form-data; boundary=x',
  'application/x-www-form-urlencoded',
  'application/octet-stream',
  'image/png',
  ';;;',
  '',
];

/** Requests that follow from a seed, for a server that holds a project. The project is changed, never deleted. */
export function hostileRequests(count: number, seed: number, project: string): HostileRequest[] {
  const next = chance(seed);
  const draw: Draw = (list) => list[Math.floor(next() * list.length)]!;
  const json = { 'content-type': 'application/json' };
  const write = (value: unknown) => Buffer.from(JSON.stringify(value) ?? '');
  const buildings = [ebbwickSailLoft(), quillfernToolLibrary()];
  const tools = [...TOOLS.values()];

  const tool = (): HostileRequest => {
    const { id, example } = draw(tools);
    const { value, what } = spoiled(example, draw, next);
    return { method: 'POST', path: `/api/tools/${id}`, headers: json, body: write(value), what };
  };
  const batch = (): HostileRequest => {
    const lines = Array.from({ length: 5 }, () => {
      const { id, example } = draw(tools.filter((entry) => !entry.id.startsWith('design.')));
      return next() < 0.2 ? draw(ODD_TEXT).replace(/\n/g, '') : JSON.stringify({ tool: id, input: spoiled(example, draw, next).value });
    });
    const headers = { 'content-type': 'application/x-ndjson' };
    return { method: 'POST', path: '/api/tools', headers, body: Buffer.from(lines.join('\n')), what: 'lines' };
  };
  const command = (): HostileRequest => {
    const items = draw(buildings);
    const { value, what } = spoiled(draw(items), draw, next);
    const whole = {
      commandId: `hostile-${Math.floor(next() * 1e9)}`,
      who: 'Ada',
      summary: 'a change',
      changes: [{ op: 'put', item: value, revision: null }],
    };
    const body = next() < 0.7 ? { value: whole, what } : spoiled(whole, draw, next);
    return { method: 'POST', path: `/api/projects/${project}/commands`, headers: json, body: write(body.value), what: body.what };
  };
  const importFile = (): HostileRequest => {
    const { value, what } = spoiled(writeProjectFile('x', draw(buildings)), draw, next);
    return { method: 'POST', path: '/api/projects/import', headers: json, body: write(value), what };
  };
  const address = (): HostileRequest => {
    const id = next() < 0.4 ? project : draw(IDS);
    const path = draw([
      `/api/projects/${id}${draw(READS)}`,
      `/api/files/${draw(IDS)}`,
      `/api/tools/${draw(IDS)}/schema`,
      `/api/${draw(IDS)}`,
      `/${draw(IDS)}`,
      '/api',
      '/api/docs',
      '/api/openapi.json',
    ]);
    return { method: 'GET', path, headers: {}, body: null, what: 'an address' };
  };
  const verb = (): HostileRequest => {
    const method = draw(VERBS);
    const path = draw([
      '/api/projects',
      '/api/projects/nobody',
      `/api/projects/${project}/undo`,
      `/api/projects/${project}/export`,
      '/api/files',
      '/api/tools',
      '/api/tools/beam.line',
      '/',
    ]);
    return { method, path, headers: {}, body: null, what: 'a verb' };
  };
  const encoding = (): HostileRequest => {
    const { id, example } = draw(tools.filter((entry) => !entry.id.startsWith('design.')));
    const text = JSON.stringify(example);
    const [how, body] = draw<readonly [Record<string, string>, Buffer]>([
      [{}, Buffer.from(text)],
      [{ 'content-encoding': 'gzip' }, Buffer.from(text)],
      [{ 'content-encoding': 'gzip' }, gzipSync(text).subarray(0, 20)],
      [{ 'content-encoding': 'gzip' }, gzipSync(Buffer.alloc(60_000_000, 0x20))],
      [{ 'content-encoding': 'rot13' }, Buffer.from(text)],
      [{}, Buffer.from(text, 'utf16le')],
      [{}, Buffer.from([0xff, 0xfe, 0x7b])],
      [{}, Buffer.from(text.slice(0, -3))],
      [{}, Buffer.from(`${'['.repeat(200_000)}${']'.repeat(200_000)}`)],
    ]);
    return { method: 'POST', path: `/api/tools/${id}`, headers: { 'content-type': draw(TYPES), ...how }, body, what: 'an encoding' };
  };
  const upload = (): HostileRequest => {
    const size = Math.floor(next() * 3000);
    const start = draw(['\x89PNG', '%PDF-', '0\nSECTION\n', '', 'GIF89a']);
    const body = Buffer.concat([Buffer.from(start, 'latin1'), Buffer.from(Array.from({ length: size }, () => Math.floor(next() * 256)))]);
    return { method: 'POST', path: '/api/files', headers: { 'content-type': draw(TYPES) }, body, what: 'an upload' };
  };
  const stranger = (): HostileRequest => {
    const headers = draw<Record<string, string>>([
      { origin: 'http://elsewhere.invalid' },
      { origin: 'null' },
      { 'sec-fetch-site': 'cross-site' },
      { 'sec-fetch-site': 'same-site' },
      { host: 'elsewhere.invalid' },
    ]);
    const { method, path, body } = draw([tool, command, upload, address])();
    return { method, path, headers: { 'content-type': draw(TYPES), ...headers }, body, what: `a stranger: ${JSON.stringify(headers)}` };
  };

  const kinds = [tool, tool, tool, tool, command, command, batch, importFile, address, address, verb, encoding, upload, stranger];
  return Array.from({ length: count }, () => draw(kinds)());
}
