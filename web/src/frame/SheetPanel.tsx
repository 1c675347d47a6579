import { lazy, Suspense } from 'react';
import { X } from 'lucide-react';
import { markOf } from '@plinth/core';
import { useProject, useView } from '../project/context';
import { DrawingView } from '../parts/DrawingView';
import { useAsked } from '../parts/useAsked';

const SheetView = lazy(() => import('../parts/SheetView'));

/** The sheet slides in at the right beside what is being worked on. */
export function SheetPanel() {
  const { building, units } = useProject();
  const { sheet, openSheet } = useView();
  const [id, philosophy] = (sheet ?? '').split('~');
  const entries = useAsked(`sheet ${sheet}`, (engine) => (id ? engine.sheet(id, philosophy) : Promise.resolve(undefined)));
  const diagrams = useAsked(`sheet diagrams ${sheet}`, (engine) =>
    id && building.beams.has(id) ? engine.diagrams(id, ['moment', 'shear', 'deflection'], 500, 112) : Promise.resolve(undefined),
  );
  if (!id) return null;
  return (
    <aside
      aria-label={`Sheet of ${markOf(building, id)}`}
      className="panel flex w-[540px] shrink-0 flex-col border-l border-rule bg-panel"
      onKeyDown={(event) => event.key === 'Escape' && openSheet(null)}
    >
      <header className="no-print flex items-center justify-between border-b border-rule px-5 py-2">
        <h2>
          {markOf(building, id)} <span className="font-normal text-soft">calculation sheet{philosophy ? `, ${philosophy}` : ''}</span>
        </h2>
        <button type="button" className="p-1" aria-label="Close the sheet" onClick={() => openSheet(null)} autoFocus>
          <X size={16} />
        </button>
      </header>
      <div className="print-flow flex-1 overflow-y-auto px-5 py-3" tabIndex={0} role="region" aria-label="Sheet">
        {diagrams?.drawings.map((drawing) => (
          <DrawingView key={drawing.title} drawing={drawing} className="w-full" />
        ))}
        <Suspense fallback={<p className="text-soft">Setting the formulas…</p>}>
          {entries ? <SheetView entries={entries} units={units} /> : <p className="text-soft">Writing the sheet…</p>}
        </Suspense>
      </div>
    </aside>
  );
}
