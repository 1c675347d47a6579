export {
  amount,
  askedOf,
  emptyOf,
  fieldsOf,
  flag,
  isAskedOf,
  unreadOf,
  type Amount,
  type AskedOf,
  type DeclaredInput,
  type DeclaredInputs,
  type Flag,
} from './declared';
export { BEAM_INPUTS, PAD_INPUTS, type AskedOfBeam, type AskedOfPad } from './list';
