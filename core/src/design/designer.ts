import type { Building, PlanPoint } from '../building';
import type { Sheet } from '../sheet';
import type { Philosophy } from '../standard';
import type { LooseEnd, MemberLedger } from '../takedown';
import type { Context } from './context';
import type { FootingDesign } from './footing';
import type { MemberDesign } from './result';

export type Design = MemberDesign | FootingDesign;
export type DesignKind = Design['kind'];

/** Designs one kind of item: declared once, and listed in `designers.ts`. */
export interface Designer<Body, D extends Design> {
  readonly bodies: (building: Building) => ReadonlyMap<string, Body>;
  /** Those among them that it does not design; left out: none. */
  readonly leavesOut?: (body: Body) => boolean;
  /**
   * What a design looks at beside its item, its ledger, the brief, the levels and the cases: it is made again when one of these is another thing. Left
   * out: nothing.
   */
  readonly dependsOn?: (building: Building, ledger: MemberLedger, body: Body) => readonly unknown[];
  readonly design: (context: Context, id: string) => D;
  readonly sheet: (context: Context, id: string, philosophy: Philosophy) => Sheet;
  /** What it finds missing; null: nothing. */
  readonly looseEnd: (design: D, body: Body) => LooseEnd | null;
  /** Permanent load that design adds and that goes straight into the ground where it stands, N. It feeds the balance; left out: none. */
  readonly feedsBack?: (design: D, body: Body) => { readonly weight: number; readonly at: PlanPoint };
}

/** Designs of a project by the item that they are of. */
export class Designs {
  constructor(readonly all: ReadonlyMap<string, Design>) {}

  get size(): number {
    return this.all.size;
  }

  has(id: string): boolean {
    return this.all.has(id);
  }

  get(id: string): Design | undefined {
    return this.all.get(id);
  }

  /** Of a beam, truss or column. */
  member(id: string): MemberDesign | undefined {
    const found = this.all.get(id);
    return found && found.kind !== 'footing' ? found : undefined;
  }

  /** Of a pad. */
  footing(id: string): FootingDesign | undefined {
    const found = this.all.get(id);
    return found?.kind === 'footing' ? found : undefined;
  }

  /** Of beams, trusses and columns, in the order in which they were made. */
  members(): MemberDesign[] {
    return [...this.all.values()].filter((design) => design.kind !== 'footing');
  }

  footings(): FootingDesign[] {
    return [...this.all.values()].filter((design) => design.kind === 'footing');
  }
}
