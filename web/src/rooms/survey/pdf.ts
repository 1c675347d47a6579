import workerUrl from 'pdfjs-dist/build/pdf.worker.min.mjs?url';

export interface OpenPdf {
  readonly pages: number;
  /** Size of a page in points, 72 to an inch. */
  readonly size: (page: number) => Promise<{ width: number; height: number }>;
  /** A page as a picture. */
  readonly picture: (page: number) => Promise<Blob>;
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
    size: async (number) => {
      const { width, height } = (await document.getPage(number)).getViewport({ scale: 1 });
      return { width, height };
    },
    picture: async (number) => {
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
      return blob;
    },
  };
}
