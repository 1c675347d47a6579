import { defaultBrief, item, type Item } from '../../building';

/** Ebbwick Sail Loft: a made-up boathouse. Grid A to D along x at 5.4 m, 1 to 3 along y at 4.5 m. */
const X = { A: 0, B: 5400, C: 10800, D: 16200 } as const;
const Y = { 1: 0, 2: 4500, 3: 9000 } as const;
type Line = keyof typeof X;
type Row = keyof typeof Y;
const at = (line: Line, row: Row) => ({ x: X[line], y: Y[row] });

const levels = [
  item('level', 'roof', { name: 'Roof', elevation: '10.2 m' }),
  item('level', 'gallery', { name: 'Gallery', elevation: '7.5 m' }),
  item('level', 'loft', { name: 'Loft', elevation: '4.8 m' }),
  item('level', 'slip', { name: 'Slip', elevation: 0 }),
  item('level', 'formation', { name: 'Formation', elevation: '-0.6 m' }),
];

const buildUps = [
  item('buildUp', 'roof-deck', {
    name: 'Sheeted roof',
    layers: [
      { name: 'standing-seam sheet', load: '0.10 kN/m2' },
      { name: 'insulation and vapour check', load: '0.08 kN/m2' },
      { name: 'steel deck', load: '0.12 kN/m2' },
      { name: 'purlins', load: '0.10 kN/m2' },
      { name: 'lighting and sprinkler pipes', load: '0.12 kN/m2', nature: 'superimposed', carriedBy: 'joists' },
      { name: 'later solar panels', load: '0.15 kN/m2', nature: 'superimposed', allowance: true },
    ],
    variable: [
      { name: 'snow', load: '0.62 kN/m2', nature: 'snow' },
      { name: 'access for repair', load: '0.60 kN/m2', nature: 'roofImposed' },
    ],
  }),
  item('buildUp', 'loft-floor', {
    name: 'Loft floor',
    layers: [
      { name: 'oak boards', load: '0.28 kN/m2' },
      { name: 'timber joists', load: '0.25 kN/m2' },
      { name: 'mineral wool', load: '0.07 kN/m2' },
      { name: 'boarded ceiling', load: '0.22 kN/m2', nature: 'superimposed', carriedBy: 'joists' },
      { name: 'services below', load: '0.10 kN/m2', nature: 'superimposed', carriedBy: 'joists' },
    ],
    variable: [{ name: 'sail floor', load: '4.0 kN/m2', nature: 'imposed', use: 'C' }],
  }),
  item('buildUp', 'gallery-floor', {
    name: 'Gallery floor',
    layers: [
      { name: 'ply and lino', load: '0.20 kN/m2' },
      { name: 'joists', load: '0.18 kN/m2' },
      { name: 'balustrade, spread', load: '0.15 kN/m2', nature: 'superimposed' },
    ],
    variable: [{ name: 'gallery', load: '3.0 kN/m2', nature: 'imposed', use: 'C' }],
  }),
  item('buildUp', 'landing-floor', {
    name: 'Landing',
    layers: [
      { name: 'steel grating', load: '0.45 kN/m2' },
      { name: 'handrails, spread', load: '0.25 kN/m2', nature: 'superimposed' },
    ],
    variable: [{ name: 'landing', load: '4.0 kN/m2', nature: 'imposed', use: 'C' }],
  }),
];

function strip(buildUp: string, from: number, to: number, width: number, label: string, pitch: number | string = 0) {
  return { buildUp, from, to, widthStart: width, widthEnd: width, label, pitch };
}

/** Trusses span along y over 9 m; each stands on two posts. */
const trusses = (['A', 'B', 'C', 'D'] as const).map((line, i) =>
  item('beam', `T${i + 1}`, {
    mark: `T${i + 1}`,
    level: 'roof',
    from: at(line, 1),
    to: at(line, 3),
    role: 'truss',
    ownWeight: '0.95 kN/m',
    supports: [
      { at: 0, by: `P${2 * i + 1}`, holdsDown: true },
      { at: 9000, by: `P${2 * i + 2}`, holdsDown: true },
    ],
    strips: [strip('roof-deck', 0, 9000, i === 0 || i === 3 ? 2700 : 5400, 'roof', '18 deg')],
    note: i >= 2 ? 'Carries the gallery on rods.' : '',
  }),
);

const posts = (['A', 'B', 'C', 'D'] as const).flatMap((line, i) =>
  ([1, 3] as const).map((row, j) =>
    item('column', `P${2 * i + j + 1}`, {
      mark: `P${2 * i + j + 1}`,
      at: at(line, row),
      base: 'loft',
      top: 'roof',
      by: line === 'B' ? (row === 1 ? 'TG1' : 'TG2') : `C-${line}${row}`,
      section: 'SHS 150x150x6.3',
      ownWeight: '0.3 kN/m',
      note: line === 'B' ? 'Nothing beneath it: the boat bay.' : '',
    }),
  ),
);

const COLUMN_PLACES = (['A', 'C', 'D'] as const).flatMap((line) =>
  ([1, 2, 3] as const).map((row) => ({ line, row, name: `${line}${row}` })),
);

const columns = COLUMN_PLACES.map(({ line, row, name }) =>
  item('column', `C-${name}`, {
    mark: `C-${name}`,
    at: at(line, row),
    base: 'formation',
    top: 'loft',
    by: `F-${name}`,
    section: 'UC 203x203x46',
    ownWeight: '0.5 kN/m',
  }),
);

const footings = COLUMN_PLACES.map(({ line, row, name }) =>
  item('footing', `F-${name}`, { mark: `F-${name}`, at: at(line, row), level: 'formation' }),
);

const loft: Item[] = [
  item('beam', 'TG1', {
    mark: 'TG1',
    level: 'loft',
    from: at('A', 1),
    to: at('C', 1),
    section: 'UB 610x229x101',
    ownWeight: '1.0 kN/m',
    supports: [
      { at: 0, by: 'C-A1' },
      { at: '10.8 m', by: 'C-C1' },
    ],
    strips: [strip('loft-floor', 0, 10800, 2250, 'band of loft floor')],
    restraint: 'floor',
    note: 'Takes post P3 over the boat bay.',
  }),
  item('beam', 'TG2', {
    mark: 'TG2',
    level: 'loft',
    from: at('A', 3),
    to: at('C', 3),
    section: 'UB 533x210x92',
    ownWeight: '1.0 kN/m',
    supports: [
      { at: 0, by: 'C-A3' },
      { at: '10.8 m', by: 'C-C3' },
    ],
    strips: [strip('loft-floor', 0, 10800, 600, 'walkway')],
    restraint: 'points',
    restraintPoints: ['3.6 m', '5.4 m'],
    note: 'Takes post P4 and the hoist beam.',
  }),
  item('beam', 'B1', {
    mark: 'B1',
    level: 'loft',
    from: at('A', 2),
    to: at('C', 2),
    section: 'UB 533x210x92',
    ownWeight: '0.8 kN/m',
    supports: [
      { at: 0, by: 'C-A2' },
      { at: '10.8 m', by: 'C-C2' },
    ],
    strips: [strip('loft-floor', 0, 10800, 2250, 'band of loft floor')],
    restraint: 'floor',
  }),
  item('beam', 'HB1', {
    mark: 'HB1',
    level: 'loft',
    from: { x: 3600, y: Y[2] },
    to: { x: 3600, y: Y[3] },
    section: 'UB 254x146x31',
    ownWeight: '0.4 kN/m',
    supports: [
      { at: 0, by: 'B1' },
      { at: '4.5 m', by: 'TG2' },
    ],
    note: 'Chain hoist over the void.',
  }),
  item('load', 'hoist-lift', {
    label: 'chain hoist, safe load with impact',
    on: 'HB1',
    type: 'point',
    nature: 'imposed',
    use: 'E',
    at: '2.25 m',
    force: '22 kN',
  }),
  item('load', 'hoist-own', {
    label: 'chain hoist and trolley',
    on: 'HB1',
    type: 'point',
    nature: 'permanent',
    at: '2.25 m',
    force: '1.8 kN',
  }),
  // the workshop side: continuous beams over three columns, floor spanning between them
  item('beam', 'B2', {
    mark: 'B2',
    level: 'loft',
    from: at('C', 1),
    to: at('C', 3),
    section: 'UB 305x165x40',
    ownWeight: '0.5 kN/m',
    supports: [
      { at: 0, by: 'C-C1', holdsDown: true },
      { at: '4.5 m', by: 'C-C2' },
      { at: '9 m', by: 'C-C3', holdsDown: true },
    ],
    strips: [strip('loft-floor', 4500, 9000, 2700, 'workshop floor')],
    restraint: 'floor',
  }),
  item('beam', 'B3', {
    mark: 'B3',
    level: 'loft',
    from: at('D', 1),
    to: at('D', 3),
    section: 'UB 305x165x40',
    ownWeight: '0.5 kN/m',
    supports: [
      { at: 0, by: 'C-D1', holdsDown: true },
      { at: '4.5 m', by: 'C-D2' },
      { at: '9 m', by: 'C-D3', holdsDown: true },
    ],
    strips: [strip('loft-floor', 0, 9000, 2700, 'workshop floor')],
    restraint: 'floor',
  }),
  item('beam', 'B4', {
    mark: 'B4',
    level: 'loft',
    from: at('C', 1),
    to: at('D', 1),
    section: 'UB 254x102x28',
    ownWeight: '0.35 kN/m',
    supports: [
      { at: 0, by: 'C-C1' },
      { at: '5.4 m', by: 'C-D1' },
    ],
    note: 'Edge of the stair.',
  }),
  item('beam', 'B5', {
    mark: 'B5',
    level: 'loft',
    from: at('C', 2),
    to: at('D', 2),
    section: 'UB 305x165x46',
    ownWeight: '0.5 kN/m',
    supports: [
      { at: 0, by: 'C-C2' },
      { at: '5.4 m', by: 'C-D2' },
    ],
    restraint: 'points',
    restraintPoints: ['2.4 m'],
  }),
  // the brick stair enclosure starts at the loft and stops one storey up; nothing stands beneath it but these beams
  item('beam', 'TB1', {
    mark: 'TB1',
    level: 'loft',
    from: { x: 13200, y: Y[1] },
    to: { x: 13200, y: Y[2] },
    section: 'UB 254x146x37',
    ownWeight: '0.4 kN/m',
    supports: [
      { at: 0, by: 'B4' },
      { at: '4.5 m', by: 'B5' },
    ],
    note: 'Carries the stair wall W1.',
  }),
  item('wall', 'W1', {
    mark: 'W1',
    from: { x: 13200, y: 600 },
    to: { x: 13200, y: 4400 },
    base: 'loft',
    top: 'gallery',
    weight: '4.7 kN/m2',
    construction: '215 brick, plastered',
    bears: 'yes',
    bearsReason: 'It carries itself: a weight to be carried.',
    by: 'TB1',
  }),
  item('wall', 'W2', {
    mark: 'W2',
    from: { x: 13300, y: Y[2] },
    to: { x: 16000, y: Y[2] },
    base: 'loft',
    top: 'gallery',
    weight: '4.7 kN/m2',
    construction: '215 brick, plastered',
    bears: 'yes',
    bearsReason: 'It carries itself: a weight to be carried.',
    by: 'B5',
  }),
  item('beam', 'OB1', {
    mark: 'OB1',
    level: 'loft',
    from: { x: X.C, y: 7000 },
    to: { x: 18600, y: 7000 },
    section: 'UB 305x102x28',
    ownWeight: '0.3 kN/m',
    supports: [
      { at: 0, by: 'B2' },
      { at: '5.4 m', by: 'B3' },
    ],
    strips: [strip('landing-floor', 5400, 7800, 1800, 'overhanging landing')],
    restraint: 'points',
    restraintPoints: ['2.7 m', '7.8 m'],
    note: 'The landing overhangs by 2.4 m and lifts the far end.',
  }),
];

const gallery: Item[] = (['C', 'D'] as const).flatMap((line, i) => [
  item('beam', `GB${i + 1}`, {
    mark: `GB${i + 1}`,
    level: 'gallery',
    from: { x: X[line], y: 2200 },
    to: { x: X[line], y: 6800 },
    section: 'UB 203x102x23',
    ownWeight: '0.3 kN/m',
    supports: [
      { at: '0.3 m', by: `R${2 * i + 1}` },
      { at: '4.3 m', by: `R${2 * i + 2}` },
    ],
    strips: [strip('gallery-floor', 0, 4600, 2700, 'gallery')],
    restraint: 'points',
    restraintPoints: [0, '2.3 m', '4.6 m'],
  }),
  ...[2500, 6500].map((y, j) =>
    item('hanger', `R${2 * i + j + 1}`, {
      mark: `R${2 * i + j + 1}`,
      at: { x: X[line], y },
      top: 'roof',
      base: 'gallery',
      by: `T${i + 3}`,
      ownWeight: '0.03 kN/m',
      note: '24 mm rod',
    }),
  ),
]);

const brief = item('brief', 'brief', {
  ...defaultBrief('Ebbwick Sail Loft', 'european'),
  bearing: '175 kPa',
  bearingBasis: 'gross',
  bearingSource: 'assumed: dense gravel over chalk, to be confirmed on site',
  foundingDepth: '1.2 m',
});

/** All items of the demonstration building, ready to be stored. */
export function ebbwickSailLoft(): Item[] {
  return [
    brief,
    ...levels,
    ...buildUps,
    ...footings,
    ...columns,
    ...loft,
    ...posts,
    ...trusses,
    ...gallery,
    item('answer', 'answer-restraint-tg1', {
      key: 'TG1:restraint-floor',
      reason: 'Joists are notched over and screwed to the top flange at 400 mm.',
      by: 'M. Hale',
    }),
  ];
}
