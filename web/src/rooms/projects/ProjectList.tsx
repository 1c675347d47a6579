import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { FAMILIES, profileOf, type Family } from '@plinth/core/family';
import { api } from '../../project/api';
import { toggleTheme } from '../../frame/theme';

/** Codes and units of a family in a line. */
function familyInWords(family: Family): string {
  const { title, units } = profileOf(family);
  return `${title} · ${units === 'US' ? 'US units' : 'SI'}`;
}

const when = (iso: string) => new Date(iso).toLocaleDateString(undefined, { day: 'numeric', month: 'short', year: 'numeric' });

/** All projects, and how to begin one. */
export function ProjectList() {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const { data: projects, error } = useQuery({ queryKey: ['projects'], queryFn: api.projects });
  const [name, setName] = useState('');
  const [family, setFamily] = useState<Family>(FAMILIES[0]);
  const [asked, setAsked] = useState<string | null>(null);
  const file = useRef<HTMLInputElement>(null);

  const create = useMutation({ mutationFn: () => api.create({ name, family }), onSuccess: ({ id }) => navigate(`/projects/${id}/brief`) });
  const open = useMutation({
    mutationFn: async (chosen: File) => {
      let parsed: unknown;
      try {
        parsed = JSON.parse(await chosen.text());
      } catch {
        throw new Error(`${chosen.name} is not a project file: it is not JSON that can be read`);
      }
      return api.importFile(parsed);
    },
    onSuccess: ({ id }) => navigate(`/projects/${id}/descent`),
  });
  const remove = useMutation({ mutationFn: api.remove, onSuccess: () => queries.invalidateQueries({ queryKey: ['projects'] }) });

  return (
    <main className="mx-auto max-w-4xl px-6 py-10">
      <header className="flex items-baseline justify-between">
        <h1 className="text-2xl font-bold">Lofty Plinth</h1>
        <button type="button" className="btn-line" onClick={toggleTheme}>
          Light or dark
        </button>
      </header>
      <p className="mt-1 max-w-2xl text-soft">
        Takes loads down through a building, from roof to ground, and sizes what carries them against design codes. Its results must be
        confirmed by a licensed engineer.
      </p>

      <p className="mt-3">
        <Link className="btn-line" to="/bench">
          Bench: one member or beam, a built-up section, a span chart, the catalogue, without a building
        </Link>
      </p>

      <section className="mt-8" aria-label="Projects">
        <h2 className="label">Projects</h2>
        {error ? (
          <p role="alert" className="mt-2 text-oxide">
            {error.message}
          </p>
        ) : null}
        {projects && projects.length === 0 ? (
          <p className="mt-2">
            There is no project yet. Begin one below, read a project file, or start with demonstration buildings: ./plinth demo.
          </p>
        ) : null}
        <table className="grid-table mt-2">
          <thead>
            <tr>
              <th>Building</th>
              <th>Codes and units</th>
              <th className="num">Items</th>
              <th className="num">Changed</th>
              <th>
                <span className="sr-only">Delete</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {(projects ?? []).map((project) => (
              <tr key={project.id}>
                <td>
                  <Link className="text-[16px] font-semibold hover:text-oxide" to={`/projects/${project.id}`}>
                    {project.name}
                  </Link>
                </td>
                <td className="text-soft">{familyInWords(project.family)}</td>
                <td className="num">{project.items}</td>
                <td className="num text-soft">{when(project.updatedAt)}</td>
                <td className="num">
                  {asked === project.id ? (
                    <span>
                      Delete for good?{' '}
                      <button type="button" className="btn-line" onClick={() => remove.mutate(project.id)}>
                        Delete
                      </button>{' '}
                      <button type="button" className="btn-line" onClick={() => setAsked(null)}>
                        Keep
                      </button>
                    </span>
                  ) : (
                    <button type="button" className="text-soft hover:text-oxide" onClick={() => setAsked(project.id)}>
                      Delete
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>

      <div className="mt-10 grid grid-cols-2 gap-12">
        <section aria-label="Begin a project">
          <h2 className="label">Begin a project</h2>
          <form
            className="mt-2 space-y-3"
            onSubmit={(event) => {
              event.preventDefault();
              create.mutate();
            }}
          >
            <label className="block">
              <span className="text-[12px] text-soft">Name of the building</span>
              <input className="field" value={name} onChange={(event) => setName(event.target.value)} />
            </label>
            <label className="block">
              <span className="text-[12px] text-soft">Codes and units</span>
              <select className="field" value={family} onChange={(event) => setFamily(event.target.value as Family)}>
                {FAMILIES.map((id) => (
                  <option key={id} value={id}>
                    {familyInWords(id)}
                  </option>
                ))}
              </select>
            </label>
            {create.error ? (
              <p role="alert" className="text-oxide">
                {create.error.message}
              </p>
            ) : null}
            <button type="submit" className="btn btn-main">
              Begin
            </button>
          </form>
        </section>
        <section aria-label="Read a project file">
          <h2 className="label">Read a project file</h2>
          <p className="mt-2 text-soft">A project saved from here, as JSON. It becomes a project of its own.</p>
          <input
            ref={file}
            type="file"
            accept="application/json,.json"
            aria-label="Project file"
            className="mt-2 block text-[13px]"
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              if (chosen) open.mutate(chosen);
              event.target.value = '';
            }}
          />
          {open.error ? (
            <p role="alert" className="mt-2 text-oxide">
              {open.error.message}
            </p>
          ) : null}
          <p className="mt-6 text-[13px] text-soft">
            For programs:{' '}
            <a className="btn-line" href="/api/docs">
              calculations over HTTP
            </a>
          </p>
        </section>
      </div>
    </main>
  );
}
