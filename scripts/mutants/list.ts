import { ACTIONS } from './actions';
import { DOORS } from './doors';
import { LOADS } from './loads';
import { MEMBERS } from './members';
import { SYSTEMS } from './systems';

export const MUTANTS = [...DOORS, ...LOADS, ...MEMBERS, ...ACTIONS, ...SYSTEMS];
