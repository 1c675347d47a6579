import { BadInput } from '../../error';
import { actionFault, caseOf, casesOfAction, usedAs, type ActionBody, type LoadCase, type Nature, type Use } from '../../load';

interface Typed {
  readonly cases: readonly { readonly nature: Nature; readonly use?: Use | undefined }[];
  readonly actions: readonly ActionBody[];
}

/**
 * Load cases that a calculation is given: those that belong to no action, and those of actions, which are known by their names.
 * @throws BadInput where there is none, two are the same, or a use is missing or not read
 */
export function casesTyped({ cases, actions }: Typed): LoadCase[] {
  const usual = cases.map(({ nature, use }, i) => caseOf(nature, usedAs(nature, use, `cases.${i}.use`)));
  const own = actions.flatMap((action, i) => {
    const use = usedAs(action.nature, action.use, `actions.${i}.use`);
    if (actions.findIndex(({ name }) => name === action.name) < i)
      throw new BadInput(`two actions are called "${action.name}"`, `actions.${i}.name`);
    const fault = actionFault(action);
    if (fault) throw new BadInput(fault.message, `actions.${i}.${fault.field}`);
    return casesOfAction(action.name, { ...action, ...(use === undefined ? {} : { use }) });
  });
  const all = [...new Map([...usual, ...own].map((one) => [one.id, one])).values()];
  if (all.length === 0) throw new BadInput('name at least one case, or an action', 'cases');
  return all;
}
