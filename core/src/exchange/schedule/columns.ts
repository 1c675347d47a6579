import { type ItemKind, END_CONDITIONS, markOf, readShape, type Building } from '../../building';
import { BadInput } from '../../error';
import { caseIdOfLoad, casesOfAction, LOAD_NATURES, USES, type LoadCaseReference } from '../../load';
import { BEAM_INPUTS, PAD_INPUTS, type DeclaredInputs } from '../../input';
import { steelGrade } from '../../material';
import { DISPLAY, parseQuantity, type Kind, type UnitSystem } from '../../quantity';

/** The body of an item as a schedule sees it: plain values by name. */
export type Body = Record<string, unknown>;

/** What stands behind the names of a schedule. */
export interface Names {
  readonly building: Building;
  readonly units: UnitSystem;
  /** Ids of members by mark, those of the schedule itself included. */
  readonly member: (mark: string) => string | undefined;
}

/** One column: how a cell is written from a body, and read into one. */
export interface Column {
  readonly title: string;
  readonly kind?: Kind;
  readonly write: (body: Body, names: Names) => string | number;
  /** @param unit unit of the header, for a bare number @throws BadInput in words */
  readonly read: (text: string, body: Body, names: Names, unit: string | null) => void;
}

const at = (body: Body, path: readonly string[]) => path.reduce<unknown>((value, key) => (value as Body | undefined)?.[key], body);

function put(body: Body, path: readonly string[], value: unknown): void {
  const last = path.at(-1)!;
  let place = body;
  for (const key of path.slice(0, -1)) place = (place[key] = { ...(place[key] as Body | undefined) }) as Body;
  place[last] = value;
}

function quantity(title: string, kind: Kind, path: string, empty: 'null' | 'refused' = 'refused'): Column {
  const keys = path.split('.');
  return {
    title,
    kind,
    write: (body, { units }) => {
      const value = at(body, keys);
      return typeof value === 'number' ? Number((value / DISPLAY[units][kind].factor).toPrecision(10)) : '';
    },
    read: (text, body, { units }, unit) => {
      if (text === '') {
        if (empty === 'null') put(body, keys, null);
        return;
      }
      // a spreadsheet of another tongue writes 3,5
      const clean = /^-?\d+,\d+$/.test(text) ? text.replace(',', '.') : text;
      const bare = /^-?[\d.]+(e[+-]?\d+)?$/i.test(clean);
      put(body, keys, parseQuantity(bare && unit ? `${clean} ${unit}` : clean, kind, units));
    },
  };
}

const text = (title: string, key: string): Column => ({
  title,
  write: (body) => String(body[key] ?? ''),
  read: (value, body) => void (body[key] = value),
});

const section: Column = {
  title: 'section',
  write: ({ section: chosen }) => (chosen as string | null) ?? '',
  read: (value, body, { building }) => void (body['section'] = value === '' ? null : readShape(building.brief, value)),
};

/** One of a few words; their beginnings are enough, whatever their case. */
function choice(title: string, key: string, words: Readonly<Record<string, unknown>>): Column {
  const known = Object.entries(words);
  return {
    title,
    write: (body) => known.find(([, value]) => value === body[key])?.[0] ?? '',
    read: (value, body) => {
      if (value === '') return;
      const wanted = value.toLowerCase();
      const hit = known.find(([word]) => word.toLowerCase() === wanted) ?? known.find(([word]) => word.toLowerCase().startsWith(wanted));
      if (!hit) throw new BadInput(`"${value}" is none of ${known.map(([word]) => word).join(', ')}`);
      body[key] = hit[1];
    },
  };
}

/** A level by its name, or its id. */
function level(title: string, key: string): Column {
  return {
    title,
    write: (body, { building }) => building.levels.find(({ id }) => id === body[key])?.body.name ?? '',
    read: (value, body, { building }) => {
      if (value === '') return;
      const wanted = value.toLowerCase();
      const hit =
        building.levels.find((entry) => entry.body.name.toLowerCase() === wanted) ?? building.levels.find(({ id }) => id === value);
      if (!hit)
        throw new BadInput(`there is no level "${value}"; levels are ${building.levels.map((entry) => entry.body.name).join(', ')}`);
      body[key] = hit.id;
    },
  };
}

const buildUp: Column = {
  title: 'build-up',
  write: (body, { building }) => building.buildUps.get(body['buildUp'] as string)?.name ?? '',
  read: (value, body, { building }) => {
    if (value === '') return;
    const wanted = value.toLowerCase();
    const hit = [...building.buildUps].find(([id, { name }]) => name.toLowerCase() === wanted || id === value);
    if (!hit)
      throw new BadInput(
        `there is no build-up "${value}"; there are ${[...building.buildUps.values()].map(({ name }) => name).join(', ')}`,
      );
    body['buildUp'] = hit[0];
  },
};

/** The build-up of a wall, which may have none. */
const wallBuildUp: Column = {
  ...buildUp,
  read: (value, body, ...rest) => {
    if (value.trim() === '') body['buildUp'] = null;
    else buildUp.read(value, body, ...rest);
  },
};

/** The case of an action of the project in which a load acts, by its name; `usual`: it belongs to none. It brings its nature and use with it. */
const actionCase: Column = {
  title: 'action case',
  write: (body, { building }) =>
    !body['action'] ? '' : (building.cases.get(caseIdOfLoad(body as unknown as LoadCaseReference))?.name ?? ''),
  read: (value, body, { building }) => {
    if (value === '') return;
    if (value.toLowerCase() === 'usual') {
      Object.assign(body, { action: null, loadCase: '' });
      return;
    }
    const own = [...building.actions].flatMap(([id, action]) =>
      casesOfAction(id, action).map((one, i) => ({ ...one, key: action.cases[i]!.id })),
    );
    const wanted = value.toLowerCase();
    const hit = own.find(({ name, id }) => name.toLowerCase() === wanted || id.toLowerCase() === wanted);
    if (!hit) throw new BadInput(`there is no action case "${value}"; there are ${[...own.map(({ name }) => name), 'usual'].join(', ')}`);
    Object.assign(body, { action: hit.action, nature: hit.nature, use: hit.use, loadCase: hit.key });
  },
};

type Corners = readonly { readonly x: number; readonly y: number }[];

/** Corners as "x y; x y; x y", in display units. */
function writeCorners(corners: Corners, units: UnitSystem): string {
  const { factor } = DISPLAY[units].position;
  return corners.map(({ x, y }) => `${+(x / factor).toPrecision(9)} ${+(y / factor).toPrecision(9)}`).join('; ');
}

/** @throws BadInput when a corner is not two lengths */
function readCorners(value: string, units: UnitSystem, unit: string | null): Corners {
  const read = (part: string) => parseQuantity(unit ? `${part} ${unit}` : part, 'position', units);
  return value.split(';').map((corner) => {
    const parts = corner.trim().split(/\s+/);
    if (parts.length !== 2) throw new BadInput(`a corner is two numbers, such as 3.2 4.5; "${corner.trim()}" is not`);
    return { x: read(parts[0]!), y: read(parts[1]!) };
  });
}

const outline: Column = {
  title: 'corners',
  kind: 'position',
  write: (body, { units }) => writeCorners(body['outline'] as Corners, units),
  read: (value, body, { units }, unit) => {
    if (value !== '') body['outline'] = readCorners(value, units, unit);
  },
};

/** Before the corners of an opening that the strips beside it bridge. */
const BRIDGED = 'bridged';

/** Openings of a panel, each as "name: corners" or "name: bridged: corners", with | between them; an empty cell is none. */
const panelOpenings: Column = {
  title: 'openings',
  kind: 'position',
  write: (body, { units }) =>
    (body['openings'] as readonly { label: string; outline: Corners; bridged: boolean }[])
      .map(({ label, outline, bridged }) => {
        const name = label || bridged ? `${label.replace(/[|:]/g, ' ')}: ` : '';
        return `${name}${bridged ? `${BRIDGED}: ` : ''}${writeCorners(outline, units)}`;
      })
      .join(' | '),
  read: (value, body, { units }, unit) => {
    body['openings'] = value.split('|').flatMap((part) => {
      if (part.trim() === '') return [];
      const [, named = '', corners = ''] = /^(?:(.*):)?([^:]*)$/.exec(part)!;
      const bridged = new RegExp(`:\\s*${BRIDGED}\\s*$`).test(named);
      const label = bridged ? named.slice(0, named.lastIndexOf(':')) : named;
      return [{ label: label.trim(), outline: readCorners(corners.trim(), units, unit), bridged }];
    });
  },
};

/** Openings of a wall, each as "from to sill head" or with the bearing of its lintel as a fifth, with ; between them; an empty cell is none. */
const wallOpenings: Column = {
  title: 'openings',
  kind: 'length',
  write: (body, { units }) =>
    (body['openings'] as readonly Record<'from' | 'to' | 'sill' | 'head' | 'bearing', number>[])
      .map(({ from, to, sill, head, bearing }) =>
        [from, to, sill, head, bearing].map((value) => +(value / DISPLAY[units].length.factor).toPrecision(9)).join(' '),
      )
      .join('; '),
  read: (value, body, { units }, unit) => {
    const read = (part: string) => parseQuantity(unit ? `${part} ${unit}` : part, 'length', units);
    body['openings'] = value.split(';').flatMap((part) => {
      if (part.trim() === '') return [];
      const [from, to, sill, head, bearing, ...more] = part.trim().split(/\s+/).map(read);
      if (head === undefined || more.length > 0)
        throw new BadInput(`an opening is from, to, sill and head, such as 1.2 2.1 0 2.1; "${part.trim()}" is not`);
      return [{ from, to, sill, head, ...(bearing === undefined ? {} : { bearing }) }];
    });
  },
};

const on: Column = {
  title: 'on',
  write: (body, { building }) => {
    const id = body['on'] as string;
    const name = markOf(building, id);
    return name === id ? '' : name;
  },
  read: (value, body, { member }) => {
    if (value === '') return;
    const id = member(value);
    if (id === undefined) throw new BadInput(`there is no member "${value}"`);
    body['on'] = id;
  },
};

const grade: Column = {
  title: 'grade',
  write: (body) => (body['grade'] as string | null) ?? '',
  read: (value, body) => {
    if (value !== '') steelGrade(value);
    body['grade'] = value === '' ? null : value;
  },
};

/** Distances along a member in one cell, with blanks between them, in the unit of the header; an empty cell is none. */
function places(title: string, key: string): Column {
  return {
    title,
    kind: 'length',
    write: (body, { units }) =>
      (body[key] as readonly number[]).map((value) => +(value / DISPLAY[units].length.factor).toPrecision(10)).join(' '),
    read: (text, body, { units }, unit) => {
      body[key] = text
        .split(/[;\s]+/)
        .filter(Boolean)
        .map((part) => parseQuantity(unit && /^-?[\d.]+$/.test(part) ? `${part} ${unit}` : part, 'length', units));
    },
  };
}

const plainNumber = (title: string, key: string): Column => ({
  title,
  write: (body) => body[key] as number,
  read: (text, body) => {
    if (text === '') return;
    const value = Number(text.replace(',', '.'));
    if (!Number.isFinite(value)) throw new BadInput(`"${text}" is not a number`);
    body[key] = value;
  },
});

/** Loads may share a label: their own name tells which is meant. */
const identity: Column = { title: 'id', write: () => '', read: () => undefined };

const mark = text('mark', 'mark');
const note = text('note', 'note');
/** A weight that is another one was given by somebody. */
const weightOfFace: Column = (() => {
  const plain = quantity('weight of face', 'areaLoad', 'weight');
  return {
    ...plain,
    read: (text, body, names, unit) => {
      const before = body['weight'] as number;
      plain.read(text, body, names, unit);
      if (Math.abs((body['weight'] as number) - before) > 1e-9) body['weightGiven'] = true;
    },
  };
})();

const status = choice('status', 'status', { new: 'new', existing: 'existing', removed: 'removed' });
const ends = [
  quantity('from x', 'position', 'from.x'),
  quantity('from y', 'position', 'from.y'),
  quantity('to x', 'position', 'to.x'),
  quantity('to y', 'position', 'to.y'),
];
const place = [quantity('x', 'position', 'at.x'), quantity('y', 'position', 'at.y')];
const allowance = quantity('own weight', 'lineLoad', 'ownWeight');
/** What limit states ask, a column each. */
const askedColumns = (inputs: DeclaredInputs): Column[] =>
  Object.entries(inputs).map(([name, input]) =>
    input.type === 'flag' ? choice(input.title, name, { no: false, yes: true }) : quantity(input.title, input.kind, name),
  );
const material = choice('material', 'material', { steel: 'steel', concrete: 'concrete', 'load only': 'loadOnly' });
const transfer = choice('transfer', 'transfer', { auto: 'auto', yes: 'yes', no: 'no' });
const same = (words: readonly string[]) => Object.fromEntries(words.map((word) => [word, word]));

/** The columns of each schedule, in order, the first naming the row; null: items of the kind have none. */
export const COLUMNS = {
  brief: null,
  level: null,
  action: null,
  buildUp: null,
  drawing: null,
  measurement: null,
  note: null,
  answer: null,
  beam: [
    mark,
    level('level', 'level'),
    ...ends,
    section,
    allowance,
    status,
    note,
    grade,
    choice('flange held by', 'restraint', { supports: 'supports', floor: 'floor', points: 'points' }),
    places('held at', 'restraintPoints'),
    places('top flange at', 'topPoints'),
    places('bottom flange at', 'bottomPoints'),
    choice('load acts', 'loadHeight', { centre: 'centre', top: 'top' }),
    ...askedColumns(BEAM_INPUTS),
    quantity('seats', 'sectionLength', 'seat', 'null'),
    choice('spares', 'serves', { floor: 'floor', brittle: 'brittle', crane: 'crane' }),
    transfer,
    quantity('precamber', 'sectionLength', 'precamber'),
    choice('size', 'locked', { free: false, locked: true }),
    material,
  ],
  truss: [mark, level('level', 'level'), ...ends, allowance, status, note, transfer],
  column: [
    mark,
    ...place,
    level('from', 'base'),
    level('to', 'top'),
    section,
    allowance,
    status,
    note,
    grade,
    choice('ends, major', 'endsY', same(END_CONDITIONS)),
    choice('ends, minor', 'endsZ', same(END_CONDITIONS)),
    plainNumber('factor, major', 'factorY'),
    plainNumber('factor, minor', 'factorZ'),
    places('held, major', 'heldY'),
    places('held, minor', 'heldZ'),
    choice('beams bear', 'beamsBear', { nominal: 'nominal', central: 'central' }),
    choice('size', 'locked', { free: false, locked: true }),
    material,
  ],
  wall: [
    mark,
    ...ends,
    level('from', 'base'),
    level('to', 'top'),
    weightOfFace,
    wallBuildUp,
    quantity('thickness', 'sectionLength', 'thickness'),
    text('construction', 'construction'),
    choice('carries load', 'bears', { open: 'open', yes: 'yes', no: 'no' }),
    status,
    note,
    quantity('height', 'length', 'height', 'null'),
    wallOpenings,
    choice('over openings', 'openingsRule', { ignored: 'ignored', around: 'around' }),
    choice('spread', 'spread', { angle: 'angle', whole: 'whole', even: 'even' }),
    quantity('angle of spread', 'angle', 'spreadAngle'),
    choice('widens to', 'spreadDepth', { foot: 'whole', 'half height': 'half' }),
    text('how one knows', 'bearsReason'),
    choice('braces', 'braces', { no: false, yes: true }),
  ],
  panel: [
    mark,
    level('level', 'level'),
    buildUp,
    choice('spans', 'span', { 'one way': 'oneWay', 'two ways': 'twoWay' }),
    quantity('direction', 'angle', 'direction'),
    quantity('pitch', 'angle', 'pitch'),
    outline,
    status,
    note,
    panelOpenings,
    choice('over inner supports', 'continuity', { simple: 'simple', continuous: 'continuous' }),
    choice('cantilevers', 'cantilevers', { no: false, yes: true }),
  ],
  hanger: [mark, ...place, level('top', 'top'), level('foot', 'base'), allowance, status, note],
  footing: [
    mark,
    ...place,
    level('level', 'level'),
    quantity('width', 'length', 'width', 'null'),
    quantity('length', 'length', 'length', 'null'),
    quantity('thickness', 'sectionLength', 'thickness', 'null'),
    status,
    note,
    quantity('founding depth', 'length', 'foundingDepth', 'null'),
    choice('in a heated building', 'heated', { no: false, yes: true }),
    ...askedColumns(PAD_INPUTS),
  ],
  stripFooting: [mark, ...ends, level('level', 'level'), quantity('width', 'length', 'width', 'null'), status, note],
  gridline: [text('label', 'label'), ...ends],
  load: [
    text('label', 'label'),
    on,
    choice('type', 'type', same(['point', 'line', 'area'])),
    choice('nature', 'nature', same(LOAD_NATURES)),
    choice('use', 'use', same(USES)),
    quantity('at', 'length', 'at'),
    quantity('force', 'force', 'force'),
    quantity('from', 'length', 'from'),
    quantity('to', 'length', 'to'),
    quantity('intensity', 'lineLoad', 'intensity'),
    quantity('load on area', 'areaLoad', 'pressure'),
    outline,
    quantity('east', 'force', 'east'),
    quantity('north', 'force', 'north'),
    identity,
    actionCase,
  ],
} satisfies { readonly [K in ItemKind]: readonly Column[] | null };

/** Kinds of item that have a schedule. */
export type ScheduledKind = { [K in ItemKind]: (typeof COLUMNS)[K] extends null ? never : K }[ItemKind];
export const SCHEDULED = (Object.keys(COLUMNS) as ItemKind[]).filter((kind): kind is ScheduledKind => COLUMNS[kind] !== null);
