import { defaultBrief, item, type Item } from '../../building';

/** Quillfern Tool Library: a made-up two-storey library of tools, US units. Grid A to C at 26 ft, 1 to 2 at 22 ft. */
const X = { A: 0, B: 26 * 304.8, C: 52 * 304.8 } as const;
const Y = { 1: 0, 2: 22 * 304.8 } as const;
type Line = keyof typeof X;
type Row = keyof typeof Y;
const LINES = ['A', 'B', 'C'] as const;
const ROWS = [1, 2] as const;
const at = (line: Line, row: Row) => ({ x: X[line], y: Y[row] });

const PLACES = LINES.flatMap((line) => ROWS.map((row) => ({ line, row, name: `${line}${row}` })));

const storeys = [
  { level: 'roof', prefix: 'R', below: 'second', buildUp: 'roof-deck', section: 'W14X22', girder: 'W12X19' },
  { level: 'second', prefix: 'S', below: 'ground', buildUp: 'stack-floor', section: 'W21X62', girder: 'W12X26' },
] as const;

/** Beams along y at every grid line take the joists; spandrels along x tie the columns and take the wall. */
const frames: Item[] = storeys.flatMap(({ level, prefix, buildUp, section, girder }) => [
  ...LINES.map((line, i) =>
    item('beam', `${prefix}B${i + 1}`, {
      mark: `${prefix}B${i + 1}`,
      level,
      from: at(line, 1),
      to: at(line, 2),
      section,
      ownWeight: '40 plf',
      supports: [
        { at: 0, by: `${prefix}C-${line}1` },
        { at: '22 ft', by: `${prefix}C-${line}2` },
      ],
      strips: [
        {
          buildUp,
          from: 0,
          to: '22 ft',
          widthStart: line === 'B' ? '26 ft' : '13 ft',
          widthEnd: line === 'B' ? '26 ft' : '13 ft',
          label: level === 'roof' ? 'roof' : 'tool stacks',
        },
      ],
      restraint: 'floor',
    }),
  ),
  ...ROWS.flatMap((row) =>
    (['A', 'B'] as const).map((line, i) =>
      item('beam', `${prefix}G${(row - 1) * 2 + i + 1}`, {
        mark: `${prefix}G${(row - 1) * 2 + i + 1}`,
        level,
        from: at(line, row),
        to: at(line === 'A' ? 'B' : 'C', row),
        section: girder,
        ownWeight: '30 plf',
        supports: [
          { at: 0, by: `${prefix}C-${line}${row}` },
          { at: '26 ft', by: `${prefix}C-${line === 'A' ? 'B' : 'C'}${row}` },
        ],
        restraint: 'points',
        restraintPoints: ['13 ft'],
        note: 'Spandrel.',
      }),
    ),
  ),
]);

const cladding = storeys.flatMap(({ prefix }) =>
  [1, 2, 3, 4].map((n) =>
    item('load', `${prefix}cladding${n}`, {
      label: 'wall panels',
      on: `${prefix}G${n}`,
      type: 'line',
      nature: 'superimposed',
      from: 0,
      to: '26 ft',
      intensity: prefix === 'R' ? '60 plf' : '180 plf',
    }),
  ),
);

const columns = storeys.flatMap(({ level, prefix, below }) =>
  PLACES.map(({ line, row, name }) =>
    item('column', `${prefix}C-${name}`, {
      mark: `${prefix}C-${name}`,
      at: at(line, row),
      base: below,
      top: level,
      by: level === 'roof' ? `SC-${name}` : `F-${name}`,
      section: level === 'roof' ? 'W8X24' : 'W8X31',
      ownWeight: '35 plf',
    }),
  ),
);

export function quillfernToolLibrary(): Item[] {
  return [
    item('brief', 'brief', {
      ...defaultBrief('Quillfern Tool Library', 'american'),
      bearing: '3 ksf',
      bearingSource: 'presumed: stiff clay, to be confirmed on site',
      foundingDepth: '3 ft',
    }),
    item('level', 'roof', { name: 'Roof', elevation: '28 ft' }),
    item('level', 'second', { name: 'Second', elevation: '14 ft' }),
    item('level', 'ground', { name: 'Ground', elevation: 0 }),
    item('buildUp', 'roof-deck', {
      name: 'Roof',
      layers: [
        { name: 'membrane and cover board', load: '3 psf' },
        { name: 'insulation', load: '2 psf' },
        { name: 'steel deck', load: '2 psf' },
        { name: 'joists', load: '4 psf' },
        { name: 'ducts and ceiling', load: '6 psf', nature: 'superimposed', carriedBy: 'joists' },
        { name: 're-roofing', load: '3 psf', nature: 'superimposed', allowance: true },
      ],
      variable: [
        { name: 'roof live', load: '20 psf', nature: 'roofImposed' },
        { name: 'snow', load: '25 psf', nature: 'snow' },
      ],
    }),
    item('buildUp', 'stack-floor', {
      name: 'Tool stacks',
      layers: [
        { name: 'concrete on deck', load: '42 psf' },
        { name: 'joists', load: '5 psf' },
        { name: 'ceiling and ducts', load: '8 psf', nature: 'superimposed', carriedBy: 'joists' },
      ],
      variable: [{ name: 'light storage', load: '125 psf', nature: 'imposed', use: 'E' }],
    }),
    ...PLACES.map(({ line, row, name }) => item('footing', `F-${name}`, { mark: `F-${name}`, at: at(line, row), level: 'ground' })),
    ...columns,
    ...frames,
    ...cladding,
  ];
}
