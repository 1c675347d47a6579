import { BadInput } from '../error';
import { DIMENSION, type Dimension, type Kind, type UnitSystem } from './kind';
import { DISPLAY, UNITS } from './unit';

/** A value with a dimension, in N, mm, kg. `bare`: no unit has been written in it. */
interface Amount {
  readonly value: number;
  readonly dimension: Dimension;
  readonly bare: boolean;
}

/** Longest text that is read as a quantity: what is nested in it stays as shallow. */
const LONGEST = 120;

type Token =
  | { type: 'number'; value: number; text: string; end: number }
  | { type: 'unit'; name: string; end: number }
  | { type: 'mark'; mark: string; end: number };

const EXAMPLE: Partial<Record<Kind, Record<UnitSystem, string>>> = {
  length: { SI: '3.2 or 3200mm', US: `14 ft 6 in or 10'6"` },
  position: { SI: '3.2 or 3200mm', US: `14 ft 6 in or 10'6"` },
  sectionLength: { SI: '215 or 0.215m', US: '8.5 or 1/4 in' },
  force: { SI: '25 or 25kN', US: '5.6 or 5600 lb' },
  moment: { SI: '40 or 40kNm', US: '30 or 30 kip-ft' },
  lineLoad: { SI: '4.5 or 4.5kN/m', US: '285 or 285 plf' },
  areaLoad: { SI: '1.5 or 1.5kN/m2', US: '40 or 40 psf' },
  stress: { SI: '355 or 355MPa', US: '50 or 50 ksi' },
  bearing: { SI: '150 or 150kPa', US: '2000 or 2 ksf' },
};

function tokenize(text: string): Token[] {
  const tokens: Token[] = [];
  const clean = text
    .replace(/[²]/g, '^2')
    .replace(/[³]/g, '^3')
    .replace(/[⁴]/g, '^4')
    .replace(/[×·]/g, '*')
    .replace(/[′’]/g, "'")
    .replace(/[″”]/g, '"')
    .replace(/−/g, '-');
  const pattern = /\s*(?:(\d+(?:\.\d+)?(?:e[+-]?\d+)?|\.\d+)|([A-Za-z]+)|([-+*/^()'"%]))/giy;
  while (pattern.lastIndex < clean.length) {
    if (/^\s*$/.test(clean.slice(pattern.lastIndex))) break;
    const at = pattern.lastIndex;
    const match = pattern.exec(clean);
    if (!match) throw new BadInput(`cannot read "${clean.slice(at).trim()}" in "${text}"`);
    const end = pattern.lastIndex;
    if (match[1] !== undefined) tokens.push({ type: 'number', value: Number(match[1]), text: match[1], end });
    else if (match[2] !== undefined) tokens.push({ type: 'unit', name: match[2], end });
    else if (match[3] === "'" || match[3] === '"' || match[3] === '%') tokens.push({ type: 'unit', name: match[3], end });
    else tokens.push({ type: 'mark', mark: match[3]!, end });
  }
  return tokens;
}

/**
 * Reads arithmetic with units. Grammar, loosest first: sum, product, power, quantity.
 * Two readings differ from algebra because people write them so: "1/4 in" is a quarter inch (a fraction of whole
 * numbers before a unit), and feet followed by inches are added ("10'6\"", "14 ft 6 1/2 in").
 */
class Reader {
  private at = 0;
  constructor(
    private readonly tokens: readonly Token[],
    private readonly text: string,
  ) {}

  read(): Amount {
    if (this.tokens.length === 0) throw new BadInput('nothing was typed');
    const amount = this.sum();
    if (this.at < this.tokens.length) throw this.unreadable();
    return amount;
  }

  private unreadable(): BadInput {
    return new BadInput(`cannot read "${this.text}" as a quantity`);
  }

  private mark(...marks: string[]): string | undefined {
    const token = this.tokens[this.at];
    if (token?.type === 'mark' && marks.includes(token.mark)) {
      this.at += 1;
      return token.mark;
    }
    return undefined;
  }

  private sum(): Amount {
    let left = this.product();
    for (let mark = this.mark('+', '-'); mark; mark = this.mark('+', '-')) {
      const right = this.product();
      if (!sameDimension(left.dimension, right.dimension)) throw new BadInput(`cannot add unlike quantities in "${this.text}"`);
      left = {
        value: mark === '+' ? left.value + right.value : left.value - right.value,
        dimension: left.dimension,
        bare: left.bare && right.bare,
      };
    }
    return left;
  }

  private product(): Amount {
    let left = this.factor();
    for (;;) {
      const mark = this.mark('*', '/');
      if (mark) left = combine(left, this.factor(), mark === '*' ? 1 : -1);
      else if (this.hyphenatedUnit()) left = combine(left, this.factor(), 1);
      else return left;
    }
  }

  /** "kip-ft": a hyphen between two units multiplies. */
  private hyphenatedUnit(): boolean {
    const [before, hyphen, after] = [this.tokens[this.at - 1], this.tokens[this.at], this.tokens[this.at + 1]];
    const joins = before?.type === 'unit' && hyphen?.type === 'mark' && hyphen.mark === '-' && after?.type === 'unit';
    if (joins) this.at += 1;
    return joins;
  }

  private factor(): Amount {
    if (this.mark('-')) {
      const inner = this.factor();
      return { ...inner, value: -inner.value };
    }
    if (this.mark('+')) return this.factor();
    let base = this.quantity();
    if (this.mark('^')) {
      const token = this.tokens[this.at];
      if (token?.type !== 'number' || !Number.isInteger(token.value)) throw this.unreadable();
      this.at += 1;
      const n = token.value;
      const [f, l, m] = base.dimension;
      base = { value: base.value ** n, dimension: [f * n, l * n, m * n], bare: base.bare };
    }
    return base;
  }

  private quantity(): Amount {
    if (this.mark('(')) {
      const inner = this.sum();
      if (!this.mark(')')) throw this.unreadable();
      return this.withUnit(inner);
    }
    const token = this.tokens[this.at];
    if (token?.type === 'unit') {
      this.at += 1;
      return this.unitNamed(token.name);
    }
    if (token?.type !== 'number') throw this.unreadable();
    return this.feetAndInches(this.withUnit({ value: this.mixedNumber(), dimension: [0, 0, 0], bare: true }));
  }

  /** A number, a mixed number "6 1/2", or a fraction "1/4" when a unit follows it. */
  private mixedNumber(): number {
    const first = this.tokens[this.at] as { value: number; text: string };
    this.at += 1;
    const fraction = this.fractionAt(this.at);
    if (fraction !== undefined) {
      this.at += 3;
      return first.value + fraction;
    }
    const alone = this.fractionAt(this.at - 1);
    if (alone !== undefined && this.tokens[this.at + 2]?.type === 'unit') {
      this.at += 2;
      return alone;
    }
    return first.value;
  }

  private fractionAt(at: number): number | undefined {
    const [top, bar, bottom] = [this.tokens[at], this.tokens[at + 1], this.tokens[at + 2]];
    if (top?.type !== 'number' || bottom?.type !== 'number' || bar?.type !== 'mark' || bar.mark !== '/') return undefined;
    if (!/^\d+$/.test(top.text) || !/^\d+$/.test(bottom.text)) return undefined;
    return top.value / bottom.value;
  }

  private withUnit(amount: Amount): Amount {
    const token = this.tokens[this.at];
    if (token?.type !== 'unit') return amount;
    this.at += 1;
    let unit = this.unitNamed(token.name);
    const power = this.tokens[this.at];
    // "mm2", "m3": a digit straight behind a unit is its power, unless it begins inches behind feet
    if (power?.type === 'number' && /^[234]$/.test(power.text) && power.end - token.end === 1 && !["'", '"'].includes(token.name)) {
      this.at += 1;
      unit = {
        value: unit.value ** power.value,
        dimension: unit.dimension.map((d) => d * power.value) as unknown as Dimension,
        bare: false,
      };
    } else if (this.mark('^')) {
      const exponent = this.tokens[this.at];
      if (exponent?.type !== 'number' || !Number.isInteger(exponent.value)) throw this.unreadable();
      this.at += 1;
      unit = {
        value: unit.value ** exponent.value,
        dimension: unit.dimension.map((d) => d * exponent.value) as unknown as Dimension,
        bare: false,
      };
    }
    return combine(amount, unit, 1);
  }

  private unitNamed(name: string): Amount {
    const unit = UNITS[name];
    if (!unit) throw new BadInput(`"${name}" is not a unit that is known here`);
    let { value, dimension } = { value: unit.factor, dimension: unit.dimension };
    // powers of a unit that opens a factor ("kN/m2") are read here as well
    const [self, power] = [this.tokens[this.at - 1], this.tokens[this.at]];
    if (
      power?.type === 'number' &&
      /^[234]$/.test(power.text) &&
      self &&
      power.end - self.end === 1 &&
      self.type === 'unit' &&
      !["'", '"'].includes(name)
    ) {
      this.at += 1;
      value **= power.value;
      dimension = dimension.map((d) => d * power.value) as unknown as Dimension;
    }
    return { value, dimension, bare: false };
  }

  private feetAndInches(feet: Amount): Amount {
    const last = this.tokens[this.at - 1];
    if (last?.type !== 'unit' || !["'", 'ft', 'foot', 'feet'].includes(last.name)) return feet;
    let start = this.at;
    const hyphen = this.tokens[start];
    if (hyphen?.type === 'mark' && hyphen.mark === '-') start += 1;
    if (this.tokens[start]?.type !== 'number') return feet;
    const saved = this.at;
    this.at = start;
    const inches = this.withUnit({ value: this.mixedNumber(), dimension: [0, 0, 0], bare: true });
    const unit = this.tokens[this.at - 1];
    if (unit?.type === 'unit' && ['"', 'in', 'inch'].includes(unit.name))
      return { value: feet.value + inches.value, dimension: feet.dimension, bare: false };
    if (inches.bare && last.name === "'") return { value: feet.value + inches.value * 25.4, dimension: feet.dimension, bare: false };
    this.at = saved;
    return feet;
  }
}

function combine(a: Amount, b: Amount, sign: 1 | -1): Amount {
  return {
    value: sign === 1 ? a.value * b.value : a.value / b.value,
    dimension: [a.dimension[0] + sign * b.dimension[0], a.dimension[1] + sign * b.dimension[1], a.dimension[2] + sign * b.dimension[2]],
    bare: a.bare && b.bare,
  };
}

function sameDimension(a: Dimension, b: Dimension): boolean {
  return a.every((exponent, i) => exponent === b[i]);
}

/**
 * Reads what a person types ("3.2", "3200mm", "10'6\"", "285 plf", "1/4 in", "3*0.85") as a quantity of a kind.
 * A bare number is in the unit that `system` shows for the kind; with `system` null a bare number is refused.
 * @returns the value in N, mm, MPa, kg
 * @throws BadInput saying what is wrong and what a right value looks like
 */
export function parseQuantity(text: string, kind: Kind, system: UnitSystem | null): number {
  if (text.length > LONGEST) throw new BadInput(`a quantity has at most ${LONGEST} characters`);
  const example = EXAMPLE[kind]?.[system ?? 'SI'];
  const hint = example ? `; write for example ${example}` : '';
  let amount: Amount;
  try {
    amount = new Reader(tokenize(text), text).read();
  } catch (error) {
    throw new BadInput((error as Error).message + hint);
  }
  const wanted = DIMENSION[kind];
  const dimensionless = sameDimension(wanted, [0, 0, 0]);
  if (!Number.isFinite(amount.value)) throw new BadInput(`"${text}" does not give a finite number${hint}`);
  if (amount.bare && !dimensionless) {
    if (!system) throw new BadInput(`"${text}" has no unit${hint}`);
    return amount.value * DISPLAY[system][kind].factor;
  }
  if (amount.bare && kind === 'angle' && system) return amount.value * DISPLAY[system].angle.factor;
  // a self-weight typed in kg/m for a line load is a slip worth naming rather than converting silently
  if (!sameDimension(amount.dimension, wanted)) {
    const label = DISPLAY[system ?? 'SI'][kind].label || 'a plain number';
    throw new BadInput(`"${text}" is not in a unit of this quantity (${label})${hint}`);
  }
  return amount.value;
}
