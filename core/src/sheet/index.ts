export * from './clause';
export * from './verdict';
export * from './check';
export { audit, type Evaluate } from './audit';
export {
  entriesOf,
  Sheet,
  type Assumption,
  type Branch,
  type Entry,
  type Given,
  type Lookup,
  type Note,
  type Scope,
  type Step,
  type Verdict,
} from './sheet';
export { sharesInOneLine, substitute, symbolKinds, type SymbolKinds } from './print';
