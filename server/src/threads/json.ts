import { HttpError } from '../errors';

/** Deeper than any project or calculation is nested. */
const DEEPEST = 40;

const [QUOTE, BACKSLASH] = [0x22, 0x5c];
const OPEN = new Set([0x5b, 0x7b]);
const CLOSE = new Set([0x5d, 0x7d]);

/** How deep brackets and braces are nested, strings apart; counted over the bytes, before anything is built of them. */
function depthOf(data: Uint8Array): number {
  let [depth, deepest, isText] = [0, 0, false];
  for (let i = 0; i < data.length; i++) {
    const byte = data[i]!;
    if (isText) {
      if (byte === BACKSLASH) i += 1;
      else if (byte === QUOTE) isText = false;
    } else if (byte === QUOTE) isText = true;
    else if (OPEN.has(byte)) deepest = Math.max(deepest, (depth += 1));
    else if (CLOSE.has(byte)) depth -= 1;
  }
  return deepest;
}

/**
 * Reads JSON in UTF-8.
 * @throws HttpError 400 when it is none, 422 when it is nested deeper than anything of ours
 */
export function parseJson(data: Uint8Array): unknown {
  if (depthOf(data) > DEEPEST) throw new HttpError(422, 'bad-input', `the JSON is nested deeper than ${DEEPEST} levels`);
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(data)) as unknown;
  } catch {
    throw new HttpError(400, 'bad-input', 'the body is not JSON that can be read');
  }
}
