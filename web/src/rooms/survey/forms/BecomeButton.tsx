import { become } from '@plinth/core';
import { useEdit } from '../../../project/useEdit';
import type { Of } from './common';

/** Makes a truss of a beam, or a beam of a truss: what both have stays. */
export function BecomeButton({ item, kind }: { item: Of<'beam'> | Of<'truss'>; kind: 'beam' | 'truss' }) {
  const { put, quietly } = useEdit();
  return (
    <button type="button" className="btn" onClick={() => quietly(put([become(item, kind)], `${item.body.mark} is a ${kind}`))}>
      Make it a {kind}
    </button>
  );
}
