import type { Panel } from '../../building';
import type { ArrivalShape } from '../shape';
import type { Segment } from '../support/line';
import type { Region } from './polygon';

/** A member on which a panel can lie: a beam of its level, or a wall that comes up to it. */
export interface Bearing {
  readonly id: string;
  readonly line: Segment;
  /** Lower is preferred where two lie in one place. */
  readonly rank: number;
}

/** What a member takes of a panel: the unit shape is the tributary width, so that its total is an area. */
export interface PanelShare {
  readonly member: string;
  readonly shape: ArrivalShape;
}

/** A part of a panel that nothing carries. */
export interface Orphan {
  readonly region: Region;
  readonly reason: 'no support' | 'one support' | 'free edge';
}

/** Something a person should know about how a panel was shared. */
export interface PanelDoubt {
  readonly kind: 'unequal' | 'outline' | 'shape' | 'free-edge';
  readonly text: string;
}

export interface PanelSharing {
  readonly whole: Region;
  readonly shares: readonly PanelShare[];
  readonly orphans: readonly Orphan[];
  readonly doubts: readonly PanelDoubt[];
}

type Opening = Panel['openings'][number];

/** What of a panel says how it lies; an opening of which nothing is said is not bridged. */
export type PanelShape = Pick<Panel, 'outline' | 'span' | 'direction' | 'continuity'> &
  Partial<Pick<Panel, 'cantilevers'>> & {
    readonly openings: readonly (Omit<Opening, 'bridged'> & Partial<Pick<Opening, 'bridged'>>)[];
  };
