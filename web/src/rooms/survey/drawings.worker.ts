import { expose } from 'comlink';
import { PlinthError } from '@plinth/core';
import { readDxf, type DxfDrawing } from '@plinth/core/dxf';

/** Reads drawings beside the screen: a large DXF takes seconds. */
const reader = {
  /** Gives the reason in words when it cannot be read. */
  dxf(text: string): DxfDrawing | { readonly failed: string } {
    try {
      return readDxf(text);
    } catch (error) {
      if (!(error instanceof PlinthError)) throw error;
      return { failed: error.message };
    }
  },
};

export type DrawingReader = typeof reader;
expose(reader);
