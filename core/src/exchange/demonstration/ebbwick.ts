import { defaultBrief, item, type Item } from '../../building';

/** Ebbwick Sail Loft: a made-up boathouse, drawn: what rests on what is found from the plan. Grid A to D along x at 5.4 m, 1 to 3 along y at 4.5 m. */
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

const rectangle = (x1: number, y1: number, x2: number, y2: number) => [
  { x: x1, y: y1 },
  { x: x2, y: y1 },
  { x: x2, y: y2 },
  { x: x1, y: y2 },
];
/** Spans of panels: purlins and deck along x, joists along y. */
const ALONG_X = 0;
const ALONG_Y = Math.PI / 2;

function panel(
  mark: string,
  level: string,
  buildUp: string,
  outline: { x: number; y: number }[],
  direction: number,
  more: object = {},
): Item {
  return item('panel', mark, { mark, level, buildUp, outline, direction, ...more });
}

/** What stands on the plan is found to rest on what lies beneath it. */
const found = { supportsFound: true, supports: [] };
const stands = { supportsFound: true, by: null } as const;

const gridlines = [
  ...(['A', 'B', 'C', 'D'] as const).map((label) =>
    item('gridline', `grid-${label}`, { label, from: { x: X[label], y: -1500 }, to: { x: X[label], y: 10_500 } }),
  ),
  ...([1, 2, 3] as const).map((row) =>
    item('gridline', `grid-${row}`, { label: String(row), from: { x: -1500, y: Y[row] }, to: { x: 18_900, y: Y[row] } }),
  ),
];

/** Trusses span along y over 9 m; each stands on two posts. */
const trusses = (['A', 'B', 'C', 'D'] as const).map((line, i) =>
  item('truss', `T${i + 1}`, {
    mark: `T${i + 1}`,
    level: 'roof',
    from: at(line, 1),
    to: at(line, 3),
    ownWeight: '0.95 kN/m',
    supportsFound: true,
    supports: [],
    connections: [
      { to: `P${2 * i + 1}`, end: 'start', holdsDown: true },
      { to: `P${2 * i + 2}`, end: 'end', holdsDown: true },
    ],
    note: i >= 2 ? 'Carries the gallery on rods.' : '',
  }),
);

const roof = (['A', 'B', 'C'] as const).map((line, i) =>
  panel(`RP${i + 1}`, 'roof', 'roof-deck', rectangle(X[line], 0, X[line] + 5400, 9000), ALONG_X, { pitch: '18 deg' }),
);

const posts = (['A', 'B', 'C', 'D'] as const).flatMap((line, i) =>
  ([1, 3] as const).map((row, j) =>
    item('column', `P${2 * i + j + 1}`, {
      mark: `P${2 * i + j + 1}`,
      at: at(line, row),
      base: 'loft',
      top: 'roof',
      ...stands,
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
    ...stands,
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
    ...found,
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
    ...found,
    restraint: 'points',
    restraintPoints: ['3.6 m', '5.4 m'],
    note: 'Takes post P4 and the hoist beam.',
  }),
  item('beam', 'B1', {
    mark: 'B1',
    level: 'loft',
    from: at('A', 2),
    to: at('C', 2),
    section: 'UB 610x229x113',
    ownWeight: '0.8 kN/m',
    ...found,
    restraint: 'floor',
  }),
  panel('L1', 'loft', 'loft-floor', rectangle(0, Y[1], X.C, Y[2]), ALONG_Y, { note: 'Band of loft floor beside the boat bay.' }),
  item('beam', 'HB1', {
    mark: 'HB1',
    level: 'loft',
    from: { x: 3600, y: Y[2] },
    to: { x: 3600, y: Y[3] },
    section: 'UB 305x165x46',
    ownWeight: '0.4 kN/m',
    ...found,
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
  // a walkway along the water side of the void
  item('beam', 'B6', {
    mark: 'B6',
    level: 'loft',
    from: at('A', 2),
    to: at('A', 3),
    section: 'UB 254x102x22',
    ownWeight: '0.25 kN/m',
    ...found,
  }),
  item('beam', 'WB1', {
    mark: 'WB1',
    level: 'loft',
    from: { x: X.A, y: 7800 },
    to: { x: 3600, y: 7800 },
    section: 'UB 203x102x23',
    ownWeight: '0.25 kN/m',
    ...found,
    restraint: 'floor',
  }),
  item('beam', 'WB2', {
    mark: 'WB2',
    level: 'loft',
    from: { x: 3600, y: 7800 },
    to: { x: X.C, y: 7800 },
    section: 'UB 305x102x28',
    ownWeight: '0.3 kN/m',
    ...found,
    restraint: 'floor',
  }),
  panel('L2', 'loft', 'loft-floor', rectangle(0, 7800, X.C, Y[3]), ALONG_Y, { note: 'Walkway.' }),
  // the workshop side: continuous beams over three columns, floor spanning between them
  item('beam', 'B2', {
    mark: 'B2',
    level: 'loft',
    from: at('C', 1),
    to: at('C', 3),
    section: 'UB 305x165x46',
    ownWeight: '0.5 kN/m',
    supportsFound: true,
    supports: [],
    connections: [
      { to: 'C-C1', end: 'start', holdsDown: true },
      { to: 'C-C3', end: 'end', holdsDown: true },
    ],
    restraint: 'floor',
  }),
  item('beam', 'B3', {
    mark: 'B3',
    level: 'loft',
    from: at('D', 1),
    to: at('D', 3),
    section: 'UB 305x165x46',
    ownWeight: '0.5 kN/m',
    supportsFound: true,
    supports: [],
    connections: [
      { to: 'C-D1', end: 'start', holdsDown: true },
      { to: 'C-D3', end: 'end', holdsDown: true },
    ],
    restraint: 'floor',
  }),
  panel('L3', 'loft', 'loft-floor', rectangle(X.C, Y[2], X.D, Y[3]), ALONG_X, { note: 'Workshop floor.' }),
  item('beam', 'B4', {
    mark: 'B4',
    level: 'loft',
    from: at('C', 1),
    to: at('D', 1),
    section: 'UB 254x146x43',
    ownWeight: '0.35 kN/m',
    ...found,
    restraint: 'points',
    restraintPoints: ['2.4 m'],
    note: 'Edge of the stair.',
  }),
  item('beam', 'B5', {
    mark: 'B5',
    level: 'loft',
    from: at('C', 2),
    to: at('D', 2),
    section: 'UB 305x165x54',
    ownWeight: '0.5 kN/m',
    ...found,
    restraint: 'points',
    restraintPoints: ['2.4 m'],
  }),
  // the brick stair enclosure starts at the loft and stops one storey up; nothing stands beneath it but these beams
  item('beam', 'TB1', {
    mark: 'TB1',
    level: 'loft',
    from: { x: 13_200, y: Y[1] },
    to: { x: 13_200, y: Y[2] },
    section: 'UB 254x146x43',
    ownWeight: '0.4 kN/m',
    ...found,
    restraint: 'floor',
    note: 'Carries the stair wall W1.',
  }),
  panel('L4', 'loft', 'loft-floor', rectangle(X.C, Y[1], 13_200, Y[2]), ALONG_X, { note: 'Lobby before the stair.' }),
  panel('L5', 'loft', 'loft-floor', rectangle(13_200, Y[1], X.D, Y[2]), ALONG_X, {
    openings: [{ label: 'stair', outline: rectangle(13_200, 900, X.D, 3400) }],
    note: 'Half landing and floor around the stair.',
  }),
  item('wall', 'W1', {
    mark: 'W1',
    from: { x: 13_200, y: 600 },
    to: { x: 13_200, y: 4400 },
    base: 'loft',
    top: 'gallery',
    weight: '4.7 kN/m2',
    construction: '215 brick, plastered',
    ...stands,
    openings: [{ from: '1.4 m', to: '2.3 m', head: '2.1 m' }],
    openingsRule: 'around',
    bears: 'no',
    bearsReason: 'The gallery hangs from the roof and passes it by; it carries itself.',
    braces: true,
  }),
  item('wall', 'W2', {
    mark: 'W2',
    from: { x: 13_300, y: Y[2] },
    to: { x: 16_000, y: Y[2] },
    base: 'loft',
    top: 'gallery',
    weight: '4.7 kN/m2',
    construction: '215 brick, plastered',
    ...stands,
    bears: 'no',
    bearsReason: 'Joists run beside it; it carries itself.',
  }),
  item('wall', 'W3', {
    mark: 'W3',
    from: { x: 1200, y: Y[2] },
    to: { x: 5000, y: Y[2] },
    base: 'loft',
    top: 'gallery',
    weight: '0.9 kN/m2',
    thickness: 120,
    construction: 'stud, boarded, with glazing to the void',
    ...stands,
    status: 'existing',
    note: 'Drawn as a screen to the boat bay.',
  }),
  ...[6100, 7900].map((y, i) =>
    item('beam', `OB${i + 1}`, {
      mark: `OB${i + 1}`,
      level: 'loft',
      from: { x: X.C, y },
      to: { x: 18_600, y },
      section: 'UB 254x102x25',
      ownWeight: '0.3 kN/m',
      supportsFound: true,
      supports: [],
      connections: i === 0 ? [{ to: 'B2', end: 'start', holdsDown: true }] : [],
      restraint: 'points',
      restraintPoints: ['2.7 m', '7.8 m'],
      note: `The landing overhangs by 2.4 m and lifts the far end${i === 0 ? ', which is bolted down' : ''}.`,
    }),
  ),
  panel('L6', 'loft', 'landing-floor', rectangle(X.D, 6100, 18_600, 7900), ALONG_Y, { note: 'Overhanging landing.' }),
];

const gallery: Item[] = [
  ...(['C', 'D'] as const).flatMap((line, i) => [
    item('beam', `GB${i + 1}`, {
      mark: `GB${i + 1}`,
      level: 'gallery',
      from: { x: X[line], y: 2200 },
      to: { x: X[line], y: 6800 },
      section: 'UB 203x102x23',
      ownWeight: '0.3 kN/m',
      ...found,
      restraint: 'points',
      restraintPoints: [0, '2.3 m', '4.6 m'],
    }),
    ...[2500, 6500].map((y, j) =>
      item('hanger', `R${2 * i + j + 1}`, {
        mark: `R${2 * i + j + 1}`,
        at: { x: X[line], y },
        top: 'roof',
        base: 'gallery',
        ...stands,
        ownWeight: '0.03 kN/m',
        note: '24 mm rod',
      }),
    ),
  ]),
  panel('G1', 'gallery', 'gallery-floor', rectangle(X.C, 2200, X.D, 6800), ALONG_X),
];

const brief = item('brief', 'brief', {
  ...defaultBrief('Ebbwick Sail Loft', 'european'),
  bearing: '175 kPa',
  bearingBasis: 'gross',
  bearingSource: 'assumed: dense gravel over chalk, to be confirmed on site',
  foundingDepth: '1.2 m',
});

/** What was written beside the plan while it was surveyed, and what was read off the sheets. */
const jottings: Item[] = [
  item('note', 'note-hoist', {
    text: 'Hoist runs along HB1: check its bottom flange apart',
    level: 'loft',
    at: { x: 3600, y: 5900 },
    on: 'HB1',
  }),
  item('note', 'note-screen', { text: 'Do the joists stop on this screen?', level: 'loft', at: { x: 600, y: 3700 }, on: 'W3' }),
  item('note', 'note-landing', { text: 'Landing door opens out', level: 'loft', at: { x: 16_700, y: 5500 }, on: null }),
  item('measurement', 'measured-band', {
    name: 'band of loft floor',
    level: 'loft',
    points: [
      { x: 9000, y: Y[1] },
      { x: 9000, y: Y[2] },
    ],
    source: 'A-102 loft level (1:50 on 420 mm of paper)',
  }),
];

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
    ...roof,
    ...gridlines,
    ...gallery,
    ...jottings,
    item('answer', 'answer-restraint-tg1', {
      key: 'TG1:restraint-floor',
      reason: 'Joists are notched over and screwed to the top flange at 400 mm.',
      by: 'M. Hale',
    }),
  ];
}
