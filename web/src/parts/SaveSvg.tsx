import { toSvg, type Drawing } from '@plinth/core';
import { saveText } from './saveText';

/** Saves a drawing as an SVG file, in the colours of paper. */
export function SaveSvg({ drawing, name }: { drawing: Drawing; name: string }) {
  return (
    <button type="button" className="btn-line text-[12px]" onClick={() => saveText(`${name}.svg`, 'image/svg+xml', toSvg(drawing))}>
      save as SVG
    </button>
  );
}
