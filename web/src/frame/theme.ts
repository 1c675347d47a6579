const KEY = 'plinth.theme';

/** Light unless one has chosen the dark one. */
export function currentTheme(): 'light' | 'dark' {
  return localStorage.getItem(KEY) === 'dark' ? 'dark' : 'light';
}

export function applyTheme(theme = currentTheme()): void {
  document.documentElement.dataset['theme'] = theme;
}

export function toggleTheme(): void {
  const next = currentTheme() === 'dark' ? 'light' : 'dark';
  localStorage.setItem(KEY, next);
  applyTheme(next);
}
