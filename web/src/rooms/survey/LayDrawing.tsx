import { useRef, useState } from 'react';
import { scaleByRatio, type PlanPoint } from '@plinth/core';
import { toast } from 'sonner';
import { api } from '../../project/api';
import { useProject } from '../../project/context';
import { freshId, useEdit } from '../../project/useEdit';
import { openPdf, type OpenPdf } from './pdf';

/** A picture ready to be laid: its bytes and, where they are known, the size of its paper. */
interface Picture {
  readonly name: string;
  readonly data: Blob;
  readonly width: number;
  readonly height: number;
  /** mm of paper across; null when a picture does not say. */
  readonly paperWidth: number | null;
}

/** Lays a PNG, a JPG or a page of a PDF under the level. */
export function LayDrawing({ level, centre, laid }: { level: string; centre: () => PlanPoint; laid: (id: string) => void }) {
  const { building } = useProject();
  const { put, quietly } = useEdit();
  const input = useRef<HTMLInputElement>(null);
  const [pdf, setPdf] = useState<{ readonly name: string; readonly document: OpenPdf } | null>(null);
  const [busy, setBusy] = useState(false);

  const lay = async (picture: Picture) => {
    const { hash } = await api.sendFile(picture.data);
    const id = freshId('drawing');
    // until it is scaled: at 1:100 on its own paper, or on A3 when it does not say
    const paper = picture.paperWidth ?? 420;
    await put(
      [
        {
          id,
          kind: 'drawing',
          body: {
            name: picture.name.slice(0, 80),
            level,
            file: hash,
            width: picture.width,
            height: picture.height,
            at: centre(),
            scale: scaleByRatio(100, paper, picture.width),
            scaleSource: `1:100 on ${Math.round(paper)} mm of paper, taken for a start: set the scale`,
            turn: 0,
            opacity: 0.6,
            locked: false,
          },
        },
      ],
      `${picture.name} laid under ${building.levels.find((entry) => entry.id === level)?.body.name ?? ''}`,
    );
    laid(id);
  };

  const work = (task: () => Promise<void>) => {
    setBusy(true);
    quietly(task().finally(() => setBusy(false)));
  };

  const choose = (file: File) =>
    work(async () => {
      const name = file.name.replace(/\.[^.]+$/, '') || 'Drawing';
      if (file.type === 'application/pdf' || /\.pdf$/i.test(file.name)) {
        const document = await openPdf(await file.arrayBuffer());
        if (document.pages > 1) setPdf({ name, document });
        else await lay({ name, ...(await document.page(1)) });
        return;
      }
      if (!['image/png', 'image/jpeg'].includes(file.type)) throw new Error(`${file.name} is not a PNG, a JPG or a PDF.`);
      const bitmap = await createImageBitmap(file).catch(() => {
        throw new Error(`${file.name} cannot be read as a picture.`);
      });
      await lay({ name, data: file, width: bitmap.width, height: bitmap.height, paperWidth: null });
    });

  return (
    <>
      <button type="button" className="btn-line text-[12.5px] whitespace-nowrap" disabled={busy} onClick={() => input.current?.click()}>
        {busy ? 'Laying…' : 'Lay drawing…'}
      </button>
      <input
        ref={input}
        type="file"
        accept="image/png,image/jpeg,application/pdf"
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
              const { name, document } = pdf;
              setPdf(null);
              if (page > 0) work(async () => lay({ name: `${name}, page ${page}`, ...(await document.page(page)) }));
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
