import { DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf';
import type { PlanPoint } from '../../building';

/** A drawing to be written: mm on plan, each thing on a layer. */
export interface DxfSheet {
  readonly lines: readonly { readonly layer: string; readonly points: readonly PlanPoint[]; readonly closed?: boolean }[];
  readonly circles?: readonly { readonly layer: string; readonly at: PlanPoint; readonly radius: number }[];
  readonly texts?: readonly {
    readonly layer: string;
    readonly at: PlanPoint;
    readonly height: number;
    readonly text: string;
    /** rad, anticlockwise */
    readonly angle?: number;
  }[];
}

/** A drawing as ASCII DXF in millimetres; the same drawing gives the same text. */
export function writeDxf({ lines, circles = [], texts = [] }: DxfSheet): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  const layers = [...new Set([...lines, ...circles, ...texts].map(({ layer }) => layer))].filter((name) => name !== '0').sort();
  for (const name of layers) dxf.addLayer(name, 7, 'CONTINUOUS');
  for (const { layer, points, closed } of lines) {
    if (points.length === 2 && !closed)
      dxf.addLine(point3d(points[0]!.x, points[0]!.y), point3d(points[1]!.x, points[1]!.y), { layerName: layer });
    else
      dxf.addLWPolyline(
        points.map(({ x, y }) => ({ point: point2d(x, y) })),
        { flags: closed ? LWPolylineFlags.Closed : LWPolylineFlags.None, layerName: layer },
      );
  }
  for (const { layer, at, radius } of circles) dxf.addCircle(point3d(at.x, at.y), radius, { layerName: layer });
  for (const { layer, at, height, text, angle } of texts)
    dxf.addText(point3d(at.x, at.y), height, text, { layerName: layer, rotation: ((angle ?? 0) * 180) / Math.PI });
  return dxf.stringify();
}
