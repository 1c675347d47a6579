import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

/** Something to be looked at and answered before it is done. Escape, or a click beside it, is no. */
export function Question({ title, close, children }: { title: string; close: () => void; children: ReactNode }) {
  return (
    <Dialog.Root open onOpenChange={(open) => (open ? undefined : close())}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/20" />
        <Dialog.Content
          className="fixed top-[12%] left-1/2 z-50 max-h-[76vh] w-[600px] -translate-x-1/2 overflow-y-auto border border-faint bg-panel px-5 py-4 shadow-lg"
          aria-describedby={undefined}
        >
          <Dialog.Title className="mb-2 text-[16px] font-bold">{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
