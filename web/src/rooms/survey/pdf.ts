import workerUrl from 'pdfjs-dist/build/pdf.worker.min.mjs?url';

export interface OpenPdf {
  readonly pages: number;
  /** A page as a picture, with the width of its paper in mm. */
  readonly page: (number: number) => Promise<{ data: Blob; width: number; height: number; paperWidth: number }>;
}

/** Dots to an inch at which a page becomes a picture, and the most pixels that it may have. */
const DPI = 200;
const MOST = 30e6;

/** Opens a PDF; the reader is loaded only then. @throws Error in words when it cannot be read */
export async function openPdf(data: ArrayBuffer): Promise<OpenPdf> {
  const pdfjs = await import('pdfjs-dist');
  pdfjs.GlobalWorkerOptions.workerSrc = workerUrl;
  const document = await pdfjs.getDocument({ data, isEvalSupported: false }).promise.catch(() => {
    throw new Error('This PDF cannot be read; it may be damaged or locked.');
  });
  return {
    pages: document.numPages,
    page: async (number) => {
      const page = await document.getPage(number);
      const plain = page.getViewport({ scale: 1 });
      const scale = Math.min(DPI / 72, Math.sqrt(MOST / (plain.width * plain.height)));
      const viewport = page.getViewport({ scale });
      const canvas = window.document.createElement('canvas');
      canvas.width = Math.round(viewport.width);
      canvas.height = Math.round(viewport.height);
      await page.render({ canvas, viewport }).promise;
      const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
      if (!blob) throw new Error('The page is too large to be made a picture.');
      // a PDF measures in 72nds of an inch
      return { data: blob, width: canvas.width, height: canvas.height, paperWidth: (plain.width / 72) * 25.4 };
    },
  };
}
