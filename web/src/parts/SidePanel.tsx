import { useView } from '../project/context';

/** What is known of the selected thing, at the right of a room; an open sheet takes its place. */
export function SidePanel({ label, children }: { label: string; children: React.ReactNode }) {
  const { sheet } = useView();
  if (sheet) return null;
  return (
    <aside
      aria-label={label}
      className="panel no-print w-[360px] shrink-0 overflow-y-auto border-l border-rule bg-panel px-4 py-3"
      tabIndex={0}
    >
      {children}
    </aside>
  );
}

export function PanelHead({ mark, what, children }: { mark: string; what: string; children?: React.ReactNode }) {
  return (
    <header>
      <h2>
        <span className="text-[20px] text-oxide">{mark}</span> <span className="font-normal">{what}</span>
      </h2>
      <p className="text-[13px] text-soft">{children}</p>
    </header>
  );
}
