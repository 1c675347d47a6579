import { compare, type Check, type CheckName, type Sheet, type Clause } from '../../sheet';

/** The least of the capacities; null where one is not proved. */
export const leastCapacity = (checks: readonly Check[]): number | null =>
  checks.every(({ capacity }) => capacity !== null) ? Math.min(...checks.map(({ capacity }) => capacity!)) : null;

/** A sum of ratios that may be 1 at most. */
export function unity(name: CheckName, clause: Clause, sum: number, combination: string, sheet?: Sheet): Check {
  sheet?.given('R_max', 1, 'ratio', 'at most');
  return compare(
    {
      id: name.id,
      part: name.part,
      name: name.name,
      clause,
      mode: 'instability',
      kind: 'ratio',
      demand: sum,
      demandSymbol: 'R',
      capacity: 1,
      capacitySymbol: 'R_max',
      combination,
    },
    sheet,
  );
}
