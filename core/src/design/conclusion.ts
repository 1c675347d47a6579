import { clauseText, entriesOf, governing, worstVerdict, type Sheet } from '../sheet';

/** The verdict of a sheet in words, at its top and again at its end: its word, what governs, and what is not verified. */
export function conclude(sheet: Sheet): Sheet {
  const checks = entriesOf(sheet.entries, 'verdict').map(({ check }) => check);
  if (checks.length === 0) return sheet;
  const most = governing(checks);
  const open = [...new Set(checks.filter(({ verdict }) => verdict === 'unproven').map(({ name }) => name))];
  const parts = [
    `Verdict: ${worstVerdict(checks)}`,
    ...(most && most.utilisation !== null ? [`${most.name} governs, ${most.utilisation.toFixed(2)} (${clauseText(most.clause)})`] : []),
    ...(open.length > 0 ? [`not verified: ${open.join(', ')}`] : []),
  ];
  const text = `${parts.join('; ')}.`;
  sheet.entries.unshift({ type: 'conclusion', text });
  sheet.entries.push({ type: 'conclusion', text });
  return sheet;
}
