import type { SteelGrade } from '../material';
import type { Section } from '../section';
import type { Check } from '../sheet';
import type { BeamActions, MemberActions, Philosophy, Standard } from '../standard';

/** One member that is to be sized for what its combinations do to it, own weight within. */
export interface SizingTask {
  readonly id: string;
  readonly grade: SteelGrade;
  readonly actions: readonly (BeamActions | MemberActions)[];
  /** Effective lengths of a member with axial force, mm; null: a beam alone. */
  readonly lengths: { readonly y: number; readonly z: number; readonly T: number } | null;
}

export interface Sized {
  readonly id: string;
  readonly section: Section | null;
  /** Combinations looked at, over all shapes. */
  readonly tried: number;
}

function checksOf(
  standard: Standard,
  philosophy: Philosophy,
  task: SizingTask,
  section: Section,
  actions: BeamActions | MemberActions,
): Check[] {
  const { grade, lengths } = task;
  if (lengths && 'axial' in actions)
    return standard.steel.member(
      { section, grade, actions, lengthY: lengths.y, lengthZ: lengths.z, lengthT: lengths.T, netArea: null, untwisted: false },
      philosophy,
    );
  return standard.steel.beam({ section, grade, actions: actions as BeamActions }, philosophy);
}

const carries = ({ verdict }: Check) => verdict === 'carries' || verdict === 'tight';

/**
 * The lightest of shapes, given by ascending mass, that carries each task under every one of its combinations: the same as trying all. The
 * combination under which the last shape failed is tried first, and the first that fails ends a shape. Yields after each task, so that
 * who runs it can show how far it is, and stop.
 */
export function* lightestOf(
  tasks: readonly SizingTask[],
  sections: readonly Section[],
  standard: Standard,
  philosophy: Philosophy,
): Generator<{ readonly done: number; readonly total: number }, Sized[], void> {
  const sized: Sized[] = [];
  for (const task of tasks) {
    const order = task.actions.map((_, i) => i);
    let tried = 0;
    const section = sections.find((candidate) => {
      const failing = order.findIndex((i) => {
        tried += 1;
        return !checksOf(standard, philosophy, task, candidate, task.actions[i]!).every(carries);
      });
      if (failing < 0) return true;
      order.unshift(...order.splice(failing, 1));
      return false;
    });
    sized.push({ id: task.id, section: section ?? null, tried });
    yield { done: sized.length, total: tasks.length };
  }
  return sized;
}
