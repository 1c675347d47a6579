const WHO = 'plinth.who';
const WHY = 'plinth.why';
/** As long as the journal takes. */
export const LONGEST_WHY = 500;

/** Under which name one's changes stand in the journal. */
export function whoAmI(): string {
  return localStorage.getItem(WHO) ?? 'Engineer';
}

export function setWhoAmI(name: string): void {
  localStorage.setItem(WHO, name.trim() || 'Engineer');
}

/** Why things are being changed just now, in this window: it stands with every change that has no reason of its own. */
export function whyNow(): string {
  return sessionStorage.getItem(WHY) ?? '';
}

export function setWhyNow(reason: string): void {
  sessionStorage.setItem(WHY, reason.trim().slice(0, LONGEST_WHY));
}
