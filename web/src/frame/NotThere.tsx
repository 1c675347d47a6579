import { Link } from 'react-router';

export function NotThere({ what = 'This page' }: { what?: string }) {
  return (
    <main className="mx-auto max-w-xl p-12">
      <h1 className="text-xl font-bold">{what} is not there</h1>
      <p className="my-3">It may have been deleted, or the address may be mistyped.</p>
      <Link className="btn-line" to="/">
        Go to the projects
      </Link>
    </main>
  );
}
