import { wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import { onPlan, type LaidDrawing, type Named, type PlanPoint } from '@plinth/core';
import type { DxfDrawing } from '@plinth/core/dxf';
import type { DrawingReader } from './drawings.worker';
import { openPdf } from './pdf';

let reader: Remote<DrawingReader> | null = null;

/** Reads a DXF beside the screen. @throws Error in words when it cannot be read */
export async function readDxfFile(text: string): Promise<DxfDrawing> {
  reader ??= wrap<DrawingReader>(new Worker(new URL('./drawings.worker.ts', import.meta.url), { type: 'module' }));
  const found = await reader.dxf(text);
  if ('failed' in found) throw new Error(found.failed);
  return found;
}

/** What is shown of a laid drawing once its file is there: a picture's address, or lines. */
export type Opened = { readonly href: string } | { readonly dxf: DxfDrawing } | { readonly failed: string };

const opened = new Map<string, Promise<Opened>>();

/** Opens the file of a drawing; each file and page once. */
function open({ file, format, page }: LaidDrawing): Promise<Opened> {
  const key = `${file} ${format} ${page}`;
  let work = opened.get(key);
  if (!work) opened.set(key, (work = read(file, format, page).catch((error: Error) => ({ failed: error.message }))));
  return work;
}

async function read(file: string, format: LaidDrawing['format'], page: number): Promise<Opened> {
  const address = `/api/files/${file}`;
  if (format === 'picture') return { href: address };
  const response = await fetch(address);
  if (!response.ok) throw new Error('The file of the drawing is not there.');
  if (format === 'dxf') return { dxf: await readDxfFile(await response.text()) };
  const pdf = await openPdf(await response.arrayBuffer());
  const href = URL.createObjectURL(await pdf.picture(page));
  // shown at once when it is there
  const picture = new Image();
  picture.src = href;
  await picture.decode();
  return { href };
}

/** The drawings of a level with what their files hold; those still being read are not there yet. */
export function useOpened(drawings: readonly Named<LaidDrawing>[]): ReadonlyMap<string, Opened> {
  const [files, setFiles] = useState<ReadonlyMap<string, Opened>>(new Map());
  useEffect(() => {
    let current = true;
    for (const { id, body } of drawings)
      void open(body).then((found) => {
        if (current) setFiles((before) => (before.get(id) === found ? before : new Map(before).set(id, found)));
      });
    return () => {
      current = false;
    };
  }, [drawings]);
  return files;
}

/** The visible lines of DXF drawings on plan, as segments to catch on. */
export function segmentsOf(
  drawings: readonly Named<LaidDrawing>[],
  files: ReadonlyMap<string, Opened>,
): { readonly a: PlanPoint; readonly b: PlanPoint }[] {
  const segments: { a: PlanPoint; b: PlanPoint }[] = [];
  for (const { id, body } of drawings) {
    const file = files.get(id);
    if (!file || !('dxf' in file)) continue;
    const { box, lines } = file.dxf;
    const middle = { x: (box.left + box.right) / 2, y: (box.low + box.high) / 2 };
    const hidden = new Set(body.hiddenLayers);
    for (const { layer, points, closed } of lines) {
      if (hidden.has(layer)) continue;
      const placed = points.map(({ x, y }) => onPlan(body, { x: x - middle.x, y: y - middle.y }));
      for (let i = 0; i + 1 < placed.length; i += 1) segments.push({ a: placed[i]!, b: placed[i + 1]! });
      if (closed) segments.push({ a: placed.at(-1)!, b: placed[0]! });
    }
  }
  return segments;
}
