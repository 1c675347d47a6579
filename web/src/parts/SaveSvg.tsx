import { toSvg, type Drawing } from '@plinth/core';

/** Saves a drawing as an SVG file, in the colours of paper. */
export function SaveSvg({ drawing, name }: { drawing: Drawing; name: string }) {
  const save = () => {
    const url = URL.createObjectURL(new Blob([toSvg(drawing)], { type: 'image/svg+xml' }));
    const link = document.createElement('a');
    link.href = url;
    link.download = `${name}.svg`;
    link.click();
    setTimeout(() => URL.revokeObjectURL(url), 10_000);
  };
  return (
    <button type="button" className="btn-line text-[12px]" onClick={save}>
      save as SVG
    </button>
  );
}
