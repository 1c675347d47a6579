import { STANDARDS, type Standard } from '@plinth/core';

/** A method of combination as it stands in an address: codes and philosophy. */
export const methodOf = (family: Standard['id'], philosophy: string): string => `${family} ${philosophy}`;

const SERVICE = 'service';

/** What effects may have been combined by: every method of every family, or service. */
export const METHODS: readonly { readonly value: string; readonly label: string }[] = [
  { value: '', label: '— say by which method —' },
  ...Object.values(STANDARDS).flatMap(({ id, title, loads }) =>
    loads.philosophies.map((philosophy) => ({ value: methodOf(id, philosophy.id), label: `${philosophy.id}: ${title}` })),
  ),
  { value: SERVICE, label: 'service, or unfactored' },
];

/** Why effects of a method give no figure by a family's codes. */
export function whyNothing(combinedBy: string, standard: Standard): string {
  const known = METHODS.find(({ value }) => value !== '' && value === combinedBy);
  if (!known) return 'say by which codes and method these effects were combined.';
  if (known.value === SERVICE) return 'service effects are for deflection and bearing; strength wants effects combined for it.';
  const [asked] = standard.loads.philosophies;
  return `these effects were combined by ${known.label}, and say nothing by ${standard.title}. Type those combined by ${asked!.title}, or give unfactored sets by load case.`;
}
