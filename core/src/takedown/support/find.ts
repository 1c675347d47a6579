import { beamDoubts, findBeamSupports, neighboursOf } from './beamSupports';
import { findPosts, findWallFeet } from './feet';
import { levelFinders, type LevelFinders } from './finders';
import { NAMED, type Bearer, type FoundSupports, type SupportDoubt } from './found';
import type { LevelPlan } from './levelPlan';
import { beamConnectionDoubts, lostConnections } from './saidConnections';

const NO_DOUBTS: readonly SupportDoubt[] = [];

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
  const { posts, postDoubts } = keeps('posts') ? old!.supports : foundPosts(level, finders(), reach);
  const walls = keeps('walls') ? old!.supports.walls : findWallFeet(level, finders(), reach);
  return { beams, posts, walls, doubts, postDoubts };
}

function foundPosts(level: LevelPlan, finders: LevelFinders, reach: number): Pick<FoundSupports, 'posts' | 'postDoubts'> {
  const posts = findPosts(level, finders, reach);
  let postDoubts = NO_DOUBTS;
  for (const [list, end] of [
    [level.columnsAbove, 'foot'],
    [level.hangersAbove, 'head'],
  ] as const)
    for (const post of list) {
      if (post.body.connections.length === 0) continue;
      const { by } = posts.get(post.id)!;
      const lost = lostConnections(level, post, (said) => said.to === by && said.end === end && said.contact === 1);
      postDoubts = [...postDoubts, ...lost];
    }
  return { posts, postDoubts };
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
  for (const beam of level.beams)
    if (beam.body.connections.length > 0 || (beam.body.supportsFound && beam.body.supports.length > 0))
      doubts.push(...beamConnectionDoubts(level, beam, beams.get(beam.id)!));
  return { beams, doubts: [...doubts, ...beamDoubts(level.beams, neighbours, supports, finders, reach)] };
}
