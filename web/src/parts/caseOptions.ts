import { LOAD_NATURES, NATURE_LABEL, USE_LABEL, USUAL_CASES, type Building, type LoadNature, type Nature, type Use } from '@plinth/core';

/** In which case a load acts: by its nature and use, or as a case of an action of the project. */
export interface CaseChoice {
  readonly nature: LoadNature;
  readonly use?: Use | undefined;
  readonly action: string | null;
  readonly loadCase: string;
}

export interface CaseOption {
  readonly value: string;
  readonly label: string;
  readonly choice: CaseChoice;
}

/** What a load may be: natures, and after them the cases of the actions of the project. @param use of an imposed load, until another is chosen */
export function caseOptions(actions: Building['actions'], natures: readonly LoadNature[], use: Use = 'A'): CaseOption[] {
  const usual = natures.map((nature) => ({
    value: nature as string,
    label: NATURE_LABEL[nature],
    choice: { nature, use: nature === 'imposed' ? use : undefined, action: null, loadCase: '' },
  }));
  const known = [...actions].filter(([, { nature }]) => natures.includes(nature));
  const own = known.flatMap(([action, body]) =>
    body.cases.map((one) => ({
      value: caseValue({ nature: body.nature, action, loadCase: one.id }),
      label: body.cases.length === 1 ? `${body.name} (${NATURE_LABEL[body.nature]})` : `${body.name}, ${one.name}`,
      choice: { nature: body.nature, use: body.nature === 'imposed' ? (body.use ?? 'A') : undefined, action, loadCase: one.id },
    })),
  );
  return [...usual, ...own];
}

/** The option that a load stands on. */
export const caseValue = ({ nature, action, loadCase }: CaseChoice): string => (action === null ? nature : `case ${action} ${loadCase}`);

const optionsOf = (cases: typeof USUAL_CASES) =>
  cases.map(({ id, nature, use }) => ({ value: id, label: use ? `imposed ${use}, ${USE_LABEL[use]}` : NATURE_LABEL[nature] }));

const USUAL_LOADS = USUAL_CASES.filter(({ nature }) => (LOAD_NATURES as readonly Nature[]).includes(nature));

/** Usual cases with the words of their use, for loads that are typed outside a project. */
export const loadOptions = optionsOf(USUAL_LOADS);

/** The same for forces of an analysis, which settlements may bring as well. */
export const forceOptions = optionsOf(USUAL_CASES);

/** Nature and use of a usual case, by the id under which it is an option. */
export function usualOf(id: string): { readonly nature: Nature; readonly use?: Use } {
  const { nature, use } = USUAL_CASES.find((one) => one.id === id)!;
  return use ? { nature, use } : { nature };
}

/** The same of a load. */
export const usualLoad = (id: string) => usualOf(id) as { readonly nature: LoadNature; readonly use?: Use };
