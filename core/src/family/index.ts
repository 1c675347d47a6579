import { PROFILES } from './list';
import type { FamilyProfile } from './profile';

export type { BriefStart, FamilyProfile } from './profile';

export type Family = keyof typeof PROFILES;
/** A rule by which the loads of a project are combined. */
export type CombinationRule = (typeof PROFILES)[Family]['rules'][number];

export const FAMILIES = Object.keys(PROFILES) as [Family, ...Family[]];
/** The rules of all families, each once. */
export const COMBINATION_RULES = [...new Set(FAMILIES.flatMap((id) => PROFILES[id].rules))] as [CombinationRule, ...CombinationRule[]];

export const profileOf = (family: Family): FamilyProfile => PROFILES[family];
