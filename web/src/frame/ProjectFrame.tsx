import { useQuery } from '@tanstack/react-query';
import { Moon, Redo2, Undo2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link, NavLink, Outlet, useLocation, useParams } from 'react-router';
import { toast, Toaster } from 'sonner';
import { STANDARDS } from '@plinth/core';
import { api, ServerError } from '../project/api';
import { ProjectProvider, useProjectPart, useStore } from '../project/context';
import { LONGEST_WHY, setWhoAmI, setWhyNow, whoAmI, whyNow } from '../project/journal';
import { ProjectStore } from '../project/store';
import { FootStrip } from './FootStrip';
import { NotThere } from './NotThere';
import { Palette } from './Palette';
import { Plumb } from './Plumb';
import { ROOMS } from './rooms';
import { SheetPanel } from './SheetPanel';
import { toggleTheme } from './theme';

/** Opens a project: reads it once, then follows it live. */
export function ProjectFrame() {
  const { project = '' } = useParams();
  const { data, error } = useQuery({ queryKey: ['project', project], queryFn: () => api.project(project), staleTime: Infinity, gcTime: 0 });
  const [store, setStore] = useState<ProjectStore | null>(null);
  useEffect(() => {
    if (!data) return;
    const opened = new ProjectStore(data);
    opened.onRefusal = (message) => toast.error(message, { duration: Infinity, closeButton: true });
    const leave = opened.connect();
    setStore(opened);
    return () => {
      leave();
      setStore(null);
    };
  }, [data]);
  if (error instanceof ServerError && error.status === 404) return <NotThere what="This project" />;
  if (error) return <NotThere what="The server" />;
  if (!store) return <p className="p-12 text-soft">Opening the project…</p>;
  return (
    <ProjectProvider store={store}>
      <Frame />
    </ProjectProvider>
  );
}

function WhoField() {
  const [name, setName] = useState(whoAmI());
  return (
    <input
      aria-label="Your name in the journal"
      title="Your name in the journal"
      className="field w-20! text-right text-[12.5px]"
      value={name}
      onChange={(event) => setName(event.target.value)}
      onBlur={() => setWhoAmI(name)}
    />
  );
}

/** Why things are being changed just now: it stands in the journal with each change until it is taken away. */
function WhyField() {
  const [why, setWhy] = useState(whyNow());
  return (
    <input
      aria-label="Why, for the journal: stands with every change until it is cleared"
      title={why || 'Why, for the journal: stands with every change until it is cleared'}
      placeholder="why"
      maxLength={LONGEST_WHY}
      className={`field w-24! text-[12.5px] ${why ? 'text-oxide' : ''}`}
      value={why}
      onChange={(event) => {
        setWhy(event.target.value);
        setWhyNow(event.target.value);
      }}
    />
  );
}

function Frame() {
  const store = useStore();
  const { id } = store;
  const failed = useProjectPart((state) => state.failed);
  const name = useProjectPart(({ shown }) => shown?.building.brief.name);
  const family = useProjectPart(({ shown }) => shown?.building.brief.family);
  const { search, pathname } = useLocation();
  // changes with what is shown, not with the click: a room may have to be fetched first
  const room = ROOMS.find(({ path }) => pathname.split('/')[3] === path);
  const [palette, setPalette] = useState(false);

  const step = (mode: 'undo' | 'redo') =>
    void store.step(mode).then(
      (summary) => toast(summary),
      (error: Error) => toast.error(error.message),
    );

  useEffect(() => {
    const keys = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && ['INPUT', 'TEXTAREA', 'SELECT'].includes(event.target.tagName);
      if (!(event.ctrlKey || event.metaKey)) return;
      const key = event.key.toLowerCase();
      if (key === 'k') {
        event.preventDefault();
        setPalette(true);
      } else if (key === 'z' && !typing) {
        event.preventDefault();
        step(event.shiftKey ? 'redo' : 'undo');
      } else if (key === 'y' && !typing) {
        event.preventDefault();
        step('redo');
      }
    };
    window.addEventListener('keydown', keys);
    return () => window.removeEventListener('keydown', keys);
  });

  return (
    <div className="print-flow relative flex h-full flex-col overflow-clip">
      <header className="no-print flex h-[46px] shrink-0 items-center gap-6 border-b border-rule px-4">
        <div className="min-w-0 shrink-0">
          <Link to="/" className="font-bold" title="All projects">
            {name ?? 'Project'}
          </Link>
          <span className="ml-3 text-[12px] text-soft">{family ? STANDARDS[family].title : ''}</span>
        </div>
        <nav aria-label="Rooms" className="flex h-full flex-1 justify-center gap-1">
          {ROOMS.map(({ path, name }) => (
            <NavLink
              key={path}
              to={{ pathname: `/projects/${id}/${path}`, search }}
              className={({ isActive, isPending }) =>
                `flex items-center border-b-[3px] px-3 ${isActive ? 'border-oxide font-bold' : `${isPending ? 'border-faint' : 'border-transparent'} text-soft hover:text-ink`}`
              }
            >
              {name}
            </NavLink>
          ))}
        </nav>
        <div className="flex items-center gap-2">
          <button type="button" className="flex items-center gap-2 text-soft" onClick={() => setPalette(true)}>
            Find or do… <kbd className="rounded border border-faint px-1 text-[11px]">Ctrl K</kbd>
          </button>
          <button type="button" className="p-1" aria-label="Undo" onClick={() => step('undo')}>
            <Undo2 size={15} />
          </button>
          <button type="button" className="p-1" aria-label="Redo" onClick={() => step('redo')}>
            <Redo2 size={15} />
          </button>
          <button type="button" className="p-1" aria-label="Light or dark" onClick={toggleTheme}>
            <Moon size={15} />
          </button>
          <WhyField />
          <WhoField />
        </div>
      </header>
      {failed ? (
        <main className="flex-1 p-10" role="alert">
          <h1 className="text-lg font-bold text-oxide">This project cannot be calculated</h1>
          <p className="my-2">{failed}</p>
          <button type="button" className="btn" onClick={() => step('undo')}>
            Undo the last change
          </button>
        </main>
      ) : family ? (
        <>
          <div className="print-flow flex min-h-0 flex-1">
            <Plumb />
            <main className="print-flow flex min-w-0 flex-1" aria-label={room?.name}>
              <Outlet />
            </main>
            <SheetPanel />
          </div>
          <FootStrip />
          <Palette open={palette} setOpen={setPalette} step={step} />
        </>
      ) : (
        <main className="flex-1 p-10 text-soft">Taking the load down…</main>
      )}
      <Toaster
        position="bottom-center"
        toastOptions={{
          style: {
            background: 'var(--panel)',
            color: 'var(--ink)',
            border: '1px solid var(--rule)',
            borderRadius: 2,
            fontFamily: 'inherit',
            fontSize: 13.5,
          },
        }}
      />
    </div>
  );
}
