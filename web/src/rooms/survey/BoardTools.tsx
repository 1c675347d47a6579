import { DRAWING_TOOLS, TOOLS, type SurveyTool } from './tools';

/** The tools of the plan, with the keys that choose them. */
export function BoardTools({ tool, choose }: { tool: SurveyTool; choose: (tool: SurveyTool) => void }) {
  return (
    <div className="flex flex-wrap items-center gap-x-0.5 border-b border-rule px-3 py-0.5" role="toolbar" aria-label="Plan tools">
      {TOOLS.map((entry) => (
        <ToolButton key={entry.id} entry={entry} tool={tool} choose={choose} />
      ))}
    </div>
  );
}

/** What is done to the drawing beneath: over the plan, while a drawing is chosen. */
export function DrawingTools({ tool, choose }: { tool: SurveyTool; choose: (tool: SurveyTool) => void }) {
  return (
    <div
      className="no-print absolute top-1 left-2 flex items-center gap-x-1 border border-rule bg-panel px-1 text-[12px]"
      role="toolbar"
      aria-label="Drawing tools"
      onPointerDown={(event) => event.stopPropagation()}
      onClick={(event) => event.stopPropagation()}
    >
      <span className="text-soft">the drawing:</span>
      {DRAWING_TOOLS.map((entry) => (
        <ToolButton key={entry.id} entry={entry} tool={tool} choose={choose} />
      ))}
    </div>
  );
}

function ToolButton({ entry, tool, choose }: { entry: SurveyTool; tool: SurveyTool; choose: (tool: SurveyTool) => void }) {
  return (
    <button
      type="button"
      aria-pressed={tool.id === entry.id}
      title={`${entry.hint} (${entry.key.toUpperCase()})`}
      className={`border-b-2 px-0.5 text-[12px] ${tool.id === entry.id ? 'border-oxide font-semibold' : 'border-transparent text-soft hover:text-ink'}`}
      onClick={() => choose(entry)}
    >
      {entry.title}
      <kbd className="ml-0.5 text-[10px] text-soft">{entry.key.toUpperCase()}</kbd>
    </button>
  );
}
