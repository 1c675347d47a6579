import { z } from 'zod';
import { BadInput } from '../error';
import { readItem, requireConsistent, type Item } from '../building';

export const FILE_FORMAT = 'lofty-plinth-project';
export const FILE_VERSION = 1;

const storedFileSchema = z.strictObject({
  hash: z.string().regex(/^[0-9a-f]{64}$/),
  type: z.enum(['image/png', 'image/jpeg', 'application/pdf', 'image/vnd.dxf']),
  data: z.string().regex(/^[A-Za-z0-9+/]*={0,2}$/),
});

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

/**
 * Reads a project file.
 * @throws BadInput when it is not one, is of a later version, or does not hang together; the message names the item
 */
export function readProjectFile(raw: unknown): { name: string; items: Item[]; files: StoredFile[] } {
  const file = raw as Partial<ProjectFile> | null;
  if (!file || file.format !== FILE_FORMAT) throw new BadInput(`this is not a project file: "format" should be "${FILE_FORMAT}"`, 'format');
  if (typeof file.version !== 'number' || file.version > FILE_VERSION)
    throw new BadInput(`the file is of version ${String(file.version)}; this program reads up to ${FILE_VERSION}`, 'version');
  if (!Array.isArray(file.items)) throw new BadInput('the file has no list of items', 'items');
  const items = file.items.map((item, i) => {
    try {
      return readItem(item);
    } catch (error) {
      if (error instanceof BadInput)
        throw new BadInput(
          `item ${i + 1} (${String((item as { id?: unknown } | null)?.id)}): ${error.message}`,
          `items.${i}${error.field ? `.${error.field}` : ''}`,
        );
      throw error;
    }
  });
  const map = new Map(items.map((item) => [item.id, item]));
  if (map.size !== items.length) throw new BadInput('two items have the same id', 'items');
  requireConsistent(map);
  const brief = items.find((item) => item.kind === 'brief');
  const files = z.array(storedFileSchema).safeParse(file.files ?? []);
  if (!files.success) throw new BadInput('a file in it is not as it should be: hash, type and data in base64', 'files');
  return { name: brief!.body.name, items, files: files.data };
}
