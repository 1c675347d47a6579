import { useState } from 'react';
import {
  broughtTo,
  formatQuantity,
  parseQuantity,
  scaledByPoints,
  squaredBy,
  type LaidDrawing,
  type Named,
  type PlanPoint,
} from '@plinth/core';
import { toast } from 'sonner';
import { useProject } from '../../project/context';
import { useEdit } from '../../project/useEdit';
import type { DrawingTool } from './tools';

/** What is done by two points to the drawing that lies under the plan: it is scaled, brought to its place, squared. */
export function useDrawingTools({
  drawings,
  selected,
  done,
}: {
  drawings: readonly Named<LaidDrawing>[];
  selected: string | null;
  /** Called with the drawing as it lies now. */
  done: (drawing: LaidDrawing) => void;
}) {
  const { units } = useProject();
  const { put, quietly } = useEdit();
  /** Two points whose true distance is being typed. */
  const [scaling, setScaling] = useState<readonly [PlanPoint, PlanPoint] | null>(null);
  /** The drawing that is selected, or the only one. */
  const drawing = drawings.find(({ id }) => id === selected) ?? (drawings.length === 1 ? drawings[0] : undefined);

  const change = (part: Partial<LaidDrawing>, what: string) => {
    const body = { ...drawing!.body, ...part };
    quietly(put([{ id: drawing!.id, kind: 'drawing', body }], `${body.name}: ${what}`).then(() => done(body)));
  };

  const commit = (tool: DrawingTool, a: PlanPoint, b: PlanPoint) => {
    if (!drawing) toast.error('Choose the drawing first: none lies under this level, or several do.');
    else if (drawing.body.locked) toast.error(`${drawing.body.name} is locked in its place: unlock it first.`);
    else if (tool === 'scale') setScaling([a, b]);
    else
      try {
        if (tool === 'bring') {
          const { at } = broughtTo(drawing.body, a, b);
          change({ at: { x: +at.x.toFixed(1), y: +at.y.toFixed(1) } }, 'brought to its place');
        } else change(squaredBy(drawing.body, a, b), 'squared');
      } catch (error) {
        toast.error((error as Error).message);
      }
  };

  /** @throws what the distance or the points have against it, in words */
  const scaleTo = (text: string) => {
    if (!drawing || !scaling) return;
    const distance = parseQuantity(text, 'length', units);
    change(
      {
        ...scaledByPoints(drawing.body, ...scaling, distance),
        scaleSource: `two points ${formatQuantity(distance, 'length', units)} apart`,
      },
      'scale set',
    );
    setScaling(null);
  };

  return { drawing, scaling, commit, scaleTo, leave: () => setScaling(null) };
}
