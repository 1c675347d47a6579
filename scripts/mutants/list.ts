import { ACTIONS } from './actions';
import { DOORS } from './doors';
import { LOADS } from './loads';
import { MEMBERS } from './members';

export const MUTANTS = [...DOORS, ...LOADS, ...MEMBERS, ...ACTIONS];
