export { REACH, takeDown } from './takedown';
export {
  addInto,
  arrivalTotal,
  pressing,
  scaled,
  shapeForce,
  shapeMoment,
  totalOf,
  type Arrival,
  type ArrivalShape,
  type BalanceLine,
  type ByCase,
  type CaseBalance,
  type Leave,
  type LooseEnd,
  type MemberLedger,
  type PlumbLevel,
  type Source,
  type Takedown,
} from './ledger';
export { why, type Cause } from './why';
