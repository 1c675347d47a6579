import { proxy } from 'comlink';
import { useState } from 'react';
import type { Item, SizingStep } from '@plinth/core';
import { toast } from 'sonner';
import { useItems, useStore } from '../../project/context';
import { useEdit } from '../../project/useEdit';

/** Sizes every new beam and column without a section, from the top down, with own weight; nothing that was chosen is touched. */
export function SizeAll() {
  const { engine } = useStore();
  const { put, quietly } = useEdit();
  const beams = useItems('beam');
  const columns = useItems('column');
  const [step, setStep] = useState<SizingStep | null>(null);
  const open = [...beams, ...columns].filter(({ body }) => body.material === 'steel' && body.section === null && body.status === 'new');
  if (open.length === 0 && !step) return null;
  const size = async () => {
    setStep({ done: 0, total: open.length, pass: 1, mark: '' });
    try {
      const sized = await engine.sizeAll(proxy((now: SizingStep) => setStep(now)));
      if (!sized) return;
      const found = new Map(sized.members.map(({ id, section }) => [id, section]));
      const changed = open.flatMap((item): Item[] => {
        const section = found.get(item.id);
        return section ? [{ ...item, body: { ...item.body, section } } as Item] : [];
      });
      const none = sized.members.filter(({ section }) => section === null).map(({ mark }) => mark);
      if (changed.length > 0) await put(changed, `${changed.length} members sized with their own weight, ${sized.passes} passes`);
      if (none.length > 0) toast.error(`No shape of the usual families carries: ${none.join(', ')}.`);
      for (const { title, why, remedy } of sized.looseEnds) toast.error(`${title}. ${why} ${remedy}`);
    } finally {
      setStep(null);
    }
  };
  return step ? (
    <span role="status" className="text-[13px] whitespace-nowrap text-soft">
      pass {step.pass}, {step.done} of {step.total} {step.mark}{' '}
      <button type="button" className="btn-line" onClick={() => void engine.stopSizing()}>
        stop
      </button>
    </span>
  ) : (
    <button type="button" className="btn text-[13px] whitespace-nowrap" onClick={() => quietly(size())}>
      Size the {open.length} without a section
    </button>
  );
}
