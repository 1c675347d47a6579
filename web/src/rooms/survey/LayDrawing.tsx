import { useRef, useState } from 'react';
import { scaleByRatio, type LaidDrawing, type PlanPoint } from '@plinth/core';
import { toast } from 'sonner';
import { api } from '../../project/api';
import { useProject } from '../../project/context';
import { freshId, useEdit } from '../../project/useEdit';
import { readDxfFile } from './drawings';
import { openPdf, type OpenPdf } from './pdf';

/** Of a drawing what its file tells. */
type Laid = Pick<LaidDrawing, 'name' | 'format' | 'page' | 'width' | 'height' | 'at' | 'scale' | 'scaleSource' | 'hiddenLayers'>;

/** Lays a PNG, a JPG, a page of a PDF or a DXF under the level. */
export function LayDrawing({
  level,
  centre,
  laid,
}: {
  level: string;
  centre: () => PlanPoint;
  laid: (id: string, body: LaidDrawing) => void;
}) {
  const { building } = useProject();
  const { put, quietly } = useEdit();
  const input = useRef<HTMLInputElement>(null);
  const [pdf, setPdf] = useState<{ readonly file: File; readonly document: OpenPdf } | null>(null);
  const [busy, setBusy] = useState(false);

  const lay = async (file: File, body: Laid) => {
    const { hash } = await api.sendFile(file);
    const id = freshId('drawing');
    const sheet: LaidDrawing = { ...body, name: body.name.slice(0, 80), level, file: hash, turn: 0, opacity: 0.6, locked: false };
    await put(
      [{ id, kind: 'drawing', body: sheet }],
      `${body.name} laid under ${building.levels.find((entry) => entry.id === level)?.body.name ?? ''}`.slice(0, 200),
    );
    laid(id, sheet);
  };

  const work = (task: () => Promise<void>) => {
    setBusy(true);
    quietly(task().finally(() => setBusy(false)));
  };

  const nameOf = (file: File) => file.name.replace(/\.[^.]+$/, '') || 'Drawing';
  const common = { at: centre(), page: 1, hiddenLayers: [] as string[] };
  /** Until it is scaled: at 1:100 on its own paper. */
  const onPaper = (paper: number, width: number) => ({
    scale: scaleByRatio(100, paper, width),
    scaleSource: `1:100 on ${Math.round(paper)} mm of paper, taken for a start: set the scale`,
  });

  const layPage = async (file: File, document: OpenPdf, page: number) => {
    const size = await document.size(page);
    const name = document.pages > 1 ? `${nameOf(file)}, page ${page}` : nameOf(file);
    await lay(file, { ...common, ...size, ...onPaper((size.width / 72) * 25.4, size.width), name, format: 'pdf', page });
  };

  const layDxf = async (file: File) => {
    const { box, unit, layers, unread } = await readDxfFile(await file.text());
    const scale = unit ?? 1;
    await lay(file, {
      ...common,
      name: nameOf(file),
      format: 'dxf',
      width: Math.max(box.right - box.left, 1e-3),
      height: Math.max(box.high - box.low, 1e-3),
      // it lies where its own coordinates say
      at: { x: ((box.left + box.right) / 2) * scale, y: ((box.low + box.high) / 2) * scale },
      scale,
      scaleSource: unit === null ? 'the file names no unit: taken as mm; set the scale' : `as drawn: a unit is ${unit} mm`,
      hiddenLayers: layers.filter(({ visible }) => !visible).map(({ name }) => name),
    });
    const missing = Object.entries(unread).map(([kind, count]) => `${count} ${kind}`);
    if (missing.length > 0) toast(`Not read: ${missing.join(', ')}.`);
  };

  const choose = (file: File) =>
    work(async () => {
      if (file.type === 'application/pdf' || /\.pdf$/i.test(file.name)) {
        const document = await openPdf(await file.arrayBuffer());
        if (document.pages > 1) setPdf({ file, document });
        else await layPage(file, document, 1);
        return;
      }
      if (/\.dxf$/i.test(file.name)) return layDxf(file);
      if (!['image/png', 'image/jpeg'].includes(file.type)) throw new Error(`${file.name} is not a PNG, a JPG, a PDF or a DXF.`);
      const { width, height } = await createImageBitmap(file).catch(() => {
        throw new Error(`${file.name} cannot be read as a picture.`);
      });
      // a picture does not say how large its paper is: A3
      await lay(file, { ...common, ...onPaper(420, width), name: nameOf(file), format: 'picture', width, height });
    });

  return (
    <>
      <button type="button" className="btn-line text-[12.5px] whitespace-nowrap" disabled={busy} onClick={() => input.current?.click()}>
        {busy ? 'Laying…' : 'Lay drawing…'}
      </button>
      <input
        ref={input}
        type="file"
        accept="image/png,image/jpeg,application/pdf,.dxf"
        className="sr-only"
        tabIndex={-1}
        aria-label="Drawing to lay"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) choose(file);
        }}
      />
      {pdf ? (
        <label className="flex items-center gap-1 text-[12.5px] whitespace-nowrap">
          page
          <select
            className="field w-20"
            autoFocus
            value=""
            onChange={(event) => {
              const page = Number(event.target.value);
              const { file, document } = pdf;
              setPdf(null);
              if (page > 0) work(() => layPage(file, document, page));
              else toast('No page was laid.');
            }}
          >
            <option value="">which?</option>
            {Array.from({ length: pdf.document.pages }, (_, i) => (
              <option key={i} value={i + 1}>
                {i + 1} of {pdf.document.pages}
              </option>
            ))}
            <option value="0">none</option>
          </select>
        </label>
      ) : null}
    </>
  );
}
