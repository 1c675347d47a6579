export { KINDS, type Kind, type UnitSystem } from './kind';
export { DISPLAY, GRAVITY, UNITS } from './unit';
export { parseQuantity } from './parse';
export { echoQuantity, formatNumber, formatQuantity, unitLabel, type FormatOptions } from './format';
export { quantity, type QuantityLimits } from './schema';
