import { Moon, Redo2, Undo2 } from 'lucide-react';
import { useEffect } from 'react';
import { Link, NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import { toggleTheme } from '../../frame/theme';

const BENCHES = [
  { path: 'beam', name: 'Steel beam' },
  { path: 'member', name: 'Steel member' },
  { path: 'builtup', name: 'Built-up section' },
  { path: 'chart', name: 'Span chart' },
  { path: 'sections', name: 'Sections' },
] as const;

/** Single calculations without a building. */
export function BenchRoom() {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  useEffect(() => {
    const keys = (event: KeyboardEvent) => {
      const isTyping = event.target instanceof HTMLElement && ['INPUT', 'TEXTAREA', 'SELECT'].includes(event.target.tagName);
      if (!(event.ctrlKey || event.metaKey) || isTyping) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      void navigate(key === 'y' || event.shiftKey ? 1 : -1);
    };
    window.addEventListener('keydown', keys);
    return () => window.removeEventListener('keydown', keys);
  });
  return (
    <div className="print-flow relative flex h-full flex-col overflow-clip">
      <header className="no-print flex h-[46px] shrink-0 items-center gap-6 border-b border-rule px-4">
        <Link to="/" className="font-bold" title="All projects">
          Bench
        </Link>
        <nav aria-label="Benches" className="flex h-full flex-1 gap-1">
          {BENCHES.map(({ path, name }) => (
            <NavLink
              key={path}
              to={`/bench/${path}`}
              className={({ isActive }) =>
                `flex items-center border-b-[3px] px-3 ${isActive ? 'border-oxide font-bold' : 'border-transparent text-soft hover:text-ink'}`
              }
            >
              {name}
            </NavLink>
          ))}
        </nav>
        <div className="flex items-center gap-2">
          <button type="button" className="p-1" aria-label="Undo" onClick={() => void navigate(-1)}>
            <Undo2 size={15} />
          </button>
          <button type="button" className="p-1" aria-label="Redo" onClick={() => void navigate(1)}>
            <Redo2 size={15} />
          </button>
          <button type="button" className="p-1" aria-label="Light or dark" onClick={toggleTheme}>
            <Moon size={15} />
          </button>
        </div>
      </header>
      <main key={pathname} className="print-flow flex min-h-0 flex-1">
        <Outlet />
      </main>
      <footer className="no-print border-t border-rule px-4 py-1 text-[12px] text-soft">
        Kept in the address of this page: link to it, go back to undo. Results must be confirmed by a licensed engineer.
      </footer>
    </div>
  );
}
