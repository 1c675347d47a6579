import type { ServiceLevel } from '../load';

/** What the brief of a new project starts with: quantities may be text with units, as a person would type them. */
export interface BriefStart {
  readonly grade: string;
  readonly hollowGrade: string;
  readonly roundGrade: string;
  readonly concrete: string;
  readonly reinforcement: 'B500B' | 'Grade 60';
  readonly bar: string;
  readonly cover: number;
  readonly bearing: number | string;
  readonly soilUnitWeight: number | string;
  readonly concreteUnitWeight: number | string;
  readonly foundingDepth: number | string;
  readonly footingStep: number | string;
  readonly deflectionTotal: number;
}

/** What is known of a family of standards without its clauses: how it is called, and what a project by it starts with. */
export interface FamilyProfile {
  readonly title: string;
  /** Whose shapes, steel grades, concretes and bars it is used with. */
  readonly materials: 'european' | 'american';
  readonly units: 'SI' | 'US';
  /** Rules by which loads are combined, the usual one first. */
  readonly rules: readonly [string, ...string[]];
  /** Values of variable actions in which serviceability is looked at, the usual one first. */
  readonly serviceLevels: readonly [ServiceLevel, ...ServiceLevel[]];
  readonly brief: BriefStart;
  /** How a point load spreads down masonry: rad from the vertical; all the way down, or down to half the height of the wall and no wider below. */
  readonly wallSpread: { readonly angle: number; readonly depth: 'whole' | 'half'; readonly source: string };
  /** Families of sections from which members are usually chosen. */
  readonly usualShapes: { readonly beam: readonly [string, ...string[]]; readonly column: readonly string[] };
  /** What its calculations and the Bench begin with. */
  readonly samples: {
    readonly floorBeam: string;
    readonly beam: string;
    readonly column: string;
    readonly beamColumn: string;
    readonly angle: { readonly section: string; readonly grade: string };
    readonly footingBar: string;
  };
}
