import type { Beam, Building, Column, Footing, Made, Truss } from '../building';
import { beamSheet, designBeam } from './beam';
import { columnSheet, designColumn } from './column';
import { footingEnd, memberEnd } from './designEnds';
import type { Design, Designer, DesignKind } from './designer';
import { columnSurroundings } from './eccentricity';
import { designFooting, type FootingDesign } from './footing';
import type { MemberDesign } from './result';
import { designTruss, trussSheet } from './truss';

/** A member that is taken down only has no design, and no verdict. */
const isLoadOnly = ({ material }: Made) => material === 'loadOnly';

const beam: Designer<Beam, MemberDesign> = {
  bodies: ({ beams }) => beams,
  leavesOut: isLoadOnly,
  design: designBeam,
  sheet: beamSheet,
  looseEnd: memberEnd,
};

const truss: Designer<Truss, MemberDesign> = {
  bodies: ({ trusses }) => trusses,
  design: designTruss,
  sheet: trussSheet,
  // trusses are proved elsewhere, and that is an assumption of theirs
  looseEnd: () => null,
};

const column: Designer<Column, MemberDesign> = {
  bodies: ({ columns }) => columns,
  leavesOut: isLoadOnly,
  dependsOn: columnSurroundings,
  design: designColumn,
  sheet: columnSheet,
  looseEnd: memberEnd,
};

const footing: Designer<Footing, FootingDesign> = {
  bodies: ({ footings }) => footings,
  design: (context, id) => designFooting(context, id).design,
  sheet: (context, id) => designFooting(context, id, true).sheet,
  looseEnd: footingEnd,
  feedsBack: ({ padWeight, backfillWeight }, { at }) => ({ weight: padWeight + backfillWeight, at }),
};

/** What is designed, in the order of lists: each kind once. */
const DESIGNERS = { beam, truss, column, footing } as const satisfies Record<DesignKind, unknown>;

/** The designers in order. What one gives is given to no other, so that it may be asked as if all were of one type. */
export const designers = Object.values(DESIGNERS) as unknown as readonly Designer<unknown, Design>[];

/** The designer of an item; undefined: the item is not designed. */
export const designerOf = (building: Building, id: string): Designer<unknown, Design> | undefined =>
  designers.find(({ bodies, leavesOut }) => {
    const body = bodies(building).get(id);
    return body !== undefined && !leavesOut?.(body);
  });
