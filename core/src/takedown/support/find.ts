import { beamDoubts, findBeamSupports, neighboursOf } from './beamSupports';
import { findPosts, findWallFeet } from './feet';
import { levelFinders, type LevelFinders } from './finders';
import { NAMED, type Bearer, type FoundSupports } from './found';
import type { LevelPlan } from './levelPlan';

/** What each part of the supports is found from: as long as these lists are the very same, so is the part. */
const LOOKS_AT = {
  beams: ['beams', 'wallsBelow', 'columnsBelow', 'footings', 'hangersBelow'],
  posts: ['columnsAbove', 'hangersAbove', 'footings', 'columnsBelow', 'beams', 'wallsBelow', 'stripFootings'],
  walls: ['wallsAbove', 'stripFootings', 'wallsBelow', 'beams'],
} as const satisfies Record<string, readonly (keyof LevelPlan)[]>;

/**
 * What bears at one level, found from the plan or as named. A beam's end that nothing takes is simply absent; who reads the
 * supports judges whether the beam stands.
 * @param reach how near counts as touching, mm
 * @param old the level as it was, with what was found then: parts that look at nothing that changed are kept
 */
export function findSupports(
  level: LevelPlan,
  reach: number,
  old?: { readonly plan: LevelPlan; readonly supports: FoundSupports },
): FoundSupports {
  const keeps = (part: keyof typeof LOOKS_AT) => old !== undefined && LOOKS_AT[part].every((name) => old.plan[name] === level[name]);
  let made: LevelFinders | null = null;
  const finders = () => (made ??= levelFinders(level));
  const { beams, doubts } = keeps('beams') ? old!.supports : findBeams(level, finders(), reach);
  return {
    beams,
    posts: keeps('posts') ? old!.supports.posts : findPosts(level, finders(), reach),
    walls: keeps('walls') ? old!.supports.walls : findWallFeet(level, finders(), reach),
    doubts,
  };
}

function findBeams(level: LevelPlan, finders: LevelFinders, reach: number): Pick<FoundSupports, 'beams' | 'doubts'> {
  const neighbours = neighboursOf(level.beams, finders, reach);
  const { supports, doubts } = findBeamSupports(level.beams, neighbours, finders, reach);
  const beams: Map<string, readonly Bearer[]> = supports;
  for (const { id, body } of level.beams)
    if (!body.supportsFound)
      beams.set(
        id,
        body.supports.map((support) => ({ ...support, rule: NAMED })),
      );
  return { beams, doubts: [...doubts, ...beamDoubts(level.beams, neighbours, supports, finders, reach)] };
}
