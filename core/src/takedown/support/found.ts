/** What a member was found, or said, to rest on. */
export interface Bearer {
  /** The member that takes the load; null when nothing does. */
  readonly by: string | null;
  /** mm from the member's start; 0 for posts. */
  readonly at: number;
  readonly holdsDown: boolean;
  /** It holds a beam against turning. */
  readonly fixed: boolean;
  /** What it yields under, N/mm; null: it does not. */
  readonly spring: number | null;
  /** How far it may sink, mm, downward. */
  readonly settlement: number;
  /** How it came to be: the rule that found it, with "{}" for the mark of what takes the load, or that it was named. */
  readonly rule: string;
}

/** A stretch of a wall's foot, mm from its start, and what takes it. */
export interface WallBearer {
  readonly by: string;
  readonly from: number;
  readonly to: number;
  readonly rule: string;
}

/** Something about the supports of a level that needs a person. */
export interface SupportDoubt {
  readonly kind: 'cross' | 'corner' | 'near' | 'twice' | 'along' | 'connection';
  readonly item: string;
  readonly title: string;
  readonly why: string;
  readonly remedy: string;
}

/** All that bears at one level: beams, feet of columns, of walls, and heads of hangers. */
export interface FoundSupports {
  readonly beams: ReadonlyMap<string, readonly Bearer[]>;
  readonly posts: ReadonlyMap<string, Bearer>;
  readonly walls: ReadonlyMap<string, readonly WallBearer[]>;
  readonly postDoubts: readonly SupportDoubt[];
  /** Of beams. */
  readonly doubts: readonly SupportDoubt[];
}

/** A support that holds firm and may turn. */
export const FIRM = { fixed: false, spring: null, settlement: 0 } as const;

export const NAMED = 'named';

/** The rule by which something bears, in words. @param mark of what takes the load */
export function ruleInWords({ rule }: Pick<Bearer, 'rule'>, mark: string): string {
  return rule.replace('{}', mark);
}
