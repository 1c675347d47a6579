import type { Mutant } from './mutant';

const core = (path: string) => `core/src/${path}`;

/** What acts at once, statical systems, identity of checks. */
export const SYSTEMS: readonly Mutant[] = [
  {
    point: '14',
    fault: 'a column is picked by its axial force alone: the moment of one side without what stands on the other does not count',
    file: core('analysis/columnModel.ts'),
    now: 'for (const pair of pairs(moments))',
    wrong: 'for (const pair of pairs(moments.slice(0, 0)))',
    test: 'core/src/analysis/columnModel.test.ts',
  },
  {
    point: '14',
    fault: 'a reduction of imposed load counts beside a psi',
    file: core('analysis/columnModel.ts'),
    now: 'if (!(this.reduction!.notWithPsi && accompanying?.includes(caseId))) force -= taken;',
    wrong: 'if (!(this.reduction!.notWithPsi && accompanying?.includes(""))) force -= taken;',
    test: 'core/src/analysis/columnModel.test.ts',
  },
  {
    point: '14',
    fault: 'a beam that is fixed shares its load by the lever',
    file: core('takedown/reactions.ts'),
    now: ' || supports[0]!.fixed || supports[1]!.fixed) return null;',
    wrong: ') return null;',
    test: 'core/src/takedown/takedown.test.ts',
  },
  {
    point: '14',
    fault: 'the moment of a fixed end is in no balance',
    file: core('takedown/outcome.ts'),
    now: 'if (supports.some(({ fixed }) => fixed)) this.bookFixingMoments',
    wrong: 'if (supports.some(({ fixed }) => fixed && this.around.inLoop)) this.bookFixingMoments',
    test: 'core/src/takedown/takedown.test.ts',
  },
  {
    point: '14',
    fault: 'a stretch of other stiffness is like the rest',
    file: core('beam/stretches.ts'),
    now: '?.factor ?? 1;',
    wrong: '?.factor ? 1 : 1;',
    test: 'core/src/beam/stretches.test.ts',
  },
  {
    point: '14',
    fault: 'what a fixed beam brings is not told on what carries it',
    file: core('design/loadPath.ts'),
    now: '    ...fixedEndChecks(context, ledger, philosophy, sheet),\n',
    wrong: '    ...fixedEndChecks(context, { arrivals: [] }, philosophy, sheet),\n',
    test: 'core/src/design/fixedEnds.test.ts',
  },
  {
    point: '14',
    fault: 'sets of one action are there one by one',
    file: core('design/combinedForces.ts'),
    now: 'set.action ? `action ${set.action}` : `set ${i}`;',
    wrong: 'set.action ? `action ${set.action} ${i}` : `set ${i}`;',
    test: 'core/src/design/combinedForces.test.ts',
  },
  {
    point: '14',
    fault: 'checks are told apart by their id alone: of two axes one is lost',
    file: core('sheet/verdict.ts'),
    now: '(part === undefined ? id : `${id}/${part}`);',
    wrong: '(part === undefined ? id : id);',
    test: 'core/src/tool/checkIds.test.ts',
  },
  {
    point: '14',
    fault: 'an extreme at a support is taken without what acts at the same time',
    file: core('analysis/endForces.ts'),
    now: '(present[i] ? factors[i]! * forces[of] : 0), 0);',
    wrong: '(of === component && present[i] ? factors[i]! * forces[of] : 0), 0);',
    test: 'core/src/design/supportForces.test.ts',
  },
];
