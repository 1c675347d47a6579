import { formatQuantity, type UnitSystem } from '../quantity';
import { byRule, compare, unproven, type Check, type Sheet } from '../sheet';

/** Limits within which the rule of thumb may be used. N, mm. */
export const RULE_OF_THUMB = { greatestLoad: 120_000, greatestWidth: 1300, leastThickness: 150 } as const;

/**
 * Plain concrete pad of a small house: as thick as it projects (load spreads at 45 degrees), and never under 150 mm. No bars.
 * A rule of thumb, not a code check: for a concentric service load up to 120 kN and pads up to 1.3 m wide.
 * @param load service load, N
 * @param units in which its limits are said
 */
export function ruleOfThumbPad(
  { load, width, column, thickness }: { load: number; width: number; column: number; thickness: number },
  sheet?: Sheet,
  units: UnitSystem = 'SI',
): Check[] {
  const clause = byRule('rule of thumb, small houses');
  const { greatestLoad, greatestWidth, leastThickness } = RULE_OF_THUMB;
  const [mostLoad, mostWidth] = [
    formatQuantity(greatestLoad, 'force', units, { figures: 3 }),
    formatQuantity(greatestWidth, 'length', units, { figures: 2 }),
  ];
  const outside =
    load > greatestLoad
      ? `the load is above ${mostLoad}`
      : width > greatestWidth
        ? `the pad is wider than ${mostWidth}`
        : load <= 0
          ? 'no compression reaches the pad'
          : null;
  if (outside)
    return [
      unproven(
        { id: 'thickness-45-degrees', name: 'Thickness, 45 degrees' },
        clause,
        'brittle',
        `outside the rule: ${outside}; use the full check`,
        sheet,
      ),
    ];
  const needed = Math.max((width - column) / 2, leastThickness);
  if (sheet) {
    sheet.note(
      `Rule of thumb for small houses: plain concrete, load spread at 45 degrees; up to ${mostLoad} and ${mostWidth}. Not a code check.`,
    );
    sheet.given('B', width, 'length', 'larger side of the pad');
    sheet.given('c', column, 'sectionLength', 'outline of the column, smaller side');
    sheet.given('h', thickness, 'sectionLength', 'thickness');
    sheet.given('h_0', leastThickness, 'sectionLength', 'least thickness');
    sheet.step('h_min', 'max((B - c) / 2, h_0)', { B: width, c: column, h_0: leastThickness }, needed, 'sectionLength', clause);
  }
  return [
    compare(
      {
        id: 'thickness-45-degrees',
        name: 'Thickness, 45 degrees',
        clause,
        mode: 'brittle',
        kind: 'sectionLength',
        demand: needed,
        demandSymbol: 'h_min',
        capacity: thickness,
        capacitySymbol: 'h',
      },
      sheet,
    ),
  ];
}
