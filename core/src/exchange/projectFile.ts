import { z } from 'zod';
import { BadInput } from '../error';
import { MODEL_VERSION, readItems, upgradeItem, type Item } from '../building';
import { nearestKnown, readInput } from '../schema';

export const FILE_FORMAT = 'lofty-plinth-project';
/** A project file is as the model is: its items are brought up when it is read. */
export const FILE_VERSION = MODEL_VERSION;

/** More items than any building has. */
const MOST_ITEMS = 500_000;

const storedFileSchema = z.strictObject({
  hash: z.string().regex(/^[0-9a-f]{64}$/),
  type: z.enum(['image/png', 'image/jpeg', 'application/pdf', 'image/vnd.dxf']),
  data: z.string().regex(/^[A-Za-z0-9+/]*={0,2}$/),
});

const filesSchema = z.strictObject({ files: z.array(storedFileSchema).max(500) });

/** A project as one JSON file: open, readable, and equal to what it came from when read again. */
export interface ProjectFile {
  readonly format: typeof FILE_FORMAT;
  readonly version: number;
  readonly name: string;
  readonly items: readonly Item[];
  /** Pictures of its drawings, by hash. */
  readonly files?: readonly StoredFile[];
}

/** A file that travels inside a project file. */
export interface StoredFile {
  readonly hash: string;
  readonly type: string;
  /** Base64. */
  readonly data: string;
}

/** The hashes of all files that items refer to, each once, in order. */
export function filesOf(items: readonly Item[]): string[] {
  return [...new Set(items.flatMap((item) => (item.kind === 'drawing' ? [item.body.file] : [])))].sort();
}

/** Items are sorted by kind and id, so that two exports of one project are the same text. */
export function writeProjectFile(name: string, items: readonly Item[], files: readonly StoredFile[] = []): ProjectFile {
  const sorted = [...items].sort((a, b) => a.kind.localeCompare(b.kind) || a.id.localeCompare(b.id));
  return { format: FILE_FORMAT, version: FILE_VERSION, name, items: sorted, ...(files.length ? { files } : {}) };
}

const FIELDS = ['format', 'version', 'name', 'items', 'files'];

function requireKnownFields(file: object): void {
  const stray = Object.keys(file).find((key) => !FIELDS.includes(key));
  if (stray === undefined) return;
  const near = nearestKnown(stray, FIELDS);
  throw new BadInput(
    `"${stray.slice(0, 40)}" is not a field of a project file${near ? `: did you mean "${near}"?` : ''}`,
    stray.slice(0, 40),
  );
}

/**
 * Reads a project file.
 * @throws BadInput when it is not one, is of a later version, or does not hang together; the message names the item
 */
export function readProjectFile(raw: unknown): { name: string; items: Item[]; files: StoredFile[] } {
  const file = raw as Partial<ProjectFile> | null;
  if (typeof file !== 'object' || !file || file.format !== FILE_FORMAT)
    throw new BadInput(`this is not a project file: "format" should be "${FILE_FORMAT}"`, 'format');
  if (!Number.isInteger(file.version) || file.version! < 1 || file.version! > FILE_VERSION)
    throw new BadInput(`the file is of version "${String(file.version).slice(0, 20)}"; this program reads 1 to ${FILE_VERSION}`, 'version');
  if (file.version! > 1) requireKnownFields(file);
  if (!Array.isArray(file.items) || file.items.length > MOST_ITEMS)
    throw new BadInput(`the file needs a list of at most ${MOST_ITEMS} items`, 'items');
  const version = file.version!;
  const items = readItems(file.items.map((item) => upgradeItem(item, version)));
  const brief = items.find((item) => item.kind === 'brief');
  return { name: brief!.body.name, items, files: readInput(filesSchema, { files: file.files ?? [] }).files };
}
