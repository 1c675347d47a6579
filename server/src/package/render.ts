import { createRequire } from 'node:module';
import pdfmake from 'pdfmake';
import type { TDocumentDefinitions, TFontDictionary } from 'pdfmake/interfaces';
import { computeProject, type Item } from '@plinth/core';
import { packageDocument } from './document';

const require = createRequire(import.meta.url);
type Face = '400Regular' | '400Regular_Italic' | '600SemiBold' | '600SemiBold_Italic';
const sans = (face: Face) => require.resolve(`@expo-google-fonts/source-sans-3/${face}/SourceSans3_${face}.ttf`);
const serif = (face: Face) => require.resolve(`@expo-google-fonts/source-serif-4/${face}/SourceSerif4_${face}.ttf`);

const sansFamily = {
  normal: sans('400Regular'),
  bold: sans('600SemiBold'),
  italics: sans('400Regular_Italic'),
  bolditalics: sans('600SemiBold_Italic'),
};
const fonts: TFontDictionary = {
  SourceSans: sansFamily,
  SourceSerif: {
    normal: serif('400Regular'),
    bold: serif('600SemiBold'),
    italics: serif('400Regular_Italic'),
    bolditalics: serif('600SemiBold_Italic'),
  },
  // the name that drawings ask for
  'Source Sans 3': sansFamily,
};
const fontFiles = new Set(Object.values(fonts).flatMap((family) => Object.values(family)));

pdfmake.addFonts(fonts);
// a package reaches for nothing but its own fonts
(pdfmake as unknown as { setUrlAccessPolicy: (allow: () => boolean) => void }).setUrlAccessPolicy(() => false);
(pdfmake as unknown as { setLocalAccessPolicy: (allow: (path: string) => boolean) => void }).setLocalAccessPolicy((path) =>
  fontFiles.has(path),
);

export interface PackageRequest {
  readonly items: readonly Item[];
  readonly paper: 'A4' | 'LETTER';
  readonly version: number;
}

/** Sets a document as PDF with the fonts that ship with the program. */
export function writePdf(document: TDocumentDefinitions): Promise<Uint8Array> {
  return pdfmake.createPdf(document).getBuffer();
}

/** Computes a project and sets its package as PDF. Runs in a worker thread. */
export default function renderPackage({ items, paper, version }: PackageRequest): Promise<Uint8Array> {
  return writePdf(packageDocument(computeProject(items), { paper, version }));
}
