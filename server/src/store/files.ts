import { createHash } from 'node:crypto';
import { eq, inArray } from 'drizzle-orm';
import { BadInput, type StoredFile } from '@plinth/core';
import { notFound } from '../errors';
import type { Database } from './database';
import { files } from './schema';

/** Anything that can be asked: the database, or a transaction on it. */
type Source = Pick<Database, 'select' | 'insert'>;

/** Types in which a file of a drawing may be said to come; what it is, its bytes tell. */
export const FILE_TYPES = ['image/png', 'image/jpeg', 'application/pdf', 'image/vnd.dxf', 'application/dxf', 'image/x-dxf'] as const;

const SIGNATURES = [
  { type: 'image/png', start: Buffer.from([0x89, 0x50, 0x4e, 0x47]) },
  { type: 'image/jpeg', start: Buffer.from([0xff, 0xd8, 0xff]) },
  { type: 'application/pdf', start: Buffer.from('%PDF-') },
] as const;

/** A DXF in ASCII begins with its first section, perhaps after a comment. */
const DXF_START = /^\uFEFF?\s*(999\r?\n[^\r\n]*\r?\n\s*)*0\s*\r?\n\s*SECTION\s/;

function typeOf(data: Buffer): (typeof files.$inferInsert)['type'] | undefined {
  const known = SIGNATURES.find(({ start }) => data.subarray(0, start.length).equals(start));
  return known?.type ?? (DXF_START.test(data.subarray(0, 2000).toString('latin1')) ? 'image/vnd.dxf' : undefined);
}

/** Stores a drawing's file once. @throws BadInput when its bytes are none of PNG, JPG, PDF and DXF */
export async function storeFile(db: Source, data: Buffer): Promise<{ hash: string; type: string; size: number }> {
  const type = typeOf(data);
  if (!type) throw new BadInput('this is no PNG, JPG, PDF or DXF (in ASCII)', 'file');
  const hash = createHash('sha256').update(data).digest('hex');
  await db.insert(files).values({ hash, type, size: data.length, data }).onConflictDoNothing();
  return { hash, type, size: data.length };
}

export async function readFile(db: Source, hash: string): Promise<{ type: string; data: Buffer }> {
  const [row] = await db.select({ type: files.type, data: files.data }).from(files).where(eq(files.hash, hash));
  if (!row) throw notFound(`file "${hash.slice(0, 12)}…"`);
  return row;
}

/** @throws BadInput naming the first file that is not stored */
export async function requireFiles(db: Source, hashes: readonly string[]): Promise<void> {
  if (hashes.length === 0) return;
  const rows = await db
    .select({ hash: files.hash })
    .from(files)
    .where(inArray(files.hash, [...hashes]));
  const missing = hashes.find((hash) => !rows.some((row) => row.hash === hash));
  if (missing) throw new BadInput('the picture of the drawing is not stored: send it first', 'file');
}

/** Files as they travel inside a project file. */
export async function packFiles(db: Source, hashes: readonly string[]): Promise<StoredFile[]> {
  if (hashes.length === 0) return [];
  const rows = await db
    .select()
    .from(files)
    .where(inArray(files.hash, [...hashes]));
  return rows.map(({ hash, type, data }) => ({ hash, type, data: data.toString('base64') })).sort((a, b) => (a.hash < b.hash ? -1 : 1));
}

/** Takes the files of a project file in. @throws BadInput when one is not what its hash says */
export async function unpackFiles(db: Source, list: readonly StoredFile[]): Promise<void> {
  for (const { hash, data } of list) {
    const stored = await storeFile(db, Buffer.from(data, 'base64'));
    if (stored.hash !== hash) throw new BadInput(`file ${hash.slice(0, 12)}… is damaged: its bytes have another hash`, 'files');
  }
}
