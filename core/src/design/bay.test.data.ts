import { defaultBrief, item, type Item } from '../building';
import type { Family } from '../family';

/** One bay: two footings, two columns, a beam with a floor, everything changeable. */
export function bay(
  more: {
    family?: Family;
    beam?: object;
    column?: object;
    footing?: object;
    brief?: object;
    length?: number;
    extra?: Item[];
    q?: string;
  } = {},
): Item[] {
  const family = more.family ?? 'european';
  const length = more.length ?? 6000;
  const european = family !== 'american';
  const column = (id: string, x: number, by: string) =>
    item('column', id, {
      mark: id,
      at: { x, y: 0 },
      base: 'L0',
      top: 'L1',
      by,
      section: european ? 'UC 152x152x30' : 'W8X31',
      ownWeight: 0.3,
      ...more.column,
    });
  const footing = (id: string, x: number) => item('footing', id, { mark: id, at: { x, y: 0 }, level: 'L0', ...more.footing });
  return [
    item('brief', 'brief', { ...defaultBrief('Trial', family), ...more.brief }),
    item('level', 'L1', { name: 'Floor', elevation: 3000 }),
    item('level', 'L0', { name: 'Ground', elevation: 0 }),
    item('buildUp', 'floor', {
      name: 'Floor',
      layers: [{ name: 'deck', load: '1.5 kN/m2' }],
      variable: [{ name: 'office', load: more.q ?? '3 kN/m2', nature: 'imposed', use: 'B' }],
    }),
    footing('F1', 0),
    footing('F2', length),
    column('C1', 0, 'F1'),
    column('C2', length, 'F2'),
    item('beam', 'B1', {
      mark: 'B1',
      level: 'L1',
      from: { x: 0, y: 0 },
      to: { x: length, y: 0 },
      section: european ? 'UB 406x178x54' : 'W16X26',
      ownWeight: 0.4,
      supports: [
        { at: 0, by: 'C1' },
        { at: length, by: 'C2' },
      ],
      strips: [{ buildUp: 'floor', from: 0, to: length, widthStart: 3000, widthEnd: 3000 }],
      restraint: 'floor',
      ...more.beam,
    }),
    ...(more.extra ?? []),
  ];
}
