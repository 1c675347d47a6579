import { defaultBrief, ITEM_SCHEMAS, type Item, type ItemKind } from '../../building';

export interface TallowSize {
  /** Bays along x, at 7.5 m, and along y, at 9 m. */
  readonly baysX: number;
  readonly baysY: number;
  readonly storeys: number;
  /** 0: every column runs down; 1: about one inner column in four stops at a transfer beam, and voids are many. */
  readonly irregularity: number;
}

const BAY_X = 7500;
const BAY_Y = 9000;
/** Secondary beams to a bay. */
const PARTS = 3;
const STOREY = 3600;

/** A repeatable number from 0 to 1 for any place. */
function chance(...places: readonly number[]): number {
  let h = 2166136261;
  for (const place of places) h = Math.imul(h ^ (place + 101), 16777619);
  h ^= h >>> 15;
  h = Math.imul(h, 2246822519);
  return ((h ^ (h >>> 13)) >>> 0) / 4294967296;
}

/** Items of a generated project are many: defaults are filled in once for each kind, not item by item. */
function maker<K extends ItemKind>(kind: K, sample: object) {
  const whole = ITEM_SCHEMAS[kind].parse(sample) as object;
  return (id: string, body: object): Item => ({ id, kind, body: { ...whole, ...body } }) as Item;
}

/**
 * Tallow Wharf: a made-up block of many storeys for size and speed. Primary beams along y, secondary beams along x at third points,
 * one-way panels between them; everything is found from the plan.
 */
export function tallowWharf({ baysX, baysY, storeys, irregularity }: TallowSize): Item[] {
  const origin = { x: 0, y: 0 };
  const level = (k: number) => `L${k}`;
  const made = { mark: 'x', supportsFound: true, ownWeight: 0 };
  const beam = maker('beam', { ...made, level: 'L0', from: origin, to: origin, supports: [], restraint: 'floor' });
  const column = maker('column', { ...made, at: origin, base: 'L0', top: 'L1', by: null });
  const footing = maker('footing', { mark: 'x', level: 'L0', at: origin });
  const panel = maker('panel', { mark: 'x', level: 'L0', outline: [origin, origin, origin], buildUp: 'office', direction: Math.PI / 2 });
  const items: Item[] = [brief(), ...buildUps()];
  for (let k = storeys; k >= 0; k -= 1)
    items.push({
      id: level(k),
      kind: 'level',
      body: { name: k === 0 ? 'Formation' : k === storeys ? 'Roof' : `Storey ${k}`, elevation: (k - 1) * STOREY },
    });
  // an inner column stops above storey 2 where chance has it so; a deeper beam takes it there
  const stops = (i: number, j: number) =>
    i > 0 && i < baysX && j % 2 === 1 && j < baysY && storeys > 3 && chance(i, j, 7) < irregularity / 2;
  for (let i = 0; i <= baysX; i += 1)
    for (let j = 0; j <= baysY; j += 1) {
      const at = { x: i * BAY_X, y: j * BAY_Y };
      const first = stops(i, j) ? 2 : 0;
      if (first === 0) items.push(footing(`F-${i}-${j}`, { mark: `F${i}.${j}`, at, level: level(0) }));
      for (let k = first; k < storeys; k += 1) {
        const section = storeys - k > 24 ? 'UC 356x406x634' : storeys - k > 10 ? 'UC 356x406x340' : 'UC 305x305x158';
        items.push(column(`C-${i}-${j}-${k}`, { mark: `C${i}.${j}.${k}`, at, base: level(k), top: level(k + 1), section }));
      }
    }
  for (let k = 1; k <= storeys; k += 1) storey(k);
  return items;

  function storey(k: number): void {
    const buildUp = k === storeys ? 'roof' : k === 1 ? 'shop' : k % 7 === 0 ? 'store' : 'office';
    for (let i = 0; i <= baysX; i += 1)
      for (let j = 0; j < baysY; j += 1) {
        const [from, to] = [
          { x: i * BAY_X, y: j * BAY_Y },
          { x: i * BAY_X, y: (j + 1) * BAY_Y },
        ];
        // over and under a column that is not there, one beam runs across both bays
        if (k <= 2 && stops(i, j)) continue;
        const long = k <= 2 && stops(i, j + 1);
        items.push(
          beam(`P-${i}-${j}-${k}`, {
            mark: `P${i}.${j}.${k}`,
            level: level(k),
            from,
            to: long ? { x: to.x, y: to.y + BAY_Y } : to,
            section: long ? 'UB 914x419x388' : 'UB 686x254x140',
          }),
        );
      }
    for (let i = 0; i < baysX; i += 1)
      for (let row = 0; row <= baysY * PARTS; row += 1) {
        const y = (row * BAY_Y) / PARTS;
        const [x1, x2] = [i * BAY_X, (i + 1) * BAY_X];
        items.push(
          beam(`S-${i}-${row}-${k}`, {
            mark: `S${i}.${row}.${k}`,
            level: level(k),
            from: { x: x1, y },
            to: { x: x2, y },
            section: 'UB 406x178x54',
          }),
        );
        if (row === baysY * PARTS) continue;
        // voids for stairs and light, more of them the less regular it is
        if (k < storeys && chance(i, row, k % 5) < irregularity * 0.06) continue;
        const y2 = y + BAY_Y / PARTS;
        const outline = [
          { x: x1, y },
          { x: x2, y },
          { x: x2, y: y2 },
          { x: x1, y: y2 },
        ];
        items.push(panel(`D-${i}-${row}-${k}`, { mark: `D${i}.${row}.${k}`, level: level(k), outline, buildUp }));
      }
  }
}

function brief(): Item {
  const body = {
    ...defaultBrief('Tallow Wharf', 'european'),
    bearing: '600 kPa',
    bearingSource: 'assumed: weak rock, for a generated building',
    foundingDepth: '2 m',
    reach: '0.15 m',
  };
  return { id: 'brief', kind: 'brief', body: ITEM_SCHEMAS.brief.parse(body) };
}

function buildUps(): Item[] {
  const slab = [
    { name: 'composite slab', load: '2.6 kN/m2' },
    { name: 'raised floor', load: '0.3 kN/m2', nature: 'superimposed' },
    { name: 'ceiling and services', load: '0.4 kN/m2', nature: 'superimposed', carriedBy: 'joists' },
  ];
  const make = (id: string, name: string, variable: object[]): Item => ({
    id,
    kind: 'buildUp',
    body: ITEM_SCHEMAS.buildUp.parse({ name, layers: slab, variable }),
  });
  return [
    make('office', 'Office floor', [{ name: 'offices and partitions', load: '3.3 kN/m2', nature: 'imposed', use: 'B' }]),
    make('shop', 'Market hall', [{ name: 'market', load: '4.0 kN/m2', nature: 'imposed', use: 'D' }]),
    make('store', 'Store', [{ name: 'storage', load: '5.0 kN/m2', nature: 'imposed', use: 'E' }]),
    make('roof', 'Roof', [
      { name: 'snow', load: '0.6 kN/m2', nature: 'snow' },
      { name: 'access', load: '0.6 kN/m2', nature: 'roofImposed' },
    ]),
  ];
}

/** As large as `./plinth demo` holds it. */
export const TALLOW_DEMONSTRATION: TallowSize = { baysX: 5, baysY: 3, storeys: 12, irregularity: 0.6 };

/** A size with about so many members. */
export function tallowOf(members: number): TallowSize {
  // a storey of a square block with n bays has (n + 1)^2 columns, n (n + 1) primary and n (3 n + 1) secondary beams
  const storeys = members <= 2000 ? 8 : members <= 20_000 ? 40 : 60;
  let best = 1;
  const count = (n: number) => ((n + 1) ** 2 + n * (n + 1) + n * (PARTS * n + 1)) * storeys;
  while (count(best) < members) best += 1;
  const n = Math.abs(count(best) - members) < Math.abs(count(best - 1) - members) ? best : best - 1;
  return { baysX: n, baysY: n, storeys, irregularity: 0.5 };
}
