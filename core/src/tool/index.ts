import { BadInput } from '../error';
import { nearestKnown } from '../schema';
import { STANDARDS } from '../standard';
import { familyTools } from './tools/family';
import * as general from './tools/general';
import * as project from './tools/project';
import { britishSteelBeam, britishSteelStrut } from './tools/british';
import { builtUpSection } from './tools/builtUp';
import { steelBeamLine } from './tools/typedBeam';
import type { Tool } from './tool';

export { inputSchema, runTool, type Tool, type ToolReply } from './tool';

/** Every calculation there is, by id. */
export const TOOLS: ReadonlyMap<string, Tool> = new Map(
  [
    ...Object.values(general),
    ...Object.values(project),
    britishSteelBeam,
    britishSteelStrut,
    builtUpSection,
    steelBeamLine,
    ...Object.values(STANDARDS).flatMap(familyTools),
  ]
    .sort((a, b) => a.id.localeCompare(b.id))
    .map((tool) => [tool.id, tool]),
);

/** @throws BadInput when there is no tool of that id */
export function findTool(id: string): Tool {
  const tool = TOOLS.get(id);
  const near = tool ? null : nearestKnown(id, [...TOOLS.keys()]);
  if (!tool)
    throw new BadInput(
      `there is no tool "${id.slice(0, 60)}"${near ? `: did you mean "${near}"?` : `; the list names all ${TOOLS.size}`}`,
      'tool',
    );
  return tool;
}
