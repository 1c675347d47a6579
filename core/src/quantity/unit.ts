import type { Dimension, Kind, UnitSystem } from './kind';

/** One readable unit: its dimension and its size in N, mm, kg. */
export interface Unit {
  readonly dimension: Dimension;
  readonly factor: number;
}

const INCH = 25.4;
const FOOT = 304.8;
/** Standard gravity, exact, m/s2: turns kg of self-weight into N, and defines the pound-force. */
export const GRAVITY = 9.80665;
const POUND_MASS = 0.45359237;
const POUND_FORCE = POUND_MASS * GRAVITY;

const length = (factor: number): Unit => ({ dimension: [0, 1, 0], factor });
const force = (factor: number): Unit => ({ dimension: [1, 0, 0], factor });
const stress = (factor: number): Unit => ({ dimension: [1, -2, 0], factor });
const mass = (factor: number): Unit => ({ dimension: [0, 0, 1], factor });
const lineLoad = (factor: number): Unit => ({ dimension: [1, -1, 0], factor });

/** Every unit that may be typed. Compound units (kN/m2, kip-ft) are products and quotients of these. */
export const UNITS: Readonly<Record<string, Unit>> = {
  mm: length(1),
  cm: length(10),
  dm: length(100),
  m: length(1000),
  in: length(INCH),
  inch: length(INCH),
  '"': length(INCH),
  ft: length(FOOT),
  foot: length(FOOT),
  feet: length(FOOT),
  "'": length(FOOT),
  N: force(1),
  kN: force(1e3),
  MN: force(1e6),
  lb: force(POUND_FORCE),
  lbf: force(POUND_FORCE),
  lbs: force(POUND_FORCE),
  kip: force(1000 * POUND_FORCE),
  kips: force(1000 * POUND_FORCE),
  k: force(1000 * POUND_FORCE),
  Nm: { dimension: [1, 1, 0], factor: 1e3 },
  kNm: { dimension: [1, 1, 0], factor: 1e6 },
  Pa: stress(1e-6),
  kPa: stress(1e-3),
  MPa: stress(1),
  GPa: stress(1e3),
  psi: stress(POUND_FORCE / INCH ** 2),
  ksi: stress((1000 * POUND_FORCE) / INCH ** 2),
  psf: stress(POUND_FORCE / FOOT ** 2),
  ksf: stress((1000 * POUND_FORCE) / FOOT ** 2),
  pcf: { dimension: [1, -3, 0], factor: POUND_FORCE / FOOT ** 3 },
  plf: lineLoad(POUND_FORCE / FOOT),
  klf: lineLoad((1000 * POUND_FORCE) / FOOT),
  kg: mass(1),
  lbm: mass(POUND_MASS),
  deg: { dimension: [0, 0, 0], factor: Math.PI / 180 },
  rad: { dimension: [0, 0, 0], factor: 1 },
  '%': { dimension: [0, 0, 0], factor: 0.01 },
};

/** A unit as shown: its label, its size in N, mm, kg, and how many decimals suit it at most. */
export interface DisplayUnit {
  readonly label: string;
  /** The same unit in the words that the reader of typed quantities knows. */
  readonly typed: string;
  readonly factor: number;
  readonly decimals: number;
}

const show = (label: string, factor: number, decimals: number, typed = label): DisplayUnit => ({ label, typed, factor, decimals });

const NONE = show('', 1, 3);
const KIP = 1000 * POUND_FORCE;

/** The unit each kind is shown in, by unit system. */
export const DISPLAY: Record<UnitSystem, Record<Kind, DisplayUnit>> = {
  SI: {
    ratio: NONE,
    count: show('', 1, 0),
    angle: show('deg', Math.PI / 180, 1),
    length: show('m', 1e3, 3),
    position: show('m', 1e3, 3),
    sectionLength: show('mm', 1, 1),
    area: show('cm²', 1e2, 2, 'cm^2'),
    floorArea: show('m²', 1e6, 2, 'm^2'),
    sectionModulus: show('cm³', 1e3, 1, 'cm^3'),
    secondMoment: show('cm⁴', 1e4, 1, 'cm^4'),
    torsionConstant: show('cm⁴', 1e4, 2, 'cm^4'),
    warpingConstant: show('dm⁶', 1e12, 4, 'dm^6'),
    force: show('kN', 1e3, 2),
    moment: show('kNm', 1e6, 2),
    lineLoad: show('kN/m', 1, 3),
    areaLoad: show('kN/m²', 1e-3, 3, 'kN/m^2'),
    unitWeight: show('kN/m³', 1e-6, 2, 'kN/m^3'),
    stress: show('MPa', 1, 3),
    bearing: show('kPa', 1e-3, 1),
    massPerLength: show('kg/m', 1e-3, 1),
    barArea: show('mm²/m', 1e-3, 0, 'mm^2/m'),
    stiffness: show('kNm²', 1e9, 0, 'kN*m^2'),
  },
  US: {
    ratio: NONE,
    count: show('', 1, 0),
    angle: show('deg', Math.PI / 180, 1),
    length: show('ft', FOOT, 3),
    position: show('ft', FOOT, 3),
    sectionLength: show('in', INCH, 3),
    area: show('in²', INCH ** 2, 2, 'in^2'),
    floorArea: show('ft²', FOOT ** 2, 1, 'ft^2'),
    sectionModulus: show('in³', INCH ** 3, 2, 'in^3'),
    secondMoment: show('in⁴', INCH ** 4, 1, 'in^4'),
    torsionConstant: show('in⁴', INCH ** 4, 3, 'in^4'),
    warpingConstant: show('in⁶', INCH ** 6, 0, 'in^6'),
    force: show('kip', KIP, 2),
    moment: show('kip-ft', KIP * FOOT, 2),
    lineLoad: show('plf', POUND_FORCE / FOOT, 1),
    areaLoad: show('psf', POUND_FORCE / FOOT ** 2, 1),
    unitWeight: show('pcf', POUND_FORCE / FOOT ** 3, 1),
    stress: show('ksi', KIP / INCH ** 2, 3),
    bearing: show('psf', POUND_FORCE / FOOT ** 2, 0),
    massPerLength: show('lb/ft', POUND_MASS / FOOT, 1, 'lbm/ft'),
    barArea: show('in²/ft', INCH ** 2 / FOOT, 3, 'in^2/ft'),
    stiffness: show('kip-ft²', KIP * FOOT ** 2, 0, 'kip*ft^2'),
  },
};
