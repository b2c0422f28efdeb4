import { Link, useRouteError } from 'react-router';

/** An address that leads nowhere, or a page that failed. */
export function Broken() {
  const error = useRouteError();
  const reason = error instanceof Error ? error.message : 'There is no such page.';
  return (
    <main className="page">
      <div className="empty">
        <h1>This page cannot be shown</h1>
        <p>{reason}</p>
        <Link to="/">Back to the garden</Link>
      </div>
    </main>
  );
}
