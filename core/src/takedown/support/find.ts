import { beamDoubts, findBeamSupports, neighboursOf } from './beamSupports';
import { findPosts, findWallFeet } from './feet';
import { levelFinders } from './finders';
import { NAMED, type Bearer, type FoundSupports } from './found';
import type { LevelPlan } from './levelPlan';

/**
 * What bears at one level, found from the plan or as named. A beam's end that nothing takes is simply absent; who reads the
 * supports judges whether the beam stands.
 * @param reach how near counts as touching, mm
 */
export function findSupports(level: LevelPlan, reach: number): FoundSupports {
  const finders = levelFinders(level);
  const neighbours = neighboursOf(level.beams, finders, reach);
  const { supports, doubts } = findBeamSupports(level.beams, neighbours, finders, reach);
  const beams: Map<string, readonly Bearer[]> = supports;
  for (const { id, body } of level.beams)
    if (!body.supportsFound)
      beams.set(
        id,
        body.supports.map((support) => ({ ...support, rule: NAMED })),
      );
  return {
    beams,
    posts: findPosts(level, finders, reach),
    walls: findWallFeet(level, finders, reach),
    doubts: [...doubts, ...beamDoubts(level.beams, neighbours, supports, finders, reach)],
  };
}
